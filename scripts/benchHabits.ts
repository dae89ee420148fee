import { habitKinds, learnDay, learnDays, tellFigure, type HabitKindId } from "@/core/habits";
import { createRandom } from "@/core/seededRandom";

const BAKERS = 500;
const DAYS = [3, 10, 30] as const;
const LOTS_A_DAY = 2;
/** A wild day: all its lots so many strays off. */
const WILD_STRAYS = 5;
/** One lot in fifty is a mishap, so many strays off. */
const MISHAP_SHARE = 0.02;
const MISHAP_STRAYS = 6;
/** How far hidden habits lie from the craft's, and how unlike each other strays are. */
const TRUTH_SPREAD = 0.8;
const STRAY_SPREAD = 0.25;
/** Kinds have bakers of their own. */
const SEED_STEP = 100;

/**
 * Simulated bakers with hidden habits, kind by kind: how far off a habit is after so many days against how far the craft
 * was, how often the nine in ten of the next lot hold, for how many bakers it is farther off than the craft was, and how
 * far a wild day moves it at most.
 */
export function benchHabits(): void {
  console.log(
    `${BAKERS} simulated bakers, ${LOTS_A_DAY} lots a day: error of a habit (of the craft's) · ranges held · farther off · moved by a wild day (of its range)`,
  );
  (Object.keys(habitKinds) as HabitKindId[]).forEach((kind, i) => {
    const cells = DAYS.map((days) => simulateKind(kind, days, createRandom(SEED_STEP * i + days)));
    console.log(`  ${kind.padEnd(8)} ${cells.join("   ")}`);
  });
}

function simulateKind(kind: HabitKindId, days: number, random: () => number): string {
  const { prior } = habitKinds[kind];
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  let [squares, priorSquares, held, farther, moved] = [0, 0, 0, 0, 0];
  for (let baker = 0; baker < BAKERS; baker++) {
    const truth = prior.mean + TRUTH_SPREAD * prior.sd * normal();
    const stray = prior.sd * Math.exp(STRAY_SPREAD * normal());
    const lot = () => truth + stray * (normal() + (random() < MISHAP_SHARE ? MISHAP_STRAYS : 0));
    const known = learnDays(
      prior,
      Array.from({ length: days }, () => Array.from({ length: LOTS_A_DAY }, lot)),
    );
    const { mean, low, high, nextLow, nextHigh } = tellFigure(known);
    const wild = Array.from({ length: LOTS_A_DAY }, () => truth + WILD_STRAYS * stray);
    moved = Math.max(moved, Math.abs(learnDay(prior, known, wild).mean - mean) / (high - low));
    const next = lot();
    squares += (mean - truth) ** 2;
    priorSquares += (prior.mean - truth) ** 2;
    held += nextLow <= next && next <= nextHigh ? 1 : 0;
    // But for its noise: the truth lies outside what is told of the habit itself.
    farther += Math.abs(mean - truth) > Math.abs(prior.mean - truth) && (truth < low || truth > high) ? 1 : 0;
  }
  const error = Math.sqrt(squares / priorSquares);
  return `${days} days: ${error.toFixed(2)} · ${((100 * held) / BAKERS).toFixed(1)} % · ${farther} · ${moved.toFixed(2)}`;
}
