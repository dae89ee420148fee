import { craftHandTimes, noCuts, planCuts, type CutAnswers, type CutPlan } from "../cutting";
import type { Dough, Filling } from "../formula";
import type { Fold } from "../forming";
import type { Portion } from "../filling";
import { loadTrays, type TrayLoading } from "../loading";
import { fail, ok, type Result } from "../result";
import { describeOutline } from "../shape";
import { formatCount, formatLength, formatMass, formatNumber } from "../units";
import type { DayBook, Order, Oven, Piece } from "./book";
import type { CutPrice, PiecePlan, Problem, WhyStep } from "./dayPlan";
import { shapePiece } from "./shapePiece";
import type { TakenPieces } from "./takeFromLarder";

/** A piece with what its names stand for. */
export interface PieceMakings {
  readonly piece: Piece;
  readonly dough: Dough;
  readonly filling: Filling;
  readonly oven: Oven;
}

/**
 * One kind of piece through fold, portion, cut, seal and trays.
 * @returns The plan, or the first problem that stops it.
 */
export function planPiece(
  book: DayBook,
  makings: PieceMakings,
  orders: readonly Order[],
  takePieces: (pieceId: string, wanted: number) => TakenPieces,
): Result<PiecePlan, Problem> {
  const { piece, dough, filling, oven } = makings;
  const stop = (station: Problem["station"], message: string) =>
    fail({ station, pieceId: piece.id, stops: true, message: `${piece.name}: ${message}` });
  const ordered = orders.reduce((sum, { count }) => sum + count, 0);
  const made = ordered + piece.spares;

  const shaped = shapePiece(piece, dough, filling);
  if (!shaped.ok) return shaped;
  const { fold, portion } = shaped.value;
  const { frozen, blanks } = takePieces(piece.id, made);
  const toFill = made - frozen;

  const request = {
    outline: piece.cut,
    demand: Math.max(toFill - blanks, 1),
    thicknessMm: piece.thicknessMm,
    densityGPerMl: dough.densityGPerMl,
    webMm: piece.webMm,
    marginMm: piece.raggedMm,
    sheetLimit: { widthMm: book.bench.sheetMaxWidthMm, heightMm: book.bench.sheetMaxDepthMm },
    rerollLimit: dough.rerollLimit,
    rerollLossShare: dough.rerollLossShare,
    handTimes: craftHandTimes,
    pinnedSheet: piece.cutAim === "pinned" ? piece.pinnedSheet : null,
  };
  const answers = planCuts(request);
  if (!answers.ok) return stop("roll", answers.failure.message);
  const nothingToCut = toFill <= blanks;
  const cut = nothingToCut ? noCuts(request) : (answers.value[piece.cutAim] ?? answers.value.leastDough);

  if (piece.ovenC > oven.maxC) {
    return stop(
      "bake",
      `${piece.ovenC} °C is ${piece.ovenC - oven.maxC} °C above what ${oven.name} reaches. Lower the heat or take another oven.`,
    );
  }
  const loading = loadTrays({
    pieces: made,
    footprint: fold.footprint,
    spacingMm: piece.spacingMm,
    tray: { widthMm: oven.trayWidthMm, heightMm: oven.trayDepthMm },
    traysPerLoad: oven.traysAtOnce,
  });
  if (!loading.ok) return stop("bake", loading.failure.message);

  return ok({
    ...shaped.value,
    piece,
    orders,
    ordered,
    made,
    frozenTaken: frozen,
    blanksTaken: blanks,
    toFill,
    cut,
    prices: nothingToCut ? [] : listPrices(answers.value),
    fillingG: portion.massG * toFill,
    loading: loading.value,
    readyMin: {},
    why: {
      cut: explainCut(piece, dough, cut, { made, ordered, frozen, blanks }),
      portion: explainPortion(piece, fold, portion, filling),
      load: explainLoad(made, loading.value, oven),
    },
  });
}

