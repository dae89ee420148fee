import {
  canShare,
  computeChangeoverMin,
  edgeMin,
  type PlacedTask,
  type Schedule,
  type ScheduleProblem,
  type ScheduleResource,
  type TaskHeat,
} from "./problem";

/** Something that a schedule does and does not say. */
export interface ScheduleFinding {
  readonly code:
    | "notPlaced"
    | "tooEarly"
    | "wrongLength"
    | "unpinned"
    | "tooSoon"
    | "waitUnsaid"
    | "lateUnsaid"
    | "lateMiscounted"
    | "overfull"
    | "twoHeats"
    | "noChangeover"
    | "notHot"
    | "notANumber";
  readonly message: string;
}

type Placements = ReadonlyMap<string, PlacedTask>;

/**
 * Checks everything that a schedule must keep whatever happens, minute by minute and knowing nothing of how it was made: what
 * it breaks it has to say. For tests, the bench and development builds. O(tasks²).
 */
export function checkSchedule(problem: ScheduleProblem, schedule: Schedule): ScheduleFinding[] {
  const at: Placements = new Map(schedule.placed.map((placed) => [placed.taskId, placed]));
  const findings: ScheduleFinding[] = [];
  const say = (code: ScheduleFinding["code"], message: string) => findings.push({ code, message });
  const missing = problem.tasks.filter(({ id }) => !at.has(id));
  for (const { id } of missing) say("notPlaced", `${id} is not placed`);
  if (missing.length > 0) return findings;
  for (const task of problem.tasks) {
    const own = at.get(task.id)!;
    if (![own.startMin, own.endMin].every(Number.isFinite)) {
      say("notANumber", `${task.id} from ${own.startMin} to ${own.endMin}`);
      continue;
    }
    if (task.pinnedMin !== null) {
      if (own.startMin !== task.pinnedMin && schedule.cost.brokenMin === 0)
        say("unpinned", `${task.id} is pinned to ${task.pinnedMin} and starts at ${own.startMin}`);
    } else if (own.startMin < Math.max(problem.openMin, task.releaseMin ?? -Infinity))
      say("tooEarly", `${task.id} at ${own.startMin}`);
    if (own.endMin - own.startMin !== task.modes[own.mode]?.durationMin)
      say("wrongLength", `${task.id} takes ${own.endMin - own.startMin}`);
    if (
      task.dueMin !== null &&
      own.endMin > task.dueMin &&
      !schedule.late.some(({ taskId }) => taskId === task.id)
    )
      say("lateUnsaid", `${task.id} ends at ${own.endMin}, promised by ${task.dueMin}`);
    for (const { taskId, minWaitMin, maxWaitMin, from = "end" } of task.after) {
      const waited = own.startMin - edgeMin({ taskId, edge: from }, at.get(taskId)!);
      const isSaid = schedule.brokenWaits.some(
        (each) => each.taskId === task.id && each.afterTaskId === taskId,
      );
      if (waited < minWaitMin)
        say("tooSoon", `${task.id} ${waited} min after ${taskId}, least ${minWaitMin}`);
      if (maxWaitMin !== null && waited > maxWaitMin && !isSaid)
        say("waitUnsaid", `${task.id} ${waited} min after ${taskId}, most ${maxWaitMin}`);
    }
  }
  const latenessMin = sumLateness(problem, at);
  if (Math.abs(latenessMin - schedule.cost.latenessMin) > SLACK)
    say("lateMiscounted", `late by ${latenessMin} in all, ${schedule.cost.latenessMin} said`);
  return [
    ...findings,
    ...problem.resources.flatMap((resource) => checkResource(problem, schedule, resource, at)),
  ];
}

/** Each promise by the latest of its last tasks. */
function sumLateness({ tasks }: ScheduleProblem, at: Placements): number {
  const worst = new Map<string, number>();
  for (const { id, dueMin, weight, promiseId } of tasks) {
    const promise = promiseId === undefined ? `alone ${id}` : `shared ${promiseId}`;
    const lateMin = dueMin === null ? 0 : Math.max(at.get(id)!.endMin - dueMin, 0) * weight;
    worst.set(promise, Math.max(worst.get(promise) ?? 0, lateMin));
  }
  return [...worst.values()].reduce((sum, each) => sum + each, 0);
}

