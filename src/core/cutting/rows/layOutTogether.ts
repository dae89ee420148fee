import { Budget } from "../../budget";
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

/** Several outlines and the sheet they are to share. */
export interface SharedRequest {
  readonly outlines: readonly SharedOutline[];
  readonly sheet: SheetShape;
  /** Ragged edge lost all round, ≥ 0. */
  readonly marginMm: number;
  /** False where the dough's grain allows only half turns. */
  readonly mayTurn: boolean;
}

/**
 * The most whole sets of several outlines on one sheet: each in a band of its own as high as it needs, bands along the
 * width or down the height; two discs also by turns, the small in the hollows of the large.
 * @param budget - Once it is over, the most sets found by then.
 * @param least - So many sets are looked for whatever the time: one always is found, where one fits; with 0 it may be none.
 * @returns The parts, or why not one set fits. @throws {RangeError} If a ratio is not above 0.
 */
export function layOutTogether(
  { outlines, sheet, marginMm, mayTurn }: SharedRequest,
  budget = new Budget(),
  least: 0 | 1 = 1,
): Result<SharedSheet, SharedFailure> {
  for (const { ratio } of outlines) requirePositive("ratio", ratio);
  if (sheet.shape === "oval") return fail(because("sharedOnOval", {}));
  const usable = { widthMm: sheet.widthMm - 2 * marginMm, heightMm: sheet.heightMm - 2 * marginMm };
  const bands = [false, true].map((standing) => createBands(outlines, usable, mayTurn, standing));
  // What the outlines' shares of the dough give is soonest known: should there be no time for more, it is what there is.
  // Where they give nothing few cuts fit, and bands are looked for whatever it takes.
  const shares = [bands[0]?.byShares(budget) ?? bands[1]?.byShares(budget) ?? []].flat();
  const left = shares.length >= least ? budget : new Budget();
  const searched = bands.flatMap((each) => (left.isOver() ? [] : (each?.search(left) ?? [])));
  const candidates = [...searched, ...(left.isOver() ? [] : alternate(outlines, usable)), ...shares];
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
  const shared = layOutTogether({ outlines: withWeb, sheet, marginMm, mayTurn });
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
  const corner = { xMm: marginMm + band.xMm, yMm: marginMm + band.yMm };
  return placeCuts(outerOutline(outline), pattern, webMm, corner);
}

/** Ways to divide a sheet into one band for each outline. */
interface Bands {
  /** As high as the dough that a set takes of each: a set or more, or null. */
  readonly byShares: (budget: Budget) => SharedSheet | null;
  /** Each as low as holds what the most sets need of it: the most found in time. */
  readonly search: (budget: Budget) => SharedSheet | null;
}

/** A band so high and the rows in it. */
interface FilledBand {
  readonly highMm: number;
  readonly pattern: RowPattern;
}

/** @param standing - The bands stand side by side instead of lying one below the other. @returns null without room. */
function createBands(
  outlines: readonly SharedOutline[],
  usable: BoxMm,
  mayTurn: boolean,
  standing: boolean,
): Bands | null {
  const [alongMm, acrossMm] = standing
    ? [usable.heightMm, usable.widthMm]
    : [usable.widthMm, usable.heightMm];
  if (alongMm <= 0 || acrossMm <= 0) return null;
  const needs = countNeeds(outlines);
  const gapMm = Math.max(...outlines.map(({ webMm }) => webMm));
  const roomMm = acrossMm - gapMm * (outlines.length - 1);
  const toBox = (highMm: number) =>
    standing ? { widthMm: highMm, heightMm: alongMm } : { widthMm: alongMm, heightMm: highMm };
  const fill = ({ outline, webMm }: SharedOutline, highMm: number, budget: Budget): FilledBand => ({
    highMm,
    pattern: findRows(
      { outline: outerOutline(outline), sheet: toBox(highMm), webMm, marginMm: 0, mayTurn },
      budget,
    ),
  });
  const setMm2 = needs(1).map((count, i) => count * computeAreaMm2(outerOutline(outlines[i]!.outline)));
  const allMm2 = setMm2.reduce((sum, mm2) => sum + mm2, 0);
  const join = (filled: readonly FilledBand[], sets: number): SharedSheet => {
    let atMm = 0;
    const parts = filled.map(({ highMm, pattern }): SharedPart => {
      const band = { ...toBox(highMm), xMm: standing ? atMm : 0, yMm: standing ? 0 : atMm };
      atMm += highMm + gapMm;
      return { count: pattern.count, band, pattern };
    });
    return { parts, sets };
  };
  const byShares: Bands["byShares"] = (budget) => {
    if (roomMm <= 0) return null;
    const filled = outlines.map((part, i) => fill(part, (roomMm * setMm2[i]!) / allMm2, budget));
    const sets = countSets(
      outlines,
      filled.map(({ pattern }) => pattern.count),
    );
    return sets > 0 ? join(filled, sets) : null;
  };
  const search: Bands["search"] = (budget) => {
    const known = new Map<string, FilledBand | null>();
    /** The lowest band that holds so many, or the lowest tried in time; null if the whole sheet does not. */
    const findLowest = (index: number, count: number): FilledBand | null => {
      const key = `${index} ${count}`;
      const seen = known.get(key);
      if (seen !== undefined) return seen;
      const tryHigh = (highMm: number) => {
        const filled = fill(outlines[index]!, highMm, budget);
        return filled.pattern.count >= count ? filled : null;
      };
      let lowest = tryHigh(acrossMm);
      for (let i = 0, lowMm = 0; lowest && i < HALVINGS && !budget.isOver(); i++) {
        const middleMm = (lowMm + lowest.highMm) / 2;
        const held: FilledBand | null = tryHigh(middleMm);
        if (held) lowest = held;
        else lowMm = middleMm;
      }
      known.set(key, lowest);
      return lowest;
    };
    const findBands = (sets: number): FilledBand[] | null => {
      const filled = needs(sets).flatMap((count, i) => findLowest(i, count) ?? []);
      const highMm = filled.reduce((sum, band) => sum + band.highMm, 0);
      return filled.length === outlines.length && highMm <= roomMm ? filled : null;
    };
    let best: SharedSheet | null = null;
    let [sets, most] = [0, Math.floor((alongMm * acrossMm) / allMm2)];
    while (sets < most && !budget.isOver()) {
      const middle = (sets + most + 1) >> 1;
      const filled = findBands(middle);
      if (filled) best = join(filled, (sets = middle));
      else most = middle - 1;
    }
    return best;
  };
  return { byShares, search };
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
