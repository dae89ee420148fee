import type { FigureHabit, FigureScale, HabitId } from "@/core/habits";

/** A habit as it is told. */
export interface ToldHabit {
  readonly habit: HabitId;
  readonly name: string;
  readonly what: string;
  readonly scale: FigureScale;
  readonly known: FigureHabit;
  /** What the baker set it to: a value, or with null the craft's, so that only what came since counts. Null: its log counts. */
  readonly word: { readonly value: number | null; readonly since: string } | null;
}
