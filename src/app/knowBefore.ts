import type { PastLog } from "@/core/habits";
import { listDayFigures } from "@/core/run";
import { getStore } from "@/data/getStore";
import type { LoadedRun } from "./loadRun";

/** What was known before a run of the habits that it may have figures of; of others nothing is worked out. */
export function knowBefore({ sheet, events }: LoadedRun): Pick<PastLog, "habits"> {
  const own = new Set(listDayFigures(sheet, events).map(({ habit }) => habit));
  return { habits: getStore().habits.know(sheet.date, (habit) => own.has(habit) || habit in sheet.expected) };
}
