import { improveSchedule, type Schedule, type ScheduleProblem } from "../schedule";
import { createRandom } from "../seededRandom";
import { formatClock, formatDuration } from "../units";
import { withHelp } from "./adjustRun";
import type { Happened, RunEvent } from "./event";
import { UNTOUCHED, type RunState } from "./foldRun";
import type { Retimed } from "./retimeRun";
import type { RunSheet } from "./runSheet";

/** Something that would help a day on which promises break, solved whole. */
export interface RunMend {
  readonly kind: "order" | "hands" | "later";
  readonly text: string;
  /** The latest promise after it, min late; 0 where all are kept. */
  readonly lateMin: number;
  /** What takes it: told as one, the day goes so from now on. */
  readonly events: readonly MendEvent[];
}

type MendKind = "ordered" | "helped" | "told";
/** An event without who, when and where from. */
export type MendEvent = { [K in MendKind]: Omit<Extract<RunEvent, { kind: K }>, keyof Happened> }[MendKind];

/** Tries of a search: half a second for a market's day, and the same day is searched the same way. */
const TRIES = 120;
const SEED = 1;
/** How long a pair of hands more is asked for, min. */
const HELP_MIN = 60;

/**
 * Up to three mends of a day on which a promise breaks, the one that helps most first: the rest in another order, another
 * pair of hands for an hour, and the promise told later. Nothing that helps nothing is named.
 */
export function listRunMends(
  sheet: RunSheet,
  { problem, schedule }: Pick<Retimed, "problem" | "schedule">,
  state: RunState,
  nowMin: number,
): RunMend[] {
  const before = findWorst(schedule);
  if (!before) return [];
  const nameOf = (taskId: string) => sheet.jobs.find((job) => job.taskId === taskId)?.title ?? taskId;
  const after = (lateMin: number) =>
    lateMin === 0
      ? "all promises are kept"
      : `${formatDuration(lateMin)} late instead of ${formatDuration(before.lateMin)}`;
  const search = (changed: ScheduleProblem) =>
    improveSchedule(changed, { random: createRandom(SEED), isOver: (tries) => tries >= TRIES }, schedule)
      .schedule;

  const hasBegun = (taskId: string) => (state.tasks[taskId] ?? UNTOUCHED).begunMin !== null;
  const toOrder = ({ placed }: Schedule): MendEvent => ({
    kind: "ordered",
    placed: placed.flatMap(({ taskId, startMin, mode }) =>
      hasBegun(taskId) ? [] : [{ taskId, startMin, mode }],
    ),
  });
  const ordered = search(problem);
  const orderedMin = findWorst(ordered)?.lateMin ?? 0;
  const first = ordered.placed
    .filter(({ taskId }) => !hasBegun(taskId))
    .sort((a, b) => a.startMin - b.startMin)[0];
  const helped = search(hireHelp(problem, nowMin));
  const helpedMin = findWorst(helped)?.lateMin ?? 0;
  const last = schedule.placed.find(({ taskId }) => taskId === before.taskId);
  return [
    ...(orderedMin < before.lateMin && first
      ? [
          {
            kind: "order" as const,
            text: `In another order, next ${nameOf(first.taskId)}: ${after(orderedMin)}.`,
            lateMin: orderedMin,
            events: [toOrder(ordered)],
          },
        ]
      : []),
    ...(helpedMin < Math.min(before.lateMin, orderedMin)
      ? [
          {
            kind: "hands" as const,
            text: `Another pair of hands for an hour from now: ${after(helpedMin)}.`,
            lateMin: helpedMin,
            events: [{ kind: "helped" as const, minutes: HELP_MIN }, toOrder(helped)],
          },
        ]
      : []),
    ...(last
      ? [
          {
            kind: "later" as const,
            text: `Tell it for ${formatClock(last.endMin)}: ${nameOf(before.taskId)}.`,
            lateMin: before.lateMin,
            events: [{ kind: "told" as const, taskId: before.taskId, dueMin: last.endMin }],
          },
        ]
      : []),
  ].sort((a, b) => a.lateMin - b.lateMin);
}

const findWorst = ({ late }: Schedule) => [...late].sort((a, b) => b.lateMin - a.lateMin)[0] ?? null;

/** One more pair of hands from now on for a while. */
const hireHelp = (problem: ScheduleProblem, nowMin: number): ScheduleProblem => ({
  ...problem,
  resources: problem.resources.map((resource) =>
    withHelp(resource, problem.openMin, [{ fromMin: nowMin, toMin: nowMin + HELP_MIN }]),
  ),
});
