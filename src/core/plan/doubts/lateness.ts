import { because } from "../../result";
import type { Schedule } from "../../schedule";
import type { DraftTask } from "../tasks";
import { toProblem, type Problem, type Waited } from "../problem";

/** Promises that the schedule misses, and dough or fruit that waits longer in it than it may. */
export function findLateness(schedule: Schedule, drafts: readonly DraftTask[], openMin: number): Problem[] {
  const byId = new Map(drafts.map((draft) => [draft.id, draft]));
  const late = schedule.late.map(({ taskId, dueMin, lateMin }): Problem => {
    const draft = byId.get(taskId);
    const late = because("late", { job: draft?.label ?? taskId, dueMin, lateMin, openMin });
    return toProblem(late, { station: "bake", pieceId: draft?.pieceId ?? null });
  });
  const broken = schedule.brokenWaits.map(({ taskId, afterTaskId, overMin }): Problem => {
    const [waiting, before] = [byId.get(taskId), byId.get(afterTaskId)];
    const wait = because("longWait", {
      job: waiting?.label ?? taskId,
      before: before?.label ?? afterTaskId,
      waited: (before && waits[before.kind]) ?? "between",
      overMin,
    });
    return toProblem(wait, { station: "fill", pieceId: waiting?.pieceId ?? null });
  });
  return [...late, ...broken];
}

/** What has waited after a job of a kind; after any other it is the piece, between two steps of its way. */
const waits: Partial<Record<DraftTask["kind"], Waited>> = {
  sugar: "sugared",
  warm: "heated",
  make: "keptHot",
  roll: "rolled",
};
