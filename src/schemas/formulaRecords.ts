import Joi from "joi";
import {
  dividedShapes,
  doughMethods,
  fatParticles,
  fillingFamilies,
  fillingMeasures,
  liquidSchools,
  restWays,
  tartnesses,
  trimEnds,
  wetnesses,
} from "@/core/formula";
import {
  formulaLimits,
  MAX_FORMULA_LINES,
  MAX_FORMULA_STEPS,
  MAX_PARTS,
  MAX_STEP_CHARACTERS,
} from "./limits";
import { formerMakingParts, makingSchema, settleFilling } from "./makingParts";
import { quantity, whole } from "./quantity";
import { id, name, optionalId } from "./recordParts";

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
  steps: Joi.array()
    .items(Joi.string().trim().min(1).max(MAX_STEP_CHARACTERS))
    .max(MAX_FORMULA_STEPS)
    .default([]),
  keepsDays: whole(formulaLimits.keepsDays).default(2).optional(),
};

const doughSchema = Joi.object({
  ...formulaBase,
  kind: Joi.valid("dough").required(),
  mixMin: quantity(formulaLimits.mixMin),
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
  dividedCount: whole(formulaLimits.dividedCount).allow(null).default(null).optional(),
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
  making: makingSchema.optional(),
  ...formerMakingParts,
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
}).custom(settleFilling);

/** A dough or a filling. */
export const formulaSchema = Joi.alternatives().conditional(".kind", {
  is: "filling",
  then: fillingSchema,
  otherwise: doughSchema,
});
