import type { Dough, Filling, Formula } from "../formula";
import { computeFold, type Fold } from "../forming";
import { computePortion, type Portion } from "../filling";
import { fail, ok, type Result } from "../result";
import { computeSeal, type Seal } from "../sealing";
import { computeAreaMm2 } from "../shape";
import type { Piece } from "./book";
import type { Problem } from "./dayPlan";

/** One piece by itself: what it is, whatever is ordered of it. */
export interface ShapedPiece {
  readonly fold: Fold;
  readonly portion: Portion;
  readonly seal: Seal;
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

/** Fold, portion, seam and mass of one piece, or the problem that stops it. */
export function shapePiece(piece: Piece, dough: Dough, filling: Filling): Result<ShapedPiece, Problem> {
  const fold = computeFold({ ...piece, springBackShare: dough.springBackShare });
  if (!fold.ok)
    return fail({
      station: "fill",
      pieceId: piece.id,
      stops: true,
      message: `${piece.name}: ${fold.failure.message}`,
    });
  const portion = computePortion(fold.value.capacityMl, filling.densityGPerMl);
  const blankG = (computeAreaMm2(piece.cut) * piece.thicknessMm * dough.densityGPerMl) / 1000;
  const rawPieceG = blankG + portion.massG;
  return ok({
    fold: fold.value,
    portion,
    seal: computeSeal(fold.value.seamMm, piece.marginMm, piece.crimp),
    blankG,
    rawPieceG,
    bakedPieceG: rawPieceG * (1 - piece.bakeLossShare),
  });
}
