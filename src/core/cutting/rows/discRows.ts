import type { BoxMm } from "../../shape";
import {
  turnBox,
  turnPattern,
  type Row,
  type RowPattern,
  type RowStyle,
  countPitches,
  FIT_TOLERANCE_MM,
} from "../sheet";

/**
 * A family of disc rows: `perRow` discs in a long row. The first rows are as close as they may be and pushed to either
 * end by turns (square under each other where there is no room to push them); the next lie staggered by half a pitch.
 * `shortRows` says that a staggered row holds one disc fewer.
 */
interface DiscFamily {
  readonly style: RowStyle;
  readonly perRow: number;
  readonly pitchMm: number;
  readonly shortRows: boolean;
  readonly staggeredSteps: number;
  readonly pushedSteps: number;
  /** By how much a pushed row is moved along, 0 to half the spacing. */
  readonly pushMm: number;
}

/**
 * The most discs in rows (square, pushed to either end by turns, staggered, stretched, or these mixed), rows running
 * along the width or down the height. Of equal counts the plainer style wins.
 *
 * A row stretched to a pitch p lets the next one come as near as √(s² − p²/4), but rows two apart, which
 * stand over each other, keep the distance s.
 * @param diameterMm - Cut size, > 0. @param usable - Sheet less its ragged margin.
 * @param webMm - Least dough left between two cuts, ≥ 0.
 * @returns The pattern; its count is 0 if not one disc fits. O(perRow · rows).
 */
export function findBestDiscRows(diameterMm: number, usable: BoxMm, webMm: number): RowPattern {
  const across = bestAlongWidth(diameterMm, usable, webMm);
  const down = bestAlongWidth(diameterMm, turnBox(usable), webMm);
  return down.count > across.count ? turnPattern(down) : across;
}

function bestAlongWidth(diameterMm: number, usable: BoxMm, webMm: number): RowPattern {
  const spacingMm = diameterMm + webMm;
  const alongMm = usable.widthMm - diameterMm;
  const acrossMm = usable.heightMm - diameterMm;
  const mostPerRow = countPitches(acrossMm, spacingMm) < 0 ? 0 : countPitches(alongMm, spacingMm) + 1;
  let best: DiscFamily | null = null;
  for (let perRow = mostPerRow; perRow >= 1; perRow--) {
    const most: number = best ? countDiscs(best) : 0;
    // Of a small cutter hundreds of row lengths cannot pay: only the closest and those near √3 as wide are looked into.
    if (perRow * boundRows(perRow, alongMm, acrossMm, spacingMm) <= most) continue;
    best = listBetterFamilies(perRow, alongMm, acrossMm, spacingMm, most).at(-1) ?? best;
  }
  return best
    ? buildDiscRows(best, diameterMm, spacingMm)
    : { style: "square", rowsRunDown: false, rows: [], count: 0 };
}

/** No family of `perRow` has more rows: these stand as near as its widest pitch or its push brings two, and no nearer. */
function boundRows(perRow: number, alongMm: number, acrossMm: number, spacingMm: number): number {
  const widestMm = Math.max(alongMm / Math.max(perRow - 1, 0.5), spacingMm);
  const [oddMm, evenMm] = findStaggeredSteps(widestMm, spacingMm);
  const pushedMm = findPushedStepMm({ pushMm: findPushMm(perRow, alongMm, spacingMm) }, spacingMm);
  // The first row, one more where steps of two lengths take turns, and one for what the tolerance lets in.
  return 3 + countPitches(acrossMm, Math.min((oddMm + evenMm) / 2, pushedMm));
}

/** How far a row of closest discs may be moved along: no further than to where it nests best. */
const findPushMm = (perRow: number, alongMm: number, spacingMm: number): number =>
  Math.min(Math.max(alongMm - (perRow - 1) * spacingMm, 0), spacingMm / 2);

