import { placeTasks, type PlacingRules } from "./placeTasks";
import {
  computeChangeoverMin,
  type BrokenWait,
  type HeaterStart,
  type PlacedTask,
  type Schedule,
  type ScheduleProblem,
  type ScheduleTask,
} from "./problem";

/**
 * How often a schedule is laid again to mend waits that came out too long. Each round shifts the tasks at
 * fault by what they are over; real days settle in a few.
 */
const MENDING_ROUNDS = 40;

/**
 * A schedule for one day: backwards from what was promised, each task as late as it may be; where that would
 * begin before the day opens, forwards from the opening and then pushed to the right again (double
 * justification, after Valls, Ballestín and Quintanilla 2005); what is late is said. Constructive: it keeps
 * every resource, shortest wait and change of temperature; waits longer than allowed are mended where shifting
 * helps, and reported where not. Tasks without a successor need a `dueMin`.
 */
export function scheduleDay(problem: ScheduleProblem): Schedule {
  if (problem.tasks.length === 0) {
    return {
      placed: [],
      heaterStarts: [],
      startMin: problem.openMin,
      endMin: problem.openMin,
      late: [],
      brokenWaits: [],
    };
  }
  const leadMin = computeLeadMin(problem);
  const byLead: PlacingRules["rank"] = (task, earliestMin) => [earliestMin, -(leadMin.get(task.id) ?? 0)];
  const backwards = scheduleBackwards(problem, byLead);
  if (backwards.startMin >= problem.openMin && backwards.brokenWaits.length === 0) return backwards;

  const startOf = new Map(backwards.placed.map(({ taskId, startMin }) => [taskId, startMin]));
  const forwards = layAndMend(problem, (releases) => ({
    releaseMin: (task) => releases.get(task.id) ?? problem.openMin,
    rank: (task, earliestMin) => [startOf.get(task.id) ?? 0, earliestMin],
    coldUntilMin: problem.openMin,
    mirrored: false,
  }));
  if (forwards.late.length > 0) return forwards;
  // Nothing is late: push every task to the right again, the last first. None can come before its own place.
  const endOf = new Map(forwards.placed.map(({ taskId, endMin }) => [taskId, endMin]));
  const pushed = scheduleBackwards(problem, (task) => [-(endOf.get(task.id) ?? 0)]);
  return [backwards, pushed, forwards]
    .filter(({ startMin }) => startMin >= problem.openMin)
    .reduce((best, schedule) => (sumOver(schedule) < sumOver(best) ? schedule : best));
}

/** Minutes by which waits are longer than allowed, all together. */
function sumOver({ brokenWaits }: Schedule): number {
  return brokenWaits.reduce((sum, { overMin }) => sum + overMin, 0);
}

/** Every task as late as its promise and its followers allow. */
function scheduleBackwards(problem: ScheduleProblem, rank: PlacingRules["rank"]): Schedule {
  // Of equals the one listed last goes first, so that the day reads in the order in which it was listed.
  const position = new Map(problem.tasks.map(({ id }, i) => [id, i]));
  const dueOf = new Map(problem.tasks.map(({ id, dueMin }) => [id, dueMin]));
  const anyDueMin = Math.max(...problem.tasks.flatMap(({ dueMin }) => (dueMin === null ? [] : [dueMin])));
  return layAndMend(
    mirrorProblem(problem),
    (releases) => ({
      // Promised by d, so in the mirror not before −d.
      releaseMin: (task) => Math.max(releases.get(task.id) ?? -Infinity, -(dueOf.get(task.id) ?? anyDueMin)),
      rank: (task, earliestMin) => [...rank(task, earliestMin), -(position.get(task.id) ?? 0)],
      coldUntilMin: null,
      mirrored: true,
    }),
    problem,
  );
}

/** Lays the tasks, shifts what waits too long, and lays them again, keeping the schedule that breaks least. */
function layAndMend(
  laid: ScheduleProblem,
  rulesFor: (releases: ReadonlyMap<string, number>) => PlacingRules,
  mirrorOf: ScheduleProblem | null = null,
): Schedule {
  const releases = new Map<string, number>();
  let best: { schedule: Schedule; over: number } | null = null;
  for (let round = 0; round < MENDING_ROUNDS; round++) {
    const rules = rulesFor(releases);
    const placed = placeTasks(laid, rules);
    const schedule = mirrorOf ? describe(mirrorOf, flip(placed)) : describe(laid, placed);
    const over = sumOver(schedule);
    if (!best || over < best.over) best = { schedule, over };
    if (over === 0) break;
    // In the frame being laid, the task placed first of a pair is the one that can move towards the other.
    for (const { taskId, afterTaskId, overMin } of schedule.brokenWaits) {
      const mover = mirrorOf ? taskId : afterTaskId;
      releases.set(mover, (placed.get(mover)?.startMin ?? 0) + overMin);
    }
  }
  if (!best) throw new RangeError("layAndMend: no round was laid");
  return best.schedule;
}

