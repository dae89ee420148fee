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
import { formulaLimits, fryerLimits, kitchenLimits, pieceLimits, type Limit } from "./limits";
import { quantity, whole } from "./quantity";
import { validate, type Fault } from "./validate";

const between = (label: string, unit: string, min: number, max: number): Limit => ({
  label,
  unit,
  min,
  max,
  step: 1,
});
const startC = quantity(between("At the start", "°C", -30, 100));
const doneC = quantity(between("Done at", "°C", 30, 105));
const air = Joi.array()
  .items(
    Joi.object({
      airC: quantity(between("Oven", "°C", 50, 300)),
      minutes: quantity(between("Minutes", "min", 1, 360)),
    }),
  )
  .min(1)
  .max(6)
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
  roomMin: quantity(between("In the room", "min", 0, 720)),
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
const share = between("Share", "", 0.01, 1);
export const frySchema = Joi.object({
  bath: Joi.object({
    oilKg: quantity(between("Oil", "kg", 0.2, 50)),
    oilJPerKgK: quantity(fryerLimits.oilJPerKgK).default(USUAL_OIL_J_PER_KG_K).optional(),
    lossWPerK: lossOr(fryerLimits.lossWPerK),
    heaterW: quantity(between("Heater", "W", 100, 30_000)),
    setC: quantity(between("Oil set to", "°C", 120, 200)),
    roomC: quantity(kitchenLimits.roomC),
  }).required(),
  load: Joi.object({
    pieces: whole(between("Pieces", "", 1, 500)),
    pieceMm2: quantity(between("Surface of a piece", "mm²", 100, 200_000)),
    minutes: quantity(pieceLimits.bakeMin),
    pieceG: quantity(between("A piece", "g", 1, 1000)),
    waterShare: quantity(share),
  }).required(),
  leastC: quantity(between("Never below", "°C", 120, 195))
    .default(165)
    .optional(),
}).required();

/** A bath of oil and what goes into it. */
export function validateFry(value: unknown): Result<FryDocument, Fault[]> {
  return validate(frySchema, value);
}
