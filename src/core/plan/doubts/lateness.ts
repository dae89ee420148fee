import type { Schedule } from "../../schedule";
import { formatClock, formatDuration } from "../../units";
import type { Problem } from "../result/problem";
import type { DraftTask } from "../tasks/draftTask";

/** Promises that the schedule misses, and dough or fruit that waits longer in it than it may. */
export function findLateness(schedule: Schedule, drafts: readonly DraftTask[], openMin: number): Problem[] {
  const byId = new Map(drafts.map((draft) => [draft.id, draft]));
  const late = schedule.late.map(({ taskId, dueMin, lateMin }): Problem => {
    const draft = byId.get(taskId);
    return {
      station: "bake",
      pieceId: draft?.pieceId ?? null,
      stops: false,
      message:
        `${draft?.label ?? taskId}: ready ${formatClock(dueMin + lateMin)}, ${formatDuration(lateMin)} after the promise of ` +
        `${formatClock(dueMin)}. Open ${formatDuration(lateMin)} before ${formatClock(openMin)}, or move the promise.`,
    };
  });
  const waits = schedule.brokenWaits.map(({ taskId, afterTaskId, overMin }): Problem => {
    const [waiting, before] = [byId.get(taskId), byId.get(afterTaskId)];
    return {
      station: "fill",
      pieceId: waiting?.pieceId ?? null,
      stops: false,
      message:
        before?.kind === "sugar"
          ? `${waiting?.label ?? taskId}: the fruit lies sugared ${formatDuration(overMin)} too long and draws juice. ` +
            "Sugar it later, or fill in smaller lots."
          : `${waiting?.label ?? taskId}: the blanks of “${before?.label ?? afterTaskId}” wait ${formatDuration(overMin)} longer than ` +
            "this dough may lie on the bench. Chill them covered, or roll smaller sheets.",
    };
  });
  return [...late, ...waits];
}
