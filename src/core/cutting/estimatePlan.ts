import { computeAreaMm2 } from "../shape";
import type { CutRequest } from "./cutPlan";
import { findLargestWithin, findSmallestFor, type MenuSheet } from "./sheetMenu";

/** So many sheets of one kind. */
export interface SheetRun {
  readonly entry: MenuSheet;
  readonly copies: number;
}

/** A re-roll: the sheets it gives, in sheet area, since thickness and density are the same throughout. */
export interface RerollSketch {
  readonly runs: readonly SheetRun[];
  readonly trimMm2: number;
  readonly lossMm2: number;
  readonly unrolledMm2: number;
}

/** A cut plan in areas and counts only, cheap enough to weigh thousands of. */
export interface PlanSketch {
  readonly firstRolling: readonly SheetRun[];
  readonly rerollSketches: readonly RerollSketch[];
  readonly rerolls: number;
  readonly count: number;
  readonly doughMm2: number;
  readonly trimLeftMm2: number;
  readonly handMin: number;
}

const MM2_PER_M2 = 1e6;

/**
 * What a first rolling gives, re-rolls included as long as the demand is not met and the dough allows.
 * @param looseMm2 - Dough that the first rolling leaves unrolled; it joins the trim.
 */
export function estimatePlan(
  request: CutRequest,
  menu: readonly MenuSheet[],
  firstRolling: readonly SheetRun[],
  looseMm2 = 0,
): PlanSketch {
  const blankMm2 = computeAreaMm2(request.outline);
  const times = request.handTimes;
  const first = sumRuns(request, firstRolling);
  const doughMm2 = first.areaMm2 + looseMm2;
  let { count, handMin } = first;
  let trimMm2 = doughMm2 - count * blankMm2;
  const rerollSketches: RerollSketch[] = [];
  while (count < request.demand && rerollSketches.length < request.rerollLimit) {
    const usableMm2 = trimMm2 * (1 - request.rerollLossShare);
    const runs = rollOut(menu, usableMm2, request.demand - count);
    if (runs.length === 0) break;
    const rolled = sumRuns(request, runs);
    rerollSketches.push({
      runs,
      trimMm2,
      lossMm2: trimMm2 - usableMm2,
      unrolledMm2: usableMm2 - rolled.areaMm2,
    });
    count += rolled.count;
    handMin += rolled.handMin + times.perRerollMin;
    trimMm2 = usableMm2 - rolled.count * blankMm2;
  }
  return {
    firstRolling,
    rerollSketches,
    rerolls: rerollSketches.length,
    count,
    doughMm2,
    trimLeftMm2: trimMm2,
    handMin,
  };
}

/** Sheets for `wanted` cuts out of so much dough: the largest that fit, the last no larger than needed. */
export function rollOut(menu: readonly MenuSheet[], areaMm2: number, wanted: number): SheetRun[] {
  const runs: SheetRun[] = [];
  let leftMm2 = areaMm2;
  let missing = wanted;
  while (missing > 0) {
    const enough = findSmallestFor(menu, missing);
    const entry = enough && enough.areaMm2 <= leftMm2 ? enough : findLargestWithin(menu, leftMm2);
    if (!entry) break;
    const fits = Math.max(
      Math.min(Math.floor(leftMm2 / entry.areaMm2), Math.floor(missing / entry.count)),
      1,
    );
    runs.push({ entry, copies: fits });
    leftMm2 -= fits * entry.areaMm2;
    missing -= fits * entry.count;
  }
  return runs;
}

function sumRuns({ handTimes }: CutRequest, runs: readonly SheetRun[]) {
  let count = 0;
  let areaMm2 = 0;
  let sheets = 0;
  for (const { entry, copies } of runs) {
    count += entry.count * copies;
    areaMm2 += entry.areaMm2 * copies;
    sheets += copies;
  }
  const handMin =
    sheets * handTimes.perSheetMin +
    (areaMm2 / MM2_PER_M2) * handTimes.rollingMinPerM2 +
    (count * handTimes.perBlankS) / 60;
  return { count, areaMm2, handMin };
}
