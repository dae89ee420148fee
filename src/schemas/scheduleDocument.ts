import Joi from "joi";
import { scheduleLimits } from "./limits";
import { quantity } from "./quantity";
import { fail, type Result } from "@/core/result";
import type { ScheduleProblem } from "@/core/schedule";
import { validate, type Fault } from "./validate";

export interface ScheduleDocument extends ScheduleProblem {
  /** How long to search, ms. */
  readonly budgetMs: number;
  readonly seed: number;
}

/** Sizes far above a small bakery's day. */
const MAX_TASKS = 600;
const MAX_RESOURCES = 40;
const MAX_MODES = 6;
const MAX_PARTS = 12;
/** A week either way, min. */
const FARTHEST_MIN = 7 * 24 * 60;
const MAX_BUDGET_MS = 10_000;
const DEFAULT_BUDGET_MS = 1000;

const id = Joi.string().min(1).max(120).required();
const minute = Joi.number().integer().min(-FARTHEST_MIN).max(FARTHEST_MIN);
const duration = Joi.number().integer().min(0).max(FARTHEST_MIN);
const amount = Joi.number().greater(scheduleLimits.amount.min).max(scheduleLimits.amount.max).default(1);
const celsius = quantity(scheduleLimits.heatC);

const modeSchema = Joi.object({
  durationMin: duration.min(1).required(),
  uses: Joi.array()
    .items(
      Joi.object({
        resourceId: id,
        fromMin: duration.required(),
        toMin: duration
          .greater(Joi.ref("fromMin"))
          .required()
          .messages({ "number.greater": "A use must end after it begins." }),
        amount,
      }),
    )
    .max(MAX_PARTS)
    .required(),
  heat: Joi.object({ startC: celsius, endC: celsius }).allow(null).default(null),
});

const taskSchema = Joi.object({
  id,
  modes: Joi.array().items(modeSchema).min(1).max(MAX_MODES).required(),
  after: Joi.array()
    .items(
      Joi.object({
        taskId: id,
        from: Joi.valid("start", "end").default("end"),
        minWaitMin: duration.default(0),
        maxWaitMin: duration.allow(null).default(null),
      }),
    )
    .max(MAX_PARTS * 4)
    .default([]),
  releaseMin: minute.allow(null).default(null),
  dueMin: minute.allow(null).default(null),
  promiseId: Joi.string().min(1).max(120),
  weight: Joi.number().greater(scheduleLimits.weight.min).max(scheduleLimits.weight.max).default(1),
  pinnedMin: minute.allow(null).default(null),
});

const resourceSchema = Joi.object({
  id,
  capacity: Joi.number().greater(scheduleLimits.amount.min).max(scheduleLimits.amount.max).default(1),
  gapMin: duration.default(0),
  heater: Joi.object({
    restC: celsius,
    heatUpCPerMin: Joi.number()
      .greater(scheduleLimits.rateCPerMin.min)
      .max(scheduleLimits.rateCPerMin.max)
      .required(),
    coolDownCPerMin: Joi.number()
      .greater(scheduleLimits.rateCPerMin.min)
      .max(scheduleLimits.rateCPerMin.max)
      .required(),
    toleranceC: quantity(scheduleLimits.toleranceC).optional().default(0),
  })
    .allow(null)
    .default(null),
  isHands: Joi.boolean().default(false),
  away: Joi.array()
    .items(Joi.object({ fromMin: minute.required(), toMin: minute.required(), amount }))
    .max(MAX_PARTS)
    .default([]),
});

const edgeSchema = Joi.object({ taskId: id, edge: Joi.valid("start", "end").required() }).required();
const holdSchema = Joi.object({ resourceId: id, amount, from: edgeSchema, until: edgeSchema });

export const scheduleSchema = Joi.object({
  tasks: Joi.array().items(taskSchema).min(1).max(MAX_TASKS).unique("id").required(),
  resources: Joi.array().items(resourceSchema).min(1).max(MAX_RESOURCES).unique("id").required(),
  holds: Joi.array()
    .items(holdSchema)
    .max(MAX_TASKS * 4)
    .default([]),
  openMin: minute.required(),
  budgetMs: Joi.number().integer().min(0).max(MAX_BUDGET_MS).default(DEFAULT_BUDGET_MS),
  seed: Joi.number()
    .integer()
    .min(0)
    .max(2 ** 32 - 1)
    .default(1),
}).required();

