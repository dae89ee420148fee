import { createRandom } from "../seededRandom";
import {
  computeChangeoverMin,
  type Schedule,
  type ScheduleProblem,
  type ScheduleResource,
  type ScheduleTask,
} from ".";

/** A small kitchen for the tests of the schedule, and a checker that knows nothing of how schedules are made. */

const plain = { capacity: 1, gapMin: 0, away: [] } as const;
export const oven: ScheduleResource = {
  ...plain,
  id: "oven",
  heater: { restC: 20, heatUpCPerMin: 10, coolDownCPerMin: 4, toleranceC: 0 },
  isHands: false,
};
export const hands: ScheduleResource = { ...plain, id: "hands", heater: null, isHands: true };

const free = { releaseMin: null, weight: 1, pinnedMin: null } as const;
export const work = (
  id: string,
  durationMin: number,
  after: ScheduleTask["after"] = [],
  dueMin: number | null = null,
): ScheduleTask => ({
  ...free,
  id,
  after,
  dueMin,
  modes: [
    {
      durationMin,
      heat: null,
      uses: [{ resourceId: "hands", fromMin: 0, toMin: durationMin, amount: 1 }],
    },
  ],
});
export const bake = (
  id: string,
  durationMin: number,
  heatC: number,
  after: ScheduleTask["after"] = [],
  dueMin: number | null = null,
  loweredC = 0,
): ScheduleTask => ({
  ...free,
  id,
  after,
  dueMin,
  modes: [
    {
      durationMin,
      heat: { startC: heatC, endC: heatC - loweredC },
      uses: [
        { resourceId: "oven", fromMin: 0, toMin: durationMin, amount: 1 },
        { resourceId: "hands", fromMin: 0, toMin: 2, amount: 1 },
        { resourceId: "hands", fromMin: durationMin - 2, toMin: durationMin, amount: 1 },
      ],
    },
  ],
});
export const wait = (taskId: string, minWaitMin = 0, maxWaitMin: number | null = null) => ({
  taskId,
  minWaitMin,
  maxWaitMin,
});

/** A day taken apart: hands busy without a pause from 300 on, every chain just in time. Its best is known. */
export function takeApart(count: number, seed: number): { problem: ScheduleProblem; dayMin: number } {
  const random = createRandom(seed);
  const pick = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const blocks: { id: string; startMin: number; endMin: number }[] = [];
  let minute = 300;
  for (let i = 0; i < count; i++) {
    const durationMin = pick(3, 18);
    blocks.push({ id: `t${i}`, startMin: minute, endMin: minute + durationMin });
    minute += durationMin;
  }
  const tasks = blocks.map(({ id, startMin, endMin }, i): ScheduleTask => {
    // Waits for one or two that were done before it, no longer than it did.
    const after =
      i < 2
        ? []
        : [...new Set([pick(0, i - 1), pick(0, i - 1)])].map((j) => {
            const waited = startMin - blocks[j]!.endMin;
            return wait(
              `t${j}`,
              Math.floor(waited * random()),
              random() < 0.2 ? waited + pick(10, 60) : null,
            );
          });
    return work(
      id,
      endMin - startMin,
      after,
      random() < 0.4 ? endMin + pick(5, 40) : i === count - 1 ? endMin : null,
    );
  });
  return { problem: { holds: [], resources: [hands], openMin: 300, tasks }, dayMin: minute - 300 };
}

/** Everything a schedule must keep whatever happens, checked minute by minute. */
export function findFaults(problem: ScheduleProblem, schedule: Schedule): string[] {
  const at = new Map(schedule.placed.map((placed) => [placed.taskId, placed]));
  const faults: string[] = [];
  for (const task of problem.tasks) {
    const own = at.get(task.id);
    if (!own) {
      faults.push(`${task.id} is not placed`);
      continue;
    }
    if (own.startMin < Math.max(problem.openMin, task.releaseMin ?? -Infinity))
      faults.push(`${task.id} too early`);
    if (own.endMin - own.startMin !== task.modes[own.mode]!.durationMin) faults.push(`${task.id} cut short`);
    if (task.pinnedMin !== null && own.startMin !== task.pinnedMin) faults.push(`${task.id} unpinned`);
    for (const { taskId, minWaitMin, maxWaitMin } of task.after) {
      const waited = own.startMin - at.get(taskId)!.endMin;
      const broken = schedule.brokenWaits.some(
        (each) => each.taskId === task.id && each.afterTaskId === taskId,
      );
      if (waited < minWaitMin) faults.push(`${task.id} too soon after ${taskId}`);
      if (maxWaitMin !== null && waited > maxWaitMin && !broken)
        faults.push(`${task.id} waits ${waited} unsaid`);
    }
  }
  return [...faults, ...problem.resources.flatMap((resource) => findResourceFaults(problem, resource, at))];
}

type Placements = ReadonlyMap<string, Schedule["placed"][number]>;

function findResourceFaults(problem: ScheduleProblem, resource: ScheduleResource, at: Placements): string[] {
  const faults: string[] = [];
  const holds = problem.tasks.flatMap((task) => {
    const own = at.get(task.id)!;
    const mode = task.modes[own.mode]!;
    return mode.uses
      .filter(({ resourceId }) => resourceId === resource.id)
      .map(({ fromMin, toMin, amount }) => ({
        id: task.id,
        heat: mode.heat,
        amount,
        from: own.startMin + fromMin,
        to: own.startMin + toMin,
      }));
  });
  const kept = problem.holds
    .filter(({ resourceId }) => resourceId === resource.id)
    .map(({ amount, from, until }) => ({
      amount,
      from: from.edge === "start" ? at.get(from.taskId)!.startMin : at.get(from.taskId)!.endMin,
      to: until.edge === "start" ? at.get(until.taskId)!.startMin : at.get(until.taskId)!.endMin,
    }));
  const minutes = new Set([...holds, ...kept].flatMap(({ from }) => [from]));
  for (const minute of minutes) {
    const away = resource.away
      .filter(({ fromMin, toMin }) => fromMin <= minute && minute < toMin)
      .reduce((sum, { amount }) => sum + amount, 0);
    const there = [...holds, ...kept].filter(({ from, to }) => from <= minute && minute < to);
    const taken = there.reduce((sum, { amount }) => sum + amount, away);
    if (taken > resource.capacity) faults.push(`${resource.id} holds ${taken} at ${minute}`);
  }
  for (const one of holds)
    for (const other of holds) {
      if (one === other || one.from > other.from) continue;
      const { heater, gapMin } = resource;
      const together = one.to > other.from;
      const sameHeat =
        one.heat?.startC === one.heat?.endC &&
        other.heat?.startC === other.heat?.endC &&
        one.heat?.startC === other.heat?.startC;
      if (heater && together && !sameHeat)
        faults.push(`${resource.id}: ${one.id} and ${other.id} at two heats`);
      const change =
        heater && one.heat && other.heat ? computeChangeoverMin(heater, one.heat.endC, other.heat.startC) : 0;
      if (!together && other.from < one.to + Math.max(change, gapMin))
        faults.push(`${resource.id}: ${other.id} too soon after ${one.id}`);
    }
  const [first] = holds.sort((a, b) => a.from - b.from);
  if (resource.heater && first?.heat) {
    const lit = first.from - computeChangeoverMin(resource.heater, resource.heater.restC, first.heat.startC);
    if (lit < problem.openMin) faults.push(`${resource.id} is not hot for ${first.id}`);
  }
  return faults;
}
