import type { HabitId } from "../habits";
import type { JobSheet } from "./runSheet";

/** One figure of one lot, on its habit's scale. */
export interface DayFigure {
  readonly habit: HabitId;
  /** Whose: of a piece, a dough, an oven, a way of working. */
  readonly name: string;
  /** The record or the job that it is of. */
  readonly source: string;
  /** Jobs without which it would not be. */
  readonly taskIds: readonly string[];
  readonly value: number;
}

/** Of what a job is. */
export const readName = ({ formulaName, about, title }: JobSheet): string =>
  formulaName ?? (about.split(",")[0] || title);

/** Where a figure of one job alone comes from. */
export const fromJob = ({ taskId }: JobSheet): Pick<DayFigure, "source" | "taskIds"> => ({
  source: taskId,
  taskIds: [taskId],
});
