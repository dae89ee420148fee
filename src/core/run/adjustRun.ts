import type { ScheduleProblem, ScheduleResource, ScheduleTask, TaskMode, TaskWait } from "../schedule";
import { countPieces, type Countable, type Counts } from "./countPieces";
import { UNTOUCHED, type RunState } from "./foldRun";
import type { LotSheet } from "./lots";
import type { RunPlan } from "./runProblem";
import type { JobSheet, PieceSheet } from "./runSheet";

/** No day that runs is laid so far ahead, min. */
const FAR_MIN = 2 * 24 * 60;

/** As much of a sheet as lots, promises and hands need. */
export type Adjustable = RunPlan & Countable;
type Happened = Pick<RunState, "tasks" | "counted" | "order" | "help">;

/**
 * The frozen day as it stands after what happened: lots with as many pieces as there are and minutes of hands to match,
 * promises as they were told last, hands that came to help, and the order that the rest was given. A lot of which nothing
 * is left, and whose job has not begun, has no jobs any more.
 */
export function adjustRun<S extends Adjustable>(
  sheet: S,
  state: Happened,
): { readonly sheet: S; readonly counts: Counts } {
  const counts = countPieces(sheet, state);
  const hasBegun = (taskId: string) => (state.tasks[taskId] ?? UNTOUCHED).begunMin !== null;
  const countOf = (job: JobSheet) => counts.pieces[job.taskId] ?? job.pieces;
  const changed = new Set(
    sheet.jobs.flatMap((job) => (job.lot && countOf(job) !== job.pieces ? [job.taskId] : [])),
  );
  const isTold = Object.values(state.tasks).some(({ toldMin }) => toldMin !== null);
  if (changed.size === 0 && !isTold && state.help.length === 0 && !state.order) return { sheet, counts };
  const dropped = new Set(
    sheet.jobs.flatMap((job) =>
      changed.has(job.taskId) && countOf(job) === 0 && !hasBegun(job.taskId) ? [job.taskId] : [],
    ),
  );
  const nameOf = new Map(sheet.pieces.map(({ id, name }) => [id, name]));
  const jobs = sheet.jobs
    .filter(({ taskId }) => !dropped.has(taskId))
    .map((job) =>
      changed.has(job.taskId) ? withPieces(job, countOf(job), nameOf.get(job.pieceId ?? "") ?? "") : job,
    );
  const dues = changed.size > 0 ? listDues(sheet, counts) : new Map<string, number>();
  const jobOf = new Map(sheet.jobs.map((job) => [job.taskId, job]));
  const ordered = new Map((state.order?.placed ?? []).map((each) => [each.taskId, each]));
  const problem: ScheduleProblem = {
    ...sheet.problem,
    resources: sheet.problem.resources.map((resource) =>
      withHelp(resource, sheet.problem.openMin, state.help),
    ),
    tasks: dropTasks(sheet.problem.tasks, dropped).map((task): ScheduleTask => {
      const job = jobOf.get(task.id);
      const dueMin = task.dueMin === null ? null : (dues.get(task.id) ?? task.dueMin);
      const toldMin = (state.tasks[task.id] ?? UNTOUCHED).toldMin;
      const modes =
        job && changed.has(task.id)
          ? task.modes.map((mode, i) => rescale(mode, job, countOf(job), i))
          : task.modes;
      return { ...task, modes, dueMin: dueMin === null ? null : Math.max(dueMin, toldMin ?? dueMin) };
    }),
    holds: sheet.problem.holds.filter(
      ({ from, until }) => !dropped.has(from.taskId) && !dropped.has(until.taskId),
    ),
  };
  const taskOf = new Map(problem.tasks.map((task) => [task.id, task]));
  const placed = sheet.placed
    .filter(({ taskId }) => !dropped.has(taskId))
    .map((each) => {
      const given = ordered.get(each.taskId);
      const modes = taskOf.get(each.taskId)?.modes.length ?? 0;
      // A machine that the task does not know is none.
      return given && given.mode < modes ? given : each;
    });
  return { sheet: { ...sheet, jobs, problem, placed, orderId: state.order?.id }, counts };
}

