import Joi from "joi";
import {
  USUAL_OIL_J_PER_KG_K,
  type BakeAir,
  type Baked,
  type CoolingRequest,
  type FryLoad,
  type KnownBake,
  type OilBath,
} from "@/core/heat";
import type { Result } from "@/core/result";
import { bodySchema, compositionSchema } from "./calculators";
import { lossOr } from "./kitRecords";
import { formulaLimits, fryerLimits, fryLimits, heatLimits, kitchenLimits } from "./limits";
import { quantity, whole } from "./quantity";
import { validate, type Fault } from "./validate";

const startC = quantity(heatLimits.startC);
const doneC = quantity(heatLimits.doneC);
/** Stages of one bake. */
const MOST_STAGES = 6;
const air = Joi.array()
  .items(
    Joi.object({
      airC: quantity(heatLimits.airC),
      minutes: quantity(heatLimits.airMin),
    }),
  )
  .min(1)
  .max(MOST_STAGES)
  .required();
const baked = {
  body: bodySchema,
  composition: compositionSchema,
  densityGPerMl: quantity(formulaLimits.densityGPerMl),
  startC,
};

export interface BakeScaleDocument {
  readonly known: KnownBake;
  readonly other: Baked & { readonly air: readonly BakeAir[]; readonly doneC: number };
}
const bake = Joi.object({ ...baked, air, doneC }).required();
export const bakeScaleSchema = Joi.object({ known: bake, other: bake }).required();

/** A bake that came out right, and another one. */
export function validateBakeScale(value: unknown): Result<BakeScaleDocument, Fault[]> {
  return validate(bakeScaleSchema, value);
}

export const coolSchema = Joi.object({
  ...baked,
  roomC: quantity(kitchenLimits.roomC),
  fridgeC: quantity(kitchenLimits.fridgeC),
  roomMin: quantity(heatLimits.roomMin),
}).required();

/** A warm piece, its room and its fridge. */
export function validateCooling(value: unknown): Result<CoolingRequest, Fault[]> {
  return validate(coolSchema, value);
}

export interface FryDocument {
  readonly bath: OilBath;
  readonly load: FryLoad;
  readonly leastC: number;
}
export const frySchema = Joi.object({
  bath: Joi.object({
    oilKg: quantity(fryerLimits.oilKg),
    oilJPerKgK: quantity(fryerLimits.oilJPerKgK).default(USUAL_OIL_J_PER_KG_K).optional(),
    lossWPerK: lossOr(fryerLimits.lossWPerK),
    heaterW: quantity(fryerLimits.heaterW),
    setC: quantity(fryLimits.setC),
    roomC: quantity(kitchenLimits.roomC),
  }).required(),
  load: Joi.object({
    pieces: whole(fryLimits.pieces),
    pieceMm2: quantity(fryLimits.pieceMm2),
    minutes: quantity(fryLimits.minutes),
    pieceG: quantity(fryLimits.pieceG),
    waterShare: quantity(fryLimits.waterShare),
  }).required(),
  leastC: quantity(fryLimits.leastC).default(165).optional(),
}).required();

/** A bath of oil and what goes into it. */
export function validateFry(value: unknown): Result<FryDocument, Fault[]> {
  return validate(frySchema, value);
}
