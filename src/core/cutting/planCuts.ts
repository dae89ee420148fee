import { requireNotNegative, requirePositive, requireThat } from "../require";
import { fail, ok, type Result } from "../result";
import { computeAreaMm2, computeBox, describeOutline, type BoxMm } from "../shape";
import type { CutAim, CutFault, CutPlan, CutRequest } from "./cutPlan";
import { estimatePlan, type PlanSketch, type SheetRun } from "./estimatePlan";
import { layOutRows } from "./layout";
import { realizePlan } from "./realizePlan";
import { listSheetMenu, type MenuSheet } from "./sheetMenu";

/** A plan for each aim; `pinned` only if a sheet was pinned. */
export type CutAnswers = Readonly<Partial<Record<CutAim, CutPlan>>> & {
  readonly leastDough: CutPlan;
  readonly fewestRerolls: CutPlan;
  readonly leastTime: CutPlan;
};

/**
 * How to roll and cut `demand` blanks: equal sheets of one size, one smaller last sheet, then re-rolls of the
 * trim, searched over every sheet of the menu and every number of re-rolls the dough allows.
 * @returns The best plan for each aim, or why nothing can be cut.
 * @throws {RangeError} On a request no form lets through (not finite, out of range).
 */
export function planCuts(request: CutRequest): Result<CutAnswers, CutFault> {
  checkRequest(request);
  const menu = listSheetMenu(request.outline, request.webMm, request.marginMm, request.sheetLimit);
  if (menu.length === 0) return fail(describeNothingFits(request));

  const sketches = listSketches(request, menu, menu);
  const realize = (rank: Rank, from = sketches) => realizePlan(request, findLowest(from, rank));
  const byDough: Rank = ({ doughMm2, rerolls, handMin }) => [doughMm2, rerolls, handMin];
  const answers: CutAnswers = {
    leastDough: realize(byDough),
    fewestRerolls: realize(({ doughMm2, rerolls, handMin }) => [rerolls, doughMm2, handMin]),
    leastTime: realize(({ doughMm2, handMin }) => [handMin, doughMm2]),
  };
  if (!request.pinnedSheet) return ok(answers);

  const pinned = layOutRows({ ...request, sheet: request.pinnedSheet });
  if (!pinned.ok) return fail({ kind: "nothingFits", message: pinned.failure.message });
  const { widthMm, heightMm } = request.pinnedSheet;
  const only = [{ sheet: request.pinnedSheet, areaMm2: widthMm * heightMm, count: pinned.value.count }];
  return ok({ ...answers, pinned: realize(byDough, listSketches(request, menu, only)) });
}

/** Figures to compare plans by, the weightiest first; lower is better. */
type Rank = (sketch: PlanSketch) => readonly number[];

function findLowest(sketches: readonly PlanSketch[], rank: Rank): PlanSketch {
  const [first, ...others] = sketches;
  if (!first) throw new RangeError("findLowest: a menu that is not empty gave no plan");
  return others.reduce((best, sketch) => (isLower(rank(sketch), rank(best)) ? sketch : best), first);
}

/** Every plan worth weighing whose first rolling takes its sheets from `firsts`. */
function listSketches(request: CutRequest, menu: readonly MenuSheet[], firsts: readonly MenuSheet[]): PlanSketch[] {
  return Array.from({ length: request.rerollLimit + 1 }, (_, rerollLimit) => {
    const estimate = (runs: readonly SheetRun[]) => estimatePlan({ ...request, rerollLimit }, menu, runs);
    return firsts.flatMap((first) => listFirstRollings(request.demand, first, firsts, estimate));
  }).flat();
}

/** How far below the bisected last sheet to look for a smaller one that still reaches the demand. */
const LAST_SHEETS_LOOKED_AT = 8;

/** The plans that roll `first` as often as needed: with it alone, or with a smaller last sheet. */
function listFirstRollings(
  demand: number,
  first: MenuSheet,
  lasts: readonly MenuSheet[],
  estimate: (runs: readonly SheetRun[]) => PlanSketch,
): PlanSketch[] {
  const copies = findFewest(1, Math.ceil(demand / first.count), (n) => estimate([{ entry: first, copies: n }]).count >= demand);
  const alone = estimate([{ entry: first, copies }]);
  const withLast = (index: number) => {
    const entry = lasts[index] ?? first;
    return estimate([
      ...(copies > 1 ? [{ entry: first, copies: copies - 1 }] : []),
      { entry, copies: 1 },
    ]);
  };
  const nearly = findFewest(0, lasts.indexOf(first), (index) => withLast(index).count >= demand);
  // What a re-roll yields goes up in steps, so a somewhat smaller last sheet may reach the demand again.
  for (let index = Math.max(nearly - LAST_SHEETS_LOOKED_AT, 0); index <= nearly; index++) {
    const shorter = withLast(index);
    if (shorter.count >= demand) return [alone, shorter];
  }
  return [alone];
}

/** The lowest whole number in [low, high] for which `holds`, which must be true at `high`; by bisection. */
function findFewest(low: number, high: number, holds: (n: number) => boolean): number {
  let [few, enough] = [low, high];
  while (few < enough) {
    const middle = (few + enough) >> 1;
    if (holds(middle)) enough = middle;
    else few = middle + 1;
  }
  return enough;
}

function isLower(left: readonly number[], right: readonly number[]): boolean {
  /** Ranks nearer than this share of their size are a draw: what differs is rounding. */
  const DRAW_SHARE = 1e-9;
  for (let i = 0; i < left.length; i++) {
    const [l = 0, r = 0] = [left[i], right[i]];
    if (Math.abs(l - r) > DRAW_SHARE * Math.max(Math.abs(l), Math.abs(r))) return l < r;
  }
  return false;
}

function checkRequest(request: CutRequest): void {
  requireThat("demand", request.demand, Number.isInteger(request.demand) && request.demand >= 1, "a whole number ≥ 1");
  requirePositive("thicknessMm", request.thicknessMm);
  requirePositive("densityGPerMl", request.densityGPerMl);
  requirePositive("outline area", computeAreaMm2(request.outline));
  requireNotNegative("webMm", request.webMm);
  requireNotNegative("marginMm", request.marginMm);
  requireThat("rerollLimit", request.rerollLimit, Number.isInteger(request.rerollLimit) && request.rerollLimit >= 0, "a whole number ≥ 0");
  const loss = request.rerollLossShare;
  requireThat("rerollLossShare", loss, loss >= 0 && loss < 1, "at least 0 and below 1");
}

function describeNothingFits({ outline, sheetLimit, marginMm }: CutRequest): CutFault {
  const box = computeBox(outline);
  const needs: BoxMm = { widthMm: box.widthMm + 2 * marginMm, heightMm: box.heightMm + 2 * marginMm };
  const overMm = Math.max(
    Math.max(needs.widthMm, needs.heightMm) - Math.max(sheetLimit.widthMm, sheetLimit.heightMm),
    Math.min(needs.widthMm, needs.heightMm) - Math.min(sheetLimit.widthMm, sheetLimit.heightMm),
  );
  const message =
    `A ${describeOutline(outline)} cut with ${marginMm} mm ragged edge needs a sheet of ` +
    `${Math.ceil(needs.widthMm)} × ${Math.ceil(needs.heightMm)} mm; the largest is ` +
    `${Math.floor(sheetLimit.widthMm)} × ${Math.floor(sheetLimit.heightMm)} mm, ${Math.ceil(overMm)} mm too small. ` +
    "Take a smaller cutter or allow a larger sheet in Kit.";
  return { kind: "nothingFits", message };
}
