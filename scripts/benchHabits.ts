import { findFigureHabit, habitKinds, type HabitKindId } from "@/core/habits";
import { createRandom } from "@/core/seededRandom";

const BAKERS = 500;
const DAYS = [3, 10, 30] as const;
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
 * was, how often the nine in ten of the next lot hold, and for how many bakers it is farther off than the craft was.
 */
export function benchHabits(): void {
  console.log(
    `${BAKERS} simulated bakers, one lot a day: error of a habit (of the craft's) · ranges held · farther off`,
  );
  (Object.keys(habitKinds) as HabitKindId[]).forEach((kind, i) => {
    const cells = DAYS.map((days) => simulateKind(kind, days, createRandom(SEED_STEP * i + days)));
    console.log(`  ${kind.padEnd(8)} ${cells.join("   ")}`);
  });
}

function simulateKind(kind: HabitKindId, days: number, random: () => number): string {
  const { prior } = habitKinds[kind];
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  let [squares, priorSquares, held, farther] = [0, 0, 0, 0];
  for (let baker = 0; baker < BAKERS; baker++) {
    const truth = prior.mean + TRUTH_SPREAD * prior.sd * normal();
    const stray = prior.sd * Math.exp(STRAY_SPREAD * normal());
    const lot = () => truth + stray * (normal() + (random() < MISHAP_SHARE ? MISHAP_STRAYS : 0));
    const log = Array.from({ length: days }, lot).map((value, i) => ({ value, lotsAgo: days - 1 - i }));
    const { mean, low, high, nextLow, nextHigh } = findFigureHabit(prior, log);
    const next = lot();
    squares += (mean - truth) ** 2;
    priorSquares += (prior.mean - truth) ** 2;
    held += nextLow <= next && next <= nextHigh ? 1 : 0;
    // But for its noise: the truth lies outside what is told of the habit itself.
    farther += Math.abs(mean - truth) > Math.abs(prior.mean - truth) && (truth < low || truth > high) ? 1 : 0;
  }
  const error = Math.sqrt(squares / priorSquares);
  return `${days} days: ${error.toFixed(2)} · ${((100 * held) / BAKERS).toFixed(1)} % · ${farther}`;
}
