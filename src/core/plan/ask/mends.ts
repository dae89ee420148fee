import { findFormulas, shapePiece, toShapeContext } from "../piece";
import { scaleOutline } from "../../shape";
import { formatLength, formatNumber } from "../../units";
import type { DayBook, Order, Piece } from "../book";
import { planMakings } from "../planMakings";
import { cutTo, listLinings, type PieceMend } from "./pieceMend";

/** How a figure is stepped away from what it is, and how far. */
const THICKNESS_STEP_MM = 0.5;
const [THINNEST_MM, THICKEST_MM] = [1, 8];
const PLUMPNESS_STEP = 0.05;
const [LEANEST, FULLEST] = [0.05, 1];
const MARGIN_STEP_MM = 1;
const [NARROWEST_MM, WIDEST_MM] = [3, 40];
/** A cut is tried larger and smaller by this at a time, up to twice and down to half of it. */
const CUT_STEP_SHARE = 0.04;
const [HALF, TWICE] = [0.5, 2];
/** What a cutter or a ruler holds to, mm. */
const CUT_STEP_MM = 0.5;
/** More than these nobody reads with floury hands. */
const MOST_MENDS = 4;

/**
 * Changes that would each make a piece that cannot be made, the smallest of their kind: another cutter of the drawer, a
 * larger or smaller cut, thinner or thicker, leaner or fuller, another margin. Each was planned with: all of them work.
 */
export function listMends(book: DayBook, pieceId: string): PieceMend[] {
  const piece = book.pieces.find(({ id }) => id === pieceId);
  const { dough, filling } = piece ? findFormulas(piece, book.formulas) : { dough: null, filling: null };
  if (!piece || !dough || !filling) return [];
  const context = toShapeContext(book);
  const works = (change: Partial<Piece>) =>
    shapePiece({ ...piece, ...change }, dough, filling, context).ok && canMake(book, { ...piece, ...change });
  const families = [
    listLinings(piece, dough.springBackShare),
    listCutters(book, piece),
    listCuts(piece, CUT_STEP_SHARE),
    listCuts(piece, -CUT_STEP_SHARE),
    listSteps(piece, "thicknessMm", -THICKNESS_STEP_MM, THINNEST_MM),
    listSteps(piece, "thicknessMm", THICKNESS_STEP_MM, THICKEST_MM),
    listSteps(piece, "plumpness", -PLUMPNESS_STEP, LEANEST),
    listSteps(piece, "plumpness", PLUMPNESS_STEP, FULLEST),
    listSteps(piece, "marginMm", -MARGIN_STEP_MM, NARROWEST_MM),
    listSteps(piece, "marginMm", MARGIN_STEP_MM, WIDEST_MM),
  ];
  const mends: PieceMend[] = [];
  for (const family of families) {
    const found = family.find(({ change }) => works(change));
    if (found && !mends.some(({ title }) => title === found.title)) mends.push(found);
    if (mends.length === MOST_MENDS) break;
  }
  return mends;
}

/** Whether a day of this piece alone has it. */
function canMake(book: DayBook, piece: Piece): boolean {
  const orders = book.orders.filter(({ pieceId }) => pieceId === piece.id);
  const order: Order = {
    id: piece.id,
    dayId: book.day.id,
    pieceId: piece.id,
    count: 1,
    dueMin: 0,
    customer: "",
  };
  const { works } = planMakings({
    ...book,
    pieces: book.pieces.map((each) => (each.id === piece.id ? piece : each)),
    orders: orders.length > 0 ? orders : [order],
    ahead: [],
    larder: [],
  });
  return works.some(({ line }) => line.piece.id === piece.id);
}

/** Cutters of the drawer of the same kind, the nearest in size first. */
function listCutters({ cutters }: DayBook, { cut }: Piece): PieceMend[] {
  if (cut.kind !== "disc") return [];
  return cutters
    .flatMap(({ outline }) => (outline.kind === "disc" ? [outline] : []))
    .sort((a, b) => Math.abs(a.diameterMm - cut.diameterMm) - Math.abs(b.diameterMm - cut.diameterMm))
    .map((outline) => cutTo(outline, ", from the drawer"));
}

/** The cut larger or smaller, step by step; its corners and waves with it. */
function listCuts({ cut }: Piece, stepShare: number): PieceMend[] {
  const end = stepShare > 0 ? TWICE : HALF;
  const steps = Math.floor(Math.abs(end - 1) / Math.abs(stepShare));
  return Array.from({ length: steps }, (_, i) => {
    const scaled = scaleOutline(cut, 1 + (i + 1) * stepShare);
    if (scaled.kind === "disc") return cutTo({ ...scaled, diameterMm: roundCut(scaled.diameterMm) });
    if (scaled.kind === "square") return cutTo({ ...scaled, sideMm: roundCut(scaled.sideMm) });
    if (scaled.kind === "rectangle" || scaled.kind === "oval")
      return cutTo({ ...scaled, widthMm: roundCut(scaled.widthMm), heightMm: roundCut(scaled.heightMm) });
    return cutTo(scaled);
  });
}
const roundCut = (mm: number) => Math.round(mm / CUT_STEP_MM) * CUT_STEP_MM;

type Stepped = "thicknessMm" | "plumpness" | "marginMm";
const titleOf: Record<Stepped, (value: number) => string> = {
  thicknessMm: (value) => `Roll it ${formatLength(value)}`,
  plumpness: (value) => `Fill it ${formatNumber(value * 100)} %`,
  marginMm: (value) => `Margin ${formatLength(value)}`,
};

function listSteps(piece: Piece, name: Stepped, step: number, end: number): PieceMend[] {
  const count = Math.max(Math.floor((end - piece[name]) / step + 1e-9), 0);
  return Array.from({ length: count }, (_, i) => {
    const value = Number((piece[name] + (i + 1) * step).toFixed(4));
    return { title: titleOf[name](value), change: { [name]: value } };
  });
}
