import { adjustRun } from "./adjustRun";
import type { Counts } from "./countPieces";
import type { RunEvent } from "./event";
import { foldRun, type RunState } from "./foldRun";
import { retimeRun, type Retimed } from "./retimeRun";
import type { RunSheet } from "./runSheet";

/** A running day at a moment. */
export interface Followed {
  readonly state: RunState;
  /** The frozen sheet as it stands now. */
  readonly sheet: RunSheet;
  readonly counts: Counts;
  readonly retimed: Retimed;
}

export interface RunFollower {
  /** The day after all these events; what it is told next is timed with the least change from this. */
  follow(
    events: readonly RunEvent[],
    nowMin: number,
  ): { readonly now: Followed; readonly before: Followed | null };
  /** The same, and it is not gone on from. */
  peek(events: readonly RunEvent[], nowMin: number): Followed;
}

/** So many states are remembered: more taps are taken back by nobody. */
const MOST_REMEMBERED = 60;

/**
 * Follows a running day from event to event. What is taken back leads back to how the day was told before it happened,
 * not on from where it had led.
 */
export function followRun(frozen: RunSheet): RunFollower {
  const told = new Map<string, Followed>();
  let last: Followed | null = null;
  const keyOf = ({ counted }: RunState) => counted.map(({ id }) => id).join(" ");
  const time = (events: readonly RunEvent[], nowMin: number): Followed => {
    const state = foldRun(events);
    const { sheet, counts } = adjustRun(frozen, state);
    const from = told.get(keyOf(state)) ?? last;
    return { state, sheet, counts, retimed: retimeRun(sheet, from?.retimed ?? null, state, nowMin) };
  };
  return {
    peek: time,
    follow(events, nowMin) {
      const before = last;
      const now = time(events, nowMin);
      const key = keyOf(now.state);
      told.delete(key);
      told.set(key, now);
      const oldest = told.keys().next();
      if (told.size > MOST_REMEMBERED && !oldest.done) told.delete(oldest.value);
      last = now;
      return { now, before };
    },
  };
}
