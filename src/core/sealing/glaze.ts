import { requireNotNegative } from "../require";

export const glazeKinds = ["none", "icing", "syrup", "jam"] as const;
export type GlazeKind = (typeof glazeKinds)[number];

/** What goes on once a piece is out of the heat. */
export interface Glaze {
  readonly kind: GlazeKind;
}

interface GlazeFacts {
  readonly name: string;
  /** Icing is drizzled over part of the top, syrup and jam are brushed over all of it. */
  readonly gPerDm2: number;
  readonly secondsPerDm2: number;
  /** It goes on while the piece is warm: syrup and jam sink in, icing sets to a film. */
  readonly goesOn: string;
}

/** The craft's first guesses. */
export const glazeFacts: Readonly<Record<GlazeKind, GlazeFacts>> = {
  none: { name: "no glaze", gPerDm2: 0, secondsPerDm2: 0, goesOn: "" },
  icing: { name: "thin icing", gPerDm2: 4, secondsPerDm2: 5, goesOn: "drizzle it thin while warm" },
  syrup: { name: "syrup", gPerDm2: 3, secondsPerDm2: 4, goesOn: "brush it on while hot" },
  jam: { name: "thinned jam", gPerDm2: 5, secondsPerDm2: 5, goesOn: "brush it on warm" },
};
const MM2_PER_DM2 = 10_000;

/** Glaze of one piece, g and seconds of hands, from the dough that shows. */
export function computeGlaze({ kind }: Glaze, areaMm2: number): { massG: number; seconds: number } {
  requireNotNegative("areaMm2", areaMm2);
  const { gPerDm2, secondsPerDm2 } = glazeFacts[kind];
  return {
    massG: (areaMm2 / MM2_PER_DM2) * gPerDm2,
    seconds: (areaMm2 / MM2_PER_DM2) * secondsPerDm2,
  };
}
