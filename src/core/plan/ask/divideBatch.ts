import { findFormulas, shapePiece, type ShapedPiece, toShapeContext } from "../piece";
import { hasGrain, type Dough } from "../../formula";
import { findLining, LINING_TRIM_MM, PUCK_PROUD_MM, type PieceForm } from "../../forming";
import { rollsRound, type CutAim } from "../../cutting";
import { because, fail, ok, type Result } from "../../result";
import { scaleOutline, type Outline } from "../../shape";
import type { DayBook, Order, Piece } from "../book";
import { planMakings } from "../planMakings";
import type { BatchFailure, Follows } from "./batchFailure";

/** How a batch of dough is divided. */
export type BatchDivision =
  | { readonly by: "into"; readonly pieces: number }
  /** As many as there are pieces of so much dough. */
  | { readonly by: "each"; readonly doughG: number }
  /** As many as it gives of the piece as it stands; with others, so many of each in every set. */
  | { readonly by: "sets"; readonly each: number; readonly others: readonly BatchShare[] };

/** Another piece of the same dough in a set. */
export interface BatchShare {
  readonly pieceId: string;
  readonly each: number;
}

export interface BatchRequest {
  readonly pieceId: string;
  /** Usable dough, g. */
  readonly doughG: number;
  readonly division: BatchDivision;
  readonly follows: Follows;
  /** Main filling divided evenly over all, g; null to fill each as it is set. */
  readonly fillingG: number | null;
  /** So much of a level layer over the whole batch; layers that are not named are as high as they are set. */
  readonly layers?: readonly LayerOver[];
}

/** So much of a filling spread level under the main one, over all pieces of a batch. */
export interface LayerOver {
  readonly fillingId: string;
  readonly massG: number;
}

/** A batch divided: the piece as it becomes, how many there are of it, and what is left. */
export interface DividedBatch {
  readonly piece: Piece;
  readonly shaped: ShapedPiece;
  readonly count: number;
  /** The other pieces in the sets, as they become: cut from the same sheets. */
  readonly others: readonly { readonly piece: Piece; readonly count: number }[];
  /** Dough that becomes blanks, trim and loss of cutting them included, g. */
  readonly doughUsedG: number;
  readonly doughLeftG: number;
  /** Main filling that all of them take, g. */
  readonly fillingUsedG: number;
}

/** A cut is held to half a millimetre, a rolling pin to a tenth. */
const CUT_STEP_MM = 0.5;
const ROLL_STEP_MM = 0.1;
/** What is rolled by hand, mm. */
const [THINNEST_MM, THICKEST_MM] = [1, 12];
/** A blank becomes at most so many times as long as the one it comes from, or so small. */
const [SMALLEST_SCALE, LARGEST_SCALE] = [0.25, 4];
const HALVINGS = 16;
/** Masses within this share of each other are equal: steps of cutting and rolling are coarser. */
const NEAR_SHARE = 0.08;
/** No mould of small pastry is as deep, mm. */
const HIGHEST_LAYER_MM = 60;
/** A layer within this share of what it shall weigh is that: nobody levels it finer. */
const NEAR_LAYER_SHARE = 0.01;
/** Against the last bit of a float. */
const ROUNDING = 1e-9;
/** More sets than the found number are tried so far above it: dough for a count does not rise evenly. */
const LOOK_ABOVE = 3;
const TRIAL_DUE_MIN = 13 * 60;

/** What can follow the mass: a mould, a press or a fruit has its own size, so only the thickness can. */
export const listFollows = ({ kind }: PieceForm): readonly Follows[] =>
  ["halfMoon", "triangle", "rectangle", "largeFold", "lidded", "gathered"].includes(kind)
    ? ["size", "thickness"]
    : ["thickness"];

/**
 * A batch first: this dough into so many, as many as weigh so much, or as many as it gives; its filling divided evenly.
 * Pure; the book's own orders, larder and log do not count.
 */
