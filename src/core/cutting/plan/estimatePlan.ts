import type { RollingRequest } from "./cutPlan";
import type { CutStream } from "./cutStream";
import { estimateHandMin, type Band, type RowPattern } from "../sheet";
import { findLargestWithin, findSmallestFor, type MenuSheet } from "./sheetMenu";

/** So many cuts of one stream on every sheet of a run; the whole sheet is theirs where there is no band. */
export interface RunPart {
  readonly stream: number;
  readonly count: number;
  readonly band: Band | null;
  /** Rows already found, inside the ragged edge; null to lay out the band by itself. */
  readonly pattern: RowPattern | null;
}

/** So many sheets of one kind. */
export interface SheetRun {
  readonly entry: MenuSheet;
  readonly copies: number;
  readonly parts: readonly RunPart[];
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
  /** By stream. */
  readonly counts: readonly number[];
  readonly doughMm2: number;
  readonly trimLeftMm2: number;
  readonly handMin: number;
}

/** Sheets of one stream alone. */
export function soleRun(stream: number, entry: MenuSheet, copies: number): SheetRun {
  return { entry, copies, parts: [{ stream, count: entry.count, band: null, pattern: null }] };
}

/**
 * What a first rolling gives, re-rolls included as long as a stream is short and the dough allows. Trim goes to the
 * last streams first: what is not seen.
 * @param looseMm2 - Dough that the first rolling leaves unrolled; it joins the trim.
 */
export function estimatePlan(
  request: RollingRequest,
  streams: readonly CutStream[],
  firstRolling: readonly SheetRun[],
  looseMm2 = 0,
): PlanSketch {
  const counts = streams.map(() => 0);
  const first = addRuns(request, streams, firstRolling, counts);
  const doughMm2 = first.areaMm2 + looseMm2;
  let handMin = first.handMin;
  let trimMm2 = doughMm2 - first.blanksMm2;
  const rerollSketches: RerollSketch[] = [];
  const isShort = () => streams.some(({ count }, i) => (counts[i] ?? 0) < count);
  while (isShort() && rerollSketches.length < request.rerollLimit) {
    const usableMm2 = trimMm2 * (1 - request.rerollLossShare);
    const runs: SheetRun[] = [];
    let leftMm2 = usableMm2;
    for (let i = streams.length - 1; i >= 0; i--) {
      const wanted = (streams[i]?.count ?? 0) - (counts[i] ?? 0);
      if (wanted <= 0) continue;
      const menu = streams[i]?.menus[rerollSketches.length + 1] ?? [];
      const own = rollOut(i, menu, leftMm2, wanted);
      runs.push(...own);
      leftMm2 -= own.reduce((sum, { entry, copies }) => sum + entry.areaMm2 * copies, 0);
    }
    if (runs.length === 0) break;
    const rolled = addRuns(request, streams, runs, counts);
    rerollSketches.push({
      runs,
      trimMm2,
      lossMm2: trimMm2 - usableMm2,
      unrolledMm2: usableMm2 - rolled.areaMm2,
    });
    handMin += rolled.handMin + request.handTimes.perRerollMin;
    trimMm2 = usableMm2 - rolled.blanksMm2;
  }
  return {
    firstRolling,
    rerollSketches,
    rerolls: rerollSketches.length,
    counts,
    doughMm2,
    trimLeftMm2: trimMm2,
    handMin,
  };
}

/** Whether every stream has what it needs. */
export function meets(sketch: PlanSketch, streams: readonly CutStream[]): boolean {
  return streams.every(({ count }, i) => (sketch.counts[i] ?? 0) >= count);
}

/** Sheets for `wanted` cuts out of so much dough: the largest that fit, the last no larger than needed. */
export function rollOut(
  stream: number,
  menu: readonly MenuSheet[],
  areaMm2: number,
  wanted: number,
): SheetRun[] {
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
    runs.push(soleRun(stream, entry, fits));
    leftMm2 -= fits * entry.areaMm2;
    missing -= fits * entry.count;
  }
  return runs;
}

/** Adds the runs' cuts to `counts`. */
function addRuns(
  { handTimes }: RollingRequest,
  streams: readonly CutStream[],
  runs: readonly SheetRun[],
  counts: number[],
) {
  let areaMm2 = 0;
  let sheets = 0;
  let cuts = 0;
  let blanksMm2 = 0;
  for (const { entry, copies, parts } of runs) {
    areaMm2 += entry.areaMm2 * copies;
    sheets += copies;
    for (const { stream, count } of parts) {
      counts[stream] = (counts[stream] ?? 0) + count * copies;
      cuts += count * copies;
      blanksMm2 += count * copies * (streams[stream]?.blankMm2 ?? 0);
    }
  }
  return { areaMm2, blanksMm2, handMin: estimateHandMin(handTimes, sheets, areaMm2, cuts) };
}
