import Joi from "joi";
import type { Result } from "@/core/result";
import { figureIds, troubles, type LotFigures, type RemedyChange, type Trouble } from "@/core/remedy";
import { MAX_ID_CHARACTERS } from "./recordParts";
import { validate, type Fault } from "./validate";

/** A trouble with what stands on record of its lot. */
export interface RemedyDocument {
  readonly trouble: Trouble;
  readonly figures: LotFigures;
}

/** Whatever a figure is of, beyond this it was misread. */
const MOST_FIGURE = 1000;

export const remedySchema = Joi.object({
  trouble: Joi.valid(...troubles).required(),
  figures: Joi.object(
    Object.fromEntries(figureIds.map((id) => [id, Joi.number().min(-MOST_FIGURE).max(MOST_FIGURE)])),
  ).default({}),
}).required();

export const validateRemedy = (value: unknown): Result<RemedyDocument, Fault[]> =>
  validate(remedySchema, value);

/** A remedy for a piece. */
export interface PieceRemedy {
  readonly pieceId: string;
  readonly change: RemedyChange;
}

/** A remedy that is taken. */
export interface TakenRemedy extends PieceRemedy {
  /** From now on, so that the rest of the day is planned anew; or from the next day on, and this one stays as it was. */
  readonly from: "now" | "next";
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

const pieceRemedy = { pieceId: Joi.string().max(MAX_ID_CHARACTERS).required(), change: changeSchema };

export const pieceRemedySchema = Joi.object(pieceRemedy).required();
export const takenRemedySchema = Joi.object({
  ...pieceRemedy,
  from: Joi.valid("now", "next").default("now"),
}).required();

export const validatePieceRemedy = (value: unknown): Result<PieceRemedy, Fault[]> =>
  validate(pieceRemedySchema, value);

export const validateTakenRemedy = (value: unknown): Result<TakenRemedy, Fault[]> =>
  validate(takenRemedySchema, value);
