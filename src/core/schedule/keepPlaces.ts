import { framesOf } from "./frame";
import type { Lane } from "./lane";
import { openLane } from "./openLane";
import type { Placing } from "./placeTasks";
import type { PlacedTask, ScheduleProblem } from "./problem";

/** A place in a day that was kept. */
export type LaidTask = Pick<PlacedTask, "taskId" | "startMin" | "mode">;

/** The placing with every task where it was kept; null if that is not all of them, or one cannot be there any more. */
export function keepPlaces(problem: ScheduleProblem, laid: readonly LaidTask[]): Placing | null {
  const laidOf = new Map(laid.map((each) => [each.taskId, each]));
  const own = problem.tasks.map(({ id }) => laidOf.get(id));
  const durations = own.map((each, i) =>
    each ? problem.tasks[i]!.modes[each.mode]?.durationMin : undefined,
  );
  if (durations.includes(undefined)) return null;
  const starts = Float64Array.from(own, (each) => each?.startMin ?? NaN);
  const placing = {
    starts,
    ends: starts.map((start, i) => start + (durations[i] ?? NaN)),
    modes: Int32Array.from(own, (each) => each?.mode ?? 0),
    isForced: false,
  };
  return canStand(problem, placing) ? placing : null;
}

/** Whether every resource has room for a placing, holds included, and no task comes too soon after what it waits for. */
export function canStand(problem: ScheduleProblem, { starts, ends, modes }: Placing): boolean {
  const { real } = framesOf(problem);
  const lanes = problem.resources.map((resource) => openLane(resource, problem.openMin, false));
  const take = (lane: Lane, ...block: Parameters<Lane["add"]>) => {
    const hasRoom = Number.isNaN(lane.findNextStart(...block));
    if (hasRoom) lane.add(...block);
    return hasRoom;
  };
  const haveRoom = real.modes.every((list, task) => {
    const mode = list[modes[task]!]!;
    return mode.uses.every(({ lane, fromMin, toMin, amount }) =>
      take(lanes[lane]!, starts[task]! + fromMin, starts[task]! + toMin, amount, mode.heat),
    );
  });
  const edge = ({ task, isStart }: { readonly task: number; readonly isStart: boolean }) =>
    isStart ? starts[task]! : ends[task]!;
  return (
    haveRoom &&
    real.opening.every((holds) =>
      holds.every(({ lane, amount, from, until }) =>
        take(lanes[lane]!, edge(from), edge(until), amount, null),
      ),
    ) &&
    real.waits.every((list, task) =>
      list.every(
        ({ task: before, minWaitMin, fromStart }) =>
          starts[task]! >= edge({ task: before, isStart: fromStart }) + minWaitMin,
      ),
    )
  );
}
