import { Budget } from "../../budget";
import { requireNotNegative, requirePositive } from "../../require";
import { because, fail, ok, type Result } from "../../result";
import {
  computeAreaMm2,
  computeBox,
  computeSheetAreaMm2,
  outerOutline,
  type BoxMm,
  type Outline,
  type SheetShape,
} from "../../shape";
import {
  boundCount,
  type LayoutFailure,
  placePattern,
  turnBox,
  walkPattern,
  type Corner,
  type Placement,
  type RowPattern,
} from "../sheet";
import { findBestDiscRows } from "./discRows";
import { findBestOutlineRows, type RowsRequest } from "./outlineRows";
import { findBestOvalRows } from "./ovalRows";
import { findBestRectangleRows } from "./rectangleRows";

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

/**
 * The best layout of one outline on one sheet in rows a hand can follow.
 * @param budget - Once it is over, the best of what was tried is given.
 * @param least - So many are looked for whatever the time: something always is found, where one fits.
 * @throws {RangeError} If a size is not finite or not above 0, or web or margin is below 0.
 */
export function layOutRows(
  request: LayoutRequest,
  budget = new Budget(),
  least = 1,
): Result<Layout, LayoutFailure> {
  const { sheet, webMm, marginMm } = request;
  const outline = outerOutline(request.outline);
  const pattern = findRows(request, budget, least);
  if (pattern.count === 0) return fail(explainNothing(request));
  return ok({
    outline: request.outline,
    sheet,
    pattern,
    placements: placeCuts(outline, pattern, webMm, { xMm: marginMm, yMm: marginMm }),
    count: pattern.count,
    upperBound: boundCount(outline, sheet, webMm, marginMm),
    usedShare: (pattern.count * computeAreaMm2(outline)) / computeSheetAreaMm2(sheet),
  });
}

/** What the sheet lacks for one cut of {@link layOutRows}. */
export function explainNothing(request: LayoutRequest): LayoutFailure {
  const outline = outerOutline(request.outline);
  const [shortWidthMm, shortHeightMm] = findShortage(computeBox(outline), insideMargin(request));
  return because("nothingFits", { shortWidthMm, shortHeightMm, sheet: request.sheet, outline });
}

/** How many cuts {@link layOutRows} places, without placing them; 0 where not one fits. */
export const countRows = (request: LayoutRequest): number => findRows(request).count;

const insideMargin = ({ sheet, marginMm }: LayoutRequest): BoxMm => ({
  widthMm: sheet.widthMm - 2 * marginMm,
  heightMm: sheet.heightMm - 2 * marginMm,
});

/** The rows of {@link layOutRows} without their cuts; their count is 0 where not one fits. */
export function findRows(request: LayoutRequest, budget = new Budget(), least = 1): RowPattern {
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
    ? findBestOvalRows({ outline, sheet, webMm, marginMm, mayTurn, budget, least })
    : findBestRows({ outline, usable: insideMargin(request), webMm, mayTurn, budget, least });
}

function findBestRows(request: RowsRequest): RowPattern {
  const { outline, usable, webMm, mayTurn } = request;
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
      return findBestOutlineRows(request);
  }
}

/** Every cut of a pattern that begins at a corner of the sheet; one of squares for half squares gives two each. */
export function placeCuts(outline: Outline, pattern: RowPattern, webMm: number, corner: Corner): Placement[] {
  if (outline.kind !== "triangle" || pattern.style !== "halved") return placePattern(pattern, corner);
  const asideMm = halfWebMm(webMm) / 2;
  const placements = new Array<Placement>(pattern.count);
  let at = 0;
  walkPattern(pattern, corner, (xMm, yMm) => {
    placements[at++] = { xMm: xMm - asideMm, yMm: yMm - asideMm, angleDeg: 0 };
    placements[at++] = { xMm: xMm + asideMm, yMm: yMm + asideMm, angleDeg: 180 };
  });
  return placements;
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
