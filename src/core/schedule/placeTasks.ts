import {
  addToLaneInPlace,
  findNextStart,
  openLane,
  takeFromLaneInPlace,
  type Block,
  type Lane,
} from "./lane";
import {
  edgeMin,
  type PlacedTask,
  type ScheduleHold,
  type ScheduleProblem,
  type ScheduleTask,
  type TaskMode,
} from "./problem";

export interface PlacingRules {
  /** Earliest start of each task, over and above its waits. */
  readonly releaseMin: (task: ScheduleTask) => number;
  /** Of the tasks that could come next, the one with the lowest figures goes first. */
  readonly rank: (task: ScheduleTask, earliestMin: number) => readonly number[];
  /** The way a task is to be done; null to take whichever ends first. */
  readonly modeOf: (task: ScheduleTask) => number | null;
  /** When heaters begin cold, or null if that is seen to afterwards. */
  readonly coldUntilMin: number | null;
  /** Time runs backwards: a change of temperature is made in the other direction. */
  readonly mirrored: boolean;
}

/**
 * Places every task as early as its waits, its release and its resources allow, one after the other (serial
 * schedule generation). Longest waits are not enforced here. What a hold takes is taken for good until its end is
 * placed; a task that finds nothing left waits for others to end theirs. Where all that are ready do, the first is placed
 * all the same: describeSchedule says what is overfull by it. O(tasks · ready tasks + tasks · blocks).
 * @throws {RangeError} If tasks wait for each other in a circle, name something unknown, or ask for more of a resource
 * than there is.
 */
export function placeTasks(problem: ScheduleProblem, rules: PlacingRules): Map<string, PlacedTask> {
  const lanes = new Map(
    problem.resources.map((resource) => [
      resource.id,
      openLane(resource, rules.coldUntilMin, rules.mirrored),
    ]),
  );
  const placed = new Map<string, PlacedTask>();
  const holds = holdsOf(problem);
  const open = new Map<ScheduleHold, Block>();
  const followers = followersOf(problem);
  const waitingFor = new Map(problem.tasks.map(({ id, after }) => [id, after.length]));
  // What all its waits are placed for is ready; from then on its earliest start and its rank stand fast.
  const ready: ReadyTask[] = [];
  const admit = (task: ScheduleTask, position: number) => {
    const earliestMin = findEarliest(task, placed, rules.releaseMin(task));
    ready.push({ task, position, earliestMin, ranks: rules.rank(task, earliestMin) });
  };
  problem.tasks.forEach((task, position) => {
    if (task.after.length === 0) admit(task, position);
  });
  while (placed.size < problem.tasks.length) {
    if (ready.length === 0) {
      const stuck = problem.tasks.filter(({ id }) => !placed.has(id)).map(({ id }) => id);
      throw new RangeError(`placeTasks: tasks wait for each other: ${stuck.join(", ")}`);
    }
    const { task, choice } =
      takeNext(ready, ({ task, earliestMin }) =>
        chooseMode(task, earliestMin, lanes, rules, holds.opening.get(task.id) ?? NONE),
      ) ?? takeBlocked(ready, ({ task, earliestMin }) => chooseMode(task, earliestMin, lanes, rules, NONE));
    const { startMin, mode, index } = choice;
    for (const use of mode.uses)
      addToLaneInPlace(laneOf(lanes, task, use.resourceId), toBlock(use, mode, startMin));
    const own: PlacedTask = { taskId: task.id, startMin, endMin: startMin + mode.durationMin, mode: index };
    placed.set(task.id, own);
    for (const hold of holds.closing.get(task.id) ?? NONE) {
      const lane = laneOf(lanes, task, hold.resourceId);
      const begun = open.get(hold);
      if (!begun) throw new RangeError(`placeTasks: ${task.id} ends a hold that has not begun`);
      takeFromLaneInPlace(lane, begun);
      addToLaneInPlace(lane, { ...begun, endMin: edgeMin(hold.until, own) });
    }
    for (const hold of holds.opening.get(task.id) ?? NONE) {
      const block = toHoldBlock(hold, mode, startMin);
      open.set(hold, block);
      addToLaneInPlace(laneOf(lanes, task, hold.resourceId), block);
    }
    for (const { follower, position } of followers.get(task.id) ?? []) {
      const missing = (waitingFor.get(follower.id) ?? 0) - 1;
      waitingFor.set(follower.id, missing);
      if (missing === 0) admit(follower, position);
    }
  }
  return placed;
}

