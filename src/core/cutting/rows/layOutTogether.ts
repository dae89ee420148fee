import { requirePositive } from "../../require";
import { because, fail, ok, type Result } from "../../result";
import {
  computeAreaMm2,
  computeBox,
  outerOutline,
  type BoxMm,
  type Outline,
  type SheetShape,
} from "../../shape";
import { alternateDiscs } from "./alternateDiscs";
import {
  type Band,
  type SharedFailure,
  turnBox,
  turnPattern,
  type Placement,
  type RowPattern,
  countNeeds,
  countSets,
  type Ratioed,
} from "../sheet";
import { findRows, layOutRows, placeCuts } from "./layout";

/** One of several outlines for the same sheet. */
export interface SharedOutline extends Ratioed {
  readonly outline: Outline;
  readonly webMm: number;
}

/** One outline's share of a sheet. */
export interface SharedPart {
  readonly count: number;
  /** Inside the ragged edge. */
  readonly band: Band;
  /** Inside the band. */
  readonly pattern: RowPattern;
}

/** Several outlines on one sheet, in the order they were given. */
export interface SharedSheet {
  readonly parts: readonly SharedPart[];
  /** Whole sets by ratio. */
  readonly sets: number;
}

/** Halvings in looking for the lowest band: to a tenth of a millimetre on a bench of 800. */
const HALVINGS = 13;

/**
 * The most whole sets of several outlines on one sheet: each in a band of its own as high as it needs, bands along the
 * width or down the height; two discs also by turns, the small in the hollows of the large.
 * @returns The parts, or why not one set fits. @throws {RangeError} If a ratio is not above 0.
 */
export function layOutTogether(
  outlines: readonly SharedOutline[],
  sheet: SheetShape,
  marginMm: number,
  mayTurn: boolean,
): Result<SharedSheet, SharedFailure> {
  for (const { ratio } of outlines) requirePositive("ratio", ratio);
  if (sheet.shape === "oval") return fail(because("sharedOnOval", {}));
  const usable = { widthMm: sheet.widthMm - 2 * marginMm, heightMm: sheet.heightMm - 2 * marginMm };
  const needs = countNeeds(outlines);
  const candidates = [
    findBands(outlines, usable, mayTurn, needs, false),
    findBands(outlines, usable, mayTurn, needs, true),
    ...alternate(outlines, usable),
  ].flatMap((each) => each ?? []);
  const best = candidates.sort((a, b) => b.sets - a.sets)[0];
  if (best) return ok(best);
  return fail(because("noSetFits", { boxes: outlines.map(({ outline }) => computeBox(outline)), usable }));
}

/** What is laid on one sheet, all with the same web between. */
export interface SetsRequest {
  readonly outlines: readonly (Ratioed & { readonly outline: Outline })[];
  readonly sheet: SheetShape;
  readonly webMm: number;
  readonly marginMm: number;
  readonly mayTurn: boolean;
}

/** The cuts of {@link layOutTogether}, by outline; of a single one those of its rows. None where not one set fits. */
export function layOutSets({ outlines, sheet, webMm, marginMm, mayTurn }: SetsRequest): Placement[][] {
  const [only, ...more] = outlines;
  if (only && more.length === 0) {
    const rows = layOutRows({ ...only, sheet, webMm, marginMm, mayTurn });
    return [rows.ok ? [...rows.value.placements] : []];
  }
  const withWeb = outlines.map((each) => ({ ...each, webMm }));
  const shared = layOutTogether(withWeb, sheet, marginMm, mayTurn);
  return shared.ok
    ? shared.value.parts.map((part, i) => placeShared(part, outlines[i]!.outline, webMm, marginMm))
    : outlines.map(() => []);
}

/** The cuts of one outline's share of a sheet. */
export function placeShared(
  { pattern, band }: SharedPart,
  outline: Outline,
  webMm: number,
  marginMm: number,
): Placement[] {
  return placeCuts(outerOutline(outline), pattern, webMm, marginMm).map((placement) => ({
    ...placement,
    xMm: placement.xMm + band.xMm,
    yMm: placement.yMm + band.yMm,
  }));
}

