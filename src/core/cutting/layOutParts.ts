import { Budget } from "../budget";
import { ok, type Result } from "../result";
import {
  computeAreaMm2,
  computeBox,
  computeSheetAreaMm2,
  outerOutline,
  placePolygon,
  toContour,
  type Outline,
  type SheetShape,
} from "../shape";
import { fillGaps, searchTightDiscs, searchTightOutlines, type TightProgress } from "./tight";
import {
  craftHandTimes,
  estimateHandMin,
  boundCount,
  type PartsFailure,
  type Placement,
  type RowPattern,
} from "./sheet";
import { layOutRows, placeCuts, type Layout, layOutTogether, placeShared, improveRows } from "./rows";
import { layOutWheelCuts } from "./wheel";

export const layoutModes = ["rows", "tight", "wheel", "nested"] as const;
/**
 * Rows a hand can follow; as tight as a search gets; edge to edge with a wheel; or nested, small outlines in the gaps
 * of the first.
 */
export type LayoutMode = (typeof layoutModes)[number];

/** One sheet and what is to be cut from it. */
export interface PartsRequest {
  readonly mode: LayoutMode;
  readonly sheet: SheetShape;
  /** With more than one in rows, in the numbers of their ratios. */
  readonly outlines: readonly { readonly outline: Outline; readonly ratio: number }[];
  readonly webMm: number;
  readonly marginMm: number;
  readonly mayTurn: boolean;
  /** Of a tight search. */
  readonly seed: number;
}

/** Cuts on a sheet, by outline. */
export interface LaidParts {
  readonly sheet: SheetShape;
  readonly parts: readonly {
    readonly outline: Outline;
    readonly count: number;
    readonly placements: readonly Placement[];
    /** Rows, where a hand follows rows. */
    readonly pattern: RowPattern | null;
  }[];
  readonly count: number;
  /** Whole sets by ratio; null where no ratio was asked for. */
  readonly sets: number | null;
  /** No arrangement of the first outline alone can hold more; null for several outlines. */
  readonly upperBound: number | null;
  /** Share of the sheet that becomes blanks, 0–1. */
  readonly usedShare: number;
  /** Rolling this sheet and cutting it, by craft's first guess of a hand. */
  readonly handMin: number;
}

/** Small cuts that a sheet's gaps are filled with, at most. */
const MOST_IN_GAPS = 2000;

/**
 * Lays out a sheet in any mode; in tight what its search begins with: rows, or nothing where several outlines have none.
 * @param budget - Once it is over, the best rows or bands that were tried by then.
 * @returns The cuts, or why not one fits. @throws {RangeError} On sizes no form lets through.
 */
export function layOutParts(request: PartsRequest, budget = new Budget()): Result<LaidParts, PartsFailure> {
  const { mode, sheet, outlines, webMm, marginMm, mayTurn } = request;
  const [first] = outlines;
  if (!first) throw new RangeError("layOutParts: no outline");
  if ((mode === "rows" || mode === "tight") && outlines.length > 1) {
    const shared = layOutTogether(
      { ...request, outlines: outlines.map((each) => ({ ...each, webMm })) },
      budget,
    );
    if (!shared.ok) {
      if (mode === "rows") return shared;
      const none = outlines.map(({ outline }) => ({ outline, placements: [], pattern: null }));
      return ok(finish(request, none, 0));
    }
    const parts = shared.value.parts.map((part, i) => {
      const outline = outlines[i]?.outline ?? first.outline;
      return { outline, placements: placeShared(part, outline, webMm, marginMm), pattern: part.pattern };
    });
    return ok(finish(request, parts, shared.value.sets));
  }
  const rows = layOutRows({ outline: first.outline, sheet, webMm, marginMm, mayTurn }, budget);
  if (!rows.ok) return rows;
  const inRows =
    mode === "rows"
      ? layOutFinely(request, first.outline, rows.value)
      : { outline: first.outline, placements: rows.value.placements, pattern: rows.value.pattern };
  if (mode === "wheel") {
    const { outline } = first;
    // A wheel rolls edge to edge: on a round sheet there are rows.
    const isWheeled = (outline.kind === "rectangle" || outline.kind === "square") && sheet.shape !== "oval";
    if (!isWheeled) return ok(finish(request, [inRows], null));
    const wheel = layOutWheelCuts({ piece: computeBox(outline), sheet, webMm, marginMm, mayTurn });
    return ok(finish(request, [{ outline, placements: wheel.placements, pattern: null }], null));
  }
  if (mode !== "nested") return ok(finish(request, [inRows], null));
  let parts: OpenPart[] = [inRows];
  for (const { outline } of outlines.slice(1)) {
    const placed = parts.flatMap((part) => placePart(part));
    const found = fillGaps({
      placed,
      sheet,
      marginMm,
      outline: outerOutline(outline),
      webMm,
      anglesDeg: mayTurn ? [0, 90, 45, 135] : [0],
      most: MOST_IN_GAPS,
    });
    parts = [...parts, { outline, placements: found, pattern: null }];
  }
  return ok(finish(request, parts, null));
}