interface Taken {
  readonly id: string;
  readonly amount: number;
  readonly from: number;
  readonly to: number;
  readonly heat: TaskHeat | null;
}

function listTaken(problem: ScheduleProblem, resourceId: string, at: Placements) {
  const uses = problem.tasks.flatMap((task): Taken[] => {
    const own = at.get(task.id)!;
    const mode = task.modes[own.mode]!;
    return mode.uses
      .filter((use) => use.resourceId === resourceId)
      .map(({ fromMin, toMin, amount }) => ({
        id: task.id,
        heat: mode.heat,
        amount,
        from: own.startMin + fromMin,
        to: own.startMin + toMin,
      }));
  });
  const held = problem.holds
    .filter((hold) => hold.resourceId === resourceId)
    .map(({ amount, from, until }): Taken => ({
      id: `what ${from.taskId} holds`,
      heat: null,
      amount,
      from: edgeMin(from, at.get(from.taskId)!),
      to: edgeMin(until, at.get(until.taskId)!),
    }));
  return { uses, held };
}

/** Amounts are whole units or areas: what rounding adds. */
const SLACK = 1e-6;

function checkResource(
  problem: ScheduleProblem,
  { overfull }: Schedule,
  resource: ScheduleResource,
  at: Placements,
): ScheduleFinding[] {
  const findings: ScheduleFinding[] = [];
  const { uses, held } = listTaken(problem, resource.id, at);
  const all = [...uses, ...held];
  const moments = new Set([...all.map(({ from }) => from), ...resource.away.map(({ fromMin }) => fromMin)]);
  for (const minute of moments) {
    const there = all.filter(({ from, to }) => from <= minute && minute < to);
    if (there.length === 0) continue;
    const away = resource.away
      .filter(({ fromMin, toMin }) => fromMin <= minute && minute < toMin)
      .reduce((sum, { amount }) => sum + amount, 0);
    const taken = there.reduce((sum, { amount }) => sum + amount, away);
    const isSaid = overfull.some(
      ({ resourceId, fromMin, toMin }) => resourceId === resource.id && fromMin <= minute && minute < toMin,
    );
    if (taken > resource.capacity + SLACK && !isSaid)
      findings.push({
        code: "overfull",
        message: `${resource.id}: ${taken} of ${resource.capacity} at ${minute}, by ${there.map(({ id }) => id).join(", ")}`,
      });
  }
  return [...findings, ...checkHeat(problem, resource, uses)];
}

function checkHeat(
  problem: ScheduleProblem,
  { id, heater, gapMin }: ScheduleResource,
  uses: readonly Taken[],
): ScheduleFinding[] {
  const findings: ScheduleFinding[] = [];
  for (const one of uses)
    for (const other of uses) {
      if (one === other || one.from > other.from) continue;
      const areTogether = one.to > other.from;
      if (heater && areTogether && !canShare(heater, one.heat, other.heat) && one.heat && other.heat)
        findings.push({ code: "twoHeats", message: `${id}: ${one.id} and ${other.id} at two heats` });
      const changeMin =
        heater && one.heat && other.heat && !canShare(heater, one.heat, other.heat)
          ? computeChangeoverMin(heater, one.heat.endC, other.heat.startC)
          : 0;
      if (!areTogether && other.from < one.to + Math.max(changeMin, gapMin))
        findings.push({ code: "noChangeover", message: `${id}: ${other.id} too soon after ${one.id}` });
    }
  const [first] = uses.toSorted((a, b) => a.from - b.from);
  if (heater && first?.heat) {
    const lightMin = first.from - computeChangeoverMin(heater, heater.restC, first.heat.startC);
    if (lightMin < problem.openMin)
      findings.push({ code: "notHot", message: `${id} is not hot for ${first.id}` });
  }
  return findings;
}
