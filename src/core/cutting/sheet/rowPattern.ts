import type { BoxMm } from "../../shape";

/**
 * How the rows stand to each other. `pushed` is rows as close as they may be, moved to either end by turns; `blocks` is rows of upright rectangles, then rows of turned ones; `halved` is
 * squares in a grid, each cut corner to corner; `fitted` is an outline's own rows, every cut against the next; `rings` has
 * rings in place of rows.
 */
export type RowStyle =
  | "square"
  | "pushed"
  | "staggered"
  | "stretched"
  | "mixed"
  | "grid"
  | "blocks"
  | "halved"
  | "fitted"
  | "rings";

/** One row of cuts. Centres are measured inside the usable part of the sheet, from its top left corner. */
export interface Row {
  /** First centre, along the row. */
  readonly startMm: number;
  /** The row's centre line, across the rows. */
  readonly acrossMm: number;
  readonly pitchMm: number;
  readonly count: number;
  /** How far each cut is turned clockwise from its own upright, degrees. */
  readonly angleDeg: number;
  /** Cuts turned by half a turn that stand between the others, each so far after one of them; null if none. */
  readonly between: { readonly afterMm: number; readonly count: number } | null;
}

/** A ring of cuts about the middle of a round sheet. */
export interface Ring {
  /** The sheet's middle, inside its ragged edge, along and across. */
  readonly middleMm: number;
  /** To the cuts' centres; 0 for one in the middle. */
  readonly radiusMm: number;
  readonly count: number;
  /** Where the first cut stands, degrees clockwise from the right. */
  readonly startDeg: number;
}

/** Rows of cuts that a hand can follow with a ruler. */
export interface RowPattern {
  readonly style: RowStyle;
  /** The rows run along the sheet's height instead of its width. */
  readonly rowsRunDown: boolean;
  readonly rows: readonly Row[];
  /** In place of rows, the outermost first. */
  readonly rings?: readonly Ring[] | undefined;
  readonly count: number;
}

/** Centre of one cut on the sheet, mm from its top left corner, in the order of cutting. */
export interface Placement {
  readonly xMm: number;
  readonly yMm: number;
  /** Clockwise from the outline's own upright, degrees, 0 to below 360. */
  readonly angleDeg: number;
}

/** Where the part that rows are measured in begins, from the sheet's top left corner. */
export interface Corner {
  readonly xMm: number;
  readonly yMm: number;
}

/** Every cut of the pattern, its usable part beginning at `corner`. O(count). */
export function placePattern(pattern: RowPattern, corner: Corner): Placement[] {
  // One list of its full length: a small cutter leaves tens of thousands, and to let it grow costs more than finding the
  // rows.
  const placements = new Array<Placement>(pattern.rows.reduce((sum, row) => sum + countRow(row), 0));
  let at = 0;
  walkPattern(pattern, corner, (xMm, yMm, angleDeg) => {
    placements[at++] = { xMm, yMm, angleDeg };
  });
  return placements;
}

/** Tells every cut of the pattern in the order of cutting, as {@link placePattern} lists them. */
export function walkPattern(
  { rows, rowsRunDown, rings }: RowPattern,
  { xMm, yMm }: Corner,
  tell: (xMm: number, yMm: number, angleDeg: number) => void,
): void {
  for (const { middleMm, radiusMm, count, startDeg } of rings ?? []) {
    for (let i = 0; i < count; i++) {
      const angle = ((startDeg + (i * 360) / count) * Math.PI) / 180;
      tell(xMm + middleMm + radiusMm * Math.cos(angle), yMm + middleMm + radiusMm * Math.sin(angle), 0);
    }
  }
  for (const { startMm, acrossMm, pitchMm, count, angleDeg, between } of rows) {
    const turnedDeg = (angleDeg + 180) % 360;
    for (let i = 0; i < count; i++) {
      const alongMm = startMm + i * pitchMm;
      if (rowsRunDown) tell(xMm + acrossMm, yMm + alongMm, angleDeg);
      else tell(xMm + alongMm, yMm + acrossMm, angleDeg);
      if (!between || i >= between.count) continue;
      if (rowsRunDown) tell(xMm + acrossMm, yMm + (alongMm + between.afterMm), turnedDeg);
      else tell(xMm + (alongMm + between.afterMm), yMm + acrossMm, turnedDeg);
    }
  }
}

/** Cuts in a row, those between included. */
export const countRow = ({ count, between }: Row): number => count + (between?.count ?? 0);

/**
 * The pattern's first whole rows, or rings, that give `enough` cuts: all of it where it gives no more. A hand that has begun a
 * row ends it.
 */
export function firstRows(pattern: RowPattern, enough: number): RowPattern {
  if (pattern.count <= enough) return pattern;
  const { rows, rings } = pattern;
  const cutsPerPlace = pattern.style === "halved" ? 2 : 1;
  let count = 0;
  const isWanted = (places: number) => {
    if (count >= enough) return false;
    count += places * cutsPerPlace;
    return true;
  };
  const begun = {
    ...(rings && { rings: rings.filter((ring) => isWanted(ring.count)) }),
    rows: rows.filter((row) => isWanted(countRow(row))),
  };
  return { ...pattern, ...begun, count };
}

/**
 * The same rows running down a sheet instead of across it, by exchanging the two directions: right for discs and
 * rectangles, which are their own mirror images.
 */
export function turnPattern(pattern: RowPattern): RowPattern {
  return { ...pattern, rowsRunDown: !pattern.rowsRunDown };
}

/** `box` with width and height exchanged. */
export function turnBox(box: BoxMm): BoxMm {
  return { widthMm: box.heightMm, heightMm: box.widthMm };
}
