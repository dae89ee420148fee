import { requireNotNegative, requirePositive } from "../require";
import { fail, ok, type Result } from "../result";
import {
  computeAreaMm2,
  computeBox,
  computeSheetAreaMm2,
  describeOutline,
  describeSheet,
  outerOutline,
  type BoxMm,
  type Outline,
  type SheetShape,
} from "../shape";
import { findBestDiscRows } from "./discRows";
import { findBestOutlineRows } from "./outlineRows";
import { findBestOvalRows } from "./ovalRows";
import { findBestRectangleRows } from "./rectangleRows";
import { placePattern, turnBox, type Placement, type RowPattern } from "./rowPattern";
import { FIT_TOLERANCE_MM } from "./tolerance";

export interface LayoutRequest {
  readonly outline: Outline;
  readonly sheet: SheetShape;
  /** Least dough between two cuts, ≥ 0. */
  readonly webMm: number;
  /** Ragged edge lost all round, ≥ 0. */
  readonly marginMm: number;
  /** Cuts may be turned as suits; false where the dough's grain allows only half turns. */
  readonly mayTurn: boolean;
}

/** Cuts on one sheet. */
export interface Layout {
  readonly outline: Outline;
  readonly sheet: SheetShape;
  readonly pattern: RowPattern;
  readonly placements: readonly Placement[];
  readonly count: number;
  /** No arrangement whatever can hold more than this. */
  readonly upperBound: number;
  /** Share of the sheet that becomes blanks, 0–1; a ring's centre counts, for it is kept. */
  readonly usedShare: number;
}

/** Not one cut fits: how much larger the sheet would have to be. */
export interface LayoutFault {
  readonly kind: "nothingFits";
  readonly shortWidthMm: number;
  readonly shortHeightMm: number;
  readonly message: string;
}

/**
 * The best layout of one outline on one sheet in rows a hand can follow.
 * @throws {RangeError} If a size is not finite or not above 0, or web or margin is below 0.
 */
export function layOutRows(request: LayoutRequest): Result<Layout, LayoutFault> {
  const { sheet, webMm, marginMm } = request;
  const outline = outerOutline(request.outline);
  const box = computeBox(outline);
  const usable = insideMargin(request);
  const pattern = findPattern(request);
  if (pattern.count === 0) {
    const [shortWidthMm, shortHeightMm] = findShortage(box, usable);
    const short = describeShort(shortWidthMm, shortHeightMm);
    const message = short
      ? `Not one fits: the sheet is ${short}, ragged edge counted.`
      : `Not one fits: a ${describeSheet(sheet)} sheet is too narrow at its ends for ${describeOutline(outline)}.`;
    return fail({ kind: "nothingFits", shortWidthMm, shortHeightMm, message });
  }
  return ok({
    outline: request.outline,
    sheet,
    pattern,
    placements: placeCuts(outline, pattern, webMm, marginMm),
    count: pattern.count,
    upperBound: boundCount(outline, sheet, webMm, marginMm),
    usedShare: (pattern.count * computeAreaMm2(outline)) / computeSheetAreaMm2(sheet),
  });
}

/** How many cuts {@link layOutRows} places, without placing them; 0 where not one fits. */
export const countRows = (request: LayoutRequest): number => findPattern(request).count;

const insideMargin = ({ sheet, marginMm }: LayoutRequest): BoxMm => ({
  widthMm: sheet.widthMm - 2 * marginMm,
  heightMm: sheet.heightMm - 2 * marginMm,
});

function findPattern(request: LayoutRequest): RowPattern {
  const { sheet, webMm, marginMm, mayTurn } = request;
  const outline = outerOutline(request.outline);
  for (const [name, size] of Object.entries({
    ...computeBox(outline),
    sheetWidthMm: sheet.widthMm,
    sheetHeightMm: sheet.heightMm,
  })) {
    requirePositive(name, size);
  }
  requireNotNegative("webMm", webMm);
  requireNotNegative("marginMm", marginMm);
  return sheet.shape === "oval"
    ? findBestOvalRows(outline, sheet, webMm, marginMm, mayTurn)
    : findBestRows(outline, insideMargin(request), webMm, mayTurn);
}

function findBestRows(outline: Outline, usable: BoxMm, webMm: number, mayTurn: boolean): RowPattern {
  switch (outline.kind) {
    case "disc":
      return findBestDiscRows(outline.diameterMm, usable, webMm);
    case "square":
    case "rectangle":
      return findBestRectangleRows(computeBox(outline), usable, webMm, mayTurn);
    case "triangle": {
      const squares = findBestRectangleRows(squareOfTwo(outline.legMm, webMm), usable, webMm, false);
      return { ...squares, style: "halved", count: 2 * squares.count };
    }
    default:
      return findBestOutlineRows(outline, usable, webMm, mayTurn);
  }
}

/** Every cut of a pattern on the sheet; a pattern of squares for half squares gives two each. */
export function placeCuts(
  outline: Outline,
  pattern: RowPattern,
  webMm: number,
  marginMm: number,
): Placement[] {
  const placements = placePattern(pattern, marginMm);
  if (outline.kind !== "triangle" || pattern.style !== "halved") return placements;
  const asideMm = halfWebMm(webMm) / 2;
  return placements.flatMap(({ xMm, yMm }) => [
    { xMm: xMm - asideMm, yMm: yMm - asideMm, angleDeg: 0 },
    { xMm: xMm + asideMm, yMm: yMm + asideMm, angleDeg: 180 },
  ]);
}

/** How far two half squares are moved apart along each side so that a web lies between their long edges. */
const halfWebMm = (webMm: number) => webMm / Math.SQRT2;

/** The square that two half squares are cut from. */
export function squareOfTwo(legMm: number, webMm: number): BoxMm {
  const sideMm = legMm + halfWebMm(webMm);
  return { widthMm: sideMm, heightMm: sideMm };
}

/** What the sheet lacks in width and height for one piece, turned if that lacks less. */
function findShortage(box: BoxMm, usable: BoxMm): readonly [number, number] {
  const lack = ({ widthMm, heightMm }: BoxMm) =>
    [Math.max(widthMm - usable.widthMm, 0), Math.max(heightMm - usable.heightMm, 0)] as const;
  const [upright, turned] = [lack(box), lack(turnBox(box))];
  return upright[0] + upright[1] <= turned[0] + turned[1] ? upright : turned;
}

function describeShort(widthMm: number, heightMm: number): string {
  const parts = [
    widthMm > 0 ? `${widthMm.toFixed(0)} mm too narrow` : "",
    heightMm > 0 ? `${heightMm.toFixed(0)} mm too low` : "",
  ];
  return parts.filter(Boolean).join(" and ");
}

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