type Needs = (sets: number) => readonly number[];

function findBands(
  outlines: readonly SharedOutline[],
  usable: BoxMm,
  mayTurn: boolean,
  needs: Needs,
  standing: boolean,
): SharedSheet | null {
  const [alongMm, acrossMm] = standing
    ? [usable.heightMm, usable.widthMm]
    : [usable.widthMm, usable.heightMm];
  if (alongMm <= 0 || acrossMm <= 0) return null;
  const gapMm = Math.max(...outlines.map(({ webMm }) => webMm));
  const toBox = (highMm: number) =>
    standing ? { widthMm: highMm, heightMm: alongMm } : { widthMm: alongMm, heightMm: highMm };
  const layOut = ({ outline, webMm }: SharedOutline, highMm: number) =>
    findRows({ outline: outerOutline(outline), sheet: toBox(highMm), webMm, marginMm: 0, mayTurn });
  const known = new Map<string, number>();
  /** The lowest band that holds so many, or more than the sheet is high. */
  const findHighMm = (index: number, count: number): number => {
    const key = `${index} ${count}`;
    const seen = known.get(key);
    if (seen !== undefined) return seen;
    const part = outlines[index];
    let [low, high] = [0, acrossMm];
    const holds = (mm: number) => part !== undefined && layOut(part, mm).count >= count;
    if (!holds(high)) high = Infinity;
    else
      for (let i = 0; i < HALVINGS; i++) {
        const middle = (low + high) / 2;
        if (holds(middle)) high = middle;
        else low = middle;
      }
    known.set(key, high);
    return high;
  };
  const findHighs = (sets: number) => needs(sets).map((count, i) => findHighMm(i, count));
  const fits = (sets: number) =>
    findHighs(sets).reduce((sum, mm) => sum + mm, 0) + gapMm * (outlines.length - 1) <= acrossMm;
  const blanksMm2 = needs(1).reduce(
    (sum, count, i) =>
      sum + count * computeAreaMm2(outerOutline(outlines[i]?.outline ?? { kind: "disc", diameterMm: 1 })),
    0,
  );
  let [sets, most] = [0, Math.floor((alongMm * acrossMm) / blanksMm2)];
  while (sets < most) {
    const middle = (sets + most + 1) >> 1;
    if (fits(middle)) sets = middle;
    else most = middle - 1;
  }
  if (sets === 0) return null;
  let atMm = 0;
  const parts = findHighs(sets).map((highMm, i): SharedPart => {
    const pattern = layOut(outlines[i] as SharedOutline, highMm);
    if (pattern.count === 0) throw new RangeError("findBands: a band that held its cuts holds none");
    const band = { ...toBox(highMm), xMm: standing ? atMm : 0, yMm: standing ? 0 : atMm };
    atMm += highMm + gapMm;
    return { count: pattern.count, band, pattern };
  });
  return { parts, sets };
}

function alternate(outlines: readonly SharedOutline[], usable: BoxMm): SharedSheet[] {
  const [one, two] = outlines;
  if (!one || !two || outlines.length > 2) return [];
  const [a, b] = [outerOutline(one.outline), outerOutline(two.outline)];
  if (a.kind !== "disc" || b.kind !== "disc") return [];
  const webMm = Math.max(one.webMm, two.webMm);
  const [large, small] = a.diameterMm >= b.diameterMm ? [a, b] : [b, a];
  return [false, true].flatMap((turned) => {
    const box = turned ? turnBox(usable) : usable;
    const rows = alternateDiscs(large.diameterMm, small.diameterMm, box, webMm);
    if (!rows) return [];
    const toPart = (pattern: RowPattern): SharedPart => ({
      count: pattern.count,
      band: { ...usable, xMm: 0, yMm: 0 },
      pattern: turned ? turnPattern(pattern) : pattern,
    });
    const parts = large === a ? [rows.large, rows.small] : [rows.small, rows.large];
    const sets = countSets(
      outlines,
      parts.map(({ count }) => count),
    );
    return sets > 0 ? [{ parts: parts.map(toPart), sets }] : [];
  });
}
