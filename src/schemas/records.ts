import { isValid, parseISO } from "date-fns";
import Joi from "joi";
import type { Bench, Cutter, Day, Formula, Order, Oven, Piece } from "./model";
import { describeLimitFault } from "./checkValue";
import {
  benchLimits,
  dayLimits,
  formulaLimits,
  MAX_FORMULA_LINES,
  MAX_NAME_CHARACTERS,
  orderLimits,
  ovenLimits,
  pieceLimits,
  type Limit,
} from "./limits";

const quantity = (limit: Limit) =>
  Joi.number()
    .required()
    .strict()
    .custom((value: number, helpers) => {
      const fault = describeLimitFault(value, limit);
      return fault ? helpers.message({ custom: fault }) : value;
    });
const whole = (limit: Limit) =>
  quantity(limit)
    .integer()
    .messages({ "number.integer": `${limit.label} must be a whole number.` });
const id = Joi.string()
  .pattern(/^[a-z0-9-]{1,64}$/)
  .required()
  .messages({ "string.pattern.base": "An id is 1 to 64 small letters, digits and dashes." });
const name = (label: string) =>
  Joi.string()
    .trim()
    .min(1)
    .max(MAX_NAME_CHARACTERS)
    .required()
    .messages({
      "string.empty": `${label} needs a name.`,
      "string.max": `${label}: the name is longer than ${MAX_NAME_CHARACTERS} characters. Shorten it.`,
    });

export const outlineSchema = Joi.alternatives()
  .conditional(".kind", {
    switch: [
      {
        is: "disc",
        then: Joi.object({ kind: Joi.valid("disc"), diameterMm: quantity(pieceLimits.diameterMm) }),
      },
      { is: "square", then: Joi.object({ kind: Joi.valid("square"), sideMm: quantity(pieceLimits.sideMm) }) },
      {
        is: "rectangle",
        then: Joi.object({
          kind: Joi.valid("rectangle"),
          widthMm: quantity(pieceLimits.widthMm),
          heightMm: quantity(pieceLimits.heightMm),
        }),
      },
    ],
    otherwise: Joi.forbidden().messages({ "any.unknown": "An outline is a disc, a square or a rectangle." }),
  })
  .required();

export const boxSchema = Joi.object({
  widthMm: quantity(benchLimits.sheetMaxWidthMm),
  heightMm: quantity(benchLimits.sheetMaxDepthMm),
});

const lineSchema = Joi.object({
  id,
  name: name("An ingredient"),
  amountText: Joi.string().trim().min(1).max(40).required(),
  massG: quantity(formulaLimits.lineMassG),
});

const formulaBase = {
  id,
  name: name("The formula"),
  lines: Joi.array().items(lineSchema).max(MAX_FORMULA_LINES).required(),
  densityGPerMl: quantity(formulaLimits.densityGPerMl),
  mixMin: quantity(formulaLimits.mixMin),
};

const doughSchema = Joi.object({
  ...formulaBase,
  kind: Joi.valid("dough").required(),
  springBackShare: quantity(formulaLimits.springBackShare),
  rerollLimit: whole(formulaLimits.rerollLimit),
  rerollLossShare: quantity(formulaLimits.rerollLossShare),
  restMin: quantity(formulaLimits.restMin),
  rerollRestMin: quantity(formulaLimits.rerollRestMin),
  benchLimitMin: quantity(formulaLimits.benchLimitMin),
});

const fillingSchema = Joi.object({
  ...formulaBase,
  kind: Joi.valid("filling").required(),
  makingLossShare: quantity(formulaLimits.makingLossShare),
  coolMin: quantity(formulaLimits.coolMin),
});

const sheetWithinBench = (limit: Limit, ref: string) =>
  quantity(limit)
    .max(Joi.ref(ref))
    .messages({
      "number.max": `${limit.label} is larger than the bench itself. Make it smaller, or correct the bench.`,
    });

/** A date that the calendar has, as YYYY-MM-DD. */
export const calendarDate = Joi.string()
  .custom((text: string, helpers) =>
    /^\d{4}-\d{2}-\d{2}$/.test(text) && isValid(parseISO(text))
      ? text
      : helpers.message({ custom: `“${text.slice(0, 12)}” is no date: write it like 2026-11-28.` }),
  )
  .required();

/** One schema for every kind of record that is stored, sent or planned with. */
export const recordSchemas = {
  formula: Joi.alternatives().conditional(".kind", {
    is: "filling",
    then: fillingSchema,
    otherwise: doughSchema,
  }),
  piece: Joi.object<Piece>({
    id,
    name: name("The piece"),
    form: Joi.valid("halfMoon", "triangle", "rectangle").required(),
    cut: outlineSchema,
    doughId: id,
    fillingId: id,
    thicknessMm: quantity(pieceLimits.thicknessMm),
    marginMm: quantity(pieceLimits.marginMm),
    plumpness: quantity(pieceLimits.plumpness),
    crimp: Joi.valid("pinched", "forked", "rolled", "rope").required(),
    webMm: quantity(pieceLimits.webMm),
    raggedMm: quantity(pieceLimits.raggedMm),
    cutAim: Joi.valid("leastDough", "fewestRerolls", "leastTime", "pinned").required(),
    pinnedSheet: boxSchema.allow(null).required(),
    spares: whole(pieceLimits.spares),
    chillMin: quantity(pieceLimits.chillMin),
    ovenC: quantity(pieceLimits.ovenC),
    bakeMin: quantity(pieceLimits.bakeMin),
    bakeLossShare: quantity(pieceLimits.bakeLossShare),
    spacingMm: quantity(pieceLimits.spacingMm),
    coolMin: quantity(pieceLimits.coolMin),
  }),
  bench: Joi.object<Bench>({
    id,
    widthMm: quantity(benchLimits.widthMm),
    depthMm: quantity(benchLimits.depthMm),
    sheetMaxWidthMm: sheetWithinBench(benchLimits.sheetMaxWidthMm, "widthMm"),
    sheetMaxDepthMm: sheetWithinBench(benchLimits.sheetMaxDepthMm, "depthMm"),
  }),
  oven: Joi.object<Oven>({
    id,
    name: name("The oven"),
    traysAtOnce: whole(ovenLimits.traysAtOnce),
    trayWidthMm: quantity(ovenLimits.trayWidthMm),
    trayDepthMm: quantity(ovenLimits.trayDepthMm),
    heatUpCPerMin: quantity(ovenLimits.heatUpCPerMin),
    coolDownCPerMin: quantity(ovenLimits.coolDownCPerMin),
    maxC: quantity(ovenLimits.maxC),
  }),
  cutter: Joi.object<Cutter>({ id, name: name("The cutter"), outline: outlineSchema }),
  day: Joi.object<Day>({
    id,
    date: calendarDate,
    name: name("The day"),
    openMin: whole(dayLimits.openMin),
  }),
  order: Joi.object<Order>({
    id,
    dayId: id,
    pieceId: id,
    count: whole(orderLimits.count),
    dueMin: whole(orderLimits.dueMin),
    customer: Joi.string().trim().allow("").max(MAX_NAME_CHARACTERS).required(),
  }),
} as const;

/** What each kind of record holds. */
export interface RecordTypes {
  formula: Formula;
  piece: Piece;
  bench: Bench;
  oven: Oven;
  cutter: Cutter;
  day: Day;
  order: Order;
}