/** The same problem with time running backwards. */
function mirrorProblem(problem: ScheduleProblem): ScheduleProblem {
  const followers = new Map<string, { taskId: string; minWaitMin: number; maxWaitMin: number | null }[]>();
  for (const task of problem.tasks) {
    for (const { taskId, minWaitMin, maxWaitMin } of task.after) {
      followers.set(taskId, [...(followers.get(taskId) ?? []), { taskId: task.id, minWaitMin, maxWaitMin }]);
    }
  }
  const tasks = problem.tasks.map((task) => ({
    ...task,
    after: followers.get(task.id) ?? [],
    uses: task.uses.map(({ resourceId, fromMin, toMin }) => ({
      resourceId,
      fromMin: task.durationMin - toMin,
      toMin: task.durationMin - fromMin,
    })),
  }));
  return { ...problem, tasks };
}

function flip(placed: ReadonlyMap<string, PlacedTask>): Map<string, PlacedTask> {
  return new Map(
    [...placed].map(([id, { taskId, startMin, endMin }]) => [
      id,
      { taskId, startMin: -endMin, endMin: -startMin },
    ]),
  );
}

/** Minutes that must pass before each task can end: the longest chain of work and waits that leads to it. */
function computeLeadMin(problem: ScheduleProblem): Map<string, number> {
  const byId = new Map(problem.tasks.map((task) => [task.id, task]));
  const leads = new Map<string, number>();
  const lead = (task: ScheduleTask): number => {
    const known = leads.get(task.id);
    if (known !== undefined) return known;
    const before = task.after.map(({ taskId, minWaitMin }) => {
      const other = byId.get(taskId);
      return other ? lead(other) + minWaitMin : 0;
    });
    const minutes = task.durationMin + Math.max(0, ...before);
    leads.set(task.id, minutes);
    return minutes;
  };
  problem.tasks.forEach(lead);
  return leads;
}

/** Reads off what the placing means: first and last minute, heaters, lateness, waits too long. */
function describe(problem: ScheduleProblem, placedById: ReadonlyMap<string, PlacedTask>): Schedule {
  const placed = [...placedById.values()].sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin);
  const heaterStarts = findHeaterStarts(problem, placedById);
  const late = problem.tasks.flatMap(({ id, dueMin }) => {
    const lateMin = dueMin === null ? 0 : (placedById.get(id)?.endMin ?? 0) - dueMin;
    return dueMin !== null && lateMin > 0 ? [{ taskId: id, dueMin, lateMin }] : [];
  });
  const brokenWaits: BrokenWait[] = problem.tasks.flatMap((task) =>
    task.after.flatMap(({ taskId, maxWaitMin }) => {
      const waitMin = (placedById.get(task.id)?.startMin ?? 0) - (placedById.get(taskId)?.endMin ?? 0);
      const overMin = maxWaitMin === null ? 0 : waitMin - maxWaitMin;
      return overMin > 0 ? [{ taskId: task.id, afterTaskId: taskId, overMin }] : [];
    }),
  );
  return {
    placed,
    heaterStarts,
    startMin: Math.min(
      ...placed.map(({ startMin }) => startMin),
      ...heaterStarts.map(({ lightMin }) => lightMin),
    ),
    endMin: Math.max(...placed.map(({ endMin }) => endMin)),
    late,
    brokenWaits,
  };
}

function findHeaterStarts(
  problem: ScheduleProblem,
  placedById: ReadonlyMap<string, PlacedTask>,
): HeaterStart[] {
  return problem.resources.flatMap(({ id, heater }) => {
    if (!heater) return [];
    const uses = problem.tasks
      .filter(
        ({ heat, uses: taskUses }) => heat !== null && taskUses.some(({ resourceId }) => resourceId === id),
      )
      .map(({ id: taskId, heat }) => ({
        firstUseMin: placedById.get(taskId)?.startMin ?? 0,
        heatC: heat?.startC ?? heater.restC,
      }))
      .sort((a, b) => a.firstUseMin - b.firstUseMin);
    const [first] = uses;
    if (!first) return [];
    const lightMin = first.firstUseMin - computeChangeoverMin(heater, heater.restC, first.heatC);
    return [{ resourceId: id, lightMin, ...first }];
  });
}
