import { UNTOUCHED, type RunState } from "./foldRun";
import type { Retimed } from "./retimeRun";
import type { JobSheet, RunSheet } from "./runSheet";
import type { RunView } from "./viewRun";

/** Something that will want hands or eyes, and when. */
export interface Bell {
  /** The same as long as it is the same bell: who has seen it need not be told again. */
  readonly id: string;
  readonly taskId: string;
  /** A step within a job, a job to be looked at or taken out, or one that may begin now. */
  readonly kind: "step" | "look" | "ready";
  readonly dueMin: number;
  readonly text: string;
  readonly lookFor: string;
  /** What "not yet" gives, while the sign allows it; null where there is nothing more to give. */
  readonly more: { readonly minutes: number; readonly left: number } | null;
  /** The step that ticking it off does. */
  readonly part: string | null;
}

/** Minutes within which a step's own minute and the hands that the plan gives it are the same moment. */
const SAME_MOMENT_MIN = 1;

/**
 * Every bell of the day as it stands, the soonest first: also those that are due already and not answered.
 * @param view - Of everyone's jobs.
 */
export function listBells(sheet: RunSheet, { laid }: Retimed, state: RunState, view: RunView): Bell[] {
  const jobOf = new Map(sheet.jobs.map((job) => [job.taskId, job]));
  // By the frozen way of doing it: what was given beyond it is added.
  const modeOf = new Map(laid.map(({ taskId, mode }) => [taskId, mode]));
  const hands = new Set(sheet.problem.resources.flatMap(({ id, isHands }) => (isHands ? [id] : [])));
  const running = sheet.problem.tasks.flatMap(({ id, modes }): Bell[] => {
    const job = jobOf.get(id);
    const run = state.tasks[id] ?? UNTOUCHED;
    if (!job || run.begunMin === null || run.doneMin !== null) return [];
    const startMin = Math.floor(run.begunMin);
    const steps = job.steps.flatMap((step): Bell[] =>
      step.afterMin === null || step.afterMin === 0 || run.parts.includes(step.id)
        ? []
        : [
            {
              id: `${id} ${step.id}`,
              taskId: id,
              kind: "step",
              dueMin: startMin + step.afterMin,
              text: `${step.text}: ${job.title}`,
              lookFor: step.lookFor,
              more: null,
              part: step.id,
            },
          ],
    );
    const uses = (modes[modeOf.get(id) ?? 0]?.uses ?? []).filter(({ resourceId }) => hands.has(resourceId));
    const lookAfterMin = findReturn(
      uses,
      job.steps.flatMap(({ afterMin }) => afterMin ?? []),
    );
    return lookAfterMin === null
      ? steps
      : [...steps, toLook(job, startMin + lookAfterMin + run.moreMin, run.moreMin)];
  });
  const ready = view.standing.flatMap(({ taskId, afterTaskId, readyMin }): Bell[] => {
    const job = jobOf.get(taskId);
    const stood = job?.stands.at(-1);
    return job && stood
      ? [
          {
            id: `${taskId} after ${afterTaskId}`,
            taskId,
            kind: "ready",
            dueMin: readyMin,
            text: `${stood.name} is over: ${job.title}`,
            lookFor: stood.lookFor,
            more: null,
            part: null,
          },
        ]
      : [];
  });
  return [...running, ...ready].sort((a, b) => a.dueMin - b.dueMin);
}

/** Minutes after its start at which hands come back to a job that was left to itself, a step's own minute apart. */
function findReturn(
  uses: readonly { readonly fromMin: number; readonly toMin: number }[],
  stepsMin: readonly number[],
): number | null {
  const sorted = [...uses].sort((a, b) => a.fromMin - b.fromMin);
  let freeMin = sorted[0]?.toMin ?? 0;
  for (const { fromMin, toMin } of sorted) {
    const isStep = stepsMin.some((stepMin) => stepMin > 0 && Math.abs(stepMin - fromMin) <= SAME_MOMENT_MIN);
    if (fromMin > freeMin && !isStep) return fromMin;
    freeMin = Math.max(freeMin, toMin);
  }
  return null;
}

function toLook({ taskId, title, looks }: JobSheet, dueMin: number, moreMin: number): Bell {
  const { minutes, atMost } = looks.more;
  const given = Math.ceil(moreMin / minutes);
  return {
    id: `${taskId} look ${given}`,
    taskId,
    kind: "look",
    dueMin,
    text: `Look: ${title}`,
    lookFor: looks.lookFor.join(", "),
    more: given < atMost ? { minutes, left: atMost - given } : null,
    part: null,
  };
}
