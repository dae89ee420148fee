import { MAX_ID_CHARACTERS } from "./recordParts";
import Joi from "joi";
import type { PieceExtra } from "@/core/filling";
import { wetnesses, type Wetness } from "@/core/formula";
import type { FormRequest } from "@/core/forming";
import type { Result } from "@/core/result";
import {
  crimpIds,
  glueIds,
  ventKinds,
  type CrimpId,
  type SealRequest,
  type Vents,
  type Wash,
} from "@/core/sealing";
import { extraLimits, formulaLimits, kitchenLimits, pieceLimits } from "./limits";
import { extrasSchema, washSchema } from "./pieceParts";
import { quantity, whole } from "./quantity";
import { formSchema, outlineSchema } from "./shapes";
import { validate, type Fault } from "./validate";

const piece = {
  form: formSchema,
  cut: outlineSchema,
  thicknessMm: quantity(pieceLimits.thicknessMm),
  springBackShare: quantity(formulaLimits.springBackShare).default(0).optional(),
  marginMm: quantity(pieceLimits.marginMm),
  plumpness: quantity(pieceLimits.plumpness),
};

export interface BlanksDocument extends FormRequest {
  readonly densityGPerMl: number;
}

export const blanksSchema = Joi.object({
  ...piece,
  // A required item would ask for one.
  layersMm: Joi.array().items(quantity(extraLimits.heightMm).optional()).max(6).default([]),
  densityGPerMl: quantity(formulaLimits.densityGPerMl),
}).required();

/** A form with the dough it is made of. */
export function validateBlanks(value: unknown): Result<BlanksDocument, Fault[]> {
  return validate(blanksSchema, value);
}

export interface PortionDocument extends Omit<FormRequest, "layersMm"> {
  readonly fillingId: string;
  readonly fillings: readonly { readonly id: string; readonly densityGPerMl: number }[];
  readonly extras: readonly PieceExtra[];
}

const fillingId = Joi.string().min(1).max(MAX_ID_CHARACTERS).required();
export const portionSchema = Joi.object({
  ...piece,
  fillingId,
  fillings: Joi.array()
    .items(Joi.object({ id: fillingId, densityGPerMl: quantity(formulaLimits.densityGPerMl) }))
    .min(1)
    .max(20)
    .unique("id")
    .required(),
  extras: extrasSchema,
}).required();

/** A form with all that goes in it. */
export function validatePortion(value: unknown): Result<PortionDocument, Fault[]> {
  return validate(portionSchema, value);
}

export interface SealDocument extends SealRequest {
  readonly plumpness: number;
  readonly wetness: Wetness;
  readonly vents: Vents;
  readonly topMm2: number;
  readonly wash: Wash;
  readonly chillMin: number;
  readonly seamShare: number;
  readonly crimpsOnOffer: readonly CrimpId[];
  readonly doughC: number;
  readonly smearsC: number;
}

/** Longest seam and largest top that anyone closes by hand. */
const MAX_SEAM_MM = 5000;
const MAX_TOP_MM2 = 1_000_000;
export const sealSchema = Joi.object({
  seamMm: Joi.number().greater(0).max(MAX_SEAM_MM).required(),
  marginMm: quantity(pieceLimits.marginMm),
  crimp: Joi.valid(...crimpIds).required(),
  glue: Joi.valid(...glueIds).default("water"),
  plumpness: quantity(pieceLimits.plumpness),
  wetness: Joi.valid(...wetnesses).default("moist"),
  vents: Joi.object({
    kind: Joi.valid(...ventKinds).required(),
    count: whole(pieceLimits.ventCount),
  }).default({
    kind: "none",
    count: 0,
  }),
  topMm2: Joi.number().min(0).max(MAX_TOP_MM2).required(),
  wash: washSchema,
  chillMin: quantity(pieceLimits.chillMin),
  crimpsOnOffer: Joi.array()
    .items(Joi.valid(...crimpIds))
    .default(crimpIds.filter((crimp) => crimp !== "press" && crimp !== "flush")),
  seamShare: Joi.number().greater(0).max(1).default(1),
  doughC: quantity(kitchenLimits.mixedC),
  smearsC: quantity(formulaLimits.windowHighC),
}).required();

/** A seam and all that decides whether it holds. */
export function validateSeal(value: unknown): Result<SealDocument, Fault[]> {
  return validate(sealSchema, value);
}
