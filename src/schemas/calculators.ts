import Joi from "joi";
import type { Ingredient, ScaleBy } from "@/core/formula";
import type { ReadinessRequest } from "@/core/heat";
import type { Result } from "@/core/result";
import type { EggSize, MeasureSystem } from "@/core/units";
import { eggSizes } from "@/core/units";
import { firstKitchen } from "./firstKitchen";
import {
  formulaLimits,
  heatLimits,
  kitchenLimits,
  MAX_PASTE_CHARACTERS,
  orderLimits,
  pieceLimits,
  weighingLimits,
} from "./limits";
import type { Formula } from "./model";
import { quantity, whole } from "./quantity";
import { recordSchemas } from "./records";
import { validate, type Fault } from "./validate";

const system = Joi.valid("metric", "us", "imperial").default(firstKitchen.system);
const eggSize = Joi.valid(...eggSizes).default(firstKitchen.eggSize);

export interface ParseDocument {
  readonly text: string;
  readonly system: MeasureSystem;
  readonly eggSize: EggSize;
  readonly ingredients: readonly Ingredient[];
}

export const parseSchema = Joi.object({
  text: Joi.string().min(1).max(MAX_PASTE_CHARACTERS).required(),
  system,
  eggSize,
  ingredients: Joi.array().items(recordSchemas.ingredient).max(500).default([]),
}).required();

/** A formula's text and whose measures it is written in. */
export function validateParse(value: unknown): Result<ParseDocument, Fault[]> {
  return validate(parseSchema, value);
}

export interface ScaleDocument {
  readonly formula: Formula;
  readonly to: ScaleBy;
  readonly eggSize: EggSize;
}

const usableG = quantity(weighingLimits.mixG);
export const scaleSchema = Joi.object({
  formula: recordSchemas.formula.required(),
  to: Joi.alternatives()
    .conditional(".by", {
      switch: [
        { is: "mass", then: Joi.object({ by: Joi.valid("mass"), usableG }) },
        {
          is: "pieces",
          then: Joi.object({
            by: Joi.valid("pieces"),
            pieces: whole({ ...orderLimits.count, label: "Pieces" }),
            perPieceG: usableG,
          }),
        },
        {
          is: "ingredient",
          then: Joi.object({ by: Joi.valid("ingredient"), lineId: Joi.string().required(), massG: usableG }),
        },
        { is: "wholeEggs", then: Joi.object({ by: Joi.valid("wholeEggs"), usableG }) },
      ],
      otherwise: Joi.forbidden().messages({
        "any.unknown": "Scale by mass, pieces, ingredient or wholeEggs.",
      }),
    })
    .required(),
  eggSize,
}).required();

/** A formula and what it is to be scaled by. */
export function validateScale(value: unknown): Result<ScaleDocument, Fault[]> {
  return validate(scaleSchema, value);
}

/** Longest side of a piece of dough that is reckoned with. */
const size = (label: string) => quantity({ ...heatLimits.bodyMm, label });
const share = Joi.number().min(0).max(1).required();
/** A body as conduction sees it. */
export const bodySchema = Joi.alternatives()
  .conditional(".kind", {
    switch: [
      { is: "slab", then: Joi.object({ kind: Joi.valid("slab"), thicknessMm: size("Thickness") }) },
      {
        is: "disc",
        then: Joi.object({
          kind: Joi.valid("disc"),
          diameterMm: size("Diameter"),
          heightMm: size("Height"),
        }),
      },
      {
        is: "log",
        then: Joi.object({
          kind: Joi.valid("log"),
          diameterMm: size("Diameter"),
          lengthMm: size("Length"),
        }),
      },
      { is: "ball", then: Joi.object({ kind: Joi.valid("ball"), diameterMm: size("Diameter") }) },
      {
        is: "brick",
        then: Joi.object({
          kind: Joi.valid("brick"),
          lengthMm: size("Length"),
          widthMm: size("Width"),
          heightMm: size("Height"),
        }),
      },
    ],
    otherwise: Joi.forbidden().messages({
      "any.unknown": "A body is a slab, a disc, a log, a ball or a brick.",
    }),
  })
  .required();

/** What it is made of, shares of its mass. */
export const compositionSchema = Joi.object({
  waterShare: share,
  fatShare: share,
  sugarShare: share,
  starchShare: share,
})
  .custom((parts: ReadinessRequest["composition"], helpers) =>
    parts.waterShare + parts.fatShare + parts.sugarShare + parts.starchShare > 1 + 1e-9
      ? helpers.message({ custom: "Water, fat, sugar and starch come to more than the whole. Lower one." })
      : parts,
  )
  .required();

export const chillSchema = Joi.object({
  body: bodySchema,
  composition: compositionSchema,
  densityGPerMl: quantity(formulaLimits.densityGPerMl),
  window: Joi.object({
    lowC: quantity(formulaLimits.windowLowC),
    highC: quantity(formulaLimits.windowHighC).greater(Joi.ref("lowC")),
  }).required(),
  mixedC: quantity(kitchenLimits.mixedC),
  wrapped: Joi.boolean().default(true),
  turned: Joi.boolean().default(false),
  fridgeC: quantity(kitchenLimits.fridgeC),
  freezerC: quantity(kitchenLimits.freezerC),
  roomC: quantity(kitchenLimits.roomC),
  sheetThicknessMm: quantity(pieceLimits.thicknessMm),
}).required();

/** A piece of dough, its kitchen and the temperatures at which it rolls. */
export function validateChill(value: unknown): Result<ReadinessRequest, Fault[]> {
  return validate(chillSchema, value);
}
