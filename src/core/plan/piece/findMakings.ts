import { computeTotalG, type FormulaAnalysis } from "../../formula";
import { findFormulas, findFilling } from "./findFormulas";
import type { KitRoom } from "../kit/kitRoom";
import type { Problem, ProblemCode } from "../result/problem";
import type { PieceMakings } from "./pieceMakings";
import type { DayBook, Piece, Order } from "../book/book";

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
type Makings =
  { readonly ok: true; readonly makings: PieceMakings } | { readonly ok: false; readonly problem: Problem };

/** What a piece's names stand for, each with something in it; the first that is missing stops it. */
export function findMakings(
  book: DayBook,
  piece: Piece,
  kit: KitRoom,
  analyses: Readonly<Record<string, FormulaAnalysis>>,
): Makings {
  const { formulas } = book;
  const [oven] = kit.ovens;
  const stop = (
    code: ProblemCode,
    station: Problem["station"],
    message: string,
    remedy: string,
  ): Makings => ({
    ok: false,
    problem: {
      code,
      station,
      pieceId: piece.id,
      stops: true,
      numbers: {},
      message: `${piece.name}: ${message}`,
      remedy,
    },
  });
  const { dough, filling } = findFormulas(piece, formulas);
  if (!dough) return stop("noDough", "mix", "no dough is chosen.", "Choose one in the piece.");
  if (!filling) return stop("noFilling", "mix", "no filling is chosen.", "Choose one in the piece.");
  const others = piece.extras.flatMap((extra) =>
    "fillingId" in extra ? (findFilling(extra.fillingId, formulas) ?? []) : [],
  );
  for (const formula of [dough, filling, ...others]) {
    if (computeTotalG(formula) <= 0)
      return stop(
        "emptyFormula",
        "mix",
        `${formula.name} has no ingredients yet.`,
        "Add its lines in Formulas.",
      );
  }
  if (!oven) return stop("noOven", "bake", "no oven is set up.", "Add one in Kit.");
  return { ok: true, makings: { piece, dough, filling, oven, kit, analyses, book } };
}
