/** How much at once, and how much a second after that. */
export interface Allowance {
  readonly burst: number;
  readonly perSecond: number;
}

interface Bucket {
  left: number;
  atMs: number;
}

/** Callers that are remembered at the most: beyond, those who asked longest ago are forgotten. */
const MOST_CALLERS = 5000;

/** Counts what each caller asks for (a token bucket each). */
export function createThrottle({ burst, perSecond }: Allowance) {
  const buckets = new Map<string, Bucket>();
  return {
    /** @returns Seconds that a caller has to wait; 0 if it may ask now, and that is counted. */
    take(caller: string, nowMs: number): number {
      const known = buckets.get(caller);
      const refilled = known ? known.left + (Math.max(0, nowMs - known.atMs) / 1000) * perSecond : burst;
      const left = Math.min(burst, refilled);
      const isTaken = left >= 1;
      // Set anew, so that the map's order is that of the last question.
      buckets.delete(caller);
      buckets.set(caller, { left: isTaken ? left - 1 : left, atMs: nowMs });
      if (buckets.size > MOST_CALLERS) buckets.delete(buckets.keys().next().value ?? "");
      return isTaken ? 0 : Math.ceil((1 - left) / perSecond);
    },
    /** How much of its allowance a caller has used up and not got back yet. */
    readSpent(caller: string, nowMs: number): number {
      const known = buckets.get(caller);
      const left = known ? known.left + (Math.max(0, nowMs - known.atMs) / 1000) * perSecond : burst;
      return burst - Math.min(burst, left);
    },
    /** What was asked for last is not counted after all. */
    giveBack(caller: string): void {
      const known = buckets.get(caller);
      if (known) known.left = Math.min(burst, known.left + 1);
    },
  };
}
