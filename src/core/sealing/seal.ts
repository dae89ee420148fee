import { requirePositive } from "../require";

export type CrimpId = "pinched" | "forked" | "rolled" | "rope";

/** A way to close a seam. Figures are the craft's first guess for practised hands. */
export interface Crimp {
  readonly id: CrimpId;
  readonly name: string;
  /** Clean rim the crimp needs, mm. */
  readonly needsMarginMm: number;
  /** From one mark or pleat to the next, mm. */
  readonly pitchMm: number;
  readonly markName: string;
  readonly secondsPerMark: number;
}

export const crimps: readonly Crimp[] = [
  { id: "pinched", name: "Pinched", needsMarginMm: 8, pitchMm: 12, markName: "pinches", secondsPerMark: 0.5 },
  // One press of a four-pronged fork closes about its own width.
  { id: "forked", name: "Forked", needsMarginMm: 10, pitchMm: 20, markName: "presses", secondsPerMark: 0.8 },
  {
    id: "rolled",
    name: "Rolled edge",
    needsMarginMm: 12,
    pitchMm: 25,
    markName: "turns",
    secondsPerMark: 1.4,
  },
  // Each pleat is a thumb's width folded over the one before.
  { id: "rope", name: "Rope", needsMarginMm: 12, pitchMm: 10, markName: "pleats", secondsPerMark: 0.9 },
];

export interface SealFault {
  readonly kind: "marginTooNarrow";
  readonly message: string;
}

export interface Seal {
  readonly crimp: Crimp;
  readonly seamMm: number;
  readonly marks: number;
  readonly secondsPerPiece: number;
  readonly glueG: number;
  /** The margin is too narrow for this crimp: by how much, and what would mend it. */
  readonly fault: SealFault | null;
}

/** Brushing the glue and folding the piece over, before the crimp begins. */
const CLOSE_SECONDS = 6;
/** Glue that stays on a rim one brush wide, g per metre of seam: thin, on one edge only. */
const GLUE_G_PER_M = 4;

/** How a seam is closed: marks, seconds and glue a piece. @throws {RangeError} On an unknown crimp. */
export function computeSeal(seamMm: number, marginMm: number, crimpId: CrimpId): Seal {
  requirePositive("seamMm", seamMm);
  const crimp = crimps.find(({ id }) => id === crimpId);
  if (!crimp) throw new RangeError(`computeSeal: no crimp has the id ${crimpId}`);
  const marks = Math.ceil(seamMm / crimp.pitchMm);
  const shortMm = crimp.needsMarginMm - marginMm;
  return {
    crimp,
    seamMm,
    marks,
    secondsPerPiece: CLOSE_SECONDS + marks * crimp.secondsPerMark,
    glueG: (seamMm / 1000) * GLUE_G_PER_M,
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
