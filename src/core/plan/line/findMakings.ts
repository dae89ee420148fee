import { computeTotalG, type FormulaAnalysis } from "../../formula";
import { findFormulas, findFilling } from "../piece";
import type { KitRoom } from "../kit";
import { toProblem, type Problem, type ProblemFailure } from "../problem";
import { because, fail, ok, type Result } from "../../result";
import type { PieceMakings } from "./pieceMakings";
import type { DayBook, Piece, Order } from "../book";

/** Orders by piece, in the order in which the pieces are first asked for; then what is only made for another day. */
export function groupOrders({ orders, pieces, ahead, day }: DayBook): Map<Piece, Order[]> {
  const groups = new Map<Piece, Order[]>();
  for (const order of orders) {
    const piece = pieces.find(({ id }) => id === order.pieceId);
    if (!piece) throw new RangeError(`planDay: order ${order.id} asks for unknown piece ${order.pieceId}`);
    groups.set(piece, [...(groups.get(piece) ?? []), order]);
  }
  for (const { dayId, refId, count } of ahead) {
    const piece = pieces.find(({ id }) => id === refId);
    if (dayId === day.id && count > 0 && piece && !groups.has(piece)) groups.set(piece, []);
  }
  return groups;
}

/** All that a piece is made of, or what is missing. */
type Makings = Result<PieceMakings, Problem>;

/** What a piece's names stand for, each with something in it; the first that is missing stops it. */
export function findMakings(
  book: DayBook,
  piece: Piece,
  kit: KitRoom,
  analyses: Readonly<Record<string, FormulaAnalysis>>,
): Makings {
  const { formulas } = book;
  const [oven] = kit.ovens;
  const { name } = piece;
  const stop = (failure: ProblemFailure, station: Problem["station"]): Makings =>
    fail(toProblem(failure, { station, pieceId: piece.id, stops: true }));
  const { dough, filling } = findFormulas(piece, formulas);
  if (!dough) return stop(because("noDough", { piece: name }), "mix");
  if (!filling) return stop(because("noFilling", { piece: name }), "mix");
  const others = piece.extras.flatMap((extra) =>
    "fillingId" in extra ? (findFilling(extra.fillingId, formulas) ?? []) : [],
  );
  for (const formula of [dough, filling, ...others]) {
    if (computeTotalG(formula) <= 0)
      return stop(because("emptyFormula", { piece: name, formula: formula.name }), "mix");
  }
  if (!oven) return stop(because("noOven", { piece: name }), "bake");
  return ok({ piece, dough, filling, oven, kit, analyses, book });
}
