import { sortByPromise, type PiecePlan, type DayTask } from "../result";

/**
 * When each order is complete: its pieces are baked in the order of the promises, load after load.
 * @param endOf - When a task ends: as planned, or as it is foretold.
 */
export function findReadyMin(
  { piece, orders, loading }: PiecePlan,
  tasks: readonly DayTask[],
  endOf: (task: DayTask) => number = ({ placed }) => placed.endMin,
): Record<string, number> {
  const ready: Record<string, number> = {};
  let needed = 0;
  for (const { id, count } of sortByPromise(orders)) {
    needed += count;
    let baked = 0;
    const loads = loading.loads.findIndex((load) => (baked += load.pieces) >= needed) + 1;
    const ends = tasks
      .filter((task) => task.kind === "finish" && task.pieceId === piece.id && task.index <= loads)
      .map(endOf);
    if (ends.length > 0) ready[id] = Math.max(...ends);
  }
  return ready;
}
