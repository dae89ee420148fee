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
 * @returns For each aim a plan within the slack of the best, or why nothing can be cut.
 * @throws {RangeError} On a request no form lets through (not finite, out of range).
 */
export function planCuts(request: CutRequest): Result<CutAnswers, CutFault> {
  checkRequest(request);
  const menu = listSheetMenu(request.outline, request.webMm, request.marginMm, request.sheetLimit);
  if (menu.length === 0) return fail(describeNothingFits(request));

  const sketches = listSketches(request, menu, menu);
  const dough: Figure = ({ doughMm2 }) => doughMm2;
  const rerolls: Figure = (sketch) => sketch.rerolls;
  const time: Figure = ({ handMin }) => handMin;
  const fewestRerolls = Math.min(...sketches.map(rerolls));
  const answers: CutAnswers = {
    leastDough: realizePlan(request, choose(sketches, dough, time)),
    fewestRerolls: realizePlan(
      request,
      choose(
        sketches.filter((sketch) => rerolls(sketch) === fewestRerolls),
        dough,
        time,
      ),
    ),
    leastTime: realizePlan(request, choose(sketches, time, dough)),
  };
  if (!request.pinnedSheet) return ok(answers);

  const pinned = layOutRows({ ...request, sheet: request.pinnedSheet });
  if (!pinned.ok) return fail({ kind: "nothingFits", message: pinned.failure.message });
  const { widthMm, heightMm } = request.pinnedSheet;
  const only = [{ sheet: request.pinnedSheet, areaMm2: widthMm * heightMm, count: pinned.value.count }];
  return ok({
    ...answers,
    pinned: realizePlan(request, choose(listSketches(request, menu, only), dough, time)),
  });
}

/**
 * Plans nearer than this to the best in the wanted figure count as equally good, and the other figure decides.
 * Three grams in a hundred, or a minute in half an hour, are within a baker's own spread; chasing them would
 * cut a dozen small sheets where three do.
 */
export const AIM_SLACK_SHARE = 0.03;

type Figure = (sketch: PlanSketch) => number;

/** Of the plans within the slack of the lowest `wanted` figure, the one with the lowest `other`. */
function choose(sketches: readonly PlanSketch[], wanted: Figure, other: Figure): PlanSketch {
  const most = Math.min(...sketches.map(wanted)) * (1 + AIM_SLACK_SHARE);
  const [first, ...rest] = sketches.filter((sketch) => wanted(sketch) <= most);
  if (!first) throw new RangeError("choose: a menu that is not empty gave no plan");
  return rest.reduce((best, sketch) => (other(sketch) < other(best) ? sketch : best), first);
}

/** Every plan worth weighing whose first rolling takes its sheets from `firsts`. */
function listSketches(
  request: CutRequest,
  menu: readonly MenuSheet[],
  firsts: readonly MenuSheet[],
): PlanSketch[] {
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
  const copies = findFewest(
    1,
    Math.ceil(demand / first.count),
    (n) => estimate([{ entry: first, copies: n }]).count >= demand,
  );
  const alone = estimate([{ entry: first, copies }]);
  const withLast = (index: number) => {
    const entry = lasts[index] ?? first;
    return estimate([...(copies > 1 ? [{ entry: first, copies: copies - 1 }] : []), { entry, copies: 1 }]);
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

function checkRequest(request: CutRequest): void {
  requireThat(
    "demand",
    request.demand,
    Number.isInteger(request.demand) && request.demand >= 1,
    "a whole number ≥ 1",
  );
  requirePositive("thicknessMm", request.thicknessMm);
  requirePositive("densityGPerMl", request.densityGPerMl);
  requirePositive("outline area", computeAreaMm2(request.outline));
  requireNotNegative("webMm", request.webMm);
  requireNotNegative("marginMm", request.marginMm);
  requireThat(
    "rerollLimit",
    request.rerollLimit,
    Number.isInteger(request.rerollLimit) && request.rerollLimit >= 0,
    "a whole number ≥ 0",
  );
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
