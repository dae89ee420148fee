import type { Dough, Filling, FormulaAnalysis } from "../../formula";
import type { DayBook, Oven, Piece } from "../book";
import type { KitRoom } from "../kit";

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
