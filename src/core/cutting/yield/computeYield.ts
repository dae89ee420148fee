import { Budget } from "../../budget";
import { requireNotNegative, requirePositive } from "../../require";
import type { Outline } from "../../shape";
import {
  type BlankDemand,
  type CutPlan,
  type CutRequest,
  type RollingRequest,
  toStreams,
  type CutStream,
  estimatePlan,
  rollOut,
  soleRun,
  type PlanSketch,
  type SheetRun,
  realizePlan,
} from "../plan";

/** Dough there is, and how it is rolled and cut; the demand is what it will make. */
export interface YieldRequest extends RollingRequest {
  readonly doughG: number;
  readonly outline: Outline;
  readonly webMm: number;
  readonly marginMm: number;
}

/** The yield's one cutter as a demand of the cut plan. */
export function toCutRequest(request: YieldRequest, count: number): CutRequest {
  const { outline, webMm, marginMm, ...rolling } = request;
  const demand: BlankDemand = {
    id: "yield",
    outline,
    count,
    webMm,
    marginMm,
    isVisible: true,
    keepsCentre: true,
    keepsSurplus: true,
  };
  return {
    ...rolling,
    demands: [demand],
    tearSharePer100Mm: 0,
    pinnedSheet: null,
    boughtSheet: null,
    decoration: null,
  };
}

/** How many cuts a dough makes: as rolled to the figure, and between which counts a hand lands. */
export interface Yield {
  readonly count: number;
  /** Of these, from the first rolling. */
  readonly firstCount: number;
  readonly lowCount: number;
  readonly highCount: number;
}

/** Two in three sheets rolled by hand, without guides, are within so much of the thickness meant, mm. */
export const THICKNESS_SPREAD_MM = 0.2;
/** And lose so much more or less at the ragged edge, mm. */
export const RAGGED_SPREAD_MM = 3;

/**
 * How many this dough makes: the most over every size of sheet the baker may roll, the rest of the dough in smaller
 * ones, what is left rolled again with the trim. The range comes from rolling thicker with more ragged edge, and
 * thinner with less.
 * @param budget - Over, the most found so far counts.
 * @throws {RangeError} If a size is not above 0, or web or margin below 0.
 */
export function computeYield(request: YieldRequest, budget = new Budget()): Yield {
  requireNotNegative("doughG", request.doughG);
  const sketch = findMost(request, request.thicknessMm, request.marginMm, budget);
  const low = findMost(
    request,
    request.thicknessMm + THICKNESS_SPREAD_MM,
    request.marginMm + RAGGED_SPREAD_MM,
    budget,
  );
  const high = findMost(
    request,
    Math.max(request.thicknessMm - THICKNESS_SPREAD_MM, request.thicknessMm / 2),
    Math.max(request.marginMm - RAGGED_SPREAD_MM, 0),
    budget,
  );
  const first = sketch?.firstRolling.reduce((sum, { entry, copies }) => sum + entry.count * copies, 0) ?? 0;
  const count = countOf(sketch);
  return {
    count,
    firstCount: first,
    lowCount: Math.min(countOf(low), count),
    highCount: Math.max(countOf(high), count),
  };
}

/** The sheets behind {@link computeYield}, with placed cuts; null if not one fits. */
export function planYield(request: YieldRequest, budget = new Budget()): CutPlan | null {
  const sketch = findMost(request, request.thicknessMm, request.marginMm, budget);
  const count = countOf(sketch);
  if (!sketch || count === 0) return null;
  const streams = [findStream(request, request.marginMm, budget)];
  return realizePlan(toCutRequest(request, count), streams, sketch, budget);
}

const countOf = (sketch: PlanSketch | null) => sketch?.counts[0] ?? 0;

function findStream(request: YieldRequest, marginMm: number, budget: Budget): CutStream {
  const [stream] = toStreams(toCutRequest({ ...request, marginMm }, 1), budget);
  if (!stream) throw new RangeError("findStream: one demand gave no stream");
  // The dough decides how many there are.
  return { ...stream, count: Infinity };
}

/** A millilitre is a thousand cubic millimetres. */
const MM2_PER_ML_AT_1_MM = 1000;

/** What so much dough covers at a thickness, mm². */
export function computeDoughAreaMm2(doughG: number, densityGPerMl: number, thicknessMm: number): number {
  return (doughG / (thicknessMm * densityGPerMl)) * MM2_PER_ML_AT_1_MM;
}

function findMost(
  request: YieldRequest,
  thicknessMm: number,
  marginMm: number,
  budget: Budget,
): PlanSketch | null {
  requirePositive("thicknessMm", thicknessMm);
  requirePositive("densityGPerMl", request.densityGPerMl);
  const stream = findStream(request, marginMm, budget);
  const menu = stream.menus[0] ?? [];
  const areaMm2 = computeDoughAreaMm2(request.doughG, request.densityGPerMl, thicknessMm);
  let best: PlanSketch | null = null;
  for (const entry of menu) {
    if (entry.areaMm2 > areaMm2 || (best && budget.isOver())) break;
    const copies = Math.floor(areaMm2 / entry.areaMm2);
    const restMm2 = areaMm2 - copies * entry.areaMm2;
    const runs: SheetRun[] = [soleRun(0, entry, copies), ...rollOut(0, menu, restMm2, Infinity)];
    const rolledMm2 = runs.reduce((sum, run) => sum + run.entry.areaMm2 * run.copies, 0);
    const sketch = estimatePlan(request, [stream], runs, areaMm2 - rolledMm2);
    if (
      !best ||
      countOf(sketch) > countOf(best) ||
      (countOf(sketch) === countOf(best) && sketch.handMin < best.handMin)
    ) {
      best = sketch;
    }
  }
  return best;
}

/** A thickness span in which a cutter gives exactly the wanted count. */
export interface ThicknessSpan {
  readonly fromMm: number;
  readonly toMm: number;
}

/** Finest step a pin with guides can be set to, mm. */
const THICKNESS_STEP_MM = 0.1;

/**
 * Thicknesses within the span at which the dough gives exactly `count` cuts.
 * @returns The widest unbroken span found, or null.
 */
export function findThicknessFor(
  request: YieldRequest,
  count: number,
  within: ThicknessSpan,
): ThicknessSpan | null {
  let best: ThicknessSpan | null = null;
  let open: number | null = null;
  const close = (lastMm: number) => {
    if (open !== null && (!best || lastMm - open > best.toMm - best.fromMm))
      best = { fromMm: open, toMm: lastMm };
    open = null;
  };
  const steps = Math.round((within.toMm - within.fromMm) / THICKNESS_STEP_MM);
  const at = (i: number) => Number((within.fromMm + i * THICKNESS_STEP_MM).toFixed(2));
  for (let i = 0; i <= steps; i++) {
    const isExact = countOf(findMost(request, at(i), request.marginMm, new Budget())) === count;
    if (isExact) open ??= at(i);
    else close(at(i - 1));
  }
  close(at(steps));
  return best;
}
