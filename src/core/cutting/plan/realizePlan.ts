import type { Budget } from "../../budget";
import { computeAreaMm2, computeSheetAreaMm2, type Outline } from "../../shape";
import type {
  BlankDemand,
  CutPart,
  CutPlan,
  CutRequest,
  CutSheet,
  CutUse,
  DemandYield,
  Reroll,
} from "./cutPlan";
import type { CutStream } from "./cutStream";
import { rollOut, type PlanSketch, type RunPart, type SheetRun } from "./estimatePlan";
import { estimateHandMin, boundCount, type Placement, type RowPattern } from "../sheet";
import { findRows, layOutRows, placeCuts } from "../rows";
import { listSheetMenu, type MenuSheet } from "./sheetMenu";

/** A millilitre is a thousand cubic millimetres. */
const MM2_PER_ML_AT_1_MM = 1000;

/**
 * A sheet of a menu with its only cutter's cuts: plans for other aims, and of the next turn of a dial, roll the same. A
 * menu is one cutter's, one web's and one ragged edge's.
 */
const laidAlone = new WeakMap<MenuSheet, LaidPart>();

/** Turns a sketch into sheets with placed cuts and masses, and what is left into decorations. O(blanks). */
export function realizePlan(
  request: CutRequest,
  streams: readonly CutStream[],
  sketch: PlanSketch,
  budget: Budget,
): CutPlan {
  const gPerMm2 = (request.thicknessMm * request.densityGPerMl) / MM2_PER_ML_AT_1_MM;
  const uses = streams.map((stream) => openUses(stream));
  const laid = new Map<RunPart, LaidPart>();
  /** @param last - The copy before this one: what is cut like it for the same uses is the same sheet. */
  const toSheet = (run: SheetRun, pass: number, last: CutSheet | undefined): CutSheet => {
    const { entry, parts } = run;
    const takenOf = parts.map(({ stream, count }) => uses[stream]?.take(count) ?? []);
    if (last && takenOf.every((taken, i) => isSameUse(taken, last.parts[i]?.uses ?? []))) return last;
    const marginMm = Math.max(...parts.map(({ stream }) => streams[stream]?.marginMm ?? 0));
    let blanksMm2 = 0;
    const cutParts = parts.map((part, i): CutPart => {
      const stream = streams[part.stream];
      if (!stream) throw new RangeError(`realizePlan: no stream ${part.stream}`);
      const isMenus = parts.length === 1 && part.band === null && part.pattern === null;
      const known =
        laid.get(part) ??
        (isMenus ? laidAlone.get(entry) : undefined) ??
        layOutPart(request, stream, entry.sheet, marginMm, part, budget);
      laid.set(part, known);
      if (isMenus) laidAlone.set(entry, known);
      const taken = takenOf[i] ?? [];
      const cut = taken.reduce((sum, { count }) => sum + count, 0);
      blanksMm2 += cut * stream.blankMm2;
      return {
        outline: stream.outline,
        pattern: known.pattern,
        band: known.band,
        placements: known.placements.slice(0, cut),
        uses: taken,
      };
    });
    return finishSheet(request, {
      pass,
      isDecoration: false,
      sheet: entry.sheet,
      marginMm,
      parts: cutParts,
      blanksMm2,
    });
  };
  const roll = (runs: readonly SheetRun[], pass: number) =>
    runs.flatMap((run) => {
      const copies: CutSheet[] = [];
      for (let i = 0; i < run.copies; i++) copies.push(toSheet(run, pass, copies.at(-1)));
      return copies;
    });

  const sheets = roll(sketch.firstRolling, 0);
  const rerolls: Reroll[] = [];
  // Cuts that were not made, for want of a partner, stay in the trim and are not rolled again.
  let keptG = 0;
  let lastTrimG = sum(sheets, ({ trimG }) => trimG);
  sketch.rerollSketches.forEach(({ runs, trimMm2, lossMm2, unrolledMm2 }, i) => {
    keptG += Math.max(lastTrimG - trimMm2 * gPerMm2, 0);
    const rolled = roll(runs, i + 1);
    rerolls.push({
      pass: i + 1,
      trimG: trimMm2 * gPerMm2 + keptG,
      lossG: lossMm2 * gPerMm2,
      unrolledG: unrolledMm2 * gPerMm2 + keptG,
    });
    sheets.push(...rolled);
    lastTrimG = sum(rolled, ({ trimG }) => trimG) + unrolledMm2 * gPerMm2;
  });
  const doughG = sketch.doughMm2 * gPerMm2;
  const blanksG = sum(sheets, (sheet) => sheet.blanksG);
  const rolledLossG = sum(rerolls, ({ lossG }) => lossG);
  const leftG = doughG - blanksG - rolledLossG;
  const decorated = decorate(request, leftG / gPerMm2, rerolls.length + 1, budget);
  const decorationsG = sum(decorated.sheets, (sheet) => sheet.blanksG);
  const lossG = rolledLossG + decorated.lossMm2 * gPerMm2;
  return {
    sheets: [...sheets, ...decorated.sheets],
    rerolls,
    portioning: null,
    yields: request.demands.map((demand) => sumDemand(demand, sheets, gPerMm2)),
    decorations: sum(decorated.sheets, ({ count }) => count),
    doughG,
    blanksG,
    decorationsG,
    trimLeftG: leftG - decorationsG - decorated.lossMm2 * gPerMm2,
    lossG,
    handMin: sketch.handMin + sum(decorated.sheets, ({ handMin }) => handMin),
    leastDoughG: sum(request.demands, (demand) => demand.count * blankMm2(demand)) * gPerMm2,
  };
}

