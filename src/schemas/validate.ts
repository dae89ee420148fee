import Joi from "joi";
import { fail, ok, type Result } from "@/core/result";
import { firstKitchen } from "./firstKitchen";
import type { DayBook, Formula } from "./model";
import {
  layoutLimits,
  cutLimits,
  formulaLimits,
  MAX_FIELDS,
  MAX_RECORDS,
  orderLimits,
  pieceLimits,
  weighingLimits,
} from "./limits";
import type { Change, ChangeGroup } from "./change";
import { recordKinds, type AnyRecord, type RecordKind } from "./recordKinds";
import { quantity, whole } from "./quantity";
import { pastSchema } from "./pastDocument";
import { calendarDate, id, MAX_ID_CHARACTERS } from "./recordParts";
import { recordSchemas } from "./records";
import { boxSchema, outlineSchema, sheetSchema } from "./shapes";
import {
  layoutModes,
  type CutRequest,
  type PartsRequest,
  type Placement,
  type YieldRequest,
} from "@/core/cutting";
import type { Outline, SheetShape } from "@/core/shape";

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

/** A record of a kind, whole. */
export function validateRecord(kind: RecordKind, value: unknown): Result<AnyRecord, Fault[]> {
  return validate((recordSchemas[kind] as Joi.Schema).required(), value);
}

const fields = Joi.object().unknown(true).min(1).max(MAX_FIELDS);
const groupSchema = Joi.object({
  id: Joi.string()
    .pattern(/^[A-Za-z0-9-]{1,80}$/)
    .required(),
  changes: Joi.array()
    .items(
      Joi.object({
        kind: Joi.valid(...recordKinds).required(),
        id,
        set: fields.allow(null).required(),
        was: fields.allow(null).required(),
      }).custom((change: Change, helpers) =>
        change.set === null && change.was === null
          ? helpers.message({ custom: "A change says what is set, or what was there and is taken away." })
          : change,
      ),
    )
    .min(1)
    .max(MAX_RECORDS)
    .required(),
}).required();

