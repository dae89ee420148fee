import { requireNotNegative, requirePositive } from "../require";
import { fail, ok, type Result } from "../result";
import { computeAreaMm2, computeBox, type BoxMm, type Outline } from "../shape";
import { findBestDiscRows } from "./discRows";
import { findBestRectangleRows } from "./rectangleRows";
import { placePattern, turnBox, type Placement, type RowPattern } from "./rowPattern";
import { FIT_TOLERANCE_MM } from "./tolerance";

export interface LayoutRequest {
  readonly outline: Outline;
  readonly sheet: BoxMm;
  /** Least dough between two cuts, ≥ 0. */
  readonly webMm: number;
  /** Ragged edge lost all round, ≥ 0. */
  readonly marginMm: number;
}

/** Cuts on one sheet. */
export interface Layout {
  readonly sheet: BoxMm;
  readonly pattern: RowPattern;
  readonly placements: readonly Placement[];
  readonly count: number;
  /** No arrangement whatever can hold more than this. */
  readonly upperBound: number;
  /** Share of the sheet that becomes blanks, 0–1. */
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
  const { outline, sheet, webMm, marginMm } = request;
  const box = computeBox(outline);
  for (const [name, size] of Object.entries({
    ...box,
    sheetWidthMm: sheet.widthMm,
    sheetHeightMm: sheet.heightMm,
  })) {
    requirePositive(name, size);
  }
  requireNotNegative("webMm", webMm);
  requireNotNegative("marginMm", marginMm);
  const usable = { widthMm: sheet.widthMm - 2 * marginMm, heightMm: sheet.heightMm - 2 * marginMm };
  const pattern =
    outline.kind === "disc"
      ? findBestDiscRows(outline.diameterMm, usable, webMm)
      : findBestRectangleRows(box, usable, webMm);
  if (pattern.count === 0) {
    const [shortWidthMm, shortHeightMm] = findShortage(box, usable);
    const message = `Not one fits: the sheet is ${describeShort(shortWidthMm, shortHeightMm)}, ragged edge counted.`;
    return fail({ kind: "nothingFits", shortWidthMm, shortHeightMm, message });
  }
  return ok({
    sheet,
    pattern,
    placements: placePattern(pattern, marginMm),
    count: pattern.count,
    upperBound: boundCount(outline, usable, webMm),
    usedShare: (pattern.count * computeAreaMm2(outline)) / (sheet.widthMm * sheet.heightMm),
  });
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
 * An upper bound on the cuts any arrangement can place in `usable`, whatever the rows.
 * Discs: Oler's inequality for points at mutual distance s in the convex rectangle of centres,
 * n ≤ 2A/(√3 s²) + P/(2s) + 1. Rectangles and discs: area, each cut taking its web with it.
 * @see N. Oler, An inequality in the geometry of numbers, Acta Mathematica 105 (1961).
 */
export function boundCount(outline: Outline, usable: BoxMm, webMm: number): number {
  const box = computeBox(outline);
  const alongMm = usable.widthMm - box.widthMm;
  const acrossMm = usable.heightMm - box.heightMm;
  // A cut grown by half a web on every side stays clear of the others in a sheet grown the same way.
  const grownMm2 = (usable.widthMm + webMm) * (usable.heightMm + webMm);
  if (outline.kind !== "disc") {
    return Math.floor(grownMm2 / ((box.widthMm + webMm) * (box.heightMm + webMm)) + FIT_TOLERANCE_MM);
  }
  if (alongMm < 0 || acrossMm < 0) return 0;
  const spacingMm = outline.diameterMm + webMm;
  const oler =
    (2 * alongMm * acrossMm) / (Math.sqrt(3) * spacingMm ** 2) + (alongMm + acrossMm) / spacingMm + 1;
  const area = grownMm2 / ((Math.PI * spacingMm ** 2) / 4);
  return Math.floor(Math.min(oler, area) + FIT_TOLERANCE_MM);
}