const isSameUse = (one: readonly CutUse[], other: readonly CutUse[]) =>
  one.length === other.length &&
  one.every(({ demandId, count }, i) => other[i]?.demandId === demandId && other[i]?.count === count);

const sum = <T>(items: readonly T[], figure: (item: T) => number) =>
  items.reduce((total, item) => total + figure(item), 0);

/** What one blank takes: a ring that keeps its centre as a blank takes its whole disc. */
const blankMm2 = ({ outline, keepsCentre }: BlankDemand) =>
  outline.kind === "ring" && keepsCentre
    ? computeAreaMm2({ kind: "disc", diameterMm: outline.diameterMm })
    : computeAreaMm2(outline);

/** What the cuts of a stream are for, in the order they are made: what is seen first, the rest kept or not cut. */
function openUses({ demands, keepsSurplus }: CutStream) {
  const left = demands.map(({ count }) => count);
  return {
    take(count: number): CutUse[] {
      const taken: CutUse[] = [];
      let free = count;
      demands.forEach(({ id }, i) => {
        const used = Math.min(left[i] ?? 0, free);
        if (used > 0) taken.push({ demandId: id, count: used });
        left[i] = (left[i] ?? 0) - used;
        free -= used;
      });
      const last = demands.at(-1);
      if (keepsSurplus && free > 0 && last) taken.push({ demandId: last.id, count: free });
      return taken;
    },
  };
}

interface LaidPart {
  readonly pattern: RowPattern;
  readonly placements: readonly Placement[];
  readonly band: CutPart["band"];
}

function layOutPart(
  { mayTurn }: CutRequest,
  stream: CutStream,
  sheet: CutSheet["sheet"],
  marginMm: number,
  part: RunPart,
  budget: Budget,
): LaidPart {
  const band = part.band ?? {
    xMm: 0,
    yMm: 0,
    widthMm: sheet.widthMm - 2 * marginMm,
    heightMm: sheet.heightMm - 2 * marginMm,
  };
  const { outline, webMm } = stream;
  const own = (): RowPattern => {
    const rows = findRows(
      part.band
        ? { outline, sheet: band, webMm, marginMm: 0, mayTurn }
        : { outline, sheet, webMm, marginMm, mayTurn },
      budget,
      part.count,
    );
    if (rows.count < part.count) {
      throw new RangeError(`realizePlan: a sheet for ${part.count} cuts does not give them`);
    }
    return rows;
  };
  const pattern = part.pattern ?? own();
  const corner = { xMm: marginMm + band.xMm, yMm: marginMm + band.yMm };
  const placements = placeCuts(outline, pattern, webMm, corner);
  return { pattern, placements, band };
}

type OpenSheet = Pick<CutSheet, "pass" | "isDecoration" | "sheet" | "marginMm" | "parts"> & {
  readonly blanksMm2: number;
};

