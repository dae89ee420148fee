import {
  habitKinds,
  knowHabit,
  readHabitId,
  tellFigure,
  type FigureHabit,
  type FigureScale,
  type HabitId,
  type PastLog,
} from "../habits";
import type { DayFigure } from "./dayFigure";

/** One of a day's figures beside what was expected of it. */
export interface TaughtPoint extends Pick<DayFigure, "source" | "taskIds" | "value"> {
  /** So far out that it is likelier a mishap or a slip than a habit. */
  readonly isFar: boolean;
}

/** A habit before a day and after it, with what the day gave. */
export interface TaughtHabit {
  readonly habit: HabitId;
  readonly name: string;
  readonly what: string;
  readonly scale: FigureScale;
  readonly before: FigureHabit;
  readonly after: FigureHabit;
  /** The day's own lots. */
  readonly points: readonly TaughtPoint[];
  /** Of these, how many lay in the range in which nine in ten were expected. */
  readonly held: number;
  /** How far its middle moved, of the width of its range. */
  readonly moved: number;
}

/** So many halves of its range from what is likeliest a figure is asked about: a normal one lies there once in a million. */
const FAR_HALVES = 3;

/**
 * What a day taught: each habit of which it has a figure, before and after it, the one that moved most first.
 * @param past - What was known before the day.
 */
export function findTaught(past: Pick<PastLog, "habits">, today: readonly DayFigure[]): TaughtHabit[] {
  const taught = [...new Set(today.map(({ habit }) => habit))].map((habit): TaughtHabit => {
    const own = today.filter((figure) => figure.habit === habit);
    const { what, scale } = habitKinds[readHabitId(habit)!.kind];
    const before = tellFigure(knowHabit(past, habit));
    const after = tellFigure(
      knowHabit(
        past,
        habit,
        own.map(({ value }) => value),
      ),
    );
    const half = (before.nextHigh - before.nextLow) / 2;
    return {
      habit,
      name: own[0]!.name,
      what,
      scale,
      before,
      after,
      points: own.map(({ source, taskIds, value }) => ({
        source,
        taskIds,
        value,
        isFar: Math.abs(value - before.mean) > FAR_HALVES * half,
      })),
      moved: Math.abs(after.mean - before.mean) / (2 * half),
      held: own.filter(({ value }) => before.nextLow <= value && value <= before.nextHigh).length,
    };
  });
  return taught.sort((a, b) => b.moved - a.moved);
}
