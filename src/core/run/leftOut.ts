import { findImplausible, sayHabitFailure, type PastLog } from "../habits";
import type { DayFigure } from "./dayFigure";
import { listAllFigures } from "./dayFigures";
import type { RunEvent } from "./event";
import { foldRun } from "./foldRun";
import type { RunSheet } from "./runSheet";
import { findTaught, type TaughtHabit } from "./taught";

interface LeftOutBy {
  readonly word: string;
  /** What said so: taken back, it counts again. None where nobody said it: the figure cannot be. */
  readonly eventIds: readonly string[];
}

/** What of a day is not learned from, and why. */
export interface LeftOutFigures {
  readonly habits: readonly (LeftOutBy & { readonly habit: TaughtHabit })[];
  /** The whole day. */
  readonly day: LeftOutBy | null;
}

/** Figures that would be learned from if nothing were left out, habit by habit. @param past - What was known before the day. */
export function listLeftOut(
  sheet: RunSheet,
  events: readonly RunEvent[],
  past: Pick<PastLog, "habits">,
): LeftOutFigures {
  const { counted } = foldRun(events);
  const words = counted.filter((event) => event.kind === "leftOut");
  const ofDay = words.filter(({ taskId }) => taskId === null);
  const toBy = (by: typeof words): LeftOutBy => ({
    word: by.at(-1)?.word ?? "",
    eventIds: by.map(({ id }) => id),
  });
  const taken = listAllFigures(sheet, counted);
  const cannotBe = taken.filter(({ habit, value }) => findImplausible(habit, value) !== null);
  return {
    habits: [
      ...findTaught(past, findMissing(sheet, counted, taken)).map((habit) => {
        const tasks = new Set(habit.points.flatMap(({ taskIds }) => taskIds));
        const own = words.filter(({ taskId }) => taskId !== null && tasks.has(taskId));
        return { habit, ...toBy(own.length > 0 ? own : ofDay) };
      }),
      ...findTaught(past, cannotBe).map((habit) => {
        const slip = findImplausible(habit.habit, habit.points[0]?.value ?? NaN);
        return {
          habit,
          word: `${slip ? sayHabitFailure(slip) : ""} Correct it in the record.`,
          eventIds: [],
        };
      }),
    ],
    day: ofDay.length > 0 ? toBy(ofDay) : null,
  };
}

/** What is learned of nobody because somebody left it out. */
function findMissing(
  sheet: RunSheet,
  counted: readonly RunEvent[],
  taken: readonly DayFigure[],
): DayFigure[] {
  const others = counted.filter(({ kind }) => kind !== "leftOut");
  if (others.length === counted.length) return [];
  const isSame = (one: DayFigure, other: DayFigure) =>
    one.habit === other.habit && one.source === other.source && one.value === other.value;
  return listAllFigures(sheet, others).filter((figure) => !taken.some((each) => isSame(each, figure)));
}
