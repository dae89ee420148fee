import { formatClock, formatCount, formatDuration } from "../units";
import type { Retimed } from "./retimeRun";
import type { JobSheet } from "./runSheet";

/**
 * What an event changed of the rest of the day, in one line: the promise that is in danger first.
 * @returns Null where nothing moved and nothing is later than it was.
 */
export function tellMoved(
  { moved, endangered, schedule }: Pick<Retimed, "moved" | "endangered" | "schedule">,
  jobs: readonly JobSheet[],
): string | null {
  const worst = [...endangered].sort((a, b) => b.lateMin - a.lateMin)[0];
  const nameOf = (taskId: string) => jobs.find((job) => job.taskId === taskId)?.title ?? taskId;
  if (worst) {
    const others =
      endangered.length > 1 ? `, and ${formatCount(endangered.length - 1, "other promise")}` : "";
    return `${nameOf(worst.taskId)} will be ${formatDuration(worst.lateMin)} late${others}.`;
  }
  const farthest = [...moved].sort((a, b) => Math.abs(b.byMin) - Math.abs(a.byMin))[0];
  if (!farthest) return null;
  if (moved.length === 1) {
    const startMin = schedule.placed.find(({ taskId }) => taskId === farthest.taskId)?.startMin ?? 0;
    return `${nameOf(farthest.taskId)} is now at ${formatClock(startMin)}.`;
  }
  const way = moved.every(({ byMin }) => byMin > 0)
    ? "later"
    : moved.every(({ byMin }) => byMin < 0)
      ? "sooner"
      : "moved";
  return `${formatCount(moved.length, "job")} ${way}, by at most ${formatDuration(Math.abs(farthest.byMin))}.`;
}
