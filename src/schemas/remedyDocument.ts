import Joi from "joi";
import type { Result } from "@/core/result";
import { figureIds, troubles, type LotFigures, type RemedyChange, type Trouble } from "@/core/remedy";
import { validate, type Fault } from "./validate";

/** A trouble with what stands on record of its lot. */
export interface RemedyDocument {
  readonly trouble: Trouble;
  readonly figures: LotFigures;
}

/** Whatever a figure is of, beyond this it was misread. */
const MOST_FIGURE = 1000;

const remedySchema = Joi.object({
  trouble: Joi.valid(...troubles).required(),
  figures: Joi.object(
    Object.fromEntries(figureIds.map((id) => [id, Joi.number().min(-MOST_FIGURE).max(MOST_FIGURE)])),
  ).default({}),
}).required();

export const validateRemedy = (value: unknown): Result<RemedyDocument, Fault[]> =>
  validate(remedySchema, value);

/** A remedy that is taken for a piece. */
export interface TakenRemedy {
  readonly pieceId: string;
  readonly change: RemedyChange;
}

const step = (most: number) => Joi.number().min(-most).max(most).required();
const changeSchema = Joi.alternatives()
  .try(
    Joi.object({ kind: Joi.valid("marginMm", "thicknessMm").required(), byMm: step(20) }),
    Joi.object({ kind: Joi.valid("plumpness", "vents", "washCoats").required(), by: step(10) }),
    Joi.object({ kind: Joi.valid("restMin", "chillMin").required(), byMin: step(240) }),
    Joi.object({ kind: Joi.valid("bakeC").required(), byC: step(100) }),
    Joi.object({ kind: Joi.valid("bakeMin", "perBasket").required(), byShare: step(0.9) }),
  )
  .required();

export const validateTakenRemedy = (value: unknown): Result<TakenRemedy, Fault[]> =>
  validate(Joi.object({ pieceId: Joi.string().max(200).required(), change: changeSchema }).required(), value);
