import { Budget } from "../../budget";
import { requireNotNegative, requirePositive, requireThat } from "../../require";
import { because, fail, ok, type Result } from "../../result";
import { computeAreaMm2, computeBox, outerOutline, type BoxMm } from "../../shape";
import { listRolledThinner } from "./boughtSheets";
import type { CutFailure } from "../sheet";
import type { BlankDemand, CutAim, CutPlan, CutRequest } from "./cutPlan";
import { toStreams, type CutStream } from "./cutStream";
import {
  choose,
  fewestRerolls,
  findFewest,
  leastDough,
  leastTime,
  sensible,
  weighCost,
  weighTears,
  type Aim,
} from "./chooseSketch";
import { estimatePlan, meets, soleRun, type PlanSketch, type SheetRun } from "./estimatePlan";
import { portionBlanks, sliceBlanks } from "./portionBlanks";
import { realizePlan } from "./realizePlan";
import { searchFixedSheets } from "./searchFixedSheets";
import { shareLastSheets } from "./shareLastSheets";
import type { MenuSheet } from "./sheetMenu";

/** A plan for each aim that these blanks allow. */
export type CutAnswers = Readonly<Partial<Record<CutAim, CutPlan>>> & {
  readonly sensible: CutPlan;
  readonly leastDough: CutPlan;
  readonly fewestRerolls: CutPlan;
  readonly leastTime: CutPlan;
};

/**
 * How to roll and cut blanks of one dough at one thickness: equal sheets of one size for each cutter, one smaller last
 * sheet, small sheets shared where that saves dough, then re-rolls of the trim, searched over every sheet of the menu
 * and every number of re-rolls the dough allows. What is seen comes from the first rolling, what is not from trim as
 * far as it goes.
 * @param budget - Over, the best found so far are realized.
 * @returns For each aim a plan within the slack of the best, or why a blank cannot be cut.
 * @throws {RangeError} On a request no form lets through (not finite, out of range).
 */
export function planCuts(asked: CutRequest, budget = new Budget()): Result<CutAnswers, CutFailure> {
  checkRequest(asked);
  // A bought sheet is rolled thinner or used as it is: it does not grow.
  const thicknessMm = Math.min(asked.thicknessMm, asked.boughtSheet?.thicknessMm ?? Infinity);
  const request = { ...asked, thicknessMm };
  const streams = toStreams(request, budget);
  const tooLarge = streams.find(({ menus }) => (menus[0] ?? []).length === 0);
  if (tooLarge) return fail(findTooLarge(request, tooLarge));

  const { boughtSheet, pinnedSheet } = request;
  const search = boughtSheet
    ? searchFixedSheets(request, streams, listRolledThinner(boughtSheet, request), budget)
    : ok(createSearch(request, streams, budget));
  if (!search.ok) return search;
  // What was found for one aim may serve another better than its own search.
  const sense = sensible((request.thicknessMm * request.densityGPerMl) / 1000);
  const sensibly = search.value(sense);
  // Each aim searches several cutters anew: with no time left the sensible one's plan has to serve them all.
  const others = budget.isOver() ? [] : [leastDough, fewestRerolls, leastTime].map(search.value);
  const sketches = [...others, sensibly];
  const realized = new Map<PlanSketch, CutPlan>();
  const answer = (aim: Aim) => {
    // With no time left what has been laid out for one aim serves the others too.
    const sketch = choose(budget.cutShort && realized.size > 0 ? [...realized.keys()] : sketches, aim);
    const plan = realized.get(sketch) ?? realizePlan(request, streams, sketch, budget);
    realized.set(sketch, plan);
    return plan;
  };
  const [portioned, sliced] = [portionBlanks(request), sliceBlanks(request)];
  const answers: CutAnswers = {
    sensible: findSensible(request, answer(sense), portioned),
    leastDough: answer(leastDough),
    fewestRerolls: answer(fewestRerolls),
    leastTime: answer(leastTime),
    ...(portioned && { portioned }),
    ...(sliced && { sliced }),
  };
  if (!pinnedSheet) return ok(answers);

  const pinned = searchFixedSheets(request, streams, [pinnedSheet], budget);
  if (!pinned.ok) return pinned;
  return ok({ ...answers, pinned: realizePlan(request, streams, pinned.value(leastDough), budget) });
}

