import type { Budget } from "../../budget";
import { because, fail, ok, type Result } from "../../result";
import { computeSheetAreaMm2, type SheetShape } from "../../shape";
import { choose, findFewest, type Aim } from "./chooseSketch";
import { firstRows, type CutFailure, type RowPattern } from "../sheet";
import type { CutRequest } from "./cutPlan";
import type { CutStream } from "./cutStream";
import { estimatePlan, meets, type PlanSketch, type SheetRun } from "./estimatePlan";
import { explainNothing, findRows, layOutTogether } from "../rows";

/**
 * Plans whose first rolling is sheets of given sizes only: every cutter on sheets of its own, or all together on each,
 * re-rolls helping as far as they go.
 * @returns The best of them for an aim, or why no size holds every cutter.
 */
export function searchFixedSheets(
  request: CutRequest,
  streams: readonly CutStream[],
  sheets: readonly SheetShape[],
  budget: Budget,
): Result<(aim: Aim) => PlanSketch, CutFailure> {
  const laid: Result<LaidSheet, CutFailure>[] = [];
  for (const sheet of sheets) {
    if (laid.some(({ ok: isLaid }) => isLaid) && budget.isOver()) break;
    laid.push(layOutSheet(request, streams, sheet, budget));
  }
  const possible = laid.flatMap((result) => (result.ok ? [result.value] : []));
  if (possible.length > 0) {
    return ok((aim) =>
      choose(
        possible.flatMap((sheet) => listRepeats(request, streams, sheet, aim)),
        aim,
      ),
    );
  }
  const [fault] = laid;
  if (!fault || fault.ok) throw new RangeError("searchFixedSheets: no sheet to plan with");
  return fault;
}

/** One size of sheet: each stream alone on it, and all together if they go; one of the two where there is time for no more. */
interface LaidSheet {
  readonly soles: readonly SheetRun[] | null;
  readonly together: SheetRun | null;
}

function layOutSheet(
  request: CutRequest,
  streams: readonly CutStream[],
  sheet: SheetShape,
  budget: Budget,
): Result<LaidSheet, CutFailure> {
  const together = layOutAll(request, streams, sheet, budget);
  // Together they take one sheet where by themselves each takes one: with no time for both that is the better of the two.
  if (together && budget.isOver()) return ok({ soles: null, together });
  const areaMm2 = computeSheetAreaMm2(sheet);
  const soles: SheetRun[] = [];
  for (const [i, stream] of streams.entries()) {
    const layout = { ...stream, sheet, mayTurn: request.mayTurn };
    const pattern = cutEnough(findRows(layout, budget), stream);
    const { count } = pattern;
    if (count === 0) {
      const why = explainNothing(layout);
      return fail(because("noSheetHolds", { demandId: stream.demands[0]?.id ?? "", why }));
    }
    soles.push({
      entry: { sheet, areaMm2, count },
      copies: 1,
      parts: [{ stream: i, count, band: null, pattern }],
    });
  }
  return ok({ soles, together });
}

/**
 * Spare blanks cut of a sheet that is there, for each that is asked for: what is over is worth more as dough than as still
 * more of them. Craft's first guess.
 */
const MOST_SPARE_SHARE = 1;

/** The rows of a sheet that is there, as far as they are cut: a large one holds twenty times what a day asks for. */
const cutEnough = (pattern: RowPattern, { count, keepsSurplus }: CutStream): RowPattern =>
  firstRows(pattern, count * (keepsSurplus ? 1 + MOST_SPARE_SHARE : 1));

function listRepeats(
  request: CutRequest,
  streams: readonly CutStream[],
  { soles, together }: LaidSheet,
  aim: Aim,
): PlanSketch[] {
  const byThemselves = (runs: readonly SheetRun[]) => {
    const last = runs.at(-1);
    if (!last) throw new RangeError("listRepeats: no stream");
    const others = runs.slice(0, -1).map((run, i) => ({ ...run, copies: countSheets(run, streams[i], i) }));
    return repeatSheet(request, streams, others, last, aim);
  };
  return [
    ...(soles ? [byThemselves(soles)] : []),
    ...(together ? [repeatSheet(request, streams, [], together, aim)] : []),
  ];
}

function layOutAll(
  { mayTurn }: CutRequest,
  streams: readonly CutStream[],
  sheet: SheetShape,
  budget: Budget,
): SheetRun | null {
  if (streams.length === 1) return null;
  const outlines = streams.map(({ outline, webMm, count }) => ({ outline, webMm, ratio: count }));
  const marginMm = Math.max(...streams.map((stream) => stream.marginMm));
  const shared = layOutTogether({ outlines, sheet, marginMm, mayTurn }, budget, 0);
  if (!shared.ok) return null;
  const parts = shared.value.parts.map((part, i) => {
    const pattern = cutEnough(part.pattern, streams[i]!);
    return { ...part, stream: i, pattern, count: pattern.count };
  });
  const count = parts.reduce((sum, part) => sum + part.count, 0);
  return { entry: { sheet, areaMm2: computeSheetAreaMm2(sheet), count }, copies: 1, parts };
}

const countSheets = ({ parts }: SheetRun, stream: CutStream | undefined, index: number) =>
  Math.ceil((stream?.count ?? 0) / (parts.find((part) => part.stream === index)?.count ?? 1));

/** As many sheets like this one beside the others as are needed; the aim decides how far re-rolls help. */
function repeatSheet(
  request: CutRequest,
  streams: readonly CutStream[],
  others: readonly SheetRun[],
  sheet: SheetRun,
  aim: Aim,
): PlanSketch {
  const enough = Math.max(...sheet.parts.map(({ stream }) => countSheets(sheet, streams[stream], stream)));
  const sketches = Array.from({ length: request.rerollLimit + 1 }, (_, rerollLimit) => {
    const estimate = (copies: number) =>
      estimatePlan({ ...request, rerollLimit }, streams, [
        ...others,
        ...(copies > 0 ? [{ ...sheet, copies }] : []),
      ]);
    const least = others.length > 0 ? 0 : 1;
    return estimate(findFewest(least, enough, (n) => meets(estimate(n), streams)));
  });
  return choose(sketches, aim);
}
