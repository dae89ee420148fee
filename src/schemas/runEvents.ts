import Joi from "joi";
import { fail, ok, type Result } from "@/core/result";
import { measures, mishaps, type Measure, type RunEvent, type RunPlan } from "@/core/run";
import { describeLimitFault } from "./checkValue";
import { larderKinds } from "@/core/plan";
import { larderLimits, MAX_WORD_CHARACTERS, measureLimits, runLimits } from "./limits";
import { quantity, whole } from "./quantity";
import { calendarDate } from "./recordParts";
import { validateSchedule } from "./scheduleDocument";
import { validate, type Fault } from "./validate";

/** Longest id of an event, a device or a task. */
const MAX_ID_CHARACTERS = 300;
/** Most events in one message: a tablet that was without the server for a whole day. */
export const MAX_EVENTS = 2000;

const id = Joi.string().min(1).max(MAX_ID_CHARACTERS).required();
const word = Joi.string().trim().max(MAX_WORD_CHARACTERS).allow("").required();

const placedSchema = Joi.array()
  .items(Joi.object({ taskId: id, startMin: quantity(runLimits.atMin), mode: whole(runLimits.mode) }))
  .unique("taskId")
  .required();
const happened = { id, atMin: quantity(runLimits.atMin), person: Joi.valid(0, 1).required(), deviceId: id };
const eventOf = (parts: Joi.SchemaMap) => Joi.object({ kind: Joi.string(), ...happened, ...parts });
export const eventSchema = Joi.alternatives()
  .conditional(".kind", {
    switch: [
      // Required, as a kind that is missing would pass for the first.
      { is: Joi.valid("begun", "moved").required(), then: eventOf({ taskId: id }) },
      { is: "done", then: eventOf({ taskId: id, part: Joi.string().min(1).max(MAX_ID_CHARACTERS) }) },
      { is: "more", then: eventOf({ taskId: id, minutes: quantity(runLimits.moreMin) }) },
      {
        is: "wrong",
        then: eventOf({
          taskId: id,
          mishap: Joi.valid(...mishaps).required(),
          count: whole(runLimits.count),
          word,
          isLost: Joi.boolean(),
        }),
      },
      {
        is: "measured",
        then: eventOf({
          taskId: id.allow(null),
          measure: Joi.valid(...measures).required(),
          value: Joi.number().required(),
          part: Joi.string().min(1).max(MAX_ID_CHARACTERS),
        }).custom((event: { measure: Measure; value: number }, helpers) => {
          const fault = describeLimitFault(event.value, measureLimits[event.measure]);
          return fault ? helpers.message({ custom: fault }) : event;
        }),
      },
      { is: "poured", then: eventOf({ taskId: id, massG: quantity(runLimits.massG) }) },
      {
        is: "ranOut",
        then: eventOf({ taskId: id, formulaId: id, made: whole(runLimits.count) }),
      },
      { is: "ordered", then: eventOf({ placed: placedSchema.max(MAX_EVENTS) }) },
      { is: "helped", then: eventOf({ minutes: quantity(runLimits.moreMin) }) },
      { is: "told", then: eventOf({ taskId: id, dueMin: quantity(runLimits.atMin) }) },
      { is: "note", then: eventOf({ taskId: id.allow(null), word }) },
      { is: "sold", then: eventOf({ pieceId: id, count: whole(runLimits.count) }) },
      {
        is: "left",
        then: eventOf({
          larderKind: Joi.valid(...larderKinds).required(),
          refId: id,
          massG: quantity(larderLimits.massG),
          count: whole(larderLimits.count),
          useBy: calendarDate,
        }),
      },
      { is: "thrown", then: eventOf({ itemId: id }) },
      { is: "closed", then: eventOf({}) },
      { is: "leftOut", then: eventOf({ taskId: id.allow(null), word }) },
      { is: "undone", then: eventOf({ eventId: id }) },
    ],
    otherwise: Joi.forbidden().messages({
      "any.unknown":
        "An event is begun, done, more, wrong, measured, poured, ranOut, moved, ordered, helped, told, note, sold, left, thrown, closed, leftOut or undone.",
    }),
  })
  .required();

/** One thing that happened. */
export const validateRunEvent = (value: unknown): Result<RunEvent, Fault[]> => validate(eventSchema, value);

/** A running day by itself, as the API takes it. */
export interface RunDocument {
  readonly plan: RunPlan;
  readonly events: readonly RunEvent[];
  readonly nowMin: number;
  /** Whose jobs are looked at; null for everyone's. */
  readonly person: number | null;
}

export const runSchema = Joi.object({
  problem: Joi.object().required(),
  placed: placedSchema,
  events: Joi.array().items(eventSchema).max(MAX_EVENTS).required(),
  nowMin: quantity(runLimits.atMin),
  person: Joi.valid(0, 1).allow(null).default(null),
}).required();

/** The frozen plan and all that happened: every task of the problem is placed, and nothing else happened to a task. */
export function validateRun(value: unknown): Result<RunDocument, Fault[]> {
  const document = validate<Omit<RunDocument, "plan"> & RunPlan>(runSchema, value);
  if (!document.ok) return document;
  const { placed, events, nowMin, person } = document.value;
  const problem = validateSchedule(document.value.problem);
  if (!problem.ok)
    return fail(problem.failure.map(({ path, message }) => ({ path: `problem.${path}`, message })));
  const { tasks, resources, holds, openMin } = problem.value;
  const modesOf = new Map(tasks.map((task) => [task.id, task.modes.length]));
  const placedIds = new Set(placed.map(({ taskId }) => taskId));
  const faults = [
    ...placed.flatMap(({ taskId, mode }, i): Fault[] => {
      const modes = modesOf.get(taskId);
      if (modes === undefined)
        return [{ path: `placed.${i}.taskId`, message: `There is no task “${taskId}”.` }];
      return mode < modes
        ? []
        : [
            {
              path: `placed.${i}.mode`,
              message: `${taskId} has ${modes} ways, counted from 0: ${mode} is none.`,
            },
          ];
    }),
    ...tasks.flatMap((task) =>
      placedIds.has(task.id) ? [] : [{ path: "placed", message: `The task “${task.id}” has no place.` }],
    ),
    ...events.flatMap((event, i) =>
      "taskId" in event && event.taskId !== null && !modesOf.has(event.taskId)
        ? [{ path: `events.${i}.taskId`, message: `There is no task “${event.taskId}”.` }]
        : [],
    ),
  ];
  if (faults.length > 0) return fail(faults);
  return ok({ plan: { problem: { tasks, resources, holds, openMin }, placed }, events, nowMin, person });
}
