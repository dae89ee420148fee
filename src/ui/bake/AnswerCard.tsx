import type { ReactNode } from "react";
import type { DayNow } from "@/core/plan";
import { formatClock, formatDuration } from "@/core/units";

interface Props {
  readonly title: string;
  readonly then: DayNow;
  readonly now: DayNow;
  /** What else has to be known. */
  readonly note?: ReactNode;
  readonly onTake: () => void;
}

/** One answer to what-if, with what it does to the day; a touch takes it. */
export function AnswerCard({ title, then, now, note, onTake }: Props) {
  return (
    <button
      type="button"
      className="flex h-full min-h-16 w-full cursor-pointer flex-col rounded-lg border-2 border-base-300 bg-base-100 px-3 py-2 text-left hover:border-primary"
      onClick={onTake}
    >
      <strong>{title}</strong>
      <span className="figure">{describeChange(then, now)}</span>
      {note && <span className="quiet text-sm">{note}</span>}
    </button>
  );
}

/** `start 05:10, 40 min later · day 6 h 10, 55 min less`. */
function describeChange(then: DayNow, now: DayNow): string {
  const start =
    then.startMin === null
      ? null
      : `start ${formatClock(then.startMin)}${
          now.startMin === null || now.startMin === then.startMin
            ? ""
            : `, ${formatDuration(Math.abs(then.startMin - now.startMin))} ${then.startMin > now.startMin ? "later" : "sooner"}`
        }`;
  const day = `day ${formatDuration(then.dayMin)}${
    then.dayMin === now.dayMin
      ? ""
      : `, ${formatDuration(Math.abs(then.dayMin - now.dayMin))} ${then.dayMin < now.dayMin ? "less" : "more"}`
  }`;
  const late =
    then.lateMin > 0 ? `${formatDuration(then.lateMin)} late` : now.lateMin > 0 ? "nothing late" : null;
  return [start, day, late].filter((part) => part !== null).join(" · ");
}