/**
 * Weighed off and rolled one by one where that costs less in all: few blanks, large ones, or such as would not come
 * off a sheet whole, of a dough without layers. Where trim is wanted for decorations there must be some.
 */
function findSensible(request: CutRequest, sheets: CutPlan, portioned: CutPlan | null): CutPlan {
  const { mayTurn, boughtSheet, demands, pinnedSheet, decoration } = request;
  const isRolled =
    mayTurn &&
    !boughtSheet &&
    !pinnedSheet &&
    !decoration &&
    demands.every(({ outline }) => outline.kind !== "ring");
  if (!portioned || !isRolled) return sheets;
  const costOf = (plan: CutPlan) => weighCost({ ...plan, rerolls: plan.rerolls.length });
  return costOf(portioned) < costOf(sheets) + weighTears(request) ? portioned : sheets;
}

/** Plans of sheets of any size, by aim. One stream is searched once for all aims. */
function createSearch(
  request: CutRequest,
  streams: readonly CutStream[],
  budget: Budget,
): (aim: Aim) => PlanSketch {
  const [only, ...more] = streams;
  if (!only) throw new RangeError("createSearch: no stream to cut");
  if (more.length > 0) return (aim) => findPlan(request, streams, aim, budget);
  const sketches = listSketches(request, streams, 0, only, [], budget);
  return (aim) => choose(sketches, aim);
}

/**
 * The streams one by one from the last: each takes from a first rolling only what the trim of all cannot give it.
 * The ones before it are rolled in full as long as their turn has not come.
 */
function findPlan(request: CutRequest, streams: readonly CutStream[], aim: Aim, budget: Budget): PlanSketch {
  const runs = streams.map((stream, i) =>
    i < streams.length - 1 ? rollInFull(request, stream, i, aim, budget) : [],
  );
  let best: PlanSketch | null = null;
  for (let i = streams.length - 1; i >= 0; i--) {
    const others = runs.filter((_, j) => j !== i).flat();
    const stream = streams[i];
    if (!stream) break;
    // Fewer sheets of this stream leave less trim for those after it: not every sketch still gives them enough.
    const sketches = listSketches(request, streams, i, stream, others, budget).filter((sketch) =>
      meets(sketch, streams),
    );
    const found: PlanSketch = choose(best ? [best, ...sketches] : sketches, aim);
    runs[i] = found.firstRolling.filter(({ parts }) => parts[0]?.stream === i);
    best = found;
    // As long as a stream needs sheets of its own, no trim is left over for the ones before it.
    if ((runs[i] ?? []).length > 0 || budget.isOver()) break;
  }
  if (!best) throw new RangeError("findPlan: no stream to cut");
  return shareLastSheets(request, streams, best, budget);
}

/** A stream by itself, no re-rolls counted on. */
function rollInFull(
  request: CutRequest,
  stream: CutStream,
  index: number,
  aim: Aim,
  budget: Budget,
): readonly SheetRun[] {
  const menu = stream.menus[0] ?? [];
  const alone = [{ ...stream, menus: stream.menus.map(() => menu) }];
  const sketches = listRuns(
    menu,
    stream.count,
    0,
    (runs) => estimatePlan({ ...request, rerollLimit: 0 }, alone, runs),
    (sketch) => meets(sketch, alone),
    budget,
  );
  return choose(sketches, aim).firstRolling.map((run) => soleRun(index, run.entry, run.copies));
}

/** Every plan worth weighing whose first rolling adds sheets of one stream to the others'. */
function listSketches(
  request: CutRequest,
  streams: readonly CutStream[],
  index: number,
  stream: CutStream,
  others: readonly SheetRun[],
  budget: Budget,
): PlanSketch[] {
  return Array.from({ length: request.rerollLimit + 1 }, (_, rerollLimit) =>
    listRuns(
      stream.menus[0] ?? [],
      stream.count,
      index,
      (runs) => estimatePlan({ ...request, rerollLimit }, streams, [...others, ...runs]),
      (sketch) => meets(sketch, streams),
      budget,
    ),
  ).flat();
}

