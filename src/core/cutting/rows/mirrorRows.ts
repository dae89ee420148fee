import { drawIn, toHalfPlanes } from "../../shape";
import { boundCount, type Row, type RowPattern, findSpan, FIT_TOLERANCE_MM } from "../sheet";
import { findBestRings, type RoundRequest } from "./ringRows";

/** A row about the sheet's middle line. */
interface MirrorRow {
  readonly acrossMm: number;
  readonly count: number;
  readonly pitchMm: number;
}

/** Rows from the top, and how many cuts they hold. */
interface Pile {
  readonly rows: readonly MirrorRow[];
  readonly count: number;
}

/** Up to so many rounds such rows are worth trying: of more, one lattice is as good, and plainer. */
const FEW_ROUNDS = 30;
/** Piles carried on from row to row. */
const BEAM = 12;
/** Widened pitches tried for a row, from the closest to twice that. */
const PITCHES = 8;
/** Rows above that a row is held clear of: those further up are out of reach, unless all are very wide. */
const ROWS_IN_REACH = 4;
/** Halvings in looking for where the sheet is wide enough: a thousandth of a millimetre on two metres. */
const HALVINGS = 21;

/** Rings, or else {@link findBestMirrorRows}, where they may hold more than `rows` do, and if they do; else `rows`. */
export function improveRows(rows: RowPattern, request: RoundRequest): RowPattern {
  const { diameterMm, sheet, webMm, marginMm } = request;
  const most = boundCount({ kind: "disc", diameterMm }, sheet, webMm, marginMm);
  if (most > FEW_ROUNDS || rows.count >= most) return rows;
  return [findBestRings, findBestMirrorRows].reduce((best, find) => {
    const found = find(request);
    return found.count > best.count ? found : best;
  }, rows);
}

/**
 * Rounds on a sheet of any shape in rows that each lie even about its middle line, as far apart as suits the row, one
 * row after another from the top and each as high as it goes: a beam search over counts and pitches. Where few fit, this
 * comes nearer to the best than rows of one lattice.
 * @returns Rows measured inside the margin; count 0 if not one fits. O(rows · beam · counts · pitches · cuts in reach).
 */
function findBestMirrorRows({ diameterMm, sheet, webMm, marginMm }: RoundRequest): RowPattern {
  const spacingMm = diameterMm + webMm;
  const room = drawIn(toHalfPlanes(sheet), marginMm, () => diameterMm / 2);
  const middleMm = sheet.heightMm / 2;
  const chordAt = (acrossMm: number) => {
    const { from, to } = findSpan(room, acrossMm);
    return to - from;
  };
  const mostPerRow = Math.floor((chordAt(middleMm) + FIT_TOLERANCE_MM) / spacingMm) + 1;
  const tops = new Map<number, number>();
  /** The highest place that is so wide: above the middle; Infinity if there is none. */
  const findTop = (wideMm: number): number => {
    const known = tops.get(wideMm);
    if (known !== undefined) return known;
    let [narrow, wide] = [0, middleMm];
    if (chordAt(middleMm) < wideMm - FIT_TOLERANCE_MM) wide = Infinity;
    else
      for (let i = 0; i < HALVINGS; i++) {
        const at = (narrow + wide) / 2;
        if (chordAt(at) >= wideMm) wide = at;
        else narrow = at;
      }
    tops.set(wideMm, wide);
    return wide;
  };
  const place = (rows: readonly MirrorRow[], count: number, pitchMm: number): MirrorRow | null => {
    const above = rows.slice(-ROWS_IN_REACH);
    let fromMm = 0;
    for (const row of above)
      fromMm = Math.max(fromMm, row.acrossMm + findDropMm(row, count, pitchMm, spacingMm));
    // A sheet is as wide as far from its foot as from its top.
    const topMm = findTop((count - 1) * pitchMm);
    const acrossMm = Math.max(fromMm, topMm);
    return acrossMm <= sheet.heightMm - topMm + FIT_TOLERANCE_MM ? { acrossMm, count, pitchMm } : null;
  };
  const listNext = (rows: readonly MirrorRow[], count: number): MirrorRow[] => {
    const pitches =
      count === 1 ? [spacingMm] : Array.from({ length: PITCHES }, (_, i) => spacingMm * (1 + i / PITCHES));
    const last = rows.at(-1);
    if (last && last.pitchMm > spacingMm && count > 1) pitches.push(last.pitchMm);
    const placed = pitches.flatMap((pitchMm) => place(rows, count, pitchMm) ?? []);
    if (count === 1) return placed;
    // Drawn out to the edge, where it then lies.
    const highest = placed.toSorted((a, b) => a.acrossMm - b.acrossMm)[0];
    if (!highest) return placed;
    const widest = place(rows, count, chordAt(highest.acrossMm) / (count - 1));
    return widest ? [...placed, widest] : placed;
  };
  let best: Pile = { rows: [], count: 0 };
  let piles: Pile[] = [best];
  while (piles.length > 0) {
    const next = piles.flatMap(({ rows, count }) =>
      Array.from({ length: Math.max(mostPerRow, 0) }, (_, i) => listNext(rows, i + 1))
        .flat()
        .map((row) => ({ rows: [...rows, row], count: count + row.count })),
    );
    piles = keepBest(next);
    for (const pile of piles) if (pile.count > best.count) best = pile;
  }
  return {
    style: "fitted",
    rowsRunDown: false,
    rows: best.rows.map(({ acrossMm, count, pitchMm }): Row => ({
      acrossMm: acrossMm - marginMm,
      count,
      pitchMm,
      startMm: sheet.widthMm / 2 - ((count - 1) * pitchMm) / 2 - marginMm,
      angleDeg: 0,
      between: null,
    })),
    count: best.count,
  };
}

/** How far below `row` one of so many at such a pitch must lie. */
function findDropMm(row: MirrorRow, count: number, pitchMm: number, spacingMm: number): number {
  let nearestMm = Infinity;
  for (let i = 0; i < row.count; i++) {
    const atMm = (i - (row.count - 1) / 2) * row.pitchMm;
    // Of the other row only the nearest two may be the nearest.
    const j = Math.floor(atMm / pitchMm + (count - 1) / 2);
    for (const k of [j, j + 1]) {
      const held = Math.min(Math.max(k, 0), count - 1);
      nearestMm = Math.min(nearestMm, Math.abs(atMm - (held - (count - 1) / 2) * pitchMm));
    }
  }
  return nearestMm >= spacingMm ? 0 : Math.sqrt(spacingMm ** 2 - nearestMm ** 2);
}

/** The piles that hold more, or as many higher up: by cuts, those that reach least far down for them. */
function keepBest(piles: readonly Pile[]): Pile[] {
  const byCount = new Map<number, Pile[]>();
  for (const pile of piles) {
    const same = byCount.get(pile.count);
    if (same) same.push(pile);
    else byCount.set(pile.count, [pile]);
  }
  const each = Math.max(Math.ceil(BEAM / byCount.size), 1);
  return [...byCount.values()].flatMap((same) =>
    same.toSorted((a, b) => reachOf(a) - reachOf(b)).slice(0, each),
  );
}

const reachOf = ({ rows }: Pile) => rows.at(-1)?.acrossMm ?? 0;
