import Joi from "joi";
import { checkWay, MOST_STEPS, stepKinds, toWay, type FormerWay, type Way } from "@/core/way";
import { MAX_ID_CHARACTERS } from "./recordParts";
import { MAX_NAME_CHARACTERS, MAX_NOTE_CHARACTERS, MAX_STAGES, pieceLimits, stepLimits } from "./limits";
import type { Piece } from "./model";
import { quantity, whole } from "./quantity";
import { heatWays, stageActs } from "@/core/way";
import { sayFailure } from "@/core/words";

const stepSchema = Joi.object({
  id: Joi.string().min(1).max(MAX_ID_CHARACTERS).required(),
  kind: Joi.valid(...stepKinds).required(),
  fillingId: Joi.string().min(1).max(MAX_ID_CHARACTERS).allow(null).default(null),
  thing: Joi.object({
    name: Joi.string().trim().min(1).max(MAX_NAME_CHARACTERS).required(),
    count: whole(stepLimits.count),
    eachG: quantity(stepLimits.eachG),
  })
    .allow(null)
    .default(null),
  heatC: quantity(pieceLimits.ovenC).allow(null).optional().default(null),
  minutes: quantity(stepLimits.minutes).optional().default(0),
  handsS: quantity(stepLimits.handsS).allow(null).optional().default(null),
  mostWaitMin: quantity(stepLimits.mostWaitMin).allow(null).optional().default(null),
  note: Joi.string().trim().allow("").max(MAX_NOTE_CHARACTERS).default(""),
}).custom((step: Way[number], helpers) =>
  (step.kind === "bake" || step.kind === "fry") && step.heatC === null
    ? helpers.message({ custom: "A heat needs its degrees." })
    : step,
);

/** The steps of a piece in their order. */
export const waySchema = Joi.array().items(stepSchema).unique("id").max(MOST_STEPS);

/** How documents from before ways described one; `toPiece` takes them. */
export const formerParts = {
  heatBy: Joi.valid(...heatWays),
  stages: Joi.array()
    .items(
      Joi.object({
        ovenC: quantity(pieceLimits.ovenC),
        minutes: quantity(pieceLimits.bakeMin),
        act: Joi.valid(...stageActs).default("none"),
      }),
    )
    .min(1)
    .max(MAX_STAGES),
  chillMin: quantity(pieceLimits.chillMin).optional(),
  coolMin: quantity(pieceLimits.coolMin).optional(),
  unmould: Joi.object({
    fromMin: whole(pieceLimits.unmouldFromMin),
    untilMin: whole(pieceLimits.unmouldUntilMin)
      .min(Joi.ref("fromMin"))
      .allow(null)
      .messages({ "number.min": "It must be out of its mould after it may be, not before." }),
  }).allow(null),
};

type FormerFields = Pick<FormerWay, "heatBy" | "stages" | "chillMin" | "coolMin" | "unmould">;

/** A piece as it was described before it had a way. */
export type FormerPiece = Omit<Piece, "way" | "glaze"> &
  Partial<FormerFields> & { readonly stages: FormerWay["stages"]; readonly glaze: FormerWay["glaze"] };

/** The piece with the way that its former figures meant. */
export function toPiece(former: FormerPiece): Piece {
  const { heatBy = "oven", stages, chillMin = 0, coolMin = 0, unmould = null, glaze, ...rest } = former;
  return {
    ...rest,
    glaze: { kind: glaze.kind },
    way: toWay({ ...rest, heatBy, stages, chillMin, coolMin, unmould, glaze }),
  };
}

/** Either said as a way or as it used to be; an order that cannot be is refused with its reason. */
export const settlePiece: Joi.CustomValidator<(Piece & Partial<FormerFields>) | FormerPiece> = (
  value,
  helpers,
) => {
  const piece = "way" in value ? withoutFormer(value) : value.stages ? toPiece(value) : null;
  if (!piece) return helpers.message({ custom: "A piece needs its way: a list of steps." });
  const [fault] = checkWay(piece.way, piece);
  return fault ? helpers.message({ custom: sayFailure(fault) }) : piece;
};

/** A way says it all: what is told beside it of heats and waits is not heard. */
function withoutFormer(value: Piece & Partial<FormerFields>): Piece {
  const former: readonly string[] = ["heatBy", "stages", "chillMin", "coolMin", "unmould"];
  const fields = Object.fromEntries(Object.entries(value).filter(([name]) => !former.includes(name)));
  return { ...(fields as unknown as Piece), glaze: { kind: value.glaze.kind } };
}
