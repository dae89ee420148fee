import { requireNotNegative, requirePositive } from "../require";
import type { Outline } from "../shape";

/** One axis of a mould: across its base and across its rim, mm. A round mould has one, an oval two. */
export interface MouldAxis {
  readonly baseMm: number;
  readonly rimMm: number;
}

export const mouldKinds = ["round", "fluted", "looseBottomed", "muffin", "oval"] as const;
export type MouldKind = (typeof mouldKinds)[number];

/** A cavity that dough is pressed into. */
export interface Mould {
  readonly kind: MouldKind;
  /** Long axis first for an oval. */
  readonly axes: readonly [MouldAxis] | readonly [MouldAxis, MouldAxis];
  readonly depthMm: number;
  /** Of flutes from the crest of a flute to its valley, else 0. */
  readonly fluteMm: number;
}

export interface Lining {
  readonly thicknessMm: number;
  /** Stands over the rim to be cut off. */
  readonly trimMm: number;
}

/** The blank that lines a mould. */
export interface MouldBlank {
  /** Across the blank, one figure for each axis. */
  readonly acrossMm: readonly number[];
  /** What the dough comes to in the mould, all of it, trim included, mm. */
  readonly linedThicknessMm: number;
  readonly massG: number;
}

/** Mean axis of the wall: flutes are followed half way. */
export const meanAxis = ({ baseMm, rimMm }: MouldAxis, fluteMm: number): MouldAxis => ({
  baseMm: baseMm - fluteMm,
  rimMm: rimMm - fluteMm,
});

/** Length of the wall and its angle to the base, radians. */
export function wallOf({ baseMm, rimMm }: MouldAxis, depthMm: number): { slantMm: number; angle: number } {
  const outMm = (rimMm - baseMm) / 2;
  return { slantMm: Math.hypot(depthMm, outMm), angle: Math.atan2(depthMm, outMm) };
}

/**
 * Across the blank along one axis: base, both walls and the trim on both sides, along the middle of the dough. Where
 * the dough bends from base to wall its middle is shorter than its outside by angle · thickness / 2 (Steiner).
 */
export function computeAcrossMm(axis: MouldAxis, depthMm: number, { thicknessMm, trimMm }: Lining): number {
  const { slantMm, angle } = wallOf(axis, depthMm);
  return axis.baseMm + 2 * slantMm + 2 * trimMm - angle * thicknessMm;
}

/**
 * The blank for a mould, and how thick it ends up: the dough's volume is kept while it is pressed in.
 * @throws {RangeError} If a length is not above 0, a rim is narrower than its base, or trim is below 0.
 */
export function computeMouldBlank(mould: Mould, lining: Lining, densityGPerMl: number): MouldBlank {
  requirePositive("depthMm", mould.depthMm);
  requirePositive("thicknessMm", lining.thicknessMm);
  requirePositive("densityGPerMl", densityGPerMl);
  requireNotNegative("trimMm", lining.trimMm);
  requireNotNegative("fluteMm", mould.fluteMm);
  const axes = mould.axes.map((axis) => meanAxis(axis, mould.fluteMm));
  for (const { baseMm, rimMm } of axes) {
    requirePositive("baseMm", baseMm);
    requireNotNegative("rim beyond base", rimMm - baseMm);
  }
  const acrossMm = axes.map((axis) => computeAcrossMm(axis, mould.depthMm, lining));
  const blankMm2 = ellipseMm2(acrossMm);
  return {
    acrossMm,
    linedThicknessMm: (lining.thicknessMm * blankMm2) / computeLinedMm2(axes, mould.depthMm, lining.trimMm),
    massG: (blankMm2 * lining.thicknessMm * densityGPerMl) / 1000,
  };
}

/** Inside of a mould that dough covers, with what stands over the rim. @param axes - Flutes followed half way. */
export function computeLinedMm2(axes: readonly MouldAxis[], depthMm: number, trimMm: number): number {
  const bases = axes.map(({ baseMm }) => baseMm);
  const rims = axes.map(({ rimMm }) => rimMm);
  const slants = axes.map((axis) => wallOf(axis, depthMm).slantMm);
  const meanSlantMm = slants.reduce((sum, each) => sum + each, 0) / slants.length;
  const wallMm2 = ((ellipsePerimeterMm(bases) + ellipsePerimeterMm(rims)) / 2) * meanSlantMm;
  return ellipseMm2(bases) + wallMm2 + ellipsePerimeterMm(rims) * trimMm;
}

/** What a round cutter does in a round mould. */
export interface CutterFit {
  readonly diameterMm: number;
  /** The wall above this stays bare; 0 if the dough reaches the rim. */
  readonly shortOnWallMm: number;
  /** Left standing over the rim, up to the trim wanted. */
  readonly trimMm: number;
  /** Dough beyond the blank wanted, g; below 0 it is less. */
  readonly moreG: number;
  /** Deepest mould of this base and slope that the cutter lines with the trim wanted; null if it does not even reach the wall. */
  readonly linesToMm: number | null;
}

/** How a round cutter serves a round mould: short on the wall, or with so much more trim. */
export function fitCutter(
  mould: Mould,
  lining: Lining,
  densityGPerMl: number,
  diameterMm: number,
): CutterFit {
  requirePositive("diameterMm", diameterMm);
  const axis = meanAxis(mould.axes[0], mould.fluteMm);
  const { slantMm, angle } = wallOf(axis, mould.depthMm);
  const wantedMm = computeAcrossMm(axis, mould.depthMm, lining);
  const onSideMm = (diameterMm - axis.baseMm + angle * lining.thicknessMm) / 2;
  const lengthMm = onSideMm - lining.trimMm;
  const areaMm2 = (Math.PI / 4) * (diameterMm ** 2 - wantedMm ** 2);
  return {
    diameterMm,
    shortOnWallMm: Math.max(slantMm - onSideMm, 0),
    trimMm: Math.max(onSideMm - slantMm, 0),
    moreG: (areaMm2 * lining.thicknessMm * densityGPerMl) / 1000,
    linesToMm: lengthMm > 0 ? lengthMm * Math.sin(angle) : null,
  };
}

/** A cutter of the drawer in a mould. */
export interface FittedCutter<C> {
  readonly cutter: C;
  readonly fit: CutterFit;
}

/** Every round cutter in a round mould, the nearest to the blank it needs first; none for an oval mould. */
export function listCutterFits<C extends { readonly outline: Outline }>(
  mould: Mould,
  lining: Lining,
  densityGPerMl: number,
  cutters: readonly C[],
): FittedCutter<C>[] {
  if (mould.axes.length === 2) return [];
  const wantedMm = computeAcrossMm(meanAxis(mould.axes[0], mould.fluteMm), mould.depthMm, lining);
  return cutters
    .flatMap((cutter) =>
      cutter.outline.kind === "disc"
        ? [{ cutter, fit: fitCutter(mould, lining, densityGPerMl, cutter.outline.diameterMm) }]
        : [],
    )
    .sort((a, b) => Math.abs(a.fit.diameterMm - wantedMm) - Math.abs(b.fit.diameterMm - wantedMm));
}

/** Area of a round or an oval by its one or two widths, mm²; exact. */
export function ellipseMm2(acrossMm: readonly number[]): number {
  const [a = 0, b = a] = acrossMm;
  return (Math.PI / 4) * a * b;
}

/** Ramanujan's second approximation: exact for a circle, within 1e-4 up to one to five. */
export function ellipsePerimeterMm(acrossMm: readonly number[]): number {
  const [a = 0, b = a] = acrossMm.map((each) => each / 2);
  const h = ((a - b) / (a + b)) ** 2;
  return Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
}