/** A task that could come next. */
interface ReadyTask {
  readonly task: ScheduleTask;
  /** In the problem's list: of equal ranks the one listed first goes first. */
  readonly position: number;
  readonly earliestMin: number;
  readonly ranks: readonly number[];
}

/** A search lays one problem thousands of times: who waits for whom is read once. */
const known = new WeakMap<ScheduleProblem, ReturnType<typeof listFollowers>>();
function followersOf(problem: ScheduleProblem): ReturnType<typeof listFollowers> {
  const found = known.get(problem) ?? listFollowers(problem.tasks);
  known.set(problem, found);
  return found;
}

/** By task id: the tasks that wait for it, once for each wait. */
export function listFollowers(tasks: readonly ScheduleTask[]) {
  const followers = new Map<string, { readonly follower: ScheduleTask; readonly position: number }[]>();
  tasks.forEach((follower, position) => {
    for (const { taskId } of follower.after) {
      const list = followers.get(taskId);
      if (list) list.push({ follower, position });
      else followers.set(taskId, [{ follower, position }]);
    }
  });
  return followers;
}

/** Where a task would go, and how it would be done. */
interface ModeChoice {
  readonly startMin: number;
  readonly mode: TaskMode;
  readonly index: number;
}
type Chosen = { readonly task: ScheduleTask; readonly choice: ModeChoice };

/** Takes the ready task with the lowest rank that has a place out of the list; null if none has. */
function takeNext(ready: ReadyTask[], choose: (each: ReadyTask) => ModeChoice | null): Chosen | null {
  // Mostly the first has a place: nothing is set up for those that are passed over until one is.
  let passed: Set<ReadyTask> | null = null;
  for (let left = ready.length; left > 0; left--) {
    const at = findFirst(ready, passed);
    const next = ready[at];
    if (!next) break;
    const choice = choose(next);
    if (choice) {
      ready.splice(at, 1);
      return { task: next.task, choice };
    }
    passed ??= new Set();
    passed.add(next);
  }
  return null;
}

/** Takes the first out whatever is held. */
function takeBlocked(ready: ReadyTask[], choose: (each: ReadyTask) => ModeChoice | null): Chosen {
  const taken = takeNext(ready, choose);
  if (!taken) throw new RangeError("placeTasks: no ready task has a place, holds or not");
  return taken;
}

/** Index of the lowest rank among those not passed over; −1 if all are. */
function findFirst(ready: readonly ReadyTask[], passed: ReadonlySet<ReadyTask> | null): number {
  let best = -1;
  for (let i = 0; i < ready.length; i++) {
    const each = ready[i];
    if (!each || passed?.has(each)) continue;
    const first = ready[best];
    if (!first || comesFirst(each, first)) best = i;
  }
  return best;
}

/** Holds by the task that is placed first of their two, and by the one that ends them. */
interface HoldsByTask {
  readonly opening: ReadonlyMap<string, readonly ScheduleHold[]>;
  readonly closing: ReadonlyMap<string, readonly ScheduleHold[]>;
}

const knownHolds = new WeakMap<ScheduleProblem, HoldsByTask>();
function holdsOf(problem: ScheduleProblem): HoldsByTask {
  const found = knownHolds.get(problem);
  if (found) return found;
  const by = (edge: "from" | "until") => {
    const groups = new Map<string, ScheduleHold[]>();
    for (const hold of problem.holds)
      groups.set(hold[edge].taskId, [...(groups.get(hold[edge].taskId) ?? []), hold]);
    return groups;
  };
  const made = { opening: by("from"), closing: by("until") };
  knownHolds.set(problem, made);
  return made;
}

