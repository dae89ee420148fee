import Joi from "joi";
import { fail, ok, type Result } from "@/core/result";
import { firstKitchen } from "./firstKitchen";
import type { DayBook, Formula } from "./model";
import { MAX_RECORDS } from "./limits";
import { recordKinds, type RecordChange } from "./recordKinds";
import { boxSchema, calendarDate, outlineSchema, recordSchemas } from "./records";
import type { BoxMm, Outline } from "@/core/shape";

/** One thing wrong in a document: where (`pieces.0.marginMm`), what, and what would do. */
export interface Fault {
  readonly path: string;
  readonly message: string;
}

/** Most faults reported at once: more only hide the first. */
const MAX_FAULTS = 20;

/** Checks `value` against `schema`; unknown fields are faults, all faults are gathered. */
export function validate<V>(schema: Joi.Schema, value: unknown): Result<V, Fault[]> {
  const checked = schema.validate(value, {
    abortEarly: false,
    convert: true,
    errors: { wrap: { label: false } },
  });
  if (!checked.error) return ok(checked.value as V);
  const faults = checked.error.details.map(({ path, message }) => ({ path: path.join("."), message }));
  return fail(faults.slice(0, MAX_FAULTS));
}

const changeSchema = Joi.object({
  kind: Joi.valid(...recordKinds).required(),
  id: Joi.string().max(64).required(),
  expectedVersion: Joi.number().integer().min(0).required(),
  record: Joi.alternatives()
    .conditional("kind", {
      switch: recordKinds.map((kind) => ({ is: kind, then: recordSchemas[kind].allow(null) })),
    })
    .required(),
});

/** Changes sent by a screen. */
export function validateChanges(value: unknown): Result<RecordChange[], Fault[]> {
  return validate(Joi.array().items(changeSchema).min(1).max(MAX_RECORDS).required(), value);
}

/** One formula, as a file or a document holds it. */
export function validateFormula(value: unknown): Result<Formula, Fault[]> {
  return validate(recordSchemas.formula.required(), value);
}

/** What the first screen asks: what to begin with (null: nothing), for which day, how many by when. */
export interface FirstDay {
  readonly starterId: string | null;
  readonly date: string;
  readonly count: number;
  readonly dueMin: number;
}

const firstDaySchema = Joi.object({
  starterId: Joi.string().allow(null).required(),
  date: calendarDate,
  count: Joi.number().required(),
  dueMin: Joi.number().required(),
}).required();

/** The first screen's answer; its count and time are checked with the order they make. */
export function validateFirstDay(value: unknown): Result<FirstDay, Fault[]> {
  return validate(firstDaySchema, value);
}

const listOf = (schema: Joi.Schema) => Joi.array().items(schema).max(MAX_RECORDS).unique("id").required();

const dayBookSchema = Joi.object({
  day: recordSchemas.day.required(),
  orders: listOf(recordSchemas.order),
  pieces: listOf(recordSchemas.piece),
  formulas: listOf(recordSchemas.formula),
  bench: recordSchemas.bench.required(),
  ovens: listOf(recordSchemas.oven),
  cutters: listOf(recordSchemas.cutter).optional().default([]),
  kitchen: recordSchemas.kitchen.default(firstKitchen),
  ingredients: listOf(recordSchemas.ingredient).optional().default([]),
  larder: listOf(recordSchemas.larder).optional().default([]),
  weighings: listOf(recordSchemas.weighing).optional().default([]),
  nowMin: Joi.number().integer().allow(null).default(null),
}).required();

/** A self-contained day, as the API takes it. Orders must name pieces that the document holds. */
export function validateDayBook(value: unknown): Result<DayBook, Fault[]> {
  const book = validate<DayBook>(dayBookSchema, value);
  if (!book.ok) return book;
  const pieceIds = new Set(book.value.pieces.map(({ id }) => id));
  const strays = book.value.orders.flatMap(({ pieceId }, i) =>
    pieceIds.has(pieceId)
      ? []
      : [{ path: `orders.${i}.pieceId`, message: `No piece in this document has the id “${pieceId}”.` }],
  );
  return strays.length > 0 ? fail(strays) : book;
}

export interface LayoutDocument {
  readonly outline: Outline;
  readonly sheet: BoxMm;
  readonly webMm: number;
  readonly marginMm: number;
}

const layoutSchema = Joi.object({
  outline: outlineSchema,
  sheet: boxSchema.required(),
  webMm: Joi.number().min(0).max(100).default(0),
  marginMm: Joi.number().min(0).max(200).default(0),
}).required();

/** A sheet and what to cut from it, as the API takes it. */
export function validateLayout(value: unknown): Result<LayoutDocument, Fault[]> {
  return validate(layoutSchema, value);
}
