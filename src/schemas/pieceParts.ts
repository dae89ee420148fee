import Joi from "joi";
import { doneSigns, tins } from "@/core/plan";
import { crimpIds, glazeKinds, glueIds, ventKinds, washKinds, washSugars } from "@/core/sealing";
import { extraLimits, MAX_EXTRAS, MAX_NAME_CHARACTERS, pieceLimits } from "./limits";
import { quantity, whole } from "./quantity";
import { id, optionalId } from "./recordParts";
import { formerParts, waySchema } from "./wayParts";

const extraParts = {
  layer: { fillingId: id, heightMm: quantity(extraLimits.heightMm) },
  share: { fillingId: id, share: quantity(extraLimits.share) },
  alternate: { fillingId: id, share: quantity(extraLimits.share) },
  sauce: { fillingId: id, eachG: quantity(extraLimits.sauceG), perPan: whole(extraLimits.perPan) },
  inclusion: {
    name: Joi.string().trim().min(1).max(MAX_NAME_CHARACTERS).required(),
    count: whole(extraLimits.count),
    eachG: quantity(extraLimits.eachG),
    gPerMl: quantity(extraLimits.gPerMl),
  },
};

/** What a piece holds beside its main filling. */
export const extrasSchema = Joi.array()
  .items(
    Joi.alternatives().conditional(".kind", {
      switch: Object.entries(extraParts).map(([kind, parts]) => ({
        is: kind,
        then: Joi.object({ kind: Joi.valid(kind), ...parts }),
      })),
      otherwise: Joi.forbidden().messages({
        "any.unknown": `What else a piece holds is one of: ${Object.keys(extraParts).join(", ")}.`,
      }),
    }),
  )
  .max(MAX_EXTRAS)
  .default([]);

export const washSchema = Joi.object({
  kind: Joi.valid(...washKinds).required(),
  coats: whole(pieceLimits.washCoats),
  sugar: Joi.valid(...washSugars).required(),
}).default({ kind: "none", coats: 1, sugar: "none" });

/** How a piece is closed, vented, washed and baked. Left out, it is glued with water, plain, on a bare tray. */
export const finishParts = {
  crimp: Joi.valid(...crimpIds).required(),
  glue: Joi.valid(...glueIds).default("water"),
  vents: Joi.object({
    kind: Joi.valid(...ventKinds).required(),
    count: whole(pieceLimits.ventCount),
  }).default({ kind: "none", count: 0 }),
  wash: washSchema,
  tin: Joi.valid(...tins).default("bare"),
  vesselId: optionalId,
  doneness: Joi.object({
    sign: Joi.valid(...doneSigns).required(),
    moreMin: whole(pieceLimits.moreMin),
    atMost: whole(pieceLimits.atMost),
  }).default({ sign: "golden", moreMin: 2, atMost: 0 }),
  glaze: Joi.object({
    kind: Joi.valid(...glazeKinds).required(),
    /** Of documents from before ways. */
    dryMin: whole(pieceLimits.glazeDryMin).optional().default(0),
  }).default({ kind: "none", dryMin: 0 }),
  way: waySchema,
  ...formerParts,
};
