import { listClockRows, sayClockStep, type DayBook, type DayPlan } from "@/core/plan";
import { formatClock } from "@/core/units";

interface Props {
  readonly book: DayBook;
  readonly plan: DayPlan;
}

/** The day by the clock, for each person by itself. */
export function ClockList({ plan, book }: Props) {
  const rows = listClockRows(plan, book);
  const people = [...new Set(rows.map(({ person }) => person))].sort((a, b) => a - b);
  return people.map((person) => (
    <section key={person} className="mt-1">
      <h2>By the clock{people.length > 1 && (person === 0 ? ", the baker" : ", the helper")}</h2>
      <ol className="sheet-columns">
        {rows
          .filter((row) => row.person === person)
          .map(({ id, startMin, endMin, label, steps }) => (
            <li key={id} className="flex break-inside-avoid gap-1.5 border-b border-dotted border-black">
              <span className="figure sheet-time">{formatClock(startMin)}</span>
              <span className="figure sheet-time">{endMin === null ? "" : formatClock(endMin)}</span>
              <span className="min-w-0 flex-1">
                ☐ {label}
                {steps.length > 0 && (
                  <span className="sheet-small"> · {steps.map(sayClockStep).join(" · ")}</span>
                )}
              </span>
            </li>
          ))}
      </ol>
    </section>
  ));
}
