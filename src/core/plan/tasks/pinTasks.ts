import type { LaidTask } from "../../schedule";
import type { DraftTask } from "./draftTask";

/** The tasks with those that the baker has pinned bound to their minute and machine; pins of tasks that are gone are left. */
export function pinTasks(drafts: readonly DraftTask[], pinned: readonly LaidTask[]): DraftTask[] {
  const pinOf = new Map(pinned.map((pin) => [pin.taskId, pin]));
  return drafts.map((draft) => {
    const pin = pinOf.get(draft.id);
    if (!pin) return draft;
    // A machine that is no longer able leaves the task its choice.
    const mode = draft.schedule.modes[pin.mode];
    const machineId = draft.machineIds[pin.mode];
    return {
      ...draft,
      machineIds: mode && machineId !== undefined ? [machineId] : draft.machineIds,
      schedule: {
        ...draft.schedule,
        modes: mode ? [mode] : draft.schedule.modes,
        pinnedMin: pin.startMin,
      },
    };
  });
}
