import type { BoxMm } from "../shape";

/** How the rows stand to each other. `blocks` is rows of upright rectangles, then rows of turned ones. */
export type RowStyle = "square" | "staggered" | "stretched" | "mixed" | "grid" | "blocks";

/** One row of cuts. Centres are measured inside the usable part of the sheet, from its top left corner. */
export interface Row {
  /** First centre, along the row. */
  readonly startMm: number;
  /** The row's centre line, across the rows. */
  readonly acrossMm: number;
  readonly pitchMm: number;
  readonly count: number;
  /** Rectangles only: the piece lies with its height along the sheet's width. */
  readonly turned: boolean;
}

/** Rows of cuts that a hand can follow with a ruler. */
export interface RowPattern {
  readonly style: RowStyle;
  /** The rows run along the sheet's height instead of its width. */
  readonly rowsRunDown: boolean;
  readonly rows: readonly Row[];
  readonly count: number;
}

/** Centre of one cut on the sheet, mm from its top left corner, in the order of cutting. */
export interface Placement {
  readonly xMm: number;
  readonly yMm: number;
  readonly turned: boolean;
}

/** Every cut of the pattern on a sheet with a ragged margin `marginMm` all round. O(count). */
export function placePattern(pattern: RowPattern, marginMm: number): Placement[] {
  return pattern.rows.flatMap((row) =>
    Array.from({ length: row.count }, (_, i) => {
      const alongMm = marginMm + row.startMm + i * row.pitchMm;
      const acrossMm = marginMm + row.acrossMm;
      return pattern.rowsRunDown
        ? { xMm: acrossMm, yMm: alongMm, turned: row.turned }
        : { xMm: alongMm, yMm: acrossMm, turned: row.turned };
    }),
  );
}

/** The same rows running down a sheet instead of across it. */
export function turnPattern(pattern: RowPattern): RowPattern {
  return { ...pattern, rowsRunDown: !pattern.rowsRunDown };
}

/** `box` with width and height exchanged. */
export function turnBox(box: BoxMm): BoxMm {
  return { widthMm: box.heightMm, heightMm: box.widthMm };
}
