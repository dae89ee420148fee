import type { Budget } from "../../budget";
import type { BoxMm } from "../../shape";
import type { CutRequest } from "./cutPlan";
import type { CutStream } from "./cutStream";
import { estimatePlan, meets, type PlanSketch, type SheetRun } from "./estimatePlan";
import { turnBox } from "../sheet";
import type { MenuSheet } from "./sheetMenu";

/** A saving below this share of the two sheets is not worth cutting two shapes from one. */
const LEAST_SAVING_SHARE = 0.002;

/**
 * The plan with small first sheets of different cutters put together on one, two by two, as long as that saves dough
 * and every stream still has what it needs.
 */
export function shareLastSheets(
  request: CutRequest,
  streams: readonly CutStream[],
  sketch: PlanSketch,
  budget: Budget,
): PlanSketch {
  let best = sketch;
  for (let i = 0; i < streams.length; i++) {
    for (let j = i + 1; j < streams.length; j++) {
      const [one, two] = [findSmallest(best, i), findSmallest(best, j)];
      const shared = one && two && joinSheets(request, streams, one, two, budget);
      if (!shared) continue;
      const runs = [...takeOff(takeOff(best.firstRolling, one), two), shared];
      const joined = estimatePlan({ ...request, rerollLimit: best.rerolls }, streams, runs);
      if (meets(joined, streams) && joined.doughMm2 < best.doughMm2) best = joined;
    }
  }
  return best;
}

/** The smallest sheet of the first rolling that a stream has to itself. */
function findSmallest({ firstRolling }: PlanSketch, stream: number): SheetRun | null {
  const own = firstRolling.filter(({ parts }) => parts.length === 1 && parts[0]?.stream === stream);
  return own.sort((a, b) => a.entry.areaMm2 - b.entry.areaMm2)[0] ?? null;
}

/** The runs with one sheet of `run` less. */
function takeOff(runs: readonly SheetRun[], run: SheetRun): SheetRun[] {
  return runs.flatMap((each) => {
    if (each !== run) return [each];
    return each.copies > 1 ? [{ ...each, copies: each.copies - 1 }] : [];
  });
}

/** One sheet with the cuts of both, above each other or side by side; null if none is smaller than the two. */
function joinSheets(
  { sheetLimit: limit, mayTurn }: CutRequest,
  streams: readonly CutStream[],
  one: SheetRun,
  two: SheetRun,
  budget: Budget,
): SheetRun | null {
  const [first, second] = [streams[one.parts[0]?.stream ?? 0], streams[two.parts[0]?.stream ?? 0]];
  if (!first || !second) return null;
  const marginMm = Math.max(first.marginMm, second.marginMm);
  const webMm = Math.max(first.webMm, second.webMm);
  let leastMm2 = (one.entry.areaMm2 + two.entry.areaMm2) * (1 - LEAST_SAVING_SHARE);
  const list = (stream: CutStream, count: number) =>
    (stream.menus[0] ?? [])
      .filter(
        ({ count: gives, sheet, areaMm2 }) => gives >= count && sheet.shape !== "oval" && areaMm2 < leastMm2,
      )
      .flatMap((entry) => {
        const usable = inside(entry.sheet, stream.marginMm);
        // The menu keeps one of two sheets that differ only in which way they lie.
        const maySwap = mayTurn || stream.outline.kind === "disc" || stream.outline.kind === "square";
        return [{ entry, usable }, ...(maySwap ? [{ entry, usable: turnBox(usable) }] : [])];
      });
  const belows = list(second, two.entry.count);
  let best: SheetRun | null = null;
  for (const above of list(first, one.entry.count)) {
    if (budget.isOver()) break;
    for (const below of belows) {
      for (const isStacked of [true, false]) {
        const [a, b] = [above.usable, below.usable];
        const usable = isStacked
          ? { widthMm: Math.max(a.widthMm, b.widthMm), heightMm: a.heightMm + webMm + b.heightMm }
          : { widthMm: a.widthMm + webMm + b.widthMm, heightMm: Math.max(a.heightMm, b.heightMm) };
        const sheet = inside(usable, -marginMm);
        const areaMm2 = sheet.widthMm * sheet.heightMm;
        if (sheet.widthMm > limit.widthMm || sheet.heightMm > limit.heightMm || areaMm2 >= leastMm2) continue;
        leastMm2 = areaMm2;
        const at = isStacked ? { xMm: 0, yMm: a.heightMm + webMm } : { xMm: a.widthMm + webMm, yMm: 0 };
        best = {
          entry: { sheet, areaMm2, count: above.entry.count + below.entry.count },
          copies: 1,
          parts: [part(one, above.entry, { ...a, xMm: 0, yMm: 0 }), part(two, below.entry, { ...b, ...at })],
        };
      }
    }
  }
  return best;
}

const part = (run: SheetRun, { count }: MenuSheet, band: BoxMm & { xMm: number; yMm: number }) => ({
  stream: run.parts[0]?.stream ?? 0,
  count,
  band,
  pattern: null,
});

const inside = ({ widthMm, heightMm }: BoxMm, marginMm: number): BoxMm => ({
  widthMm: widthMm - 2 * marginMm,
  heightMm: heightMm - 2 * marginMm,
});