function finishSheet(request: CutRequest, { blanksMm2, ...open }: OpenSheet): CutSheet {
  const gPerMm2 = (request.thicknessMm * request.densityGPerMl) / MM2_PER_ML_AT_1_MM;
  const areaMm2 = computeSheetAreaMm2(open.sheet);
  const count = sum(open.parts, ({ placements }) => placements.length);
  const [first] = open.parts;
  const stays = 1 - open.pass * request.rerollShrinkShare;
  const webMm = Math.min(...request.demands.map((demand) => demand.webMm));
  return {
    ...open,
    rolledTo: { widthMm: open.sheet.widthMm / stays, heightMm: open.sheet.heightMm / stays },
    count,
    upperBound:
      first && open.parts.length === 1 ? boundCount(first.outline, open.sheet, webMm, open.marginMm) : count,
    usedShare: blanksMm2 / areaMm2,
    doughG: areaMm2 * gPerMm2,
    blanksG: blanksMm2 * gPerMm2,
    trimG: (areaMm2 - blanksMm2) * gPerMm2,
    handMin: estimateHandMin(request.handTimes, 1, areaMm2, count),
  };
}

/** Web and ragged edge of decorations, mm: cut close, from scraps. */
const DECORATION_WEB_MM = 1;
const DECORATION_MARGIN_MM = 4;

/** As many decorations as what is left gives, rolled once more. */
function decorate(request: CutRequest, leftMm2: number, pass: number, budget: Budget) {
  const { decoration, sheetLimit, mayTurn, rerollLossShare, rerollShrinkShare } = request;
  const stays = 1 - pass * rerollShrinkShare;
  if (!decoration || stays <= 0) return { sheets: [], lossMm2: 0 };
  const cut = { outline: decoration, webMm: DECORATION_WEB_MM, marginMm: DECORATION_MARGIN_MM, mayTurn };
  const limit = { widthMm: sheetLimit.widthMm * stays, heightMm: sheetLimit.heightMm * stays };
  const usableMm2 = leftMm2 * (1 - rerollLossShare);
  const runs = rollOut(0, listSheetMenu(cut, limit, budget), usableMm2, Infinity);
  if (runs.length === 0) return { sheets: [], lossMm2: 0 };
  const sheets = runs.flatMap(({ entry, copies }) => {
    const layout = layOutRows({ ...cut, sheet: entry.sheet });
    if (!layout.ok) throw new RangeError(`decorate: ${layout.failure.code}`);
    return Array<CutSheet>(copies).fill(toDecorationSheet(request, pass, cut, entry.sheet, layout.value));
  });
  return { sheets, lossMm2: leftMm2 - usableMm2 };
}

function toDecorationSheet(
  request: CutRequest,
  pass: number,
  { outline, marginMm }: { outline: Outline; marginMm: number },
  sheet: CutSheet["sheet"],
  { pattern, placements, count }: { pattern: RowPattern; placements: readonly Placement[]; count: number },
): CutSheet {
  const band = {
    xMm: 0,
    yMm: 0,
    widthMm: sheet.widthMm - 2 * marginMm,
    heightMm: sheet.heightMm - 2 * marginMm,
  };
  return finishSheet(request, {
    pass,
    isDecoration: true,
    sheet,
    marginMm,
    parts: [{ outline, pattern, placements, band, uses: [] }],
    blanksMm2: count * computeAreaMm2(outline),
  });
}

function sumDemand(demand: BlankDemand, sheets: readonly CutSheet[], gPerMm2: number): DemandYield {
  const of = (chosen: readonly CutSheet[]) =>
    sum(chosen, ({ parts }) =>
      sum(parts, ({ uses }) => sum(uses, (use) => (use.demandId === demand.id ? use.count : 0))),
    );
  return {
    demandId: demand.id,
    count: of(sheets),
    firstCount: of(sheets.filter(({ pass }) => pass === 0)),
    eachG: blankMm2(demand) * gPerMm2,
  };
}

/** The plan where all blanks are there already: nothing rolled, nothing cut. */
export function noCuts(): CutPlan {
  return {
    sheets: [],
    rerolls: [],
    portioning: null,
    yields: [],
    decorations: 0,
    doughG: 0,
    blanksG: 0,
    decorationsG: 0,
    trimLeftG: 0,
    lossG: 0,
    handMin: 0,
    leastDoughG: 0,
  };
}