/**
 * The families of `perRow` that hold more than `most`, plainest first, each more than the one before: the last is the
 * best. Only these are made: a small cutter has tens of thousands that are not.
 */
function listBetterFamilies(
  perRow: number,
  alongMm: number,
  acrossMm: number,
  spacingMm: number,
  most: number,
): DiscFamily[] {
  const families: DiscFamily[] = [];
  const offer = (family: DiscFamily) => {
    const last = families.at(-1);
    if (countDiscs(family) > (last ? countDiscs(last) : most)) families.push(family);
  };
  const square: DiscFamily = {
    style: "square",
    perRow,
    pitchMm: spacingMm,
    shortRows: false,
    staggeredSteps: 0,
    pushedSteps: countPitches(acrossMm, spacingMm),
    pushMm: 0,
  };
  offer(square);
  const pushMm = findPushMm(perRow, alongMm, spacingMm);
  const pushedStepMm = findPushedStepMm({ pushMm }, spacingMm);
  const mostPushed = countPitches(acrossMm, pushedStepMm);
  offer({ ...square, style: "pushed", pushMm, pushedSteps: mostPushed });
  const stagger = (pitchMm: number, shortRows: boolean) => {
    if (pitchMm < spacingMm - FIT_TOLERANCE_MM) return;
    const stretched = isStretched({ pitchMm }, spacingMm);
    const stepsMm = findStaggeredSteps(pitchMm, spacingMm);
    // Pushed steps pay only where a staggered row is a short one.
    for (let pushedSteps = 0; pushedSteps <= (shortRows ? mostPushed : 0); pushedSteps++) {
      const whole = pushedSteps > 0 && stretched ? 1 : 0;
      const leftMm = acrossMm - (pushedSteps - whole) * pushedStepMm - whole * spacingMm;
      const staggeredSteps = countStaggeredSteps(leftMm, stepsMm);
      const last = families.at(-1);
      const count = countDiscs({ perRow, shortRows, staggeredSteps, pushedSteps });
      if (staggeredSteps < 1 || count <= (last ? countDiscs(last) : most)) continue;
      const style = pushedSteps > 0 ? "mixed" : stretched ? "stretched" : "staggered";
      families.push({ style, perRow, pitchMm, shortRows, staggeredSteps, pushedSteps, pushMm });
    }
  };
  const fullRowPitchMm = alongMm / (perRow - 0.5);
  if (fullRowPitchMm >= spacingMm - FIT_TOLERANCE_MM) stagger(spacingMm, false);
  if (perRow > 1) stagger(spacingMm, true);
  stagger(fullRowPitchMm, false);
  if (perRow > 1) stagger(alongMm / (perRow - 1), true);
  return families;
}

/** From a pushed row to the next, whose discs lie so far along between its own. */
const findPushedStepMm = ({ pushMm }: Pick<DiscFamily, "pushMm">, spacingMm: number): number =>
  Math.sqrt(spacingMm ** 2 - pushMm ** 2);

/** From pushed rows into stretched ones it is a whole spacing: somewhere a disc lies under a disc. */
const isStretched = ({ pitchMm }: Pick<DiscFamily, "pitchMm">, spacingMm: number) =>
  pitchMm > spacingMm + FIT_TOLERANCE_MM;

/**
 * The steps from one staggered row to the next, by turns, mm. Where the rows nest deeper than s/2, the row
 * after next would come too near: every second step then only completes the distance s.
 */
function findStaggeredSteps(pitchMm: number, spacingMm: number): readonly [number, number] {
  const stepMm = Math.sqrt(Math.max(spacingMm ** 2 - (pitchMm / 2) ** 2, 0));
  return [stepMm, Math.max(stepMm, spacingMm - stepMm)];
}

function countStaggeredSteps(acrossMm: number, [oddMm, evenMm]: readonly [number, number]): number {
  const pairs = countPitches(acrossMm, oddMm + evenMm);
  const restMm = acrossMm - pairs * (oddMm + evenMm);
  return 2 * pairs + (restMm + FIT_TOLERANCE_MM >= oddMm ? 1 : 0);
}

