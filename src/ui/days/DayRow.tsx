import Link from "next/link";
import type { DaySummary } from "@/core/run";
import { formatClock, formatDuration } from "@/core/units";
import { formatDayDate } from "../shell/formatDayDate";
import { countDay, tellFaults } from "./findDays";

interface Props {
  readonly day: DaySummary;
  readonly isChosen: boolean;
  /** Chooses it to be compared, or lets it go. */
  readonly onTurn: () => void;
}

/** Earlier or later than planned by less is as planned, min. */
const AS_PLANNED_MIN = 2;

/** A day at a glance. */
export function DayRow({ day, isChosen, onTurn }: Props) {
  const { date, name, endMin, plannedEndMin, jobs, jobsDone, isLeftOut } = day;
  const { made, sold } = countDay(day);
  const lateMin = endMin === null ? null : endMin - plannedEndMin;
  return (
    <tr className="border-t border-base-300 align-top">
      <td className="py-2">
        <Link className="text-lg underline" href={`/run/${date}/record`}>
          {formatDayDate(date)}
        </Link>
        <span className="quiet block text-sm">
          {name}
          {isLeftOut && ", left out of the learning"}
          {" · "}
          <Link className="underline" href={`/run/${date}/taught`}>
            what it taught
          </Link>
        </span>
        <span className="block text-sm sm:hidden">{tellFaults(day)}</span>
      </td>
      <td className="figure py-2 pl-3 text-right text-2xl">{made}</td>
      <td className="figure py-2 pl-3 text-right text-2xl">{sold ?? "–"}</td>
      <td className="hidden py-2 pl-3 text-right sm:table-cell">
        {endMin === null || lateMin === null ? (
          <span className="quiet">
            {jobsDone} of {jobs} jobs
          </span>
        ) : (
          <>
            <span className="figure text-2xl">{formatClock(Math.round(endMin))}</span>
            <span className={`block text-sm ${lateMin >= AS_PLANNED_MIN ? "text-error" : "quiet"}`}>
              {Math.abs(lateMin) < AS_PLANNED_MIN
                ? "as planned"
                : `${formatDuration(Math.round(Math.abs(lateMin)))} ${lateMin > 0 ? "later" : "earlier"} than planned`}
            </span>
          </>
        )}
      </td>
      <td className="hidden py-2 pl-3 sm:table-cell">{tellFaults(day)}</td>
      <td className="py-2 pl-3 text-right">
        <button
          type="button"
          className={`btn touch ${isChosen ? "btn-primary" : ""}`}
          aria-pressed={isChosen}
          aria-label={`Compare ${formatDayDate(date)}`}
          onClick={onTurn}
        >
          compare
        </button>
      </td>
    </tr>
  );
}
