"use client";

import type { JobSheet, RunJob } from "@/core/run";
import { formatClock, formatDuration } from "@/core/units";
import { formatLeft } from "./countDown";

interface Props {
  readonly job: RunJob | null;
  readonly told: JobSheet | null;
  readonly begunMin: number | null;
  readonly nowMin: number;
  /** What undo would take back; null if there is nothing. */
  readonly undoing: { readonly atMin: number; readonly text: string } | null;
  /** Passes on one press where a knuckle made two. */
  readonly knock: (act: () => void) => void;
  readonly onDone: () => void;
  readonly onMore: () => void;
  readonly onWrong: () => void;
  readonly onUndo: () => void;
}

/** What a knuckle does to the job: large, apart, and once a press. */
export function RunButtons(props: Props) {
  const { job, told, begunMin, nowMin, undoing, knock, onDone, onMore, onWrong, onUndo } = props;
  const about = formatDuration(Math.max(told?.plannedMin ?? 0, 1));
  const plain =
    "flex min-h-22 cursor-pointer flex-col items-center justify-center rounded-2xl px-3 disabled:cursor-default disabled:opacity-50";
  const other = `${plain} border-2 border-base-300 bg-base-100`;
  return (
    <nav
      aria-label="The job"
      className="sticky bottom-0 z-10 grid grid-cols-3 gap-3 bg-(--steel) p-3 sm:p-4 lg:grid-cols-[2.2fr_1fr_1fr_1fr] lg:px-7 [@media(max-height:560px)]:grid-cols-[1.6fr_1fr_1fr_1fr]"
    >
      <button
        type="button"
        disabled={!job}
        className={`${plain} col-span-3 bg-primary text-primary-content lg:col-span-1 [@media(max-height:560px)]:col-span-1`}
        onClick={() => knock(onDone)}
      >
        <span className="figure text-3xl sm:text-4xl">{job && !job.hasBegun ? "Begin" : "Done"}</span>
        <span className="text-base">
          {job?.hasBegun && begunMin !== null
            ? `${formatLeft(Math.max(nowMin - begunMin, 0))} of about ${about}`
            : job
              ? `planned ${formatClock(job.startMin)}, about ${about}`
              : "nothing now"}
        </span>
      </button>
      <button type="button" disabled={!job} className={other} onClick={() => knock(onMore)}>
        <span className="figure text-xl sm:text-2xl">Needs more</span>
        <span className="quiet text-sm">say how long</span>
      </button>
      <button type="button" disabled={!job} className={other} onClick={() => knock(onWrong)}>
        <span className="figure text-xl sm:text-2xl">Went wrong</span>
        <span className="quiet text-sm">
          {told && told.pieces > 0 ? "say what and how many" : "say what"}
        </span>
      </button>
      <button type="button" disabled={!undoing} className={other} onClick={() => knock(onUndo)}>
        <span className="figure text-xl sm:text-2xl">Undo</span>
        <span className="quiet line-clamp-1 text-sm">
          {undoing ? `${formatClock(Math.floor(undoing.atMin))} ${undoing.text}` : "nothing yet"}
        </span>
      </button>
    </nav>
  );
}
