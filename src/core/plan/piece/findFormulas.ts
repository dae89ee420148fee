import type { Dough, Filling, Formula } from "../../formula";
import type { Piece } from "../book";

/** What a piece's dough and filling ids stand for; null where nothing is chosen. */
export function findFormulas(
  piece: Piece,
  formulas: readonly Formula[],
): { dough: Dough | null; filling: Filling | null } {
  return {
    dough:
      formulas.find(
        (formula): formula is Dough => formula.kind === "dough" && formula.id === piece.doughId,
      ) ?? null,
    filling: findFilling(piece.fillingId, formulas),
  };
}

/** A filling by its id; null where the book has none, or a dough, of that id. */
export function findFilling(fillingId: string, formulas: readonly Formula[]): Filling | null {
  return (
    formulas.find((formula): formula is Filling => formula.kind === "filling" && formula.id === fillingId) ??
    null
  );
}
