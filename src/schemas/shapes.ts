import Joi from "joi";
import { parsePath, type OutlineKind, type Polygon } from "@/core/shape";
import { benchLimits, outlineLimits, pieceLimits } from "./limits";
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
      : helpers.message({ custom: corners.failure.message });
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

/** One of the forms with its own figures; a bare name is a fold, as documents before the other forms wrote it. */
export const formSchema = Joi.alternatives()
  .conditional(".kind", {
    switch: [
      {
        is: "lidded",
        then: Joi.object({
          kind: Joi.valid("lidded"),
          topOversizeMm: quantity(pieceLimits.topOversizeMm).allow(null),
        }),
      },
      { is: "case", then: Joi.object({ kind: Joi.valid("case"), holeMm: quantity(pieceLimits.holeMm) }) },
      {
        is: "rosette",
        then: Joi.object({
          kind: Joi.valid("rosette"),
          sliceMm: quantity(pieceLimits.sliceMm),
          sliceThicknessMm: quantity(pieceLimits.sliceThicknessMm),
          overlapShare: quantity(pieceLimits.overlapShare),
          cavityMm: quantity(pieceLimits.cavityMm),
        }),
      },
    ],
    otherwise: Joi.alternatives(
      Joi.object({ kind: Joi.valid("halfMoon", "triangle", "rectangle").required() }),
      Joi.valid("halfMoon", "triangle", "rectangle").custom((kind: string) => ({ kind })),
    ),
  })
  .required();

export const boxSchema = Joi.object({
  widthMm: quantity(benchLimits.sheetMaxWidthMm),
  heightMm: quantity(benchLimits.sheetMaxDepthMm),
});

/** A sheet: a rectangle, or an oval in its box. */
export const sheetSchema = boxSchema.keys({ shape: Joi.valid("rectangle", "oval").default("rectangle") });
