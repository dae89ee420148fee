import { papers, type Paper } from "./paper";

/** A sheet of labels as stationers sell them, by its measures alone. Lengths in mm from the upper left of the paper. */
export interface LabelSheet {
  readonly id: string;
  readonly paper: Paper;
  readonly columns: number;
  readonly rows: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly leftMm: number;
  readonly topMm: number;
  /** From one label's left edge to the next's, and from one's top to the next's. */
  readonly pitchMm: { readonly x: number; readonly y: number };
}

type Measures = readonly [
  id: string,
  columns: number,
  rows: number,
  widthMm: number,
  heightMm: number,
  gapXMm: number,
];

/** Labels lie in the middle of the paper, one below the other without a gap. */
const toSheet =
  (paper: Paper) =>
  ([id, columns, rows, widthMm, heightMm, gapXMm]: Measures): LabelSheet => {
    const whole = papers[paper];
    return {
      ...{ id, paper, columns, rows, widthMm, heightMm },
      leftMm: (whole.widthMm - columns * widthMm - (columns - 1) * gapXMm) / 2,
      topMm: (whole.heightMm - rows * heightMm) / 2,
      pitchMm: { x: widthMm + gapXMm, y: heightMm },
    };
  };

/** The common sheets, two to four in a row, the largest labels of each paper first. */
export const labelSheets: readonly LabelSheet[] = [
  ...(
    [
      ["a4-2x4", 2, 4, 99.1, 67.7, 2.5],
      ["a4-2x7", 2, 7, 99.1, 38.1, 2.5],
      ["a4-3x6", 3, 6, 63.5, 46.6, 2.5],
      ["a4-3x8", 3, 8, 70, 36, 0],
      ["a4-4x10", 4, 10, 48.5, 25.4, 0],
    ] satisfies Measures[]
  ).map(toSheet("a4")),
  ...(
    [
      ["letter-2x5", 2, 5, 101.6, 50.8, 4.8],
      ["letter-3x10", 3, 10, 66.7, 25.4, 3.2],
      ["letter-4x7", 4, 7, 50, 38, 2],
    ] satisfies Measures[]
  ).map(toSheet("letter")),
];

/** The sheet of an id; the first where there is none of it. */
export const findLabelSheet = (id: string | null): LabelSheet =>
  labelSheets.find((sheet) => sheet.id === id) ?? (labelSheets[0] as LabelSheet);

/** Where a label lies: on which page, counted from 0, and its upper left corner, mm. */
export interface LabelPlace {
  readonly page: number;
  readonly xMm: number;
  readonly yMm: number;
}

/** Places of so many labels, row by row, when the first so many of the first sheet are used up already. */
export function placeLabels(sheet: LabelSheet, count: number, usedUp: number): LabelPlace[] {
  const perPage = sheet.columns * sheet.rows;
  return Array.from({ length: count }, (_, i) => {
    const at = i + usedUp;
    const cell = at % perPage;
    return {
      page: Math.floor(at / perPage),
      xMm: sheet.leftMm + (cell % sheet.columns) * sheet.pitchMm.x,
      yMm: sheet.topMm + Math.floor(cell / sheet.columns) * sheet.pitchMm.y,
    };
  });
}
