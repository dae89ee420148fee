import type { Dough, Filling, FormulaAnalysis } from "../../formula";
import type { PortionPart } from "../../filling";
import { loadTrays, type TrayLoading, type TrayRequest } from "../../loading";
import { fail, ok, type Result } from "../../result";
import { formatCount, formatMass, formatNumber } from "../../units";
import { findHeatWay, listHeats } from "../../way";
import type { DayBook, Order, Oven, Piece } from "../book/book";
import type { BlankYield, DayCut, PieceFill, PiecePlan } from "../result/dayPlan";
import type { Problem } from "../result/problem";
import type { WhyStep } from "../result/whyStep";
import { shapePiece, toDemandId, type ShapeContext, type ShapedPiece } from "./shapePiece";
import { setFor } from "../kit/ovenSetting";
import { findTraysPerLoad, findVessel, type KitRoom } from "../kit/kitRoom";
import { toBaked } from "./knownBake";
import { countAhead } from "../larder/makeAhead";
import { countBaskets, planFrying, type FryPlan } from "./planFrying";
import type { TakenPieces } from "../larder/takeFromLarder";

/** A piece with what its names stand for. */
export interface PieceMakings {
  readonly piece: Piece;
  readonly dough: Dough;
  readonly filling: Filling;
  readonly oven: Oven;
  readonly kit: KitRoom;
  readonly analyses: Readonly<Record<string, FormulaAnalysis>>;
  readonly book: DayBook;
}

/** A piece that is known to be possible, before its dough is rolled. */
export interface PieceDraft extends PieceMakings {
  readonly shaped: ShapedPiece;
  readonly orders: readonly Order[];
  readonly ordered: number;
  readonly made: number;
  readonly frozenTaken: number;
  readonly blanksTaken: number;
  readonly shellsTaken: number;
  readonly ahead: PiecePlan["ahead"];
  readonly toFill: number;
  /** Sets of blanks to cut: what is filled and what is baked empty, less what the larder has. */
  readonly toCut: number;
  readonly loading: TrayLoading;
  readonly fries: readonly FryPlan[];
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
  const { piece, dough, filling, oven, kit, book } = makings;
  const stop = (station: Problem["station"], message: string) =>
    fail({ station, pieceId: piece.id, stops: true, message: `${piece.name}: ${message}` });
  const ordered = orders.reduce((sum, { count }) => sum + count, 0);
  // What is only made for another day is not baked, spares neither.
  const made = orders.length > 0 ? ordered + piece.spares : 0;
  const shaped = shapePiece(piece, dough, filling, context);
  if (!shaped.ok) return shaped;
  const isFried = findHeatWay(piece.way) === "oil";
  const settings = listHeats(piece.way).map((heat) => setFor(heat, oven).ovenC);
  const hottestC = Math.max(...settings);
  if (!isFried && hottestC > oven.maxC) {
    return stop(
      "bake",
      `${hottestC} °C is ${hottestC - oven.maxC} °C above what ${oven.name} reaches. Lower the heat or take another oven.`,
    );
  }
  const fries = isFried ? listFries(makings, shaped.value) : ok([]);
  if (!fries.ok) return stop("bake", fries.failure);
  const vessel = findVessel(kit, piece);
  const request = {
    pieces: made,
    footprint: shaped.value.formed.footprint,
    spacingMm: piece.spacingMm,
    tray: { widthMm: oven.trayWidthMm, heightMm: oven.trayDepthMm },
    // What is fried lies on one tray until its turn.
    traysPerLoad: isFried ? 1 : findTraysPerLoad(kit, oven, piece),
    mostPerLoad: vessel ? vessel.count * vessel.holds : null,
  };
  const onTrays = loadTrays(request);
  const loading =
    onTrays.ok && fries.value[0] ? loadTrays(inBaskets(request, onTrays.value, fries.value[0])) : onTrays;
  if (!loading.ok) return stop("bake", loading.failure.message);
  const { frozen, shells, blanks } = takePieces(piece.id, made);
  const ahead = countAhead(book, piece.id);
  const toFill = made - frozen + ahead.frozenPieces;
  return ok({
    ...makings,
    shaped: shaped.value,
    orders,
    ordered,
    made,
    frozenTaken: frozen,
    blanksTaken: blanks + shells,
    shellsTaken: shells,
    ahead,
    toFill,
    toCut: Math.max(toFill - blanks - shells, 0) + ahead.shells,
    loading: loading.value,
    fries: fries.value,
  });
}

/** Lots for a fryer hold whole baskets, as many as lie on their tray. */
const inBaskets = (request: TrayRequest, { perTray }: TrayLoading, { perBasket }: FryPlan): TrayRequest => ({
  ...request,
  mostPerLoad: perBasket > perTray ? null : Math.floor(perTray / perBasket) * perBasket,
});