function listPrices(answers: CutAnswers): CutPrice[] {
  return (["leastDough", "fewestRerolls", "leastTime", "pinned"] as const).flatMap((aim) => {
    const plan = answers[aim];
    if (!plan) return [];
    const { doughG, handMin, rerolls, sheets } = plan;
    return [{ aim, doughG, handMin, rerolls: rerolls.length, sheets: sheets.length }];
  });
}

interface Counts {
  readonly made: number;
  readonly ordered: number;
  readonly frozen: number;
  readonly blanks: number;
}

function explainCut(
  piece: Piece,
  dough: Dough,
  cut: CutPlan,
  { made, ordered, frozen, blanks }: Counts,
): WhyStep[] {
  const first = cut.sheets.filter(({ pass }) => pass === 0);
  const firstCount = first.reduce((sum, { layout }) => sum + layout.count, 0);
  return [
    { text: `${ordered} ordered and ${piece.spares} spare`, figure: formatCount(made, "piece") },
    ...(frozen > 0 ? [{ text: "frozen pieces from the larder", figure: `− ${frozen}` }] : []),
    ...(blanks > 0 ? [{ text: "blanks from the larder", figure: `− ${blanks}` }] : []),
    {
      text: `one blank: ${describeOutline(piece.cut)} at ${formatLength(piece.thicknessMm)}, ${dough.densityGPerMl} g/ml`,
      figure: formatMass(cut.blankG),
    },
    {
      text: `first rolling, ${formatCount(first.length, "sheet")}`,
      figure: formatCount(firstCount, "blank"),
    },
    ...cut.rerolls.map(({ pass, trimG, lossG }) => ({
      text: `re-roll ${pass}: ${formatMass(trimG)} of trim, ${formatMass(lossG)} lost to flour and pin`,
      figure: formatCount(
        cut.sheets.filter((sheet) => sheet.pass === pass).reduce((sum, { layout }) => sum + layout.count, 0),
        "blank",
      ),
    })),
    {
      text: "blanks + trim left + loss",
      figure: `${formatMass(cut.blanksG)} + ${formatMass(cut.trimLeftG)} + ${formatMass(cut.lossG)}`,
    },
    {
      text: "dough to mix; the blanks alone weigh",
      figure: `${formatMass(cut.doughG)}; ${formatMass(cut.leastDoughG)}`,
    },
  ];
}

function explainPortion(piece: Piece, fold: Fold, portion: Portion, filling: Filling): WhyStep[] {
  return [
    { text: `the ${describeOutline(piece.cut)} cut relaxes to`, figure: describeOutline(fold.settledBlank) },
    {
      text: `inside a ${formatLength(piece.marginMm)} margin the dough spans, fold to seam`,
      figure: formatLength(fold.depthMm - piece.marginMm),
    },
    { text: `dough settles to`, figure: formatLength(fold.settledThicknessMm) },
    { text: "blown up round it would hold", figure: `${formatNumber(fold.mostMl, 1)} ml` },
    {
      text: `at plumpness ${formatNumber(piece.plumpness * 100)} % it holds`,
      figure: `${formatNumber(portion.volumeMl, 1)} ml`,
    },
    { text: `${filling.name} weighs ${filling.densityGPerMl} g/ml`, figure: formatMass(portion.massG) },
  ];
}

function explainLoad(made: number, loading: TrayLoading, oven: Oven): WhyStep[] {
  const trays = loading.loads.reduce((sum, load) => sum + load.trays.length, 0);
  return [
    {
      text: `on one ${oven.trayWidthMm} × ${oven.trayDepthMm} mm tray`,
      figure: formatCount(loading.perTray, "piece"),
    },
    { text: `${made} pieces`, figure: formatCount(trays, "tray") },
    {
      text: `${oven.name} bakes ${formatCount(oven.traysAtOnce, "tray")} at once`,
      figure: formatCount(loading.loads.length, "load"),
    },
  ];
}
