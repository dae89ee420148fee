import {
  analyseFormula,
  computeTotalG,
  mergeIngredients,
  standardIngredients,
  type FormulaAnalysis,
} from "../formula";
import { formatClock, formatCount, formatDuration, formatMass, formatNumber } from "../units";
import type { DayBook, Order, Piece } from "./book/book";
import type { PiecePlan } from "./result/dayPlan";
import type { Problem } from "./result/problem";
import { openKit, type KitRoom } from "./kit/kitRoom";
import { planBatches, type Batches } from "./batch/planBatches";
import { planCutting } from "./cut/planCutting";
import type { PieceWork } from "./tasks/pieceWork";
import { draftPiece, finishPiece, type PieceDraft, type PieceMakings } from "./piece/planPiece";
import { findFilling, findFormulas, toShapeContext, type ShapeContext } from "./piece/shapePiece";
import { openLarder, type OpenLarder } from "./larder/takeFromLarder";

/** What a day makes and what goes into it, before anybody looks at the clock. */
export interface DayMakings {
  readonly kit: KitRoom;
  readonly larder: OpenLarder;
  readonly analyses: Readonly<Record<string, FormulaAnalysis>>;
  readonly context: ShapeContext;
  readonly cutting: ReturnType<typeof planCutting>;
  readonly works: readonly PieceWork[];
  readonly batches: Batches;
  readonly problems: readonly Problem[];
}

/** The day from its orders to its batches: what is taken from the larder, rolled, cut, filled and weighed out. */
export function planMakings(book: DayBook): DayMakings {
  const problems: Problem[] = findPastPromises(book);
  const larder = openLarder(book);
  const kit = openKit(book);
  const ingredients = mergeIngredients(standardIngredients, book.ingredients);
  const analyses = Object.fromEntries(
    book.formulas.map((formula) => [formula.id, analyseFormula(formula, ingredients)]),
  );
  const context = toShapeContext(book);
  const pieceDrafts: PieceDraft[] = [];
  for (const [piece, orders] of groupOrders(book)) {
    const makings = findMakings(book, piece, kit, analyses);
    if (!makings.ok) {
      problems.push(makings.problem);
      continue;
    }
    const draft = draftPiece(makings.makings, orders, larder.takePieces, context);
    if (!draft.ok) problems.push(draft.failure);
    else pieceDrafts.push(draft.value);
  }
  const cutting = planCutting(book, pieceDrafts);
  problems.push(...cutting.problems);
  const works = pieceDrafts.flatMap((draft): PieceWork[] => {
    const cut = cutting.cuts.find(({ pieceIds }) => pieceIds.includes(draft.piece.id));
    if (!cut) return [];
    const line = finishPiece(draft, cut);
    const fillings = line.parts.flatMap(({ fillingId }) => findFilling(fillingId, book.formulas) ?? []);
    return [{ line, dough: draft.dough, filling: draft.filling, fillings }];
  });
  problems.push(...works.flatMap(findPieceDoubts));
  const batches = planBatches({ book, works, larder, ingredients, analyses });
  problems.push(...larder.problems, ...batches.problems);
  return { kit, larder, analyses, context, cutting, works, batches, problems };
}

/** What can be made and may yet go wrong: a rim too narrow for its crimp, a bought sheet thinner than the piece. */
function findPieceDoubts({ line, dough }: PieceWork): Problem[] {
  const { piece, seal, cut } = line;
  const doubt = (station: Problem["station"], message: string): Problem => ({
    station,
    pieceId: piece.id,
    stops: false,
    message: `${piece.name}: ${message}`,
  });
  const spareLoad = findSpareLoad(line);
  return [
    ...(spareLoad ? [doubt("bake", spareLoad)] : []),
    ...line.formed.doubts.map(({ message }) => doubt("roll", message)),
    ...(line.overMl > 0 ? [doubt("fill", describeOverfull(line))] : []),
    ...(seal?.fault ? [doubt("seal", seal.fault.message)] : []),
    ...(cut.thicknessMm < piece.thicknessMm
      ? [
          doubt(
            "roll",
            `${dough.name} is bought ${cut.thicknessMm} mm thick and cannot be rolled to ${piece.thicknessMm} mm, ` +
              `${formatNumber(piece.thicknessMm - cut.thicknessMm, 1)} mm more. Planned as bought; lower the thickness.`,
          ),
        ]
      : []),
  ];
}

/** More filling than it has room for: over the rim of what is open, through the seam of what is closed. */
function describeOverfull({ portion, overMl, seal }: PiecePlan): string {
  const fitsG = ((portion.volumeMl - overMl) / portion.volumeMl) * portion.massG;
  return (
    `${formatMass(portion.massG)} each is ${formatNumber(overMl, 1)} ml more than it holds: that ` +
    `${seal ? "bursts the seam" : "boils over"}. Give ${formatMass(Math.floor(fitsG))}, or make it larger.`
  );
}

/** Spare pieces that need a load of their own; null where they go with the ordered ones. */
function findSpareLoad({ loading, made, ordered }: PiecePlan): string | null {
  const perLoad = loading.loads[0]?.pieces ?? 0;
  const loads = loading.loads.length;
  if (made === ordered || perLoad === 0 || Math.ceil(ordered / perLoad) === loads) return null;
  return (
    `${formatCount(made - ordered, "spare piece")} need a load of their own: the ${ordered} ordered fit ` +
    `${formatCount(loads - 1, "load")}. Make none, or fill that load with ${perLoad * loads - made} more.`
  );
}

/** Orders by piece, in the order in which the pieces are first asked for; then what is only made for another day. */
function groupOrders({ orders, pieces, ahead, day }: DayBook): Map<Piece, Order[]> {
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

type Makings =
  { readonly ok: true; readonly makings: PieceMakings } | { readonly ok: false; readonly problem: Problem };

function findMakings(book: DayBook, piece: Piece, kit: KitRoom, analyses: DayMakings["analyses"]): Makings {
  const { formulas } = book;
  const [oven] = kit.ovens;
  const stop = (station: Problem["station"], message: string): Makings => ({
    ok: false,
    problem: { station, pieceId: piece.id, stops: true, message: `${piece.name}: ${message}` },
  });
  const { dough, filling } = findFormulas(piece, formulas);
  if (!dough) return stop("mix", "no dough is chosen. Choose one in the piece.");
  if (!filling) return stop("mix", "no filling is chosen. Choose one in the piece.");
  const others = piece.extras.flatMap((extra) =>
    "fillingId" in extra ? (findFilling(extra.fillingId, formulas) ?? []) : [],
  );
  for (const formula of [dough, filling, ...others]) {
    if (computeTotalG(formula) <= 0)
      return stop("mix", `${formula.name} has no ingredients yet. Add its lines in Formulas.`);
  }
  if (!oven) return stop("bake", "no oven is set up. Add one in Kit.");
  return { ok: true, makings: { piece, dough, filling, oven, kit, analyses, book } };
}

function findPastPromises({ orders, nowMin, pieces }: DayBook): Problem[] {
  if (nowMin === null) return [];
  return orders
    .filter(({ dueMin }) => dueMin <= nowMin)
    .map(({ dueMin, pieceId, count }) => ({
      station: "orders" as const,
      pieceId,
      stops: false,
      message:
        `${count} ${pieces.find(({ id }) => id === pieceId)?.name ?? ""} for ${formatClock(dueMin)}: that was ` +
        `${formatDuration(nowMin - dueMin)} ago. Move the promise or take the order off.`,
    }));
}
