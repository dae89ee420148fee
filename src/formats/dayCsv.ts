import { listClockSteps, sayClockStep, type DayBook, type DayPlan } from "@/core/plan";
import { formatClock } from "@/core/units";
import { writeCsv } from "./writeCsv";

/** The day's jobs in the order of the clock, one a row: from, until, who, what, pieces, minutes of hands, steps. */
export function toDayCsv(plan: DayPlan, book: DayBook): string {
  const rows = plan.tasks.map((task) => ({
    from: formatClock(task.placed.startMin),
    until: formatClock(task.placed.endMin),
    who: task.person > 0 ? "helper" : "baker",
    what: task.label,
    pieces: task.pieces,
    "hands min": task.handsMin,
    steps: listClockSteps(task, plan, book).map(sayClockStep).join("; "),
  }));
  return writeCsv(rows);
}