/** The general problem of a day: what it names must be in it, nothing may wait for itself or ask for more than there is. */
export function validateSchedule(value: unknown): Result<ScheduleDocument, Fault[]> {
  const document = validate<ScheduleDocument>(scheduleSchema, value);
  if (!document.ok) return document;
  const faults = [
    ...findStrays(document.value),
    ...findCircle(document.value),
    ...findStrayHolds(document.value),
  ];
  return faults.length > 0 ? fail(faults) : document;
}

function findStrays({ tasks, resources }: ScheduleDocument): Fault[] {
  const taskIds = new Set(tasks.map((task) => task.id));
  const capacityOf = new Map(resources.map((resource) => [resource.id, resource.capacity]));
  return tasks.flatMap((task, i) => [
    ...task.after.flatMap(({ taskId }, j) =>
      taskIds.has(taskId)
        ? []
        : [{ path: `tasks.${i}.after.${j}.taskId`, message: `There is no task “${taskId}” to wait for.` }],
    ),
    ...task.modes.flatMap(({ uses, durationMin }, j) =>
      uses.flatMap((use, k): Fault[] => {
        const path = `tasks.${i}.modes.${j}.uses.${k}`;
        const capacity = capacityOf.get(use.resourceId);
        if (capacity === undefined) return [{ path, message: `There is no resource “${use.resourceId}”.` }];
        if (use.toMin > durationMin)
          return [
            {
              path,
              message: `It holds ${use.resourceId} ${use.toMin - durationMin} min beyond its own end.`,
            },
          ];
        return use.amount > capacity
          ? [
              {
                path,
                message: `It asks for ${use.amount} of ${use.resourceId}, ${use.amount - capacity} more than there is.`,
              },
            ]
          : [];
      }),
    ),
  ]);
}

/** A hold is of something that is not heated, of no more than there is, and ends with a task that follows its first. */
function findStrayHolds({ tasks, resources, holds }: ScheduleDocument): Fault[] {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const follows = (laterId: string, earlierId: string, seen: Set<string>): boolean => {
    if (laterId === earlierId) return true;
    if (seen.has(laterId)) return false;
    seen.add(laterId);
    return (byId.get(laterId)?.after ?? []).some(({ taskId }) => follows(taskId, earlierId, seen));
  };
  return holds.flatMap(({ resourceId, amount: held, from, until }, i): Fault[] => {
    const path = `holds.${i}`;
    const resource = resources.find((each) => each.id === resourceId);
    const strayId = [from.taskId, until.taskId].find((taskId) => !byId.has(taskId));
    if (!resource) return [{ path, message: `There is no resource “${resourceId}”.` }];
    if (resource.heater)
      return [{ path, message: `“${resourceId}” is heated: tasks use it, they do not hold it.` }];
    if (held > resource.capacity)
      return [
        {
          path,
          message: `It holds ${held} of ${resourceId}, ${held - resource.capacity} more than there is.`,
        },
      ];
    if (strayId !== undefined) return [{ path, message: `There is no task “${strayId}” to hold for.` }];
    const isBackward = from.taskId === until.taskId && from.edge === "end";
    return isBackward || !follows(until.taskId, from.taskId, new Set())
      ? [
          {
            path,
            message: `“${until.taskId}” does not wait for “${from.taskId}”: say which comes first in “after”.`,
          },
        ]
      : [];
  });
}

/** Tasks that wait for each other in a circle would never begin. */
function findCircle({ tasks }: ScheduleDocument): Fault[] {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const done = new Set<string>();
  const open = new Set<string>();
  const visit = (taskId: string): string | null => {
    if (done.has(taskId)) return null;
    if (open.has(taskId)) return taskId;
    open.add(taskId);
    for (const { taskId: before } of byId.get(taskId)?.after ?? []) {
      const found = visit(before);
      if (found) return found;
    }
    open.delete(taskId);
    done.add(taskId);
    return null;
  };
  for (const { id: taskId } of tasks) {
    const found = visit(taskId);
    if (found)
      return [{ path: "tasks", message: `“${found}” waits for itself, by way of others. Break the circle.` }];
  }
  return [];
}
