import type { PieceMakings } from "./pieceMakings";
import { listFries } from "./listFries";
import { findHeatWay, listHeats } from "../../way";
import { loadTrays, type TrayLoading, type TrayRequest } from "../../loading";
import { because, fail, ok, type Result } from "../../result";
import type { Order } from "../book";
import type { LarderUse, PieceCounts } from "../result";
import { shapePiece, type ShapedPiece, type ShapeContext, type FryPlan } from "../piece";
import { setFor, findTraysPerLoad, findVessel } from "../kit";
import { countAhead, takePieces, type OpenLarder } from "../larder";
import { toProblem, type Problem, type ProblemFailure } from "../problem";

/** A piece that is known to be possible, before its dough is rolled. */
export interface PieceDraft extends PieceMakings {
  readonly shaped: ShapedPiece;
  readonly orders: readonly Order[];
  readonly counts: PieceCounts;
  /** Sets of blanks to cut: what is filled and what is baked empty, less what the larder has. */
  readonly toCut: number;
  readonly loading: TrayLoading;
  readonly fries: readonly FryPlan[];
  /** What of it comes out of the larder. */
  readonly larderUses: readonly LarderUse[];
}

/**
 * One kind of piece: its form and portion, what the larder has of it, and its trays.
 * @returns The draft, or the first problem that stops it.
 */
export function draftPiece(
  makings: PieceMakings,
  orders: readonly Order[],
  larder: OpenLarder,
  context: ShapeContext,
): Result<PieceDraft, Problem> {
  const { piece, dough, filling, oven, kit, book } = makings;
  const stop = (failure: ProblemFailure) =>
    fail(toProblem(failure, { station: "bake", pieceId: piece.id, stops: true }));
  const ordered = orders.reduce((sum, { count }) => sum + count, 0);
  // What is only made for another day is not baked, spares neither.
  const made = orders.length > 0 ? ordered + piece.spares : 0;
  const shaped = shapePiece(piece, dough, filling, context);
  if (!shaped.ok) return shaped;
  const isFried = findHeatWay(piece.way) === "oil";
  const settings = listHeats(piece.way).map((heat) => setFor(heat, oven).ovenC);
  const hottestC = Math.max(...settings);
  if (!isFried && hottestC > oven.maxC) {
    const [maxC, overC] = [oven.maxC, hottestC - oven.maxC];
    return stop(
      because("ovenTooCold", { ...{ piece: piece.name, oven: oven.name }, ...{ hottestC, maxC, overC } }),
    );
  }
  const fries = isFried ? listFries(makings, shaped.value) : ok([]);
  if (!fries.ok) return stop(because("cannotFry", { piece: piece.name, why: fries.failure }));
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
  if (!loading.ok) return stop(because("cannotLoad", { piece: piece.name, why: loading.failure }));
  const { frozen, shells, blanks, uses } = takePieces(larder, piece.id, made);
  const ahead = countAhead(book, piece.id);
  const toFill = made - frozen + ahead.frozenPieces;
  return ok({
    ...makings,
    shaped: shaped.value,
    orders,
    counts: {
      ...{ ordered, made, ahead, toFill },
      frozenTaken: frozen,
      blanksTaken: blanks + shells,
      shellsTaken: shells,
    },
    toCut: Math.max(toFill - blanks - shells, 0) + ahead.shells,
    loading: loading.value,
    fries: fries.value,
    larderUses: uses,
  });
}

/** Lots for a fryer hold whole baskets, as many as lie on their tray. */
const inBaskets = (request: TrayRequest, { perTray }: TrayLoading, { perBasket }: FryPlan): TrayRequest => ({
  ...request,
  mostPerLoad: perBasket > perTray ? null : Math.floor(perTray / perBasket) * perBasket,
});
