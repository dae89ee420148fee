import Joi from "joi";
import { parsePath, type OutlineKind, type Polygon } from "@/core/shape";
import { formKinds, mouldKinds, type FormKind, type Mould } from "@/core/forming";
import { sayFailure } from "@/core/words";
import { benchLimits, mouldLimits, outlineLimits, pieceLimits } from "./limits";
import { quantity, whole } from "./quantity";

const diameterMm = quantity(pieceLimits.diameterMm);
const widthMm = quantity(pieceLimits.widthMm);
const heightMm = quantity(pieceLimits.heightMm);
/** A drawn outline is kept as corners; what is typed or dropped is path data, read by `parsePath`. */
const corner = Joi.array().ordered(Joi.number().required(), Joi.number().required());
const outlineParts: Readonly<Record<OutlineKind, Joi.PartialSchemaMap>> = {
  disc: { diameterMm },
  oval: { widthMm, heightMm },
  square: { sideMm: quantity(pieceLimits.sideMm) },
  rectangle: { widthMm, heightMm },
  triangle: { legMm: quantity(pieceLimits.sideMm) },
  ring: {
    diameterMm,
    holeMm: quantity(pieceLimits.holeMm)
      .less(Joi.ref("diameterMm"))
      .messages({ "number.less": "The centre of a ring must be smaller than the ring." }),
  },
  polygon: { diameterMm, sides: whole(outlineLimits.sides) },
  scalloped: { diameterMm, lobes: whole(outlineLimits.lobes) },
  star: { diameterMm, points: whole(outlineLimits.points) },
  heart: { widthMm, heightMm },
  leaf: { widthMm, heightMm },
  path: {},
};
/** A drawn outline: its corners as they are kept, or SVG path data in millimetres as it comes from elsewhere. */
const pathSchema = Joi.object({
  kind: Joi.valid("path"),
  corners: Joi.array().items(corner).min(3).max(600),
  d: Joi.string(),
})
  .xor("corners", "d")
  .custom((outline: { d?: string; corners?: Polygon }, helpers) => {
    if (outline.d === undefined) return outline;
    const corners = parsePath(outline.d);
    return corners.ok
      ? { kind: "path", corners: corners.value }
      : helpers.message({ custom: sayFailure(corners.failure) });
  });
export const outlineSchema = Joi.alternatives()
  .conditional(".kind", {
    switch: Object.entries(outlineParts).map(([kind, parts]) => ({
      is: kind,
      then: kind === "path" ? pathSchema : Joi.object({ kind: Joi.valid(kind), ...parts }),
    })),
    otherwise: Joi.forbidden().messages({
      "any.unknown": `An outline is one of: ${Object.keys(outlineParts).join(", ")}.`,
    }),
  })
  .required();

const mouldAxis = Joi.object({
  baseMm: quantity(mouldLimits.baseMm),
  rimMm: quantity(mouldLimits.rimMm)
    .min(Joi.ref("baseMm"))
    .messages({ "number.min": "A mould is not narrower at its rim than at its base." }),
});
const mouldSchema = Joi.object({
  kind: Joi.valid(...mouldKinds).required(),
  axes: Joi.array().items(mouldAxis).min(1).max(2).required(),
  depthMm: quantity(mouldLimits.depthMm),
  fluteMm: quantity(mouldLimits.fluteMm),
})
  .custom((mould: Mould, helpers) =>
    (mould.kind === "oval") === (mould.axes.length === 2)
      ? mould
      : helpers.message({ custom: "An oval mould has two axes, every other one." }),
  )
  .required();

const toppingSchema = Joi.alternatives()
  .conditional(".kind", {
    is: "cutOut",
    then: Joi.object({ kind: Joi.valid("cutOut"), outline: outlineSchema }),
    otherwise: Joi.object({ kind: Joi.valid("open", "lid").required() }),
  })
  .required();

const stickSchema = Joi.object({
  lengthMm: quantity(pieceLimits.stickLengthMm),
  thicknessMm: quantity(pieceLimits.stickThicknessMm),
})
  .optional()
  .allow(null)
  .default(null);

type FormFields = Readonly<Record<string, Joi.Schema>>;
const { topOversizeMm, ...limits } = pieceLimits;
const figures = (names: readonly (keyof typeof limits)[]): FormFields =>
  Object.fromEntries(names.map((each) => [each, quantity(limits[each])]));

/** What each form needs to know, by its kind; the folds need nothing more. */
const formParts: Readonly<Record<FormKind, FormFields>> = {
  halfMoon: {},
  triangle: {},
  rectangle: {},
  largeFold: { ...figures(["spreadMm"]), servings: whole(pieceLimits.servings) },
  lidded: { topOversizeMm: quantity(topOversizeMm).allow(null), stick: stickSchema },
  wrapped: figures(["fruitMm", "fruitHeightMm", "footMm", "coreMm", "overlapMm"]),
  gathered: {
    ...figures(["finishedMm"]),
    heapMm: quantity(pieceLimits.heapMm).allow(null).default(null).optional(),
  },
  lined: { mould: mouldSchema, topping: toppingSchema },
  case: figures(["holeMm"]),
  rosette: figures(["sliceMm", "sliceThicknessMm", "overlapShare", "cavityMm"]),
  puck: { mould: mouldSchema, ...figures(["logMm", "sheetMm"]), stacked: whole(pieceLimits.stacked) },
  pressed: figures(["pressMm"]),
};

/** One of the forms with its own figures; a bare name is a fold, as documents before the other forms wrote it. */
export const formSchema = Joi.alternatives()
  .conditional(".kind", {
    switch: formKinds.map((kind) => ({
      is: kind,
      then: Joi.object({ kind: Joi.valid(kind), ...formParts[kind] }),
    })),
    otherwise: Joi.valid("halfMoon", "triangle", "rectangle")
      .custom((kind: string) => ({ kind }))
      .messages({ "any.only": `A form is one of: ${formKinds.join(", ")}.` }),
  })
  .required();

export const boxSchema = Joi.object({
  widthMm: quantity(benchLimits.sheetMaxWidthMm),
  heightMm: quantity(benchLimits.sheetMaxDepthMm),
});

/** A sheet: a rectangle, or an oval in its box. */
export const sheetSchema = boxSchema.keys({ shape: Joi.valid("rectangle", "oval").default("rectangle") });
