import type { CutFailure, PartsFailure } from "../cutting";
import type { TrayFailure } from "../loading";
import { describeOutline, describeSheet, type BoxMm, type PathFailure } from "../shape";
import { said, startWithArticle, withArticle, type WordsOf } from "./say";

const count = (value: number) => value.toLocaleString("en");
const sides = ({ widthMm, heightMm }: BoxMm, round: (mm: number) => number) =>
  `${round(widthMm)} × ${round(heightMm)}`;

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
    said(`This outline is open: its ends are ${openMm.toFixed(1)} mm apart.`, "Close the path."),
  outlineSize: ({ widthMm, heightMm, leastMm, mostMm }) =>
    said(
      `This outline is ${widthMm.toFixed(1)} × ${heightMm.toFixed(1)} mm; a cut is between ${leastMm} and ${mostMm} mm.`,
      "The numbers are read as millimetres.",
    ),
  outlineTooFine: ({ corners, most }) =>
    said(`This outline has ${corners} corners, the most is ${most}.`, "Simplify it."),
  outlineCrosses: () => said("This outline crosses itself.", "A cutter cannot: pull the loop apart."),
};

export const layoutWords: WordsOf<PartsFailure> = {
  nothingFits: ({ shortWidthMm, shortHeightMm, sheet, outline }) => {
    const short = [
      ...(shortWidthMm > 0 ? [`${shortWidthMm.toFixed(0)} mm too narrow`] : []),
      ...(shortHeightMm > 0 ? [`${shortHeightMm.toFixed(0)} mm too low`] : []),
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
      `Not one set fits: ${boxes.map((box) => sides(box, Math.ceil)).join(" and ")} mm do not go together on ` +
        `${sides(usable, Math.floor)} mm, ragged edge off.`,
      "Roll a larger sheet.",
    ),
};

export const cutWords: WordsOf<CutFailure> = {
  cutTooLarge: ({ outline, marginMm, needs, largest, overMm }) =>
    said(
      `${startWithArticle(describeOutline(outline))} cut with ${marginMm} mm ragged edge needs a sheet of ${sides(needs, Math.ceil)} mm; ` +
        `the largest is ${sides(largest, Math.floor)} mm, ${Math.ceil(overMm)} mm too small.`,
      "Take a smaller cutter or allow a larger sheet in Kit.",
    ),
  noSheetHolds: ({ why }) => layoutWords[why.code](why.figures),
};

export const trayWords: WordsOf<TrayFailure> = {
  tooLargeForTray: ({ widthMm, depthMm, spacingMm }) =>
    said(
      `Not one piece of ${Math.ceil(widthMm)} × ${Math.ceil(depthMm)} mm fits the tray with ${spacingMm} mm round it.`,
      "Bring the pieces closer or take a larger tray in Kit.",
    ),
};
