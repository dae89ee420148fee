export const crimpIds = ["pinched", "forked", "rolled", "rope", "foldForked", "press", "flush"] as const;
export type CrimpId = (typeof crimpIds)[number];

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
  /** How much it lowers the log-odds that a seam opens, against a pinched one. */
  readonly strength: number;
}

export const crimps: readonly Crimp[] = [
  {
    id: "pinched",
    name: "Pinched",
    needsMarginMm: 8,
    pitchMm: 12,
    markName: "pinches",
    secondsPerMark: 0.5,
    strength: 0,
  },
  // One press of a four-pronged fork closes about its own width.
  {
    id: "forked",
    name: "Forked",
    needsMarginMm: 10,
    pitchMm: 20,
    markName: "presses",
    secondsPerMark: 0.8,
    strength: 0.4,
  },
  {
    id: "rolled",
    name: "Rolled edge",
    needsMarginMm: 12,
    pitchMm: 25,
    markName: "turns",
    secondsPerMark: 1.4,
    strength: 0.7,
  },
  // Each pleat is a thumb's width folded over the one before.
  {
    id: "rope",
    name: "Rope",
    needsMarginMm: 12,
    pitchMm: 10,
    markName: "pleats",
    secondsPerMark: 0.9,
    strength: 1,
  },
  // Folded over once, then forked: belt and braces for wet fillings.
  {
    id: "foldForked",
    name: "Folded and forked",
    needsMarginMm: 14,
    pitchMm: 20,
    markName: "presses",
    secondsPerMark: 2.2,
    strength: 1.3,
  },
  // The whole seam at one stroke; its teeth are part of the press.
  {
    id: "press",
    name: "Press",
    needsMarginMm: 8,
    pitchMm: 6,
    markName: "teeth",
    secondsPerMark: 0.1,
    strength: 0.7,
  },
  // A lid laid on a lined mould, pressed to the rim and cut off flush with it.
  {
    id: "flush",
    name: "Flush with the rim",
    needsMarginMm: 2,
    pitchMm: 40,
    markName: "strokes",
    secondsPerMark: 1,
    strength: 0.3,
  },
];

/** @throws {RangeError} On an unknown crimp. */
export function findCrimp(id: CrimpId): Crimp {
  const crimp = crimps.find((each) => each.id === id);
  if (!crimp) throw new RangeError(`findCrimp: no crimp has the id ${id}`);
  return crimp;
}
