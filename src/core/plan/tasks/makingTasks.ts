import {
  factsOfMaking,
  nameMakingStep,
  readMaking,
  type Filling,
  type MakingJob,
  type MakingStep,
} from "../../formula";
import type { TaskWait } from "../../schedule";
import { handTask, wait, type DraftTask, type StepTimes, type TaskFacts } from "./draftTask";

/** What is hot is poured or spooned within this time, or it is not hot any more, min. */
export const HOT_HOLD_MIN = 4;

/** What is done to make a filling: its parts, then itself. The job that puts it together has the plain id. */
export function listMakingTasks(filling: Filling): DraftTask[] {
  const { jobs } = readMaking(filling.making);
  const ids = jobs.map((job) => toJobId(filling, job));
  return jobs.map((job, i) => {
    const kind = job.isApart ? "precook" : "make";
    const after = job.after.map(({ job: before, waitMin }) => wait(ids[before] ?? "", waitMin));
    const task = handTask(kind, ids[i] ?? "", job.handsMin, after, {
      formulaId: filling.id,
      label: labelJob(filling, job.steps),
      stepIds: job.steps.map(({ id }) => id),
    });
    return { ...task, stepTimes: [timeSteps(job.steps)] };
  });
}

/** The wait for a filling until it can be used, and as long as it is kept hot. */
export function waitForFilling(filling: Filling): TaskWait {
  const { jobs, readyMin, hotMin } = readMaking(filling.making);
  const last = jobs.at(-1);
  if (!last) throw new RangeError(`waitForFilling: ${filling.id} is made by nothing`);
  return wait(toJobId(filling, last), readyMin, hotMin === null ? null : readyMin + hotMin);
}

/**
 * What is done to a filling again for each lot: warmed, stirred smooth.
 * @param id - Of the task.
 * @param facts - Whose lot it is.
 * @returns The task and the wait from it; null where the filling is taken as it stands.
 */
export function prepareForUse(
  filling: Filling,
  id: string,
  after: readonly TaskWait[],
  facts: Omit<TaskFacts, "label"> & { readonly of: string },
): { readonly task: DraftTask; readonly wait: TaskWait } | null {
  const { use, useReadyMin, useHotMin } = readMaking(filling.making);
  if (use.length === 0) return null;
  const { of, ...rest } = facts;
  const handsMin = use.reduce((sum, step) => sum + step.handsMin, 0);
  const task = handTask("warm", id, handsMin, after, {
    ...rest,
    formulaId: filling.id,
    label: `${nameSteps(use)} ${filling.name.toLowerCase()}, for ${of}`,
    stepIds: use.map((step) => step.id),
  });
  // What was only stirred may wait; what was heated is hot for so long.
  const isHot = use.some(({ kind }) => factsOfMaking(kind).isHot);
  const holdMin = useHotMin ?? (isHot ? HOT_HOLD_MIN : null);
  return { task, wait: wait(id, useReadyMin, holdMin === null ? null : useReadyMin + holdMin) };
}

function toJobId({ id }: Filling, { isApart, steps }: MakingJob): string {
  const first = steps[0]?.id ?? "";
  if (isApart) return `precook:${id}:${first}`;
  return steps.some(({ kind }) => kind === "make") ? `make:${id}` : `make:${id}:${first}`;
}

function labelJob({ name }: Filling, steps: readonly MakingStep[]): string {
  const [first] = steps;
  if (first?.kind === "cookPart") return nameMakingStep(first);
  if (steps.some(({ kind }) => kind === "make")) return `Make ${name}`;
  return `${nameSteps(steps)} ${name.toLowerCase()}`;
}

/** `Warm, stir smooth`. */
function nameSteps(steps: readonly MakingStep[]): string {
  const words = steps
    .filter(({ kind }) => factsOfMaking(kind).hasHands)
    .map(nameMakingStep)
    .join(", ")
    .toLowerCase();
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}

/** All but the first begin when what was before them has passed, hands and what went by itself. */
function timeSteps(steps: readonly MakingStep[]): StepTimes {
  const times: Record<string, number> = {};
  let afterMin = 0;
  steps.forEach(({ id, handsMin, minutes, kind }, i) => {
    if (i > 0 && kind !== "keepHot") times[id] = Math.round(afterMin);
    afterMin += handsMin + minutes;
  });
  return times;
}