export function divideBatch(book: DayBook, request: BatchRequest): Result<DividedBatch, BatchFailure> {
  const found = book.pieces.find(({ id }) => id === request.pieceId);
  const { dough, filling } = found ? findFormulas(found, book.formulas) : { dough: null, filling: null };
  if (!found || !dough || !filling) return fail(because("noPieceToDivide", {}));
  const context = toShapeContext(book);
  const shape = (tried: Piece) => shapePiece(tried, dough, filling, context);
  const asSet = shape(found);
  if (!asSet.ok) return fail(because("cannotBeMade", { why: asSet.failure }));
  const piece = { ...found, spares: 0, cutAim: findAim(found, asSet.value, dough) };
  const { division, doughG, fillingG } = request;
  const others = division.by === "sets" ? division.others : [];
  const each = division.by === "sets" ? division.each : 1;
  const isWeighed = piece.cutAim === "portioned" || piece.cutAim === "sliced";
  const needG = (tried: Piece, count: number): number | null => {
    const shaped = shape(tried);
    if (!shaped.ok) return null;
    if (isWeighed && others.length === 0) return shaped.value.masses.blankG * count;
    return cutDough(
      book,
      tried,
      count,
      others.map(({ pieceId, each: times }) => [pieceId, times * (count / each)]),
    );
  };

  const sized =
    division.by === "sets"
      ? ok(piece)
      : division.by === "each"
        ? resize(piece, dough, request.follows, division.doughG, (tried) => blankOf(shape(tried)))
        : resize(piece, dough, request.follows, doughG, (tried) => needG(tried, division.pieces));
  if (!sized.ok) return sized;
  const blankG = blankOf(shape(sized.value)) ?? Infinity;
  const count =
    division.by === "into" ? division.pieces : findMost(doughG, blankG, each, (n) => needG(sized.value, n));
  if (count < 1) return fail(because("tooLittleDough", { doughG, eachG: blankG * each }));

  const spread = spreadLayers(
    sized.value,
    (request.layers ?? []).map((layer) => ({ ...layer, massG: layer.massG / count })),
    (tried) => shape({ ...tried, portionG: null }),
  );
  if (!spread.ok) {
    const { fillingId, wantedG, mostG } = spread.failure;
    const name = book.formulas.find(({ id }) => id === fillingId)?.name ?? fillingId;
    const [ofAllG, mostOfAllG] = [wantedG * count, mostG * count];
    return fail(because("layerTooHeavy", { filling: name, wantedG: ofAllG, mostG: mostOfAllG }));
  }
  const filled = { ...spread.value, portionG: fillingG === null ? piece.portionG : fillingG / count };
  const shaped = shape(filled);
  if (!shaped.ok) return fail(because("cannotBeMade", { why: shaped.failure }));
  const doughUsedG = needG(filled, count);
  if (doughUsedG === null) return fail(because("blanksNotCut", {}));
  return ok({
    piece: filled,
    shaped: shaped.value,
    count,
    others: others.flatMap(({ pieceId, each: times }) => {
      const other = book.pieces.find(({ id }) => id === pieceId);
      return other ? [{ piece: cutWith(other, piece), count: (times * count) / each }] : [];
    }),
    doughUsedG,
    doughLeftG: doughG - doughUsedG,
    fillingUsedG: shaped.value.parts.reduce(
      (sum, { role, portion, ofPieces }) => sum + (role === "main" ? portion.massG * ofPieces * count : 0),
      0,
    ),
  });
}

const blankOf = (shaped: Result<ShapedPiece, unknown>): number | null =>
  shaped.ok ? shaped.value.masses.blankG : null;

/**
 * The piece with its layers so high that each weighs what it shall.
 * @param wanted - Of one piece.
 */
function spreadLayers(
  piece: Piece,
  wanted: readonly LayerOver[],
  shape: (tried: Piece) => Result<ShapedPiece, unknown>,
): Result<Piece, { readonly fillingId: string; readonly wantedG: number; readonly mostG: number }> {
  let spread = piece;
  for (const { fillingId, massG } of wanted) {
    const withHeight = (heightMm: number): Piece => ({
      ...spread,
      extras: spread.extras.map((extra) =>
        extra.kind === "layer" && extra.fillingId === fillingId ? { ...extra, heightMm } : extra,
      ),
    });
    const weigh = (heightMm: number): number | null => {
      const shaped = shape(withHeight(heightMm));
      if (!shaped.ok) return null;
      const layer = shaped.value.parts.find((part) => part.role === "layer" && part.fillingId === fillingId);
      return layer?.portion.massG ?? null;
    };
    let [low, high] = [0, HIGHEST_LAYER_MM];
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (low + high) / 2;
      const middleG = weigh(middle);
      if (middleG !== null && middleG <= massG) low = middle;
      else high = middle;
    }
    const gotG = weigh(low) ?? 0;
    if (Math.abs(gotG - massG) > massG * NEAR_LAYER_SHARE)
      return fail({ fillingId, wantedG: massG, mostG: gotG });
    spread = withHeight(low);
  }
  return ok(spread);
}

/** Rounds of a dough without layers are weighed off and rolled, a puck is sliced; all else comes off sheets. */
function findAim({ form }: Piece, { formed }: ShapedPiece, dough: Dough): CutAim {
  if (form.kind === "puck") return "sliced";
  const isRound = formed.blanks.every(({ cut }) => rollsRound(cut)) && form.kind !== "case";
  if (isRound && !hasGrain(dough) && !dough.boughtSheet) return "portioned";
  // What is there is to be used: no more of it goes to trim than must.
  return "leastDough";
}

