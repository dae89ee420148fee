import type { Dough, Filling, Formula } from "../formula";
import { formPiece, type Blank, type BlankRole, type FormedPiece } from "../forming";
import { computePortion, type Portion } from "../filling";
import { fail, ok, type Result } from "../result";
import { computeSeal, type Seal } from "../sealing";
import { computeAreaMm2, outerOutline } from "../shape";
import type { Piece } from "./book";
import type { Problem } from "./dayPlan";

/** One piece by itself: what it is, whatever is ordered of it. */
export interface ShapedPiece {
  readonly formed: FormedPiece;
  readonly portion: Portion;
  /** Null where nothing is closed. */
  readonly seal: Seal | null;
  /** All blanks of one piece. */
  readonly blankG: number;
  readonly rawPieceG: number;
  readonly bakedPieceG: number;
}

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
    filling:
      formulas.find(
        (formula): formula is Filling => formula.kind === "filling" && formula.id === piece.fillingId,
      ) ?? null,
  };
}

/** Form, portion, seam and mass of one piece, or the problem that stops it. */
export function shapePiece(piece: Piece, dough: Dough, filling: Filling): Result<ShapedPiece, Problem> {
  const thicknessMm = findThicknessMm(piece, dough);
  const formed = formPiece({ ...piece, thicknessMm, springBackShare: dough.springBackShare });
  if (!formed.ok)
    return fail({
      station: "fill",
      pieceId: piece.id,
      stops: true,
      message: `${piece.name}: ${formed.failure.message}`,
    });
  const { capacityMl, blanks, seamMm } = formed.value;
  const portion = computePortion(capacityMl, filling.densityGPerMl);
  const blanksMm2 = blanks.reduce((sum, blank) => sum + takenMm2(blank), 0);
  const blankG = (blanksMm2 * thicknessMm * dough.densityGPerMl) / 1000;
  const rawPieceG = blankG + portion.massG;
  return ok({
    formed: formed.value,
    portion,
    seal: seamMm > 0 ? computeSeal(seamMm, piece.marginMm, piece.crimp) : null,
    blankG,
    rawPieceG,
    bakedPieceG: rawPieceG * (1 - piece.bakeLossShare),
  });
}

/** Dough that a blank takes for good: of a ring whose centre is kept, all of its disc. */
const takenMm2 = ({ cut, keepsCentre }: Blank) => computeAreaMm2(keepsCentre ? outerOutline(cut) : cut);

/** A bought sheet can be rolled thinner than it is, never thicker. */
export function findThicknessMm(piece: Piece, { boughtSheet }: Dough): number {
  return boughtSheet ? Math.min(piece.thicknessMm, boughtSheet.thicknessMm) : piece.thicknessMm;
}

/** The id by which the cut plan knows a role of a piece. */
export const toDemandId = (piece: Piece, role: BlankRole): string => `${piece.id}:${role}`;
