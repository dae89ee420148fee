import { requirePositive } from "../require";
import { findCrimp, type Crimp, type CrimpId } from "./crimps";
import { gluePerPiece, type Glue, type GlueId } from "./glue";

export interface SealFault {
  readonly kind: "marginTooNarrow";
  readonly message: string;
}

export interface Seal {
  readonly crimp: Crimp;
  readonly glue: Glue;
  readonly seamMm: number;
  readonly marginMm: number;
  readonly marks: number;
  readonly secondsPerPiece: number;
  readonly glueG: number;
  /** The margin is too narrow for this crimp: by how much, and what would mend it. */
  readonly fault: SealFault | null;
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
    fault:
      shortMm > 0
        ? {
            kind: "marginTooNarrow",
            message:
              `${crimp.name} needs ${crimp.needsMarginMm} mm of clean rim; the margin is ${marginMm} mm, ` +
              `${Number(shortMm.toFixed(1))} mm short. Widen the margin or choose another crimp.`,
          }
        : null,
  };
}
