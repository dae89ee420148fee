import { requirePositive } from "../require";
import { because, type Failure } from "../result";
import { findCrimp, type Crimp, type CrimpId } from "./crimps";
import { gluePerPiece, type Glue, type GlueId } from "./glue";

/** A rim too narrow for its crimp: the seal is made and may not hold. */
export type SealDoubt = Failure<
  "marginTooNarrow",
  { readonly crimp: string; readonly needsMm: number; readonly marginMm: number; readonly shortMm: number }
>;

export interface Seal {
  readonly crimp: Crimp;
  readonly glue: Glue;
  readonly seamMm: number;
  readonly marginMm: number;
  readonly marks: number;
  readonly secondsPerPiece: number;
  readonly glueG: number;
  /** The margin is too narrow for this crimp; null where it is not. */
  readonly doubt: SealDoubt | null;
}

export interface SealRequest {
  readonly seamMm: number;
  readonly marginMm: number;
  readonly crimp: CrimpId;
  readonly glue: GlueId;
}

/** Folding the piece over and pressing the air out, before the crimp begins. */
const CLOSE_SECONDS = 4;

/** How a seam is closed: marks, seconds and glue a piece. @throws {RangeError} On an unknown crimp or glue. */
export function computeSeal({ seamMm, marginMm, crimp: crimpId, glue: glueId }: SealRequest): Seal {
  requirePositive("seamMm", seamMm);
  const crimp = findCrimp(crimpId);
  const { glue, massG, seconds } = gluePerPiece(glueId, seamMm);
  const marks = Math.ceil(seamMm / crimp.pitchMm);
  const shortMm = crimp.needsMarginMm - marginMm;
  return {
    crimp,
    glue,
    seamMm,
    marginMm,
    marks,
    secondsPerPiece: CLOSE_SECONDS + seconds + marks * crimp.secondsPerMark,
    glueG: massG,
    doubt:
      shortMm > 0
        ? because("marginTooNarrow", {
            crimp: crimp.name,
            needsMm: crimp.needsMarginMm,
            ...{ marginMm, shortMm },
          })
        : null,
  };
}
