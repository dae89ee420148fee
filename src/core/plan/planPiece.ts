import type { Dough, Filling } from "../formula";
import type { FormedPiece } from "../forming";
import type { Portion, PortionPart } from "../filling";
import { loadTrays, type TrayLoading } from "../loading";
import { fail, ok, type Result } from "../result";
import { formatCount, formatMass, formatNumber } from "../units";
import type { Order, Oven, Piece } from "./book";
import type { BlankYield, DayCut, PieceFill, PiecePlan, Problem, WhyStep } from "./dayPlan";
import { shapePiece, toDemandId, type ShapeContext, type ShapedPiece } from "./shapePiece";
import { setFor } from "./ovenSetting";
import type { TakenPieces } from "./takeFromLarder";

/** A piece with what its names stand for. */
export interface PieceMakings {
  readonly piece: Piece;
  readonly dough: Dough;
  readonly filling: Filling;
  readonly oven: Oven;
}

/** A piece that is known to be possible, before its dough is rolled. */
export interface PieceDraft extends PieceMakings {
  readonly shaped: ShapedPiece;
  readonly orders: readonly Order[];
  readonly ordered: number;
  readonly made: number;
  readonly frozenTaken: number;
  readonly blanksTaken: number;
  readonly toFill: number;
  readonly loading: TrayLoading;
}

/**
 * One kind of piece: its form and portion, what the larder has of it, and its trays.
 * @returns The draft, or the first problem that stops it.
 */
export function draftPiece(
  makings: PieceMakings,
  orders: readonly Order[],
  takePieces: (pieceId: string, wanted: number) => TakenPieces,
  context: ShapeContext,
): Result<PieceDraft, Problem> {
  const { piece, dough, filling, oven } = makings;
  const stop = (station: Problem["station"], message: string) =>
    fail({ station, pieceId: piece.id, stops: true, message: `${piece.name}: ${message}` });
  const ordered = orders.reduce((sum, { count }) => sum + count, 0);
  const made = ordered + piece.spares;
  const shaped = shapePiece(piece, dough, filling, context);
  if (!shaped.ok) return shaped;
  const settings = piece.stages.map((stage) => setFor(stage, oven).ovenC);
  const hottestC = Math.max(...settings);
  if (hottestC > oven.maxC) {
    return stop(
      "bake",
      `${hottestC} °C is ${hottestC - oven.maxC} °C above what ${oven.name} reaches. Lower the heat or take another oven.`,
    );
  }
  const loading = loadTrays({
    pieces: made,
    footprint: shaped.value.formed.footprint,
    spacingMm: piece.spacingMm,
    tray: { widthMm: oven.trayWidthMm, heightMm: oven.trayDepthMm },
    traysPerLoad: oven.traysAtOnce,
  });
  if (!loading.ok) return stop("bake", loading.failure.message);
  const { frozen, blanks } = takePieces(piece.id, made);
  return ok({
    ...makings,
    shaped: shaped.value,
    orders,
    ordered,
    made,
    frozenTaken: frozen,
    blanksTaken: blanks,
    toFill: made - frozen,
    loading: loading.value,
  });
}

/** The piece with its part of what is cut. */
export function finishPiece(draft: PieceDraft, cut: DayCut): PiecePlan {
  const { piece, filling, oven, shaped, toFill, blanksTaken, made, loading } = draft;
  const { plan } = cut;
  const needed = Math.max(toFill - blanksTaken, 0);
  const fills = countFills(shaped, toFill);
  const fillingG = fills.reduce((sum, { totalG }) => sum + totalG, 0);
  // Two fillings over one order come in whole pieces: their mean is that of the pieces there are.
  const rawPieceG =
    toFill > 0 ? shaped.blankG - shaped.trimG + shaped.wholeG + fillingG / toFill : shaped.rawPieceG;
  const blanks = shaped.formed.blanks.map(({ role, cut: outline }): BlankYield => {
    const found = plan.yields.find(({ demandId }) => demandId === toDemandId(piece, role));
    return {
      role,
      outline,
      needed,
      cut: found?.count ?? 0,
      fromFirstRolling: found?.firstCount ?? 0,
      eachG: found?.eachG ?? 0,
    };
  });
  const blanksG = blanks.reduce((sum, each) => sum + each.cut * each.eachG, 0);
  return {
    ...shaped,
    rawPieceG,
    bakedPieceG: rawPieceG * (1 - piece.bakeLossShare),
    piece,
    orders: draft.orders,
    ordered: draft.ordered,
    made,
    frozenTaken: draft.frozenTaken,
    blanksTaken,
    toFill,
    cut,
    blanks,
    setsCut: Math.min(...blanks.map((each) => each.cut)),
    doughG: plan.blanksG > 0 ? (plan.doughG * blanksG) / plan.blanksG : 0,
    fills,
    fillingG,
    coats: {
      glueG: (shaped.seal?.glueG ?? 0) * toFill,
      washG: shaped.washed.washG * toFill,
      sugarG: shaped.washed.sugarG * toFill,
      trimG: shaped.trimG * toFill,
    },
    handsMin: {
      fill: (shaped.works.fill.seconds * toFill) / 60,
      close: (shaped.works.close.seconds * toFill) / 60,
      fillByCraft: (shaped.works.fill.craftS * toFill) / 60,
      closeByCraft: (shaped.works.close.craftS * toFill) / 60,
    },
    loading,
    readyMin: {},
    why: {
      portion: explainPortion(piece, shaped.formed, shaped.portion, filling),
      load: explainLoad(made, loading, oven),
    },
  };
}

/** How many pieces get each filling: other fillings a whole number of pieces, the main one the rest. */
function countFills({ parts }: ShapedPiece, toFill: number): PieceFill[] {
  const others = parts.reduce(
    (sum, { role, ofPieces }) => sum + (role === "alternate" ? Math.round(ofPieces * toFill) : 0),
    0,
  );
  return parts.map((part): PieceFill => {
    const count =
      part.role === "main"
        ? Math.max(toFill - others, 0)
        : part.role === "alternate"
          ? Math.round(part.ofPieces * toFill)
          : toFill;
    const totalG = count * part.portion.massG;
    return { part, count, totalG, pans: dividePans(part, count) };
  });
}

/** As few pans as hold the pieces, the sauce divided evenly between them. */
function dividePans({ perPan, portion }: PortionPart, count: number): PieceFill["pans"] {
  if (perPan === null || count === 0) return null;
  const pans = Math.ceil(count / perPan);
  return { count: pans, eachG: (count * portion.massG) / pans, eachMl: (count * portion.volumeMl) / pans };
}

function explainPortion(piece: Piece, formed: FormedPiece, portion: Portion, filling: Filling): WhyStep[] {
  return [
    ...formed.steps,
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
