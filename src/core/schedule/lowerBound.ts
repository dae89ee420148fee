import { computeChangeoverMin, listPromises, type ScheduleProblem, type ScheduleTask } from "./problem";

/** What no schedule can be better than. */
export interface ScheduleBound {
  readonly latenessMin: number;
  readonly dayMin: number;
}

/**
 * Bounds on lateness and on the working day. Lateness: each promise by itself, after the longest chain of work and
 * waits that leads to it, with its oven lit from cold; and, for one pair of hands, all that must be done by each promise.
 * Day: all hands' minutes over all hands, and the longest chain from hands to hands.
 */
export function boundSchedule(problem: ScheduleProblem): ScheduleBound {
  const heads = computeHeads(problem);
  const lateMin = (place: number) => {
    const { id, dueMin, weight } = problem.tasks[place]!;
    return dueMin === null ? 0 : Math.max((heads.get(id)?.endMin ?? 0) - dueMin, 0) * weight;
  };
  const alone = listPromises(problem.tasks).reduce((sum, tasks) => sum + Math.max(...tasks.map(lateMin)), 0);
  return {
    latenessMin: Math.max(alone, boundByHands(problem)),
    dayMin: Math.max(...boundDays(problem), 0),
  };
}

const longestMin = ({ modes }: ScheduleTask) => Math.max(...modes.map(({ durationMin }) => durationMin));
const shortestMin = ({ modes }: ScheduleTask) => Math.min(...modes.map(({ durationMin }) => durationMin));

/** Earliest start and end of each task, were it alone. */
function computeHeads(problem: ScheduleProblem): Map<string, { startMin: number; endMin: number }> {
  const byId = new Map(problem.tasks.map((task) => [task.id, task]));
  const heads = new Map<string, { startMin: number; endMin: number }>();
  const head = (task: ScheduleTask): { startMin: number; endMin: number } => {
    const known = heads.get(task.id);
    if (known) return known;
    const litMin = Math.min(...task.modes.map((mode) => lightingMin(problem, mode)));
    const startMin = Math.max(
      task.releaseMin ?? problem.openMin,
      problem.openMin + litMin,
      task.pinnedMin ?? -Infinity,
      ...task.after.map(({ taskId, minWaitMin, from }) => {
        const before = byId.get(taskId);
        if (!before) return -Infinity;
        const { startMin: begunMin, endMin: doneMin } = head(before);
        return (from === "start" ? begunMin : doneMin) + minWaitMin;
      }),
    );
    const found = { startMin, endMin: startMin + shortestMin(task) };
    heads.set(task.id, found);
    return found;
  };
  problem.tasks.forEach(head);
  return heads;
}

/** Nothing goes into an oven sooner than it can be hot after opening. */
function lightingMin({ resources }: ScheduleProblem, { uses, heat }: ScheduleTask["modes"][number]): number {
  if (!heat) return 0;
  return Math.max(
    0,
    ...uses.map(({ resourceId, fromMin }) => {
      const heater = resources.find(({ id }) => id === resourceId)?.heater;
      return heater ? computeChangeoverMin(heater, heater.restC, heat.startC) - fromMin : 0;
    }),
  );
}

const handsOf = ({ resources }: ScheduleProblem) =>
  new Map(resources.flatMap(({ id, isHands, capacity }) => (isHands ? [[id, capacity] as const] : [])));

/** Least minutes of hands that a task takes. */
function handsMin(task: ScheduleTask, hands: ReadonlyMap<string, number>): number {
  return Math.min(
    ...task.modes.map(({ uses }) =>
      uses.reduce(
        (sum, { resourceId, fromMin, toMin, amount }) =>
          sum + (hands.has(resourceId) ? (toMin - fromMin) * amount : 0),
        0,
      ),
    ),
  );
}

/** All the work that a promise needs must pass through the hands there are before it: the last of it is at least so late. */
function boundByHands(problem: ScheduleProblem): number {
  const hands = handsOf(problem);
  const capacity = [...hands.values()].reduce((sum, each) => sum + each, 0);
  if (capacity === 0) return 0;
  const byId = new Map(problem.tasks.map((task) => [task.id, task]));
  const due = problem.tasks
    .filter(({ dueMin }) => dueMin !== null)
    .sort((a, b) => (a.dueMin ?? 0) - (b.dueMin ?? 0));
  const needed = new Set<string>();
  const need = (task: ScheduleTask): void => {
    if (needed.has(task.id)) return;
    needed.add(task.id);
    for (const { taskId } of task.after) {
      const before = byId.get(taskId);
      if (before) need(before);
    }
  };
  const leastWeight = Math.min(...due.map(({ weight }) => weight));
  let worst = 0;
  for (const task of due) {
    need(task);
    const workMin = [...needed].reduce((sum, id) => {
      const each = byId.get(id);
      return sum + (each ? handsMin(each, hands) : 0);
    }, 0);
    worst = Math.max(worst, problem.openMin + workMin / capacity - (task.dueMin ?? Infinity));
  }
  return due.length > 0 ? worst * leastWeight : 0;
}

function boundDays(problem: ScheduleProblem): number[] {
  const hands = handsOf(problem);
  const capacity = [...hands.values()].reduce((sum, each) => sum + each, 0);
  if (capacity === 0) return [0];
  const work = problem.tasks.reduce((sum, task) => sum + handsMin(task, hands), 0);
  return [work / capacity, longestChain(problem, hands)];
}

/** From the first hands' minute of some task to the last of one that follows it, along the longest chain. */
function longestChain(problem: ScheduleProblem, hands: ReadonlyMap<string, number>): number {
  const byId = new Map(problem.tasks.map((task) => [task.id, task]));
  const spans = new Map<string, number>();
  /** Minutes from the first hands' minute of a chain to this task's end; −∞ if no hands came before. */
  const spanTo = (task: ScheduleTask): number => {
    const known = spans.get(task.id);
    if (known !== undefined) return known;
    const before = task.after.map(({ taskId, minWaitMin, from }) => {
      const other = byId.get(taskId);
      if (!other) return -Infinity;
      // From its start, its own minutes do not count: in the way that takes longest.
      const backMin = from === "start" ? longestMin(other) : 0;
      return spanTo(other) - backMin + minWaitMin + shortestMin(task);
    });
    const own = Math.min(
      ...task.modes.map(({ uses, durationMin }) =>
        Math.max(
          -Infinity,
          ...uses.map(({ resourceId, fromMin }) =>
            hands.has(resourceId) ? durationMin - fromMin : -Infinity,
          ),
        ),
      ),
    );
    const span = Math.max(own, ...before);
    spans.set(task.id, span);
    return span;
  };
  return Math.max(
    0,
    ...problem.tasks.map((task) => {
      const span = spanTo(task);
      // From this task's end back to its last hands' minute.
      const back = Math.max(
        ...task.modes.map(({ uses, durationMin }) =>
          Math.min(
            Infinity,
            ...uses.map(({ resourceId, toMin }) => (hands.has(resourceId) ? durationMin - toMin : Infinity)),
          ),
        ),
      );
      return Number.isFinite(back) && Number.isFinite(span) ? span - back : 0;
    }),
  );
}