const NONE: readonly ScheduleHold[] = [];

/** A hold as it begins: nobody knows yet when it ends. */
const toHoldBlock = ({ from, amount }: ScheduleHold, { durationMin }: TaskMode, startMin: number): Block => ({
  startMin: from.edge === "start" ? startMin : startMin + durationMin,
  endMin: Infinity,
  amount,
  heat: null,
});

/** Earliest start by waits and release; all it waits for is placed. */
function findEarliest(
  task: ScheduleTask,
  placed: ReadonlyMap<string, PlacedTask>,
  releaseMin: number,
): number {
  return task.after.reduce(
    (earliestMin, { taskId, minWaitMin }) =>
      Math.max(earliestMin, (placed.get(taskId)?.endMin ?? -Infinity) + minWaitMin),
    releaseMin,
  );
}

function comesFirst(left: ReadyTask, right: ReadyTask): boolean {
  const count = Math.min(left.ranks.length, right.ranks.length);
  for (let i = 0; i < count; i++) {
    const [a, b] = [left.ranks[i] ?? 0, right.ranks[i] ?? 0];
    if (a !== b) return a < b;
  }
  return left.position < right.position;
}

/** The mode asked for, or the one that ends first; of equals the one listed first. Null if what it holds is held. */
function chooseMode(
  task: ScheduleTask,
  earliestMin: number,
  lanes: ReadonlyMap<string, Lane>,
  { modeOf, mirrored }: PlacingRules,
  holds: readonly ScheduleHold[],
): ModeChoice | null {
  const wanted = modeOf(task);
  if (wanted !== null && !task.modes[wanted])
    throw new RangeError(`placeTasks: ${task.id} has no mode ${wanted}`);
  let best: ModeChoice | null = null;
  task.modes.forEach((mode, index) => {
    if (wanted !== null && index !== wanted) return;
    const startMin = findFreeStart(task, mode, earliestMin, lanes, mirrored, holds);
    if (startMin === null) return;
    if (!best || startMin + mode.durationMin < best.startMin + best.mode.durationMin)
      best = { startMin, mode, index };
  });
  return best;
}

/** The first start from `earliestMin` on at which all that the task uses and begins to hold is free; null if never. */
function findFreeStart(
  task: ScheduleTask,
  mode: TaskMode,
  earliestMin: number,
  lanes: ReadonlyMap<string, Lane>,
  mirrored: boolean,
  holds: readonly ScheduleHold[],
): number | null {
  let startMin = earliestMin;
  for (let moved = true; moved;) {
    moved = false;
    for (const use of mode.uses) {
      const nextMin = findNextStart(
        laneOf(lanes, task, use.resourceId),
        toBlock(use, mode, startMin),
        mirrored,
      );
      if (nextMin === null) continue;
      if (!Number.isFinite(nextMin))
        throw new RangeError(
          `placeTasks: ${task.id} asks for ${use.amount} of ${use.resourceId}, more than there is`,
        );
      startMin = nextMin - use.fromMin;
      moved = true;
    }
    for (const hold of holds) {
      const wanted = toHoldBlock(hold, mode, startMin);
      const nextMin = findNextStart(laneOf(lanes, task, hold.resourceId), wanted, mirrored);
      if (nextMin === null) continue;
      if (!Number.isFinite(nextMin)) return null;
      startMin += nextMin - wanted.startMin;
      moved = true;
    }
  }
  return startMin;
}

const toBlock = (
  { fromMin, toMin, amount }: TaskMode["uses"][number],
  { heat }: TaskMode,
  startMin: number,
): Block => ({ startMin: startMin + fromMin, endMin: startMin + toMin, amount, heat });

function laneOf(lanes: ReadonlyMap<string, Lane>, { id }: ScheduleTask, resourceId: string): Lane {
  const lane = lanes.get(resourceId);
  if (!lane) throw new RangeError(`placeTasks: ${id} uses unknown ${resourceId}`);
  return lane;
}
