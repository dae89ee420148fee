import type { BoxMm } from "../../shape";
import { type Row, type RowPattern, countPitches, FIT_TOLERANCE_MM } from "../sheet";

/** Rows of large discs with rows of small ones in the hollows between them. */
export interface AlternatingRows {
  readonly large: RowPattern;
  readonly small: RowPattern;
}

/**
 * Two sizes of disc in turn, a row of each, in as equal numbers as they come.
 * @param usable - The sheet less its ragged edge. @returns null if not one of each fits. O(discs in a row).
 */
export function alternateDiscs(
  largeMm: number,
  smallMm: number,
  usable: BoxMm,
  webMm: number,
): AlternatingRows | null {
  const alongMm = usable.widthMm - largeMm;
  let best: AlternatingRows | null = null;
  const least = (rows: AlternatingRows | null) => (rows ? Math.min(rows.large.count, rows.small.count) : 0);
  for (let perRow = countPitches(alongMm, largeMm + webMm) + 1; perRow >= 1; perRow--) {
    // As near as they go, stretched to fill, and stretched so that the last small one still fits.
    const pitches = [
      largeMm + webMm,
      perRow > 1 ? alongMm / (perRow - 1) : 0,
      (usable.widthMm - (largeMm + smallMm) / 2) / (perRow - 0.5),
    ];
    for (const pitchMm of pitches) {
      if (pitchMm < largeMm + webMm - FIT_TOLERANCE_MM) continue;
      // Of small cutters hundreds of row lengths cannot pay, and each is hundreds of rows to lay.
      const asked = { largeMm, smallMm, usable, webMm, pitchMm, perRow };
      if (boundAlternating(asked) <= least(best)) continue;
      const rows = layAlternating(asked);
      if (least(rows) > least(best)) best = rows;
    }
  }
  return best;
}

/** Rows of one length and one pitch. */
interface Alternation {
  readonly largeMm: number;
  readonly smallMm: number;
  readonly usable: BoxMm;
  readonly webMm: number;
  readonly pitchMm: number;
  /** Large ones in a row. */
  readonly perRow: number;
}

/** No fewer than {@link layAlternating} lays of the scarcer size. */
function boundAlternating(asked: Alternation): number {
  const { largeMm, smallMm, usable, perRow } = asked;
  const { stepMm, backMm } = findSteps(asked);
  const pairs = countPitches(usable.heightMm - (largeMm + smallMm) / 2 - stepMm, stepMm + backMm) + 1;
  // One more than are counted, for steps that are added up may fall short of their product by a bit.
  return perRow * Math.max(pairs + 1, 0);
}

/** Across from a row of large ones to the next of small ones, and from there on to the next of large ones. */
function findSteps({ largeMm, smallMm, webMm, pitchMm }: Alternation): { stepMm: number; backMm: number } {
  const apartMm = (largeMm + smallMm) / 2 + webMm;
  const stepMm = Math.sqrt(Math.max(apartMm ** 2 - (pitchMm / 2) ** 2, 0));
  // Where the rows nest deeper than half, the next row of the same size is what it must clear.
  return { stepMm, backMm: Math.max(stepMm, largeMm + webMm - stepMm) };
}

function layAlternating(asked: Alternation): AlternatingRows {
  const { largeMm, smallMm, usable, pitchMm, perRow } = asked;
  const { stepMm, backMm } = findSteps(asked);
  const smallStartMm = largeMm / 2 + pitchMm / 2;
  const smallPerRow = Math.min(
    countPitches(usable.widthMm - smallMm / 2 - smallStartMm, pitchMm) + 1,
    perRow,
  );
  const [large, small]: [Row[], Row[]] = [[], []];
  let acrossMm = largeMm / 2;
  for (let i = 0; ; i++) {
    const isLarge = i % 2 === 0;
    const radiusMm = (isLarge ? largeMm : smallMm) / 2;
    if (acrossMm + radiusMm > usable.heightMm + FIT_TOLERANCE_MM) break;
    const row = { acrossMm, pitchMm, angleDeg: 0, between: null };
    if (isLarge) large.push({ ...row, startMm: largeMm / 2, count: perRow });
    else if (smallPerRow > 0) small.push({ ...row, startMm: smallStartMm, count: smallPerRow });
    acrossMm += isLarge ? stepMm : backMm;
  }
  const toPattern = (rows: Row[]): RowPattern => ({
    style: "staggered",
    rowsRunDown: false,
    rows,
    count: rows.reduce((sum, { count }) => sum + count, 0),
  });
  return { large: toPattern(large), small: toPattern(small) };
}