function countDiscs({
  perRow,
  shortRows,
  staggeredSteps,
  pushedSteps,
}: Pick<DiscFamily, "perRow" | "shortRows" | "staggeredSteps" | "pushedSteps">): number {
  const rows = 1 + staggeredSteps + pushedSteps;
  return perRow * rows - (shortRows ? Math.ceil(staggeredSteps / 2) : 0);
}

function buildDiscRows(family: DiscFamily, diameterMm: number, spacingMm: number): RowPattern {
  const stepsMm = findStaggeredSteps(family.pitchMm, spacingMm);
  const rows: Row[] = [];
  const { pushedSteps, pushMm, pitchMm } = family;
  let acrossMm = diameterMm / 2;
  const push = (alongMm: number, rowPitchMm: number, count: number) =>
    rows.push({
      startMm: diameterMm / 2 + alongMm,
      acrossMm,
      pitchMm: rowPitchMm,
      count,
      angleDeg: 0,
      between: null,
    });
  // Pushed rows first, while the row is a long one: a short row repeated would lose a disc again.
  for (let i = 0; i < pushedSteps; i++) {
    const isLast = i === pushedSteps - 1;
    const isMoved = (pushedSteps - i) % 2 === 1;
    push(isMoved ? pushMm : 0, spacingMm, family.perRow);
    acrossMm += isLast && isStretched(family, spacingMm) ? spacingMm : findPushedStepMm(family, spacingMm);
  }
  push(0, pitchMm, family.perRow);
  for (let i = 0; i < family.staggeredSteps; i++) {
    acrossMm += stepsMm[i % 2 === 0 ? 0 : 1];
    const isOffset = i % 2 === 0;
    push(
      isOffset ? pitchMm / 2 : 0,
      pitchMm,
      isOffset && family.shortRows ? family.perRow - 1 : family.perRow,
    );
  }
  return { style: family.style, rowsRunDown: false, rows, count: countDiscs(family) };
}

/** A sheet just large enough for `rowCount` rows of unstretched discs. */
export interface DiscSheet {
  readonly usable: BoxMm;
  readonly count: number;
}

/**
 * Every just-large-enough rectangle of square or staggered rows with pitch s inside `limit`, rows along its
 * width. The caller turns it for the other way. O(perRow · rows).
 */
export function* listDiscSheets(diameterMm: number, limit: BoxMm, webMm: number): Generator<DiscSheet> {
  const spacingMm = diameterMm + webMm;
  const [stepMm] = findStaggeredSteps(spacingMm, spacingMm);
  const fits = (widthMm: number, heightMm: number) =>
    widthMm <= limit.widthMm + FIT_TOLERANCE_MM && heightMm <= limit.heightMm + FIT_TOLERANCE_MM;
  const mostPerRow = countPitches(limit.widthMm - diameterMm, spacingMm) + 1;
  const mostRows = countPitches(limit.heightMm - diameterMm, stepMm) + 1;
  for (let perRow = 1; perRow <= mostPerRow; perRow++) {
    const longMm = diameterMm + (perRow - 1) * spacingMm;
    for (let rows = 1; rows <= mostRows; rows++) {
      const squareMm = diameterMm + (rows - 1) * spacingMm;
      if (fits(longMm, squareMm))
        yield { usable: { widthMm: longMm, heightMm: squareMm }, count: perRow * rows };
      if (rows === 1) continue;
      const heightMm = diameterMm + (rows - 1) * stepMm;
      const fullMm = longMm + spacingMm / 2;
      if (fits(fullMm, heightMm)) yield { usable: { widthMm: fullMm, heightMm }, count: perRow * rows };
      if (perRow > 1 && fits(longMm, heightMm))
        yield { usable: { widthMm: longMm, heightMm }, count: perRow * rows - Math.floor(rows / 2) };
    }
  }
}
