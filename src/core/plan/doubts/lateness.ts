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
      numbers: { dueMin, lateMin },
      message:
        `${draft?.label ?? taskId}: ready ${formatClock(dueMin + lateMin)}, ${formatDuration(lateMin)} after the promise of ` +
        `${formatClock(dueMin)}.`,
      remedy: `Open ${formatDuration(lateMin)} before ${formatClock(openMin)}, or move the promise.`,
    };
  });
  const waits = schedule.brokenWaits.map(({ taskId, afterTaskId, overMin }): Problem => {
    const [waiting, before] = [byId.get(taskId), byId.get(afterTaskId)];
    const { what, remedy } = describeLongWait(before, afterTaskId, formatDuration(overMin));
    return {
      code: "longWait",
      station: "fill",
      pieceId: waiting?.pieceId ?? null,
      stops: false,
      numbers: { overMin },
      message: `${waiting?.label ?? taskId}: ${what}`,
      remedy,
    };
  });
  return [...late, ...waits];
}

/** What has waited too long, by how much, and what to do: sugared fruit, a boil, blanks, or a piece between two steps. */
function describeLongWait(
  before: DraftTask | undefined,
  id: string,
  over: string,
): { readonly what: string; readonly remedy: string } {
  switch (before?.kind) {
    case "sugar":
      return {
        what: `the fruit lies sugared ${over} too long and draws juice.`,
        remedy: "Sugar it later, or fill in smaller lots.",
      };
    case "warm":
      return {
        what: `what was heated for it stands ${over} too long and is hot no more.`,
        remedy: "Heat it later, or make smaller lots.",
      };
    case "make":
      return {
        what: `“${before.label}” has been kept hot ${over} too long.`,
        remedy: "Keep it hot longer, or warm it again for each lot.",
      };
    case "roll":
      return {
        what: `the blanks of “${before.label}” wait ${over} longer than this dough may lie on the bench.`,
        remedy: "Chill them covered, or roll smaller sheets.",
      };
    default:
      return {
        what: `it waits ${over} longer after “${before?.label ?? id}” than its way allows.`,
        remedy: "Allow it more in the way, make smaller lots, or move a promise.",
      };
  }
}
