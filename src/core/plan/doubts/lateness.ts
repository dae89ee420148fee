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
      code: "late",
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
      code: "longWait",
      station: "fill",
      pieceId: waiting?.pieceId ?? null,
      stops: false,
      message: `${waiting?.label ?? taskId}: ${describeLongWait(before, afterTaskId, formatDuration(overMin))}`,
    };
  });
  return [...late, ...waits];
}

/** What has waited too long, by how much, and what to do: sugared fruit, a boil, blanks, or a piece between two steps. */
function describeLongWait(before: DraftTask | undefined, id: string, over: string): string {
  switch (before?.kind) {
    case "sugar":
      return `the fruit lies sugared ${over} too long and draws juice. Sugar it later, or fill in smaller lots.`;
    case "warm":
      return `what was heated for it stands ${over} too long and is hot no more. Heat it later, or make smaller lots.`;
    case "make":
      return `“${before.label}” has been kept hot ${over} too long. Keep it hot longer, or warm it again for each lot.`;
    case "roll":
      return (
        `the blanks of “${before.label}” wait ${over} longer than this dough may lie on the bench. ` +
        "Chill them covered, or roll smaller sheets."
      );
    default:
      return (
        `it waits ${over} longer after “${before?.label ?? id}” than its way allows. ` +
        "Allow it more in the way, make smaller lots, or move a promise."
      );
  }
}