/** One group of changes that a screen sends; what each makes of its record is checked where that record is. */
export function validateGroup(value: unknown): Result<ChangeGroup, Fault[]> {
  return validate(groupSchema, value);
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

export const dayBookSchema = Joi.object({
  day: recordSchemas.day.required(),
  orders: listOf(recordSchemas.order),
  pieces: listOf(recordSchemas.piece),
  formulas: listOf(recordSchemas.formula),
  bench: recordSchemas.bench.required(),
  ovens: listOf(recordSchemas.oven),
  cutters: listOf(recordSchemas.cutter).optional().default([]),
  vessels: listOf(recordSchemas.vessel).optional().default([]),
  shelves: listOf(recordSchemas.shelf).optional().default([]),
  fryers: listOf(recordSchemas.fryer).optional().default([]),
  kitchen: recordSchemas.kitchen.default(firstKitchen),
  ingredients: listOf(recordSchemas.ingredient).optional().default([]),
  larder: listOf(recordSchemas.larder).optional().default([]),
  ahead: listOf(recordSchemas.ahead).optional().default([]),
  weighings: listOf(recordSchemas.weighing).optional().default([]),
  cutRecords: listOf(recordSchemas.cutRecord).optional().default([]),
  lotRecords: listOf(recordSchemas.lotRecord).optional().default([]),
  past: pastSchema,
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

/** Longest search one request may ask for, ms. */
const MAX_BUDGET_MS = 10_000;
const DEFAULT_BUDGET_MS = 1000;
/** A cut plan or a yield is mostly ready in a tenth of this. */
const DEFAULT_PLAN_BUDGET_MS = 5000;
const budgetMs = Joi.number().integer().min(1).max(MAX_BUDGET_MS);

interface Budgeted {
  /** How long to search, ms. */
  readonly budgetMs: number;
}

/** Its budget is for tight only. */
export type LayoutDocument = PartsRequest & Budgeted;
/** Most outlines on one sheet. */
const MAX_OUTLINES = 6;

const webMm = quantity(pieceLimits.webMm).optional().default(0);
const marginMm = quantity(pieceLimits.raggedMm).optional().default(0);
const onSheet = { outline: outlineSchema, webMm, marginMm };
export const layoutSchema = Joi.object({
  mode: Joi.valid(...layoutModes).default("rows"),
  outlines: Joi.array()
    .items(
      Joi.object({
        outline: outlineSchema,
        ratio: Joi.number().greater(layoutLimits.ratio.min).max(layoutLimits.ratio.max).default(1),
      }),
    )
    .min(1)
    .max(MAX_OUTLINES)
    .required(),
  webMm,
  marginMm,
  mayTurn: Joi.boolean().default(true),
  sheet: sheetSchema.required(),
  budgetMs: budgetMs.default(DEFAULT_BUDGET_MS),
  seed: Joi.number()
    .integer()
    .min(0)
    .max(2 ** 32 - 1)
    .default(1),
})
  .required()
  .custom((document: LayoutDocument, helpers) => {
    const [first] = document.outlines;
    const isStraight = ["square", "rectangle", "triangle"].includes(first?.outline.kind ?? "");
    if (document.mode === "wheel" && (!isStraight || document.sheet.shape === "oval"))
      return helpers.message({
        custom: "A wheel cuts straight edges from a rectangle. Ask for rows or tight.",
      });
    if (document.mode === "wheel" && document.outlines.length > 1)
      return helpers.message({
        custom: "A wheel cuts one outline at a time. Ask for rows or tight, or for each by itself.",
      });
    return document;
  });

/** A sheet and what to cut from it, as the API takes it. */
export function validateLayout(value: unknown): Result<LayoutDocument, Fault[]> {
  return validate(layoutSchema, value);
}

export interface TemplateDocument extends LayoutDocument {
  readonly title: string;
  readonly form: "pdf" | "svg" | "dxf";
  readonly paper: "a4" | "letter";
}

export const templateSchema = layoutSchema.keys({
  title: Joi.string().trim().min(1).max(80).default("Cut template"),
  form: Joi.valid("pdf", "svg", "dxf").required(),
  paper: Joi.valid("a4", "letter").default("a4"),
});

/** A sheet, what to cut from it, and the form its template is wanted in. */
export function validateTemplate(value: unknown): Result<TemplateDocument, Fault[]> {
  return validate(templateSchema, value);
}

export interface PlacedTemplateDocument {
  readonly title: string;
  readonly form: TemplateDocument["form"];
  readonly paper: TemplateDocument["paper"];
  readonly sheet: SheetShape;
  readonly parts: readonly { readonly outline: Outline; readonly placements: readonly Placement[] }[];
}

/** Most cuts on one sheet: thimbles on the largest bench. */
const MAX_PLACEMENTS = 5000;
const placedTemplateSchema = Joi.object({
  title: Joi.string().trim().min(1).max(120).required(),
  form: Joi.valid("pdf", "svg", "dxf").required(),
  paper: Joi.valid("a4", "letter").required(),
  sheet: sheetSchema.required(),
  parts: Joi.array()
    .items(
      Joi.object({
        outline: outlineSchema,
        placements: Joi.array()
          .items(
            Joi.object({
              xMm: quantity(layoutLimits.placeMm),
              yMm: quantity(layoutLimits.placeMm),
              angleDeg: Joi.number()
                .min(layoutLimits.angleDeg.min)
                .less(layoutLimits.angleDeg.max)
                .required(),
            }),
          )
          .max(MAX_PLACEMENTS)
          .required(),
      }),
    )
    .min(1)
    .max(MAX_OUTLINES)
    .required(),
}).required();

/** Cuts placed by a screen, to be written as a template. */
export function validatePlacedTemplate(value: unknown): Result<PlacedTemplateDocument, Fault[]> {
  return validate(placedTemplateSchema, value);
}

const rolling = {
  thicknessMm: quantity(pieceLimits.thicknessMm),
  densityGPerMl: quantity(formulaLimits.densityGPerMl),
  sheetLimit: boxSchema.required(),
  rerollLimit: whole(formulaLimits.rerollLimit),
  rerollLossShare: quantity(formulaLimits.rerollLossShare),
  rerollShrinkShare: quantity(formulaLimits.rerollShrinkShare).default(0).optional(),
  mayTurn: Joi.boolean().default(true),
};

export type CutPlanDocument = Omit<CutRequest, "handTimes"> & Budgeted;
const demandSchema = Joi.object({
  id: Joi.string().min(1).max(MAX_ID_CHARACTERS).required(),
  ...onSheet,
  count: whole(orderLimits.count),
  isVisible: Joi.boolean().default(true),
  keepsCentre: Joi.boolean().default(true),
  keepsSurplus: Joi.boolean().default(true),
});
export const cutPlanSchema = Joi.object({
  ...rolling,
  budgetMs: budgetMs.default(DEFAULT_PLAN_BUDGET_MS),
  demands: Joi.array().items(demandSchema).min(1).max(MAX_OUTLINES).unique("id").required(),
  tearSharePer100Mm: quantity(cutLimits.tearSharePer100Mm).default(0).optional(),
  pinnedSheet: sheetSchema.allow(null).default(null),
  boughtSheet: Joi.object({
    widthMm: quantity(formulaLimits.sheetWidthMm),
    heightMm: quantity(formulaLimits.sheetHeightMm),
    thicknessMm: quantity(formulaLimits.sheetThicknessMm),
  })
    .allow(null)
    .default(null),
  decoration: outlineSchema.optional().allow(null).default(null),
}).required();

/** So many cuts and how they are rolled. */
export function validateCutPlan(value: unknown): Result<CutPlanDocument, Fault[]> {
  return validate(cutPlanSchema, value);
}

export type YieldDocument = Omit<YieldRequest, "handTimes"> & Budgeted;
export const yieldSchema = Joi.object({
  ...rolling,
  budgetMs: budgetMs.default(DEFAULT_PLAN_BUDGET_MS),
  ...onSheet,
  doughG: quantity(weighingLimits.mixG),
}).required();

/** So much dough and how it is rolled. */
export function validateYield(value: unknown): Result<YieldDocument, Fault[]> {
  return validate(yieldSchema, value);
}
