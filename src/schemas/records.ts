import { isValid, parseISO } from "date-fns";
import Joi from "joi";
import {
  allergens,
  dividedShapes,
  doughMethods,
  fatParticles,
  fillingFamilies,
  fillingMeasures,
  ingredientGroups,
  liquidSchools,
  measureStates,
  restWays,
  tartnesses,
  trimEnds,
  wetnesses,
} from "@/core/formula";
import { ovenKinds } from "@/core/heat";
import { larderKinds } from "@/core/plan";
import type {
  Bench,
  Cutter,
  CutRecord,
  Day,
  Formula,
  Ingredient,
  Kitchen,
  LarderItem,
  LotRecord,
  Order,
  Oven,
  Piece,
  Weighing,
} from "./model";
import {
  benchLimits,
  cutRecordLimits,
  dayLimits,
  formulaLimits,
  ingredientLimits,
  kitchenLimits,
  larderLimits,
  lotRecordLimits,
  MAX_FORMULA_LINES,
  MAX_FORMULA_STEPS,
  MAX_PARTS,
  MAX_STEP_CHARACTERS,
  MAX_LAID,
  MAX_NAME_CHARACTERS,
  orderLimits,
  outlineLimits,
  ovenLimits,
  pieceLimits,
  weighingLimits,
  type Limit,
} from "./limits";
import { extrasSchema, finishParts } from "./pieceParts";
import { quantity, whole } from "./quantity";
import { formSchema, outlineSchema, sheetSchema } from "./shapes";

const id = Joi.string()
  .pattern(/^[a-z0-9-]{1,64}$/)
  .required()
  .messages({ "string.pattern.base": "An id is 1 to 64 small letters, digits and dashes." });
/** Left out by documents older than the ingredient book: then the entry is not known. */
const optionalId = id.allow(null).default(null).optional();

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

const lineSchema = Joi.object({
  id,
  name: name("An ingredient"),
  amountText: Joi.string().trim().min(1).max(40).required(),
  massG: quantity(formulaLimits.lineMassG),
  mostG: quantity(formulaLimits.lineMassG)
    .greater(Joi.ref("massG"))
    .messages({ "number.greater": "The most of a range must be above its least." })
    .allow(null)
    .default(null)
    .optional(),
  ingredientId: optionalId,
});

const formulaBase = {
  id,
  name: name("The formula"),
  lines: Joi.array().items(lineSchema).max(MAX_FORMULA_LINES).required(),
  densityGPerMl: quantity(formulaLimits.densityGPerMl),
  mixMin: quantity(formulaLimits.mixMin),
  steps: Joi.array()
    .items(Joi.string().trim().min(1).max(MAX_STEP_CHARACTERS))
    .max(MAX_FORMULA_STEPS)
    .default([]),
  keepsDays: whole(formulaLimits.keepsDays).default(2).optional(),
};

const doughSchema = Joi.object({
  ...formulaBase,
  kind: Joi.valid("dough").required(),
  method: Joi.valid(...doughMethods).default("rubbed"),
  fatParticle: Joi.valid(...fatParticles).default("pea"),
  liquidSchool: Joi.valid(...liquidSchools).default("justHolds"),
  window: Joi.object({
    lowC: quantity(formulaLimits.windowLowC),
    highC: quantity(formulaLimits.windowHighC)
      .greater(Joi.ref("lowC"))
      .messages({ "number.greater": "It must smear at a higher temperature than it cracks at." }),
  }).default({ lowC: 10, highC: 16 }),
  restWay: Joi.valid(...restWays).default("minutes"),
  dividedInto: Joi.valid(...dividedShapes).default("disc"),
  boughtSheet: Joi.object({
    widthMm: quantity(formulaLimits.sheetWidthMm),
    heightMm: quantity(formulaLimits.sheetHeightMm),
    thicknessMm: quantity(formulaLimits.sheetThicknessMm),
  })
    .allow(null)
    .default(null),
  springBackShare: quantity(formulaLimits.springBackShare),
  rerollLimit: whole(formulaLimits.rerollLimit),
  rerollLossShare: quantity(formulaLimits.rerollLossShare),
  rerollShrinkShare: quantity(formulaLimits.rerollShrinkShare).default(0.01).optional(),
  trimEnd: Joi.valid(...trimEnds).default("larder"),
  decorationCutterId: optionalId,
  restMin: quantity(formulaLimits.restMin),
  rerollRestMin: quantity(formulaLimits.rerollRestMin),
  benchLimitMin: quantity(formulaLimits.benchLimitMin),
});