/** Without some tasks: what waited for the beginning of one waits for what that one waited for. */
function dropTasks(tasks: readonly ScheduleTask[], dropped: ReadonlySet<string>): readonly ScheduleTask[] {
  if (dropped.size === 0) return tasks;
  const taskOf = new Map(tasks.map((task) => [task.id, task]));
  const stepOver = (wait: TaskWait): TaskWait[] => {
    if (!dropped.has(wait.taskId)) return [wait];
    if (wait.from !== "start") return [];
    const before = taskOf.get(wait.taskId)?.after ?? [];
    return before.flatMap((each) => (each.from === "start" ? stepOver(each) : []));
  };
  return tasks
    .filter(({ id }) => !dropped.has(id))
    .map((task) => ({ ...task, after: task.after.flatMap(stepOver) }));
}

/** Hands take as much less long as there are fewer pieces, and oil as many baskets as they fill. */
function rescale(
  mode: TaskMode,
  { lot, pieces, handsMin, plannedMin }: JobSheet,
  now: number,
  index: number,
): TaskMode {
  if (!lot || pieces === 0) return mode;
  const perBasket = lot.perBasket[index];
  const durationMin =
    perBasket === undefined
      ? lot.eachMin === 0
        ? mode.durationMin
        : Math.max(Math.ceil((handsMin || plannedMin) + lot.eachMin * (now - pieces)), 1)
      : Math.max(
          Math.ceil((mode.durationMin * Math.ceil(now / perBasket)) / Math.ceil(pieces / perBasket)),
          1,
        );
  // Of both kinds hands and machines are taken from the start to the end.
  return {
    ...mode,
    durationMin,
    uses: mode.uses.map((use) => ({
      ...use,
      fromMin: Math.min(use.fromMin, durationMin - 1),
      toMin: use.toMin === mode.durationMin ? durationMin : Math.min(use.toMin, durationMin),
    })),
  };
}

/** A job as it is told with another number of pieces. */
function withPieces(job: JobSheet, now: number, name: string): JobSheet {
  const { pieces, about, figures, title } = job;
  const inWords = (text: string) => text.replace(`${pieces} × ${name}`, `${now} × ${name}`);
  return {
    ...job,
    pieces: now,
    about: inWords(about),
    title: job.kind === "store" ? title.replace(` ${pieces} ${name}`, ` ${now} ${name}`) : title,
    figures: figures.map((figure) =>
      figure.what === "piece" || figure.what === "pieces"
        ? { value: String(now), what: now === 1 ? "piece" : "pieces" }
        : figure,
    ),
  };
}

/** When the first piece of each lot is promised, by the task that ends the lot: with fewer pieces before it that is sooner. */
function listDues(sheet: Adjustable, { pieces }: Counts): ReadonlyMap<string, number> {
  const dueTasks = new Set(sheet.problem.tasks.flatMap(({ id, dueMin }) => (dueMin === null ? [] : [id])));
  return new Map(
    sheet.pieces.flatMap((piece) => {
      const dues = piece.promises.flatMap(({ count, dueMin }) => Array.from({ length: count }, () => dueMin));
      let from = 0;
      return piece.lots.flatMap((lot): [string, number][] => {
        const end = findEnd(sheet, piece, lot, dueTasks);
        const dueMin = dues[Math.min(from, dues.length - 1)];
        if (!end || dueMin === undefined) return [];
        from += pieces[end.taskId] ?? lot.pieces;
        return [[end.taskId, dueMin]];
      });
    }),
  );
}

const findEnd = ({ jobs }: Countable, { id }: PieceSheet, { key }: LotSheet, dueTasks: ReadonlySet<string>) =>
  jobs.find(({ taskId, pieceId, lot }) => pieceId === id && lot?.key === key && dueTasks.has(taskId));

/** One more pair of hands for each time that somebody came to help, and not before or after. */
export function withHelp(
  resource: ScheduleResource,
  openMin: number,
  help: RunState["help"],
): ScheduleResource {
  if (!resource.isHands || help.length === 0) return resource;
  return {
    ...resource,
    capacity: resource.capacity + help.length,
    away: [
      ...resource.away,
      ...help.flatMap(({ fromMin, toMin }) => {
        const [from, to] = [Math.ceil(fromMin), Math.ceil(toMin)];
        return [
          { fromMin: Math.min(openMin, from) - 1, toMin: from, amount: 1 },
          { fromMin: to, toMin: to + FAR_MIN, amount: 1 },
        ];
      }),
    ],
  };
}
