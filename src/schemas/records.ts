import Joi from "joi";
import { cutAims } from "@/core/cutting";
import { allergens, ingredientGroups, measureStates } from "@/core/formula";
import { larderKinds } from "@/core/plan";
import { eggSizes, lengthUnits, massUnits, metricMeasures, ovenScales } from "@/core/units";
import type {
  Bench,
  Customer,
  Cutter,
  CutRecord,
  Day,
  Device,
  Formula,
  Fryer,
  Ingredient,
  Kitchen,
  LarderItem,
  LotRecord,
  MakeAhead,
  Order,
  Oven,
  Piece,
  Price,
  Shelf,
  StandingOrder,
  Till,
  Vessel,
  Weighing,
} from "./model";
import {
  cutRecordLimits,
  dayLimits,
  ingredientLimits,
  kitchenLimits,
  tillLimits,
  laidLimits,
  larderLimits,
  lotRecordLimits,
  MAX_CONTACT_CHARACTERS,
  MAX_FORMULA_LINES,
  MAX_LAID,
  MAX_NAME_CHARACTERS,
  orderLimits,
  pieceLimits,
  weighingLimits,
} from "./limits";
import { kitSchemas } from "./kitRecords";
import { formulaSchema } from "./formulaRecords";
import { extrasSchema, finishParts } from "./pieceParts";
import { quantity, whole } from "./quantity";
import { calendarDate, craftCausesSchema, id, name, optionalId, timeZone, currency } from "./recordParts";
import { formSchema, outlineSchema, sheetSchema } from "./shapes";
import { settlePiece } from "./wayParts";

const laidSchema = Joi.array()
  .items(
    Joi.object({
      taskId: Joi.string().min(1).max(200).required(),
      startMin: whole(laidLimits.startMin),
      mode: whole(laidLimits.mode),
    }),
  )
  .max(MAX_LAID)
  .default([]);

const DAYS_A_WEEK = 7;

const timedWorkSchema = Joi.object({
  style: Joi.string().trim().min(1).max(MAX_NAME_CHARACTERS).required(),
  minutes: quantity(lotRecordLimits.minutes),
  craftMinutes: quantity(lotRecordLimits.minutes),
})
  .allow(null)
  .required();

/** One schema for every kind of record that is stored, sent or planned with. */
export const recordSchemas = {
  formula: formulaSchema,
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
    portionG: quantity(pieceLimits.portionG).allow(null).default(null).optional(),
    extras: extrasSchema,
    ...finishParts,
    webMm: quantity(pieceLimits.webMm),
    raggedMm: quantity(pieceLimits.raggedMm),
    cutAim: Joi.valid(...cutAims).required(),
    seenFirst: Joi.boolean().default(true).optional(),
    pinnedSheet: sheetSchema.allow(null).required(),
    spares: whole(pieceLimits.spares),
    bakeLossShare: quantity(pieceLimits.bakeLossShare),
    spacingMm: quantity(pieceLimits.spacingMm),
  }).custom(settlePiece),
  ...kitSchemas,
  day: Joi.object<Day>({
    id,
    date: calendarDate,
    name: name("The day"),
    openMin: whole(dayLimits.openMin),
    keepsReserve: Joi.boolean().default(false),
    laid: laidSchema,
    pinned: laidSchema,
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
    customerId: optionalId,
    standingId: optionalId,
    handedMin: whole(orderLimits.handedMin).allow(null).default(null).optional(),
  }),
  customer: Joi.object<Customer>({
    id,
    name: name("The customer"),
    contact: Joi.string().trim().allow("").max(MAX_CONTACT_CHARACTERS).required(),
    usualMin: whole(orderLimits.dueMin).allow(null),
  }),
  standing: Joi.object<StandingOrder>({
    id,
    customerId: id,
    pieceId: id,
    count: whole(orderLimits.count),
    holidayCount: whole(orderLimits.holidayCount).allow(null),
    dueMin: whole(orderLimits.dueMin),
    weekdays: Joi.array()
      .items(Joi.number().integer().min(1).max(DAYS_A_WEEK))
      .min(1)
      .unique()
      .custom((days: number[]) => days.toSorted((a, b) => a - b))
      .required()
      .messages({ "array.min": "Choose at least one day of the week." }),
  }),
  kitchen: Joi.object<Kitchen>({
    id,
    system: Joi.valid("metric", "us", "imperial").required(),
    eggSize: Joi.valid(...eggSizes).required(),
    ovenScale: Joi.valid(...ovenScales).default("celsius"),
    lengthUnit: Joi.valid(...lengthUnits).default(metricMeasures.lengthUnit),
    massUnit: Joi.valid(...massUnits).default(metricMeasures.massUnit),
    roomC: quantity(kitchenLimits.roomC),
    fridgeC: quantity(kitchenLimits.fridgeC),
    freezerC: quantity(kitchenLimits.freezerC),
    mixedC: quantity(kitchenLimits.mixedC),
    timeZone: timeZone.allow(null).default(null).optional(),
    currency: currency.allow(null).default(null).optional(),
  }),
  till: Joi.object<Till>({
    id,
    hourMinor: whole(tillLimits.hourMinor),
    kwhMinor: whole(tillLimits.kwhMinor),
    hidesFromBench: Joi.boolean().required(),
  }),
  price: Joi.object<Price>({ id, priceMinor: whole(tillLimits.priceMinor) }),
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
      .allow(null)
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
  ahead: Joi.object<MakeAhead>({
    id,
    dayId: id,
    date: calendarDate,
    forDate: calendarDate,
    kind: Joi.valid(...larderKinds).required(),
    refId: id,
    massG: quantity(larderLimits.massG),
    count: whole(larderLimits.count),
  }).custom((ahead: MakeAhead, helpers) =>
    ahead.forDate <= ahead.date
      ? helpers.message({
          custom: `It is made on ${ahead.date} for ${ahead.forDate}, which is not later. Choose a later day.`,
        })
      : ahead,
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
    craftCauses: craftCausesSchema.default({}),
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
  vessel: Vessel;
  shelf: Shelf;
  fryer: Fryer;
  device: Device;
  customer: Customer;
  standing: StandingOrder;
  day: Day;
  order: Order;
  kitchen: Kitchen;
  till: Till;
  price: Price;
  ingredient: Ingredient;
  larder: LarderItem;
  ahead: MakeAhead;
  weighing: Weighing;
  cutRecord: CutRecord;
  lotRecord: LotRecord;
}
