import type { CutFailure, PartsFailure } from "../cutting";
import type { TrayFailure } from "../loading";
import { describeOutline, describeSheet, type BoxMm, type PathFailure } from "../shape";
import { said, startWithArticle, withArticle, type WordsOf } from "./say";
import { formatLength, formatSide, formatSides } from "../units";

const count = (value: number) => value.toLocaleString("en");
const sides = ({ widthMm, heightMm }: BoxMm, round: (mm: number) => number) =>
  formatSides([round(widthMm), round(heightMm)]);

export const pathWords: WordsOf<PathFailure> = {
  pathTooLong: ({ characters, most }) =>
    said(
      `This outline is ${count(characters)} characters long, the most is ${count(most)}.`,
      "Simplify it in the drawing program.",
    ),
  pathUnreadable: ({ reported }) => said(`This is not SVG path data: ${reported}.`),
  pathEmpty: () => said("This path draws nothing.", "Export one closed outline."),
  pathEnclosesNothing: () => said("This outline encloses nothing.", "Draw a closed shape."),
  severalLines: ({ lines }) =>
    said(`This path holds ${lines} separate lines; a cutter has one.`, "Export the outer one alone."),
  pathOpen: ({ openMm }) =>
    said(`This outline is open: its ends are ${formatLength(openMm, 1)} apart.`, "Close the path."),
  outlineSize: ({ widthMm, heightMm, leastMm, mostMm }) =>
    said(
      `This outline is ${formatSides([widthMm, heightMm], 1)}; a cut is between ${formatSide(leastMm, 2)} and ${formatLength(mostMm, 2)}.`,
      "The numbers are read as millimetres.",
    ),
  outlineTooFine: ({ corners, most }) =>
    said(`This outline has ${corners} corners, the most is ${most}.`, "Simplify it."),
  outlineCrosses: () => said("This outline crosses itself.", "A cutter cannot: pull the loop apart."),
};

export const layoutWords: WordsOf<PartsFailure> = {
  nothingFits: ({ shortWidthMm, shortHeightMm, sheet, outline }) => {
    const short = [
      ...(shortWidthMm > 0 ? [`${formatLength(shortWidthMm, 0)} too narrow`] : []),
      ...(shortHeightMm > 0 ? [`${formatLength(shortHeightMm, 0)} too low`] : []),
    ].join(" and ");
    return said(
      short === ""
        ? `Not one fits: ${withArticle(describeSheet(sheet))} sheet is too narrow at its ends for ${withArticle(describeOutline(outline))}.`
        : `Not one fits: the sheet is ${short}, ragged edge counted.`,
      "Roll a larger sheet, or take a smaller cutter.",
    );
  },
  sharedOnOval: () =>
    said("Two outlines share a sheet only if it is a rectangle.", "Roll a rectangle, or one sheet for each."),
  noSetFits: ({ boxes, usable }) =>
    said(
      `Not one set fits: ${boxes.map((box) => sides(box, Math.ceil)).join(" and ")} do not go together on ` +
        `${sides(usable, Math.floor)}, ragged edge off.`,
      "Roll a larger sheet.",
    ),
};

export const cutWords: WordsOf<CutFailure> = {
  cutTooLarge: ({ outline, marginMm, needs, largest, overMm }) =>
    said(
      `${startWithArticle(describeOutline(outline))} cut with ${formatLength(marginMm, 2)} ragged edge needs a sheet of ${sides(needs, Math.ceil)}; ` +
        `the largest is ${sides(largest, Math.floor)}, ${formatLength(Math.ceil(overMm), 0)} too small.`,
      "Take a smaller cutter or allow a larger sheet in Kit.",
    ),
  noSheetHolds: ({ why }) => layoutWords[why.code](why.figures),
};

export const trayWords: WordsOf<TrayFailure> = {
  tooLargeForTray: ({ widthMm, depthMm, spacingMm }) =>
    said(
      `Not one piece of ${formatSides([Math.ceil(widthMm), Math.ceil(depthMm)])} fits the tray with ${formatLength(spacingMm, 2)} round it.`,
      "Bring the pieces closer or take a larger tray in Kit.",
    ),
};
