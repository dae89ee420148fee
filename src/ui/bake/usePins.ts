import type { DayTask } from "@/core/plan";
import { usePicked } from "../bench/BenchProvider";

/** Jobs that are pinned to a minute: kept with the day, undone like any edit. */
export function usePins() {
  const { book, edit } = usePicked("book", "edit");
  const { day } = book;
  const save = (pinned: typeof day.pinned) => edit([{ kind: "day", id: day.id, record: { ...day, pinned } }]);
  const without = (taskId: string) => day.pinned.filter((each) => each.taskId !== taskId);
  return {
    pinnedIds: new Set(day.pinned.map(({ taskId }) => taskId)),
    pin({ id, placed }: DayTask, startMin: number) {
      // A job that is pinned has one way only: which of them it was stands in its pin.
      const mode = day.pinned.find(({ taskId }) => taskId === id)?.mode ?? placed.mode;
      save([...without(id), { taskId: id, startMin, mode }]);
    },
    unpin: (taskId: string) => save(without(taskId)),
    unpinAll: () => save([]),
  };
}
