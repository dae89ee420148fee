import { requireThat } from "../require";
import { spreadOfNext } from "./figureHabit";
import { toHabitId, toShareLog } from "./habitKinds";
import { knowHabit, type PastLog } from "./pastLog";

/** What one rolling was planned to give and gave. Both whole, planned ≥ 1. */
export interface CutOutcome {
  readonly planned: number;
  readonly got: number;
}

/** How a baker's hand cuts a dough, against the plan. */
export interface YieldHabit {
  /** Rollings logged. */
  readonly rollings: number;
  /** What comes out for one planned, likeliest. */
  readonly share: number;
  /** One standard deviation of the next rolling's share. */
  readonly spread: number;
}

/** @throws {RangeError} If a count is not whole or out of range. */
export function toYieldLog({ planned, got }: CutOutcome): number {
  requireThat("planned", planned, Number.isInteger(planned) && planned >= 1, "a whole number ≥ 1");
  requireThat("got", got, Number.isInteger(got) && got >= 0, "a whole number ≥ 0");
  return toShareLog(got, planned);
}

/** The yield of one dough: the past, and rollings beside it. */
export function findYieldHabit(past: PastLog, doughId: string, rollings: readonly CutOutcome[]): YieldHabit {
  const known = knowHabit(past, toHabitId("blanks", doughId), rollings.map(toYieldLog));
  const share = Math.exp(known.mean);
  return { rollings: known.lots, share, spread: share * spreadOfNext(known) };
}

/** A forecast count: likeliest, and between which two it lands in two of three rollings. */
export interface CountForecast {
  readonly likelyCount: number;
  readonly lowCount: number;
  readonly highCount: number;
}

/**
 * A reckoned count and its range, corrected by the log: the count by the habit's share, the range by its spread, taken
 * as independent of what the reckoning already allows for. Without a log nothing changes.
 */
export function forecastCount(
  reckoned: { readonly count: number; readonly lowCount: number; readonly highCount: number },
  { rollings, share, spread }: YieldHabit,
): CountForecast {
  const { count, lowCount, highCount } = reckoned;
  if (rollings === 0) return { likelyCount: count, lowCount, highCount };
  const likely = count * share;
  const logged = count * spread;
  return {
    likelyCount: Math.floor(likely + 1e-9),
    lowCount: Math.max(Math.floor(likely - Math.hypot(count - lowCount, logged)), 0),
    highCount: Math.ceil(likely + Math.hypot(highCount - count, logged)),
  };
}
