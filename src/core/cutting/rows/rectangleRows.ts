import type { BoxMm } from "../../shape";
import { turnBox, turnPattern, type Row, type RowPattern, countPitches } from "../sheet";

/**
 * The most upright rectangles in straight rows: a grid either way up, or rows of upright pieces followed by
 * rows of turned ones (two blocks), the rows running along the width or down the height.
 * @param piece - Cut size. @param usable - Sheet less its ragged margin. @param webMm - Gap, 0 for a wheel.
 * @param mayTurn - False where the dough's grain forbids a quarter turn.
 * @returns The pattern; its count is 0 if not one piece fits. O(rows).
 */
export function findBestRectangleRows(
  piece: BoxMm,
  usable: BoxMm,
  webMm: number,
  mayTurn: boolean,
): RowPattern {
  const across = bestBlocks(piece, usable, webMm, mayTurn);
  const down = bestBlocks(turnBox(piece), turnBox(usable), webMm, mayTurn);
  return down.count > across.count ? turnPattern(down) : across;
}

/** Pieces along a length: n pieces need n·size + (n − 1)·web. */
function countAlong(lengthMm: number, sizeMm: number, webMm: number): number {
  return Math.max(countPitches(lengthMm + webMm, sizeMm + webMm), 0);
}

function bestBlocks(piece: BoxMm, usable: BoxMm, webMm: number, mayTurn: boolean): RowPattern {
  const turned = turnBox(piece);
  const uprightPerRow = countAlong(usable.widthMm, piece.widthMm, webMm);
  const turnedPerRow = mayTurn ? countAlong(usable.widthMm, turned.widthMm, webMm) : 0;
  const mostUpright = countAlong(usable.heightMm, piece.heightMm, webMm);
  let best = { upright: 0, turned: 0, count: 0 };
  for (let upright = mostUpright; upright >= 0; upright--) {
    const leftMm = usable.heightMm - upright * (piece.heightMm + webMm);
    const turnedRows = turnedPerRow > 0 ? countAlong(leftMm, turned.heightMm, webMm) : 0;
    const count = upright * uprightPerRow + turnedRows * turnedPerRow;
    if (count > best.count) best = { upright, turned: turnedRows, count };
  }
  const rows: Row[] = [];
  let edgeMm = 0;
  const push = (box: BoxMm, count: number, isTurned: boolean) => {
    rows.push({
      startMm: box.widthMm / 2,
      acrossMm: edgeMm + box.heightMm / 2,
      pitchMm: box.widthMm + webMm,
      count,
      angleDeg: isTurned ? 90 : 0,
      between: null,
    });
    edgeMm += box.heightMm + webMm;
  };
  if (uprightPerRow > 0) for (let i = 0; i < best.upright; i++) push(piece, uprightPerRow, false);
  for (let i = 0; i < best.turned; i++) push(turned, turnedPerRow, true);
  const style = best.upright > 0 && best.turned > 0 ? "blocks" : "grid";
  return { style, rowsRunDown: false, rows, count: best.count };
}

/** Every just-large-enough grid of upright pieces inside `limit`. The caller turns the piece for the other way. */
export function* listRectangleSheets(
  piece: BoxMm,
  limit: BoxMm,
  webMm: number,
): Generator<{ usable: BoxMm; count: number }> {
  const columns = countAlong(limit.widthMm, piece.widthMm, webMm);
  const rows = countAlong(limit.heightMm, piece.heightMm, webMm);
  const spanMm = (n: number, sizeMm: number) => n * sizeMm + (n - 1) * webMm;
  for (let down = 1; down <= rows; down++)
    for (let across = 1; across <= columns; across++)
      yield {
        usable: { widthMm: spanMm(across, piece.widthMm), heightMm: spanMm(down, piece.heightMm) },
        count: across * down,
      };
}
