import { createRandom } from "../seededRandom";
import { outerOutline, placePolygon, toContour, type BoxMm, type Outline, type SheetShape } from "../shape";
import { walkGaps } from "./fillGaps";
import { layOutRows } from "./layout";
import type { Placement } from "./rowPattern";
import type { TightProgress } from "./tightDiscs";

export interface TightOutlineRequest {
  readonly outline: Outline;
  readonly sheet: SheetShape;
  /** Least dough between two cuts, ≥ 0. */
  readonly webMm: number;
  /** Ragged edge lost all round, ≥ 0. */
  readonly marginMm: number;
  readonly mayTurn: boolean;
  /** The same seed gives the same search. */
  readonly seed: number;
}

/** Turns tried in a gap, degrees. */
const GAP_TURNS_DEG = [0, 30, 60, 90, 120, 150, 180, 210, 240, 270, 300, 330];
const GRAIN_TURNS_DEG = [0, 180];
/** A division of the sheet leaves each part at least this share of it. */
const LEAST_PART = 0.12;
/** How deep divisions may lie in each other. */
const DEEPEST = 2;

/**
 * Looks for more of any outline than its rows give: the sheet is divided at random, edge to edge, into parts of their
 * own rows, and what gaps are left are filled in any turn. Anytime: each turn of the generator is a part of an attempt.
 * @throws {RangeError} If a size is not finite or not above 0.
 */
export function* searchTightOutlines(request: TightOutlineRequest): Generator<TightProgress, TightProgress> {
  const { sheet, webMm, marginMm, mayTurn, seed } = request;
  const outline = outerOutline(request.outline);
  const rows = layOutRows({ outline, sheet, webMm, marginMm, mayTurn });
  if (!rows.ok) return { attempts: 0, placements: [], rowsCount: 0, upperBound: 0, isProven: true };
  const random = createRandom(seed);
  const { upperBound, count: rowsCount } = rows.value;
  let best: readonly Placement[] = rows.value.placements;
  let attempts = 0;
  const report = (): TightProgress => ({
    attempts,
    placements: best,
    rowsCount,
    upperBound,
    isProven: best.length >= upperBound,
  });
  function* fill(placements: readonly Placement[]): Generator<TightProgress, readonly Placement[]> {
    const walk = walkGaps({
      placed: placements.map(({ xMm, yMm, angleDeg }) =>
        placePolygon(toContour(outline), xMm, yMm, angleDeg),
      ),
      sheet,
      marginMm,
      outline,
      webMm,
      anglesDeg: mayTurn ? GAP_TURNS_DEG : GRAIN_TURNS_DEG,
      most: upperBound - placements.length,
    });
    for (;;) {
      const { value, done } = walk.next();
      if (done) return [...placements, ...value];
      yield report();
    }
  }
  best = yield* fill(best);
  while (best.length < upperBound && sheet.shape !== "oval") {
    const inner = { widthMm: sheet.widthMm - 2 * marginMm, heightMm: sheet.heightMm - 2 * marginMm };
    const divided = divide({ outline, webMm, mayTurn }, inner, DEEPEST, random).map((placement) => ({
      ...placement,
      xMm: placement.xMm + marginMm,
      yMm: placement.yMm + marginMm,
    }));
    const found = yield* fill(divided);
    attempts++;
    if (found.length > best.length) best = found;
    yield report();
  }
  return report();
}

interface Cut {
  readonly outline: Outline;
  readonly webMm: number;
  readonly mayTurn: boolean;
}

/** Cuts on a part of the sheet, its own corner at the origin: in rows, or divided once more. */
function divide(cut: Cut, part: BoxMm, depth: number, random: () => number): Placement[] {
  if (part.widthMm <= 0 || part.heightMm <= 0) return [];
  const layout = layOutRows({ ...cut, sheet: part, marginMm: 0 });
  if (!layout.ok) return [];
  if (depth === 0) return [...layout.value.placements];
  const isAcross = random() < 0.5;
  const share = LEAST_PART + random() * (1 - 2 * LEAST_PART);
  const sideMm = isAcross ? part.heightMm : part.widthMm;
  const [firstMm, atMm] = [sideMm * share, sideMm * share + cut.webMm];
  const toPart = (mm: number): BoxMm => (isAcross ? { ...part, heightMm: mm } : { ...part, widthMm: mm });
  const first = divide(cut, toPart(firstMm), depth - 1, random);
  const second = divide(cut, toPart(sideMm - atMm), depth - 1, random).map((placement) => ({
    ...placement,
    xMm: placement.xMm + (isAcross ? 0 : atMm),
    yMm: placement.yMm + (isAcross ? atMm : 0),
  }));
  const divided = [...first, ...second];
  return divided.length > layout.value.count ? divided : [...layout.value.placements];
}
