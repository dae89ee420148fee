import type { DaySummary } from "@/core/run";
import { formatClock, formatDuration } from "@/core/units";
import { Link } from "../controls/Link";
import { formatDayDate } from "../shell/formatDayDate";
import type { Column } from "../table/DataTable";
import { countDay, tellFaults } from "./findDays";

/** Earlier or later than planned by less is as planned, min. */
const AS_PLANNED_MIN = 2;

/** A day at a glance, column by column. @param onTurn - Chooses it to be compared, or lets it go. */
export const listDayColumns = (
  chosen: readonly string[],
  onTurn: (date: string) => void,
): Column<DaySummary>[] => [
  { id: "day", title: "Day", cell: (day) => <DayName day={day} />, sortBy: ({ date }) => date },
  {
    id: "made",
    title: "Made",
    isMostFirst: true,
    isFigure: true,
    className: "figure text-2xl",
    cell: (day) => countDay(day).made,
    sortBy: (day) => countDay(day).made,
  },
  {
    id: "sold",
    title: "Sold",
    isMostFirst: true,
    isFigure: true,
    className: "figure text-2xl",
    cell: (day) => countDay(day).sold ?? "–",
    sortBy: (day) => countDay(day).sold,
  },
  {
    id: "done",
    title: "All done",
    isMostFirst: true,
    isFigure: true,
    from: "sm",
    cell: (day) => <DayEnd day={day} />,
    sortBy: ({ endMin, plannedEndMin }) => (endMin === null ? null : endMin - plannedEndMin),
  },
  { id: "wrong", title: "Went wrong", from: "sm", cell: tellFaults },
  {
    id: "compare",
    title: "Compare",
    isTitleHidden: true,
    isFigure: true,
    cell: ({ date }) => {
      const isChosen = chosen.includes(date);
      return (
        <button
          type="button"
          className={`btn touch ${isChosen ? "btn-primary" : ""}`}
          aria-pressed={isChosen}
          aria-label={`Compare ${formatDayDate(date)}`}
          onClick={() => onTurn(date)}
        >
          compare
        </button>
      );
    },
  },
];

function DayName({ day }: { readonly day: DaySummary }) {
  const { date, name, isLeftOut } = day;
  return (
    <>
      <Link className="text-lg underline" href={`/run/${date}/record`}>
        {formatDayDate(date)}
      </Link>
      <span className="quiet block text-sm">
        {name}
        {isLeftOut && ", left out of the learning"}
        {" · "}
        <Link className="reach underline" href={`/run/${date}/taught`}>
          what it taught
        </Link>
      </span>
      <span className="block text-sm sm:hidden">{tellFaults(day)}</span>
    </>
  );
}

function DayEnd({ day }: { readonly day: DaySummary }) {
  const { endMin, plannedEndMin, jobs, jobsDone } = day;
  if (endMin === null)
    return (
      <span className="quiet">
        {jobsDone} of {jobs} jobs
      </span>
    );
  const lateMin = endMin - plannedEndMin;
  return (
    <>
      <span className="figure text-2xl">{formatClock(Math.round(endMin))}</span>
      <span className={`block text-sm ${lateMin >= AS_PLANNED_MIN ? "text-error" : "quiet"}`}>
        {Math.abs(lateMin) < AS_PLANNED_MIN
          ? "as planned"
          : `${formatDuration(Math.round(Math.abs(lateMin)))} ${lateMin > 0 ? "later" : "earlier"} than planned`}
      </span>
    </>
  );
}