const fillingSchema = Joi.object({
  ...formulaBase,
  kind: Joi.valid("filling").required(),
  family: Joi.valid(...fillingFamilies).default("filling"),
  makingLossShare: quantity(formulaLimits.makingLossShare),
  coolMin: quantity(formulaLimits.coolMin),
  wetness: Joi.valid(...wetnesses).default("moist"),
  shrinkShare: quantity(formulaLimits.shrinkShare).default(0).optional(),
  measure: Joi.valid(...fillingMeasures).default("spoon"),
  fruit: Joi.object({
    trimLossShare: quantity(formulaLimits.trimLossShare),
    varieties: Joi.array()
      .items(
        Joi.object({
          name: name("A variety"),
          share: quantity(formulaLimits.varietyShare),
          tartness: Joi.valid(...tartnesses).required(),
          isSoft: Joi.boolean().required(),
        }),
      )
      .min(1)
      .max(MAX_PARTS)
      .required(),
  })
    .allow(null)
    .default(null),
  precooked: Joi.array()
    .items(
      Joi.object({
        id,
        name: name("A part"),
        handMin: quantity(formulaLimits.partHandMin),
        cookMin: quantity(formulaLimits.partCookMin),
        coolMin: quantity(formulaLimits.partCoolMin),
      }),
    )
    .unique("id")
    .max(MAX_PARTS)
    .default([]),
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

const timedWorkSchema = Joi.object({
  style: Joi.string().trim().min(1).max(MAX_NAME_CHARACTERS).required(),
  minutes: quantity(lotRecordLimits.minutes),
  craftMinutes: quantity(lotRecordLimits.minutes),
})
  .allow(null)
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
    form: formSchema,
    cut: outlineSchema,
    doughId: id,
    fillingId: id,
    thicknessMm: quantity(pieceLimits.thicknessMm),
    marginMm: quantity(pieceLimits.marginMm),
    plumpness: quantity(pieceLimits.plumpness),
    extras: extrasSchema,
    ...finishParts,
    webMm: quantity(pieceLimits.webMm),
    raggedMm: quantity(pieceLimits.raggedMm),
    cutAim: Joi.valid("leastDough", "fewestRerolls", "leastTime", "pinned", "portioned", "sliced").required(),
    pinnedSheet: sheetSchema.allow(null).required(),
    spares: whole(pieceLimits.spares),
    chillMin: quantity(pieceLimits.chillMin),
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
    kind: Joi.valid(...ovenKinds).default("still"),
    offsetC: quantity(ovenLimits.offsetC).default(0).optional(),
  }),
  cutter: Joi.object<Cutter>({
    id,
    name: name("The cutter"),
    outline: outlineSchema,
    count: whole(outlineLimits.cutters).default(1).optional(),
  }),
  day: Joi.object<Day>({
    id,
    date: calendarDate,
    name: name("The day"),
    openMin: whole(dayLimits.openMin),
    laid: Joi.array()
      .items(
        Joi.object({
          taskId: Joi.string().min(1).max(200).required(),
          startMin: Joi.number().integer().min(-10_080).max(10_080).required(),
          mode: Joi.number().integer().min(0).max(20).required(),
        }),
      )
      .max(MAX_LAID)
      .default([]),
    helper: Joi.object({
      fromMin: whole(dayLimits.helperMin),
      toMin: whole(dayLimits.helperMin)
        .greater(Joi.ref("fromMin"))
        .messages({ "number.greater": "The helper must leave after coming." }),
    })
      .allow(null)
      .default(null),
  }),
  order: Joi.object<Order>({
    id,
    dayId: id,
    pieceId: id,
    count: whole(orderLimits.count),
    dueMin: whole(orderLimits.dueMin),
    customer: Joi.string().trim().allow("").max(MAX_NAME_CHARACTERS).required(),
  }),
  kitchen: Joi.object<Kitchen>({
    id,
    system: Joi.valid("metric", "us", "imperial").required(),
    eggSize: Joi.valid("small", "medium", "large", "extraLarge").required(),
    roomC: quantity(kitchenLimits.roomC),
    fridgeC: quantity(kitchenLimits.fridgeC),
    freezerC: quantity(kitchenLimits.freezerC),
    mixedC: quantity(kitchenLimits.mixedC),
  }),
  ingredient: Joi.object<Ingredient>({
    id,
    name: name("The ingredient"),
    otherNames: Joi.array().items(Joi.string().trim().min(1).max(MAX_NAME_CHARACTERS)).max(30).required(),
    group: Joi.valid(...ingredientGroups).required(),
    densities: Joi.array()
      .items(
        Joi.object({
          state: Joi.valid(...measureStates).required(),
          gPerMl: quantity(ingredientLimits.gPerMl),
        }),
      )
      .unique("state")
      .max(measureStates.length)
      .required(),
    pieceG: quantity(ingredientLimits.pieceG).allow(null),
    waterShare: quantity(ingredientLimits.share),
    fatShare: quantity(ingredientLimits.share),
    sugarShare: quantity(ingredientLimits.share),
    starchShare: quantity(ingredientLimits.share),
    allergens: Joi.array()
      .items(Joi.valid(...allergens))
      .unique()
      .required(),
    pack: Joi.object({
      massG: quantity(ingredientLimits.packG),
      priceMinor: whole(ingredientLimits.packPriceMinor),
    })
      .allow(null)
      .required(),
    source: Joi.string().trim().max(200).allow("").required(),
  }).custom((ingredient: Ingredient, helpers) => {
    const { waterShare, fatShare, sugarShare, starchShare } = ingredient;
    const overShare = waterShare + fatShare + sugarShare + starchShare - 1;
    // Two decimals of a percent: figures that were rounded apart may add to a hair above the whole.
    return overShare > 1e-4
      ? helpers.message({
          custom: `${ingredient.name}: water, fat, sugar and starch come to ${Math.round(overShare * 1000) / 10} % more than the whole. Lower one of them.`,
        })
      : ingredient;
  }),
  larder: Joi.object<LarderItem>({
    id,
    kind: Joi.valid(...larderKinds).required(),
    refId: id,
    massG: quantity(larderLimits.massG),
    count: whole(larderLimits.count),
    madeOn: calendarDate,
    useBy: calendarDate,
    fromDayId: id.allow(null),
    takenByDayId: id.allow(null),
  }).custom((item: LarderItem, helpers) =>
    item.useBy < item.madeOn
      ? helpers.message({
          custom: `Use by ${item.useBy} is before it was made, ${item.madeOn}. Correct one of them.`,
        })
      : item,
  ),
  cutRecord: Joi.object<CutRecord>({
    id,
    dayId: id,
    date: calendarDate,
    doughId: id,
    planned: whole(cutRecordLimits.planned),
    got: whole(cutRecordLimits.got),
  }),
  lotRecord: Joi.object<LotRecord>({
    id,
    dayId: id,
    date: calendarDate,
    pieceId: id,
    pieces: whole(lotRecordLimits.pieces),
    fill: timedWorkSchema,
    close: timedWorkSchema,
    leaked: whole(lotRecordLimits.leaked).allow(null),
    craftLeakShare: quantity(lotRecordLimits.leakShare),
  }).custom((lot: LotRecord, helpers) =>
    lot.leaked !== null && lot.leaked > lot.pieces
      ? helpers.message({
          custom: `${lot.leaked} leaked, and only ${lot.pieces} were made: ${lot.leaked - lot.pieces} too many.`,
        })
      : lot,
  ),
  weighing: Joi.object<Weighing>({
    id,
    dayId: id,
    date: calendarDate,
    formulaId: id,
    tickedLineIds: Joi.array().items(id.optional()).max(MAX_FORMULA_LINES).required(),
    took: Joi.object({ massG: quantity(weighingLimits.tookG), scale: quantity(weighingLimits.scale) })
      .allow(null)
      .required(),
    mixG: quantity(weighingLimits.mixG).allow(null),
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
  kitchen: Kitchen;
  ingredient: Ingredient;
  larder: LarderItem;
  weighing: Weighing;
  cutRecord: CutRecord;
  lotRecord: LotRecord;
}
