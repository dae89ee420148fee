import { findFilling, findFormulas } from "./findFormulas";
import type { FormulaAnalysis } from "../../formula";
import {
  COMES_OUT_C,
  type Baked,
  type Composition,
  type CoolingRequest,
  type FryLoad,
  type KnownBake,
  type PieceChillRequest,
} from "../../heat";
import { listHeats } from "../../way";
import type { DayBook, Piece } from "../book";
import { findFilmFactors } from "../learned";
import type { ShapedPiece } from "./shapePiece";

/** Core temperature at which a piece is done: set custard, or crust and filling hot through. Local codes decide. */
const CUSTARD_DONE_C = 74;
const DONE_C = 93;
/** Thinner than this nothing is reckoned, mm. */
const LEAST_MM = 3;

/** A piece as conduction sees it: a slab as thick as it stands, of the mean of its dough and its fillings. */
export function toBaked(
  piece: Piece,
  { formed, parts, masses: { blankG, trimG } }: ShapedPiece,
  { formulas, kitchen }: DayBook,
  analyses: Readonly<Record<string, FormulaAnalysis>>,
): Baked | null {
  const { dough } = findFormulas(piece, formulas);
  const doughComposition = dough ? analyses[dough.id]?.composition : undefined;
  if (!dough || !doughComposition) return null;
  const masses = [
    { massG: blankG - trimG, densityGPerMl: dough.densityGPerMl, composition: doughComposition },
    ...parts.flatMap(({ fillingId, portion, ofPieces }) => {
      const filling = findFilling(fillingId, formulas);
      const composition = analyses[fillingId]?.composition;
      return filling && composition
        ? [{ massG: portion.massG * ofPieces, densityGPerMl: filling.densityGPerMl, composition }]
        : [];
    }),
  ];
  const totalG = masses.reduce((sum, { massG }) => sum + massG, 0);
  const share = (part: keyof Composition) =>
    masses.reduce((sum, { massG, composition }) => sum + massG * composition[part], 0) / totalG;
  return {
    body: { kind: "slab", thicknessMm: Math.max(formed.finished.heightMm, LEAST_MM) },
    composition: {
      waterShare: share("waterShare"),
      fatShare: share("fatShare"),
      sugarShare: share("sugarShare"),
      starchShare: share("starchShare"),
    },
    densityGPerMl: totalG / masses.reduce((sum, { massG, densityGPerMl }) => sum + massG / densityGPerMl, 0),
    startC: kitchen.fridgeC,
  };
}

/**
 * A piece closed and set into the cold: its fat is hard at the lower end of its dough's working window.
 * @returns null where it has no dough.
 */
export function toChillPiece(
  piece: Piece,
  { body, composition, densityGPerMl }: Baked,
  { formulas, kitchen, past }: DayBook,
  place: "fridge" | "freezer",
): PieceChillRequest | null {
  const { dough } = findFormulas(piece, formulas);
  if (!dough) return null;
  return {
    body,
    composition,
    densityGPerMl,
    place,
    airC: place === "fridge" ? kitchen.fridgeC : kitchen.freezerC,
    filmFactor: findFilmFactors(past)[place],
    // As it is closed it has come half way to the room.
    startC: Math.round((kitchen.fridgeC + kitchen.roomC) / 2),
    hardC: dough.window.lowC,
  };
}

/** A piece out of the oven: its room and its fridge, as cores that were read there know them. */
export const toCooling = (
  { body, composition, densityGPerMl }: Baked,
  { kitchen: { roomC, fridgeC }, past }: DayBook,
): Omit<CoolingRequest, "roomMin"> => ({
  ...{ body, composition, densityGPerMl, roomC, fridgeC },
  startC: COMES_OUT_C,
  filmFactors: findFilmFactors(past),
});

/** A load of a piece in oil: it is turned once, so both faces are in it as long as each other. */
export function toFryLoad(
  { formed, masses: { rawPieceG } }: ShapedPiece,
  { composition }: Baked,
  pieces: number,
  minutes: number,
): FryLoad {
  return {
    pieces,
    minutes,
    pieceMm2: 2 * formed.washMm2,
    pieceG: rawPieceG,
    waterShare: composition.waterShare,
  };
}

/** The baker's own bake of a piece, as it stands in the book: right, so that others can be reckoned from it. */
export function toKnownBake(piece: Piece, baked: Baked, { formulas }: DayBook): KnownBake {
  const isCustard = findFilling(piece.fillingId, formulas)?.family === "custard";
  return {
    ...baked,
    air: listHeats(piece.way).map(({ ovenC, minutes }) => ({ airC: ovenC, minutes })),
    doneC: isCustard ? CUSTARD_DONE_C : DONE_C,
  };
}
