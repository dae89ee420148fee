import { eachDayOfInterval, endOfMonth, format, getISODay, parseISO } from "date-fns";
import type { DaySummary } from "@/core/run";
import { Link } from "../controls/Link";
import { formatDayDate } from "../shell/formatDayDate";
import { countDay, tellFaults } from "./findDays";

/** Months that hold days, the latest first; each day leads to its record. */
export function DayMonths({ days }: { readonly days: readonly DaySummary[] }) {
  const byDate = new Map(days.map((day) => [day.date, day]));
  const months = [...new Set(days.map(({ date }) => date.slice(0, 7)))];
  return (
    <div className="flex flex-wrap gap-8">
      {months.map((month) => {
        const first = parseISO(`${month}-01`);
        return (
          <section key={month} aria-label={format(first, "MMMM yyyy")}>
            <h2 className="text-xl">{format(first, "MMMM yyyy")}</h2>
            <ol className="grid grid-cols-7 gap-1">
              {eachDayOfInterval({ start: first, end: endOfMonth(first) }).map((each, i) => {
                const day = byDate.get(format(each, "yyyy-MM-dd"));
                return (
                  <li key={each.getTime()} style={i === 0 ? { gridColumnStart: getISODay(each) } : undefined}>
                    {day ? (
                      <RunDay day={day} />
                    ) : (
                      <span className="quiet block h-14 w-12 p-1 text-sm">{each.getDate()}</span>
                    )}
                  </li>
                );
              })}
            </ol>
          </section>
        );
      })}
    </div>
  );
}

function RunDay({ day }: { readonly day: DaySummary }) {
  const faults = tellFaults(day);
  const { made } = countDay(day);
  return (
    <Link
      href={`/run/${day.date}/record`}
      aria-label={`${formatDayDate(day.date)}: ${made} made${faults && `, ${faults}`}`}
      className={`block h-14 w-12 rounded-lg border-2 p-1 text-sm ${faults ? "border-error" : "border-primary"}`}
    >
      {Number(day.date.slice(8))}
      <strong className="figure block text-lg leading-none">{made}</strong>
    </Link>
  );
}
