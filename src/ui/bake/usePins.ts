import { useMemo } from "react";
import type { Day, DayTask } from "@/core/plan";
import { useBench, useBenchStore } from "../bench/BenchProvider";

/** Jobs that are pinned to a minute: kept with the day, undone like any edit. Its doings stay the same from draw to draw. */
export function usePins() {
  const store = useBenchStore();
  const pinned = useBench(({ book }) => book.day.pinned);
  const pinnedIds = useMemo(() => new Set(pinned.map(({ taskId }) => taskId)), [pinned]);
  const doings = useMemo(() => {
    const save = (change: (pinned: Day["pinned"]) => Day["pinned"]) => {
      const { book, edit } = store.getState();
      edit([{ kind: "day", id: book.day.id, record: { ...book.day, pinned: change(book.day.pinned) } }]);
    };
    const without = (all: Day["pinned"], taskId: string) => all.filter((each) => each.taskId !== taskId);
    const pinTo = ({ id, placed }: DayTask, toStartMin: (atMin: number) => number) =>
      save((all) => {
        const pin = all.find(({ taskId }) => taskId === id);
        // A job that is pinned has one way only: which of them it was stands in its pin.
        const mode = pin?.mode ?? placed.mode;
        return [
          ...without(all, id),
          { taskId: id, startMin: toStartMin(pin?.startMin ?? placed.startMin), mode },
        ];
      });
    return {
      pin: (task: DayTask, startMin: number) => pinTo(task, () => startMin),
      /** From where it is pinned, though the plan with it is still being worked out: three quick steps are three. */
      shift: (task: DayTask, byMin: number) => pinTo(task, (atMin) => atMin + byMin),
      unpin: (taskId: string) => save((all) => without(all, taskId)),
      unpinAll: () => save(() => []),
    };
  }, [store]);
  return { pinnedIds, ...doings };
}
