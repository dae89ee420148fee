import Papa from "papaparse";
import type { DayPlan } from "@/core/plan";
import { formatClock } from "@/core/units";

/** The day's jobs in the order of the clock, one a row: from, until, who, what, pieces, minutes of hands. */
export function toDayCsv(plan: DayPlan): string {
  const rows = plan.tasks.map(({ placed, person, label, pieces, handsMin }) => ({
    from: formatClock(placed.startMin),
    until: formatClock(placed.endMin),
    who: person > 0 ? "helper" : "baker",
    what: label,
    pieces,
    "hands min": handsMin,
  }));
  // What begins with these would be run by a spreadsheet as a formula.
  return Papa.unparse(rows, { escapeFormulae: true });
}
