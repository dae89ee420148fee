import Joi from "joi";
import { checkMaking, makingKinds, MOST_MAKING_STEPS, toMaking, type FormerMaking } from "@/core/formula";
import { sayFailure } from "@/core/words";
import { formulaLimits, MAX_NAME_CHARACTERS, MAX_PARTS } from "./limits";
import type { Filling } from "./model";
import { quantity } from "./quantity";
import { id, MAX_ID_CHARACTERS, name } from "./recordParts";

/** The steps of a filling in their order. */
export const makingSchema = Joi.array()
  .items(
    Joi.object({
      id: Joi.string().min(1).max(MAX_ID_CHARACTERS).required(),
      kind: Joi.valid(...makingKinds).required(),
      name: Joi.string().trim().allow("").max(MAX_NAME_CHARACTERS).default(""),
      handsMin: quantity(formulaLimits.makingHandsMin).optional().default(0),
      minutes: quantity(formulaLimits.makingMin).optional().default(0),
    }),
  )
  .unique("id")
  .max(MOST_MAKING_STEPS);

/** How documents from before makings described one; `toFilling` takes them. */
export const formerMakingParts = {
  mixMin: quantity(formulaLimits.mixMin).optional(),
  coolMin: quantity(formulaLimits.makingMin).optional(),
  precooked: Joi.array()
    .items(
      Joi.object({
        id,
        name: name("A part"),
        handMin: quantity(formulaLimits.makingHandsMin),
        cookMin: quantity(formulaLimits.makingMin),
        coolMin: quantity(formulaLimits.makingMin),
      }),
    )
    .unique("id")
    .max(MAX_PARTS),
};

/** A filling as it is described now or was before it had a making. */
export type AnyFilling = Omit<Filling, "making"> & Partial<Pick<Filling, "making">> & FormerMaking;

/** The filling with the making that it says, or that its former figures meant. */
export function toFilling({ making, precooked, mixMin, coolMin, ...rest }: AnyFilling): Filling {
  return { ...rest, making: making ?? toMaking({ precooked, mixMin, coolMin }) };
}

/** Either said as a making or as it used to be; an order that cannot be is refused with its reason. */
export const settleFilling: Joi.CustomValidator<AnyFilling> = (value, helpers) => {
  const filling = toFilling(value);
  const [fault] = checkMaking(filling.making);
  return fault ? helpers.message({ custom: sayFailure(fault) }) : filling;
};