/** What each fryer of the kit makes of a piece; those that cannot are left out, unless none can. */
function listFries(
  { piece, kit, book, analyses }: PieceMakings,
  shaped: ShapedPiece,
): Result<FryPlan[], string> {
  const baked = toBaked(piece, shaped, book, analyses);
  if (kit.fryers.length === 0) return fail("it is fried and there is no fryer. Add one in Kit, or bake it.");
  if (!baked)
    return fail("its dough has no composition to fry by. Choose its ingredients from the book in Formulas.");
  const tried = kit.fryers.map((fryer) => planFrying(piece, shaped, baked, fryer, book.kitchen.roomC));
  const able = tried.flatMap((each) => (each.ok ? [each.value] : []));
  const refused = tried.flatMap((each) => (each.ok ? [] : [each.failure]));
  return able.length > 0 ? ok(able) : fail(refused[0] ?? "no fryer takes it.");
}

/** The piece with its part of what is cut. */
export function finishPiece(draft: PieceDraft, cut: DayCut): PiecePlan {
  const { piece, filling, shaped, toFill, toCut, made, loading } = draft;
  const { plan } = cut;
  const fills = countFills(shaped, toFill);
  const fillingG = fills.reduce((sum, { totalG }) => sum + totalG, 0);
  // Two fillings over one order come in whole pieces: their mean is that of the pieces there are.
  const rawPieceG =
    toFill > 0
      ? shaped.blankG - shaped.trimG + shaped.wholeG + shaped.coatG + fillingG / toFill
      : shaped.rawPieceG;
  const blanks = shaped.formed.blanks.map(({ role, cut: outline }): BlankYield => {
    const found = plan.yields.find(({ demandId }) => demandId === toDemandId(piece, role));
    return {
      role,
      outline,
      needed: toCut,
      cut: found?.count ?? 0,
      fromFirstRolling: found?.firstCount ?? 0,
      eachG: found?.eachG ?? 0,
    };
  });
  const blanksG = blanks.reduce((sum, each) => sum + each.cut * each.eachG, 0);
  return {
    ...shaped,
    rawPieceG,
    bakedPieceG: rawPieceG * (1 - piece.bakeLossShare) + shaped.dressG,
    piece,
    orders: draft.orders,
    ordered: draft.ordered,
    made,
    frozenTaken: draft.frozenTaken,
    blanksTaken: draft.blanksTaken,
    shellsTaken: draft.shellsTaken,
    ahead: draft.ahead,
    toFill,
    cut,
    blanks,
    setsCut: Math.min(...blanks.map((each) => each.cut)),
    doughG: plan.blanksG > 0 ? (plan.doughG * blanksG) / plan.blanksG : 0,
    fills,
    fillingG,
    coats: {
      glueG: (shaped.seal?.glueG ?? 0) * toFill,
      glazeG: shaped.glazeG * made,
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
    fries: draft.fries,
    readyMin: {},
    why: {
      portion: explainPortion(piece, shaped, filling),
      load: explainLoad(draft),
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

function explainPortion(
  { portionG }: Piece,
  { formed, portion, plumpness, overMl }: ShapedPiece,
  filling: Filling,
): WhyStep[] {
  return [
    ...formed.steps,
    {
      text:
        portionG === null
          ? `at plumpness ${formatNumber(plumpness * 100)} % it holds`
          : `its weight is set: that fills it to ${formatNumber(plumpness * 100)} %`,
      figure: `${formatNumber(portion.volumeMl, 1)} ml`,
    },
    ...(overMl > 0 ? [{ text: "of that it has no room for", figure: `${formatNumber(overMl, 1)} ml` }] : []),
    { text: `${filling.name} weighs ${filling.densityGPerMl} g/ml`, figure: formatMass(portion.massG) },
  ];
}

function explainLoad({ piece, made, loading, oven, kit, fries }: PieceDraft): WhyStep[] {
  const [fry] = fries;
  if (fry) return explainFrying(made, countBaskets(loading, fry), fry);
  const vessel = findVessel(kit, piece);
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
    ...(vessel
      ? [
          {
            text: `${vessel.count} of ${vessel.name}, ${vessel.holds} in each`,
            figure: `${formatCount(vessel.count * vessel.holds, "piece")} at once`,
          },
        ]
      : []),
  ];
}

function explainFrying(
  made: number,
  baskets: number,
  { fryer, perBasket, most, recoveryMin, lowestC }: FryPlan,
): WhyStep[] {
  return [
    { text: `the oil of ${fryer.name} stays hot enough for`, figure: formatCount(most.oil, "piece") },
    { text: "lie in its basket side by side", figure: formatCount(most.basket, "piece") },
    { text: "keep the level under its mark", figure: formatCount(most.level, "piece") },
    { text: "in one basket, the least of them", figure: formatCount(perBasket, "piece") },
    { text: "the oil falls to", figure: `${formatNumber(lowestC)} °C` },
    { text: "and is back after", figure: `${formatNumber(recoveryMin, 1)} min` },
    { text: `${made} pieces`, figure: formatCount(baskets, "basket") },
  ];
}