/** Of one sheet by itself there is time for rows that a plan of many sheets is not searched for. */
function layOutFinely(request: PartsRequest, outline: Outline, rows: Layout): OpenPart {
  const { sheet, webMm, marginMm } = request;
  const outer = outerOutline(outline);
  const isDisc = outer.kind === "disc";
  const pattern = isDisc
    ? improveRows(rows.pattern, { diameterMm: outer.diameterMm, sheet, webMm, marginMm })
    : rows.pattern;
  if (pattern === rows.pattern) return { outline, placements: rows.placements, pattern };
  return { outline, placements: placeCuts(outer, pattern, webMm, { xMm: marginMm, yMm: marginMm }), pattern };
}

/**
 * A tight search: discs, of one size or several, by their own search, others by theirs.
 * @param laid - What {@link layOutParts} gave for the same request, where it is at hand: of tens of thousands of cuts rows
 * take as long as many a search.
 */
export function searchTight(
  request: PartsRequest,
  laid?: LaidParts,
): Generator<TightProgress, TightProgress> {
  const rows = laid && { rows: laid.parts.map(({ placements }) => placements) };
  const discs = request.outlines.flatMap(({ outline, ratio }) => {
    const outer = outerOutline(outline);
    return outer.kind === "disc" ? [{ diameterMm: outer.diameterMm, ratio }] : [];
  });
  return discs.length === request.outlines.length
    ? searchTightDiscs({ ...request, ...rows, discs })
    : searchTightOutlines({ ...request, ...rows });
}

/** What a tight search has found, as a laid sheet. */
export function toLaidParts(request: PartsRequest, { parts, sets }: TightProgress): LaidParts {
  const open = request.outlines.map(({ outline }, i) => ({
    outline,
    placements: parts[i] ?? [],
    pattern: null,
  }));
  return finish(request, open, open.length > 1 ? sets : null);
}

interface OpenPart {
  readonly outline: Outline;
  readonly placements: readonly Placement[];
  readonly pattern: RowPattern | null;
}

const placePart = ({ outline, placements }: OpenPart) => {
  const contour = toContour(outline);
  return placements.map(({ xMm, yMm, angleDeg }) => placePolygon(contour, xMm, yMm, angleDeg));
};

function finish(
  { sheet, webMm, marginMm }: PartsRequest,
  open: readonly OpenPart[],
  sets: number | null,
): LaidParts {
  const parts = open.map((part) => ({ ...part, count: part.placements.length }));
  const count = parts.reduce((sum, part) => sum + part.count, 0);
  const areaMm2 = computeSheetAreaMm2(sheet);
  const usedMm2 = parts.reduce(
    (sum, part) => sum + part.count * computeAreaMm2(outerOutline(part.outline)),
    0,
  );
  const [only, ...more] = parts;
  return {
    sheet,
    parts,
    count,
    sets,
    upperBound:
      only && more.length === 0 ? boundCount(outerOutline(only.outline), sheet, webMm, marginMm) : null,
    usedShare: usedMm2 / areaMm2,
    handMin: estimateHandMin(craftHandTimes, 1, areaMm2, count),
  };
}