/** How far below the bisected last sheet to look for a smaller one that still reaches the demand. */
const LAST_SHEETS_LOOKED_AT = 8;

/** The plans that roll a sheet of the menu as often as needed: with it alone, or with a smaller last sheet. */
function listRuns(
  menu: readonly MenuSheet[],
  demand: number,
  stream: number,
  estimate: (runs: readonly SheetRun[]) => PlanSketch,
  isMet: (sketch: PlanSketch) => boolean,
  budget: Budget,
): PlanSketch[] {
  const none = estimate([]);
  if (isMet(none)) return [none];
  const listFor = (first: MenuSheet, index: number): PlanSketch[] => {
    const copies = findFewest(1, Math.ceil(demand / first.count), (n) =>
      isMet(estimate([soleRun(stream, first, n)])),
    );
    const alone = estimate([soleRun(stream, first, copies)]);
    const withLast = (last: number) => {
      const entry = menu[last] ?? first;
      return estimate([
        ...(copies > 1 ? [soleRun(stream, first, copies - 1)] : []),
        soleRun(stream, entry, 1),
      ]);
    };
    const nearly = findFewest(0, index, (last) => isMet(withLast(last)));
    // What a re-roll yields goes up in steps, so a somewhat smaller last sheet may reach the demand again.
    for (let last = Math.max(nearly - LAST_SHEETS_LOOKED_AT, 0); last <= nearly; last++) {
      const shorter = withLast(last);
      if (isMet(shorter)) return [alone, shorter];
    }
    return [alone];
  };
  // The largest sheets first: one of them is a plan, should there be no time for the others.
  const sketches: PlanSketch[][] = [];
  for (let index = menu.length - 1; index >= 0; index--) {
    const first = menu[index]!;
    if (sketches.length > 0 && budget.isOver()) break;
    sketches.push(listFor(first, index));
  }
  return sketches.reverse().flat();
}

function checkRequest(request: CutRequest): void {
  requirePositive("demands", request.demands.length);
  for (const demand of request.demands) {
    const { count } = demand;
    requireThat("demand", count, Number.isInteger(count) && count >= 1, "a whole number ≥ 1");
    requirePositive("outline area", computeAreaMm2(demand.outline));
    requireNotNegative("webMm", demand.webMm);
    requireNotNegative("marginMm", demand.marginMm);
  }
  requirePositive("thicknessMm", request.thicknessMm);
  requirePositive("densityGPerMl", request.densityGPerMl);
  requireThat(
    "rerollLimit",
    request.rerollLimit,
    Number.isInteger(request.rerollLimit) && request.rerollLimit >= 0,
    "a whole number ≥ 0",
  );
  for (const name of ["rerollLossShare", "rerollShrinkShare", "tearSharePer100Mm"] as const) {
    requireThat(name, request[name], request[name] >= 0 && request[name] < 1, "at least 0 and below 1");
  }
}

function findTooLarge({ sheetLimit }: CutRequest, { demands, marginMm }: CutStream): CutFailure {
  const [demand] = demands as readonly [BlankDemand, ...BlankDemand[]];
  const outline = outerOutline(demand.outline);
  const box = computeBox(outline);
  const needs: BoxMm = { widthMm: box.widthMm + 2 * marginMm, heightMm: box.heightMm + 2 * marginMm };
  const overMm = Math.max(
    Math.max(needs.widthMm, needs.heightMm) - Math.max(sheetLimit.widthMm, sheetLimit.heightMm),
    Math.min(needs.widthMm, needs.heightMm) - Math.min(sheetLimit.widthMm, sheetLimit.heightMm),
  );
  return because("cutTooLarge", {
    demandId: demand.id,
    ...{ outline, marginMm, needs, largest: sheetLimit, overMm },
  });
}
