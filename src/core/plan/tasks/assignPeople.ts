import type { Day } from "../book";
import type { DayTask } from "../result";

/**
 * Who does what: the helper takes whatever lies wholly in the helper's hours while the baker is busy; everything else
 * is the baker's. A bake belongs to whoever puts it in.
 */
export function assignPeople(tasks: readonly DayTask[], helper: Day["helper"]): DayTask[] {
  if (!helper) return [...tasks];
  const busyUntil = [-Infinity, -Infinity];
  return [...tasks]
    .sort((one, other) => one.placed.startMin - other.placed.startMin)
    .map((task): DayTask => {
      const { startMin, endMin } = task.placed;
      const canHelp = startMin >= helper.fromMin && endMin <= helper.toMin;
      const person = (busyUntil[0] ?? 0) <= startMin || !canHelp ? 0 : 1;
      // The oven bakes by itself: only the first minutes of a load need the hands that bring it.
      const heldMin = task.kind === "bake" ? startMin + task.handsMin / 2 : endMin;
      busyUntil[person] = Math.max(busyUntil[person] ?? 0, heldMin);
      return { ...task, person };
    });
}
