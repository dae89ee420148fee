import { requireNotNegative } from "../require";

export const washKinds = ["none", "egg", "eggWater", "eggMilk", "milk", "white"] as const;
export type WashKind = (typeof washKinds)[number];

export const washSugars = ["none", "before", "after"] as const;
/** Sugar sticks to the wash and crackles, or sparkles and dusts once it is baked. */
export type WashSugar = (typeof washSugars)[number];

export interface Wash {
  readonly kind: WashKind;
  /** Once before the oven, or again at half time. */
  readonly coats: number;
  readonly sugar: WashSugar;
}

/** What a kind of wash is mixed from, shares of its mass. */
interface WashFacts {
  readonly name: string;
  readonly eggShare: number;
  readonly whiteShare: number;
  readonly milkShare: number;
}

export const washFacts: Readonly<Record<WashKind, WashFacts>> = {
  none: { name: "no wash", eggShare: 0, whiteShare: 0, milkShare: 0 },
  egg: { name: "whole egg", eggShare: 1, whiteShare: 0, milkShare: 0 },
  // A tablespoon of water, or of milk, to one egg.
  eggWater: { name: "egg and water", eggShare: 0.77, whiteShare: 0, milkShare: 0 },
  eggMilk: { name: "egg and milk", eggShare: 0.77, whiteShare: 0, milkShare: 0.23 },
  milk: { name: "milk", eggShare: 0, whiteShare: 0, milkShare: 1 },
  white: { name: "egg white", eggShare: 0, whiteShare: 1, milkShare: 0 },
};

/** A thin even coat, g for each 100 cm²: what stays on, with what stays in the brush. */
const COAT_G_PER_DM2 = 1.2;
const SUGAR_G_PER_DM2 = 2.5;
const COAT_SECONDS_PER_DM2 = 4;
const SUGAR_SECONDS = 2;
const MM2_PER_DM2 = 10_000;

export interface WashedPiece {
  readonly washG: number;
  readonly eggG: number;
  readonly whiteG: number;
  readonly milkG: number;
  readonly sugarG: number;
  /** Brushing before the oven; a second coat takes as long again at half time. */
  readonly secondsPerCoat: number;
  readonly sugarSeconds: number;
}

/** Wash and sugar for one piece, from the dough that shows. */
export function computeWash({ kind, coats, sugar }: Wash, areaMm2: number): WashedPiece {
  requireNotNegative("areaMm2", areaMm2);
  const areaDm2 = areaMm2 / MM2_PER_DM2;
  const { eggShare, whiteShare, milkShare } = washFacts[kind];
  const washG = kind === "none" ? 0 : areaDm2 * COAT_G_PER_DM2 * coats;
  return {
    washG,
    eggG: washG * eggShare,
    whiteG: washG * whiteShare,
    milkG: washG * milkShare,
    sugarG: sugar === "none" ? 0 : areaDm2 * SUGAR_G_PER_DM2,
    secondsPerCoat: kind === "none" ? 0 : areaDm2 * COAT_SECONDS_PER_DM2,
    sugarSeconds: sugar === "none" ? 0 : SUGAR_SECONDS,
  };
}
