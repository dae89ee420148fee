import { requirePositive, requireThat } from "../require";
import { because, fail, ok, type Result } from "../result";
import { scaleOutline, type BoxMm, type Outline } from "../shape";
import { solveFilledSection, type FilledSection } from "./filledSection";
import type { FormFailure } from "./formFailure";
import { computePlumpShare, computePocketMm3, solvePocketSection } from "./pocket";
import { computeFoldGeometry, type FoldForm, type FoldGeometry } from "./foldGeometry";

export interface FoldRequest {
  readonly form: FoldForm;
  /** The blank as it is cut, before the dough relaxes. */
  readonly cut: Outline;
  readonly thicknessMm: number;
  /** Share of every length lost as the blank relaxes, 0 ≤ share < 1. */
  readonly springBackShare: number;
  readonly marginMm: number;
  /** 0 flat to 1 round. */
  readonly plumpness: number;
}

/** A folded piece. */
export interface Fold {
  readonly settledBlank: Outline;
  /** The blank keeps its volume as it relaxes, so it grows thicker. */
  readonly settledThicknessMm: number;
  readonly foldMm: number;
  readonly depthMm: number;
  readonly seamMm: number;
  readonly capacityMl: number;
  /** What would fit if the piece were blown up round: the most the dough can hold. */
  readonly mostMl: number;
  /** Across the middle of the fold. */
  readonly section: FilledSection;
  readonly marginMm: number;
  /** Unfilled outline from above, fold along x. */
  readonly edgePoints: readonly (readonly [number, number])[];
  readonly footprint: BoxMm;
}

/** Steps of the integral along half the fold; Simpson's rule on a smooth integrand, error far below 0.01 %. */
const SIMPSON_STEPS = 128;

/**
 * What a fold holds. At each slice along the fold the dough available inside is twice the filled depth, less
 * π times the thickness for the way round the inside of the bend (Steiner's formula for a parallel curve);
 * the filled section is a foot and an arc of that perimeter. Capacity is the integral over the fold; of a rectangle,
 * whose ends are seams too, that of the closed pocket.
 * @throws {RangeError} If a size is not above 0, or a share is outside 0–1.
 */
export function computeFold(request: FoldRequest): Result<Fold, FormFailure> {
  const { form, cut, thicknessMm, springBackShare, marginMm, plumpness } = request;
  requirePositive("thicknessMm", thicknessMm);
  requirePositive("marginMm", marginMm);
  requireThat(
    "springBackShare",
    springBackShare,
    springBackShare >= 0 && springBackShare < 1,
    "at least 0 and below 1",
  );
  requireThat("plumpness", plumpness, plumpness >= 0 && plumpness <= 1, "0 to 1");
  const settledBlank = scaleOutline(cut, 1 - springBackShare);
  const settledThicknessMm = thicknessMm / (1 - springBackShare) ** 2;
  const geometry = computeFoldGeometry(form, settledBlank);
  if (!geometry) {
    return fail(because("wrongOutline", { form: form, cut, isOval: false }));
  }
  const filledDepthMm = geometry.filledDepthMm(0, marginMm);
  if (geometry.filledHalfMm(marginMm) <= 0 || filledDepthMm <= 0)
    return fail(findWideMargin(geometry, marginMm));
  const perimeterMm = innerPerimeterMm(filledDepthMm, settledThicknessMm);
  if (perimeterMm <= 0) {
    return fail(
      because("noRoomInFold", {
        ...{ wallMm: settledThicknessMm, depthMm: filledDepthMm },
        mostMm: (2 * filledDepthMm) / Math.PI,
      }),
    );
  }
  const alongMm = 2 * geometry.filledHalfMm(marginMm);
  const integrate = (atPlumpness: number) =>
    geometry.hasClosedEnds
      ? (computePocketMm3(perimeterMm / 2, alongMm) * computePlumpShare(atPlumpness)) / 1000
      : integrateMl(geometry, marginMm, settledThicknessMm, atPlumpness);
  return ok({
    settledBlank,
    settledThicknessMm,
    foldMm: geometry.foldMm,
    depthMm: geometry.depthMm,
    seamMm: geometry.seamMm,
    capacityMl: integrate(plumpness),
    mostMl: integrate(1),
    section: geometry.hasClosedEnds
      ? solvePocketSection(perimeterMm / 2, alongMm, plumpness)
      : solveFilledSection(perimeterMm, plumpness),
    marginMm,
    edgePoints: geometry.edgePoints,
    footprint: geometry.box,
  });
}

function innerPerimeterMm(filledDepthMm: number, thicknessMm: number): number {
  return 2 * filledDepthMm - Math.PI * thicknessMm;
}

function integrateMl(
  geometry: FoldGeometry,
  marginMm: number,
  thicknessMm: number,
  plumpness: number,
): number {
  const halfMm = geometry.filledHalfMm(marginMm);
  const sliceMm2 = (xMm: number) =>
    solveFilledSection(innerPerimeterMm(geometry.filledDepthMm(xMm, marginMm), thicknessMm), plumpness)
      .areaMm2;
  // x = half · sin u takes the steepness out of a round end.
  const at = (u: number) => sliceMm2(halfMm * Math.sin(u)) * halfMm * Math.cos(u);
  const step = Math.PI / 2 / SIMPSON_STEPS;
  let sum = at(0) + at(Math.PI / 2);
  for (let i = 1; i < SIMPSON_STEPS; i++) sum += at(i * step) * (i % 2 === 1 ? 4 : 2);
  const halfMm3 = (sum * step) / 3;
  return (2 * halfMm3) / 1000;
}

function findWideMargin(geometry: FoldGeometry, marginMm: number): FormFailure {
  // The filled depth falls straight with the margin, so the margin that leaves nothing follows from two values.
  const depthAt0 = geometry.filledDepthMm(0, 0);
  const lossPerMm = depthAt0 - geometry.filledDepthMm(0, Math.min(1, depthAt0 / 4));
  const mostMm = Math.min(depthAt0 / (lossPerMm / Math.min(1, depthAt0 / 4)), geometry.foldMm / 2);
  return because("foldMarginTooWide", {
    ...{ marginMm, depthMm: geometry.depthMm, mostMm },
    overMm: marginMm - mostMm,
  });
}