/** The piece cut or rolled so that it needs as near to a mass as may be and not more of it. */
function resize(
  piece: Piece,
  dough: Dough,
  follows: Follows,
  wantedG: number,
  weigh: (tried: Piece) => number | null,
): Result<Piece, BatchFailure> {
  const set = (share: number) =>
    follows === "size" ? sizeBy(piece, share) : rollTo(piece, dough, piece.thicknessMm * share);
  const [least, most] =
    follows === "size"
      ? [SMALLEST_SCALE, LARGEST_SCALE]
      : [THINNEST_MM / piece.thicknessMm, THICKEST_MM / piece.thicknessMm];
  // What cannot be formed is too small below the piece as it is, and too large above it.
  const isWithin = (share: number) => {
    const massG = weigh(set(share));
    return massG === null ? share < 1 : massG <= wantedG * (1 + ROUNDING);
  };
  let [low, high] = [least, most];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (isWithin(middle)) low = middle;
    else high = middle;
  }
  const resized = set(low);
  const massG = weigh(resized);
  const isAtEnd = low === least || high === most;
  if (massG !== null && !(isAtEnd && Math.abs(massG - wantedG) > wantedG * NEAR_SHARE)) return ok(resized);
  const nearestG = massG ?? weigh(set(high)) ?? weigh(piece) ?? 0;
  return fail(because("massOutOfReach", { follows, wantedG, nearestG }));
}

function sizeBy(piece: Piece, share: number): Piece {
  const cut = scaleOutline(piece.cut, share);
  const round = (mm: number) => Math.floor(mm / CUT_STEP_MM + ROUNDING) * CUT_STEP_MM;
  const sized: Outline =
    cut.kind === "disc"
      ? { ...cut, diameterMm: round(cut.diameterMm) }
      : cut.kind === "square"
        ? { ...cut, sideMm: round(cut.sideMm) }
        : cut.kind === "rectangle" || cut.kind === "oval"
          ? { ...cut, widthMm: round(cut.widthMm), heightMm: round(cut.heightMm) }
          : cut;
  return { ...piece, cut: sized };
}

/** Rolled so thick; what is cut for a mould is cut to it anew. */
function rollTo(piece: Piece, dough: Dough, mm: number): Piece {
  const thicknessMm = Math.max(Math.floor(mm / ROLL_STEP_MM + ROUNDING) * ROLL_STEP_MM, THINNEST_MM);
  const { form } = piece;
  if (!("mould" in form)) return { ...piece, thicknessMm };
  const { springBackShare } = dough;
  const overRimMm = form.kind === "puck" ? PUCK_PROUD_MM : LINING_TRIM_MM;
  return { ...piece, thicknessMm, cut: findLining(form.mould, { thicknessMm, springBackShare }, overRimMm) };
}

/** The most pieces, in whole sets, that need no more than there is. */
function findMost(
  doughG: number,
  blankG: number,
  each: number,
  needG: (count: number) => number | null,
): number {
  const fits = (sets: number) => {
    const massG = needG(sets * each);
    return massG !== null && massG <= doughG * (1 + ROUNDING);
  };
  let [low, high] = [0, Math.floor((doughG / (blankG * each)) * (1 + ROUNDING)) + 1];
  const bound = high - 1;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (fits(middle)) low = middle;
    else high = middle;
  }
  for (let sets = Math.min(low + LOOK_ABOVE, bound); sets > low; sets--) if (fits(sets)) return sets * each;
  return low * each;
}

/** A piece that shares a batch with another: cut from the same sheets, none to spare. */
const cutWith = (piece: Piece, { cutAim }: Piece): Piece => ({ ...piece, spares: 0, cutAim });

/** Dough that a day of these pieces alone would roll; null where one of them cannot be made. */
function cutDough(
  book: DayBook,
  piece: Piece,
  count: number,
  others: readonly (readonly [pieceId: string, count: number])[],
): number | null {
  const order = (pieceId: string, pieces: number): Order => ({
    id: pieceId,
    dayId: book.day.id,
    pieceId,
    count: pieces,
    dueMin: TRIAL_DUE_MIN,
    customer: "",
  });
  const { cutting } = planMakings({
    ...book,
    pieces: book.pieces.map((each) => (each.id === piece.id ? piece : cutWith(each, piece))),
    orders: [order(piece.id, count), ...others.map(([pieceId, pieces]) => order(pieceId, pieces))],
    larder: [],
    ahead: [],
    weighings: [],
    nowMin: null,
  });
  if (cutting.problems.length > 0 || cutting.cuts.length === 0) return null;
  return cutting.cuts.reduce((sum, { plan }) => sum + plan.doughG, 0);
}
