import type { Wetness } from "../formula";

export const ventKinds = ["none", "pricks", "slits", "cutOut"] as const;
export type VentKind = (typeof ventKinds)[number];

export interface Vents {
  readonly kind: VentKind;
  readonly count: number;
}

interface VentFacts {
  readonly name: string;
  /** Opening that steam finds, mm². */
  readonly openMm2: number;
  readonly seconds: number;
}

export const ventFacts: Readonly<Record<VentKind, VentFacts>> = {
  none: { name: "none", openMm2: 0, seconds: 0 },
  pricks: { name: "pricks", openMm2: 4, seconds: 0.5 },
  slits: { name: "slits", openMm2: 20, seconds: 1 },
  cutOut: { name: "cut-out", openMm2: 110, seconds: 4 },
};

/** `2 slits`, `1 prick`, `a cut-out`, `no vents`. */
export function describeVents({ kind, count }: Vents): string {
  if (kind === "none" || count === 0) return "no vents";
  if (kind === "cutOut") return count === 1 ? "a cut-out" : `${count} cut-outs`;
  return `${count} ${count === 1 ? ventFacts[kind].name.slice(0, -1) : ventFacts[kind].name}`;
}

/** Opening that lets the steam out before it finds the seam, mm² for each 100 cm² of top. Craft's first guess. */
const OPEN_MM2_PER_DM2: Readonly<Record<Wetness, number>> = { dry: 8, moist: 24, wet: 60 };
const MM2_PER_DM2 = 10_000;
/** More than this weakens the top. */
const MOST_VENTS: Readonly<Record<VentKind, number>> = { none: 0, pricks: 12, slits: 3, cutOut: 1 };

/** How many vents of a kind a top of this area wants over this filling; at least one. */
export function adviseVents(kind: VentKind, topMm2: number, wetness: Wetness): number {
  if (kind === "none") return 0;
  const wantedMm2 = (topMm2 / MM2_PER_DM2) * OPEN_MM2_PER_DM2[wetness];
  return Math.min(Math.max(Math.ceil(wantedMm2 / ventFacts[kind].openMm2), 1), MOST_VENTS[kind]);
}

/** The kind that comes nearest to what is wanted without weakening the top, and how many. */
export function adviseVentKind(topMm2: number, wetness: Wetness): Vents {
  const kind =
    wetness === "wet"
      ? "slits"
      : wetness === "moist"
        ? topMm2 > MM2_PER_DM2
          ? "slits"
          : "pricks"
        : "pricks";
  return { kind, count: adviseVents(kind, topMm2, wetness) };
}

/** Share of the opening wanted that these vents give, 0 to 1. */
export function computeVentShare({ kind, count }: Vents, topMm2: number, wetness: Wetness): number {
  const wantedMm2 = (topMm2 / MM2_PER_DM2) * OPEN_MM2_PER_DM2[wetness];
  return wantedMm2 > 0 ? Math.min((count * ventFacts[kind].openMm2) / wantedMm2, 1) : 1;
}
