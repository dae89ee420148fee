import {
  computeAreaMm2,
  computeBox,
  computeSheetAreaMm2,
  outerOutline,
  type Outline,
  type SheetShape,
} from "../../shape";
import { countNeeds, type Ratioed } from "./sets";
import { FIT_TOLERANCE_MM } from "./tolerance";

/**
 * An upper bound on the cuts any arrangement can place on a sheet, whatever the rows.
 * Discs: Oler's inequality for points at mutual distance s in the convex region of centres,
 * n ≤ 2A/(√3 s²) + P/(2s) + 1. All: area, each cut taking half its web with it on every side.
 * @see N. Oler, An inequality in the geometry of numbers, Acta Mathematica 105 (1961).
 */
export function boundCount(outline: Outline, sheet: SheetShape, webMm: number, marginMm: number): number {
  const grown = measureInset(sheet, marginMm - webMm / 2);
  const area = grown.areaMm2 / grownAreaMm2(outline, webMm);
  if (outline.kind !== "disc") return Math.floor(area + FIT_TOLERANCE_MM);
  const centres = measureInset(sheet, marginMm + outline.diameterMm / 2);
  if (centres.isEmpty) return 0;
  const spacingMm = outline.diameterMm + webMm;
  const oler =
    (2 * centres.areaMm2) / (Math.sqrt(3) * spacingMm ** 2) + centres.perimeterMm / (2 * spacingMm) + 1;
  return Math.floor(Math.min(oler, area) + FIT_TOLERANCE_MM);
}

/**
 * Area and perimeter of the sheet less a border, or with one added where it is below 0; of an oval never less than
 * the true ones: its inset lies inside the oval of shortened axes.
 */
function measureInset(sheet: SheetShape, borderMm: number) {
  const widthMm = sheet.widthMm - 2 * borderMm;
  const heightMm = sheet.heightMm - 2 * borderMm;
  const isEmpty = widthMm < -FIT_TOLERANCE_MM || heightMm < -FIT_TOLERANCE_MM;
  const [w, h] = [Math.max(widthMm, 0), Math.max(heightMm, 0)];
  if (sheet.shape !== "oval") return { areaMm2: w * h, perimeterMm: 2 * (w + h), isEmpty };
  if (borderMm < 0) {
    // Steiner's formula for what lies within a distance of a convex body.
    const perimeterMm = ovalPerimeterMm(sheet.widthMm, sheet.heightMm);
    return {
      areaMm2: computeSheetAreaMm2(sheet) - perimeterMm * borderMm + Math.PI * borderMm ** 2,
      perimeterMm: perimeterMm - 2 * Math.PI * borderMm,
      isEmpty,
    };
  }
  return { areaMm2: (Math.PI * w * h) / 4, perimeterMm: ovalPerimeterMm(w, h), isEmpty };
}

/** Not less than an oval's perimeter (by the mean square of its axes). */
const ovalPerimeterMm = (widthMm: number, heightMm: number) =>
  Math.PI * Math.sqrt((widthMm ** 2 + heightMm ** 2) / 2);

/** What a cut takes up with half its web round it; of an outline of its own not more (Brunn and Minkowski). */
function grownAreaMm2(outline: Outline, webMm: number): number {
  if (outline.kind === "square" || outline.kind === "rectangle") {
    const box = computeBox(outline);
    // Rectangles that all lie upright or turned keep their web as rectangles.
    return (box.widthMm + webMm) * (box.heightMm + webMm);
  }
  return (Math.sqrt(computeAreaMm2(outline)) + (Math.sqrt(Math.PI) * webMm) / 2) ** 2;
}

/**
 * An upper bound on the whole sets of several outlines that any arrangement can place: none of them alone more often
 * than {@link boundCount} says, all together within the area, each with half its web round it.
 */
export function boundSets(
  outlines: readonly (Ratioed & { readonly outline: Outline })[],
  sheet: SheetShape,
  webMm: number,
  marginMm: number,
): number {
  const grownMm2 = measureInset(sheet, marginMm - webMm / 2).areaMm2;
  const parts = outlines.map(({ outline }) => ({
    most: boundCount(outerOutline(outline), sheet, webMm, marginMm),
    areaMm2: grownAreaMm2(outerOutline(outline), webMm),
  }));
  const needs = countNeeds(outlines);
  const mayFit = (sets: number) => {
    const counts = needs(sets);
    const usedMm2 = parts.reduce((sum, { areaMm2 }, i) => sum + areaMm2 * counts[i]!, 0);
    return usedMm2 <= grownMm2 + FIT_TOLERANCE_MM && parts.every(({ most }, i) => counts[i]! <= most);
  };
  // What is needed grows with the sets: the last that may fit lies below the first that may not.
  let [sets, beyond] = [0, Math.min(...parts.map(({ most }) => most)) + 1];
  while (beyond - sets > 1) {
    const middle = (sets + beyond) >> 1;
    if (mayFit(middle)) sets = middle;
    else beyond = middle;
  }
  return sets;
}
