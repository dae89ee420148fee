import { addToHoldLog, type HoldLog, type LeakOutcome } from "./holdHabit";
import { learnDay, type KnownFigure } from "./figureHabit";
import { habitKinds, readHabitId, type HabitId } from "./habitKinds";

/** The whole log before what is given record by record, as what is known from it, so that ten years weigh no more than a week. */
export interface PastLog extends HoldLog {
  /** What is known of each habit that has a log. */
  readonly habits: Readonly<Record<HabitId, KnownFigure>>;
  /** Grams of liquid that each formula as written took last time, by formula id. */
  readonly tookLastG: Readonly<Record<string, number>>;
}

export const NO_PAST: PastLog = { habits: {}, leaks: {}, holds: [], tookLastG: {} };

/** What the craft knows of a habit. @throws {RangeError} If the id is of no kind. */
export function knowByCraft(id: HabitId): KnownFigure {
  const read = readHabitId(id);
  if (!read) throw new RangeError(`knowByCraft: ${id} is no habit`);
  return { ...habitKinds[read.kind].prior, lots: 0, widened: 1 };
}

/** What is known of a habit with the figures of a day that is not in the past yet. */
export const knowHabit = (
  { habits }: Pick<PastLog, "habits">,
  id: HabitId,
  todays: readonly number[] = [],
): KnownFigure => {
  const craft = knowByCraft(id);
  return learnDay(craft, habits[id] ?? craft, todays);
};

/** All leaks that were counted. */
export const gatherHolds = ({ leaks, holds }: HoldLog, lots: readonly LeakOutcome[]): HoldLog =>
  lots.reduce<HoldLog>((log, lot) => addToHoldLog(log, lot, 1), { leaks, holds });

/** The log without leaks that stand beside it and would count twice. @param lots - Each is in the log. */
export const takeOutLeaks = (past: PastLog, lots: readonly LeakOutcome[]): PastLog => ({
  ...past,
  ...lots.reduce<HoldLog>((log, lot) => addToHoldLog(log, lot, -1), past),
});
