import type { Filling } from "../formula";
import type { Composition } from "../heat";
import { requireNotNegative } from "../require";

export const bodies = ["pours", "coats", "mounds", "slices"] as const;
/** How a cooked filling stands, from running off the spoon to cutting clean. */
export type Body = (typeof bodies)[number];

export const thickeners = ["cornStarch", "potatoStarch", "tapioca", "flour"] as const;
export type Thickener = (typeof thickeners)[number];

/** Starch for each body, g for 100 g of the water that it thickens: corn starch, boiled out. Craft's usual figures. */
const STARCH_PER_100G: Readonly<Record<Body, number>> = { pours: 0, coats: 3, mounds: 6, slices: 9 };

interface ThickenerFacts {
  readonly name: string;
  /** Thickening power against corn starch, mass for mass. Flour is two thirds starch, and weaker at that. */
  readonly power: number;
  /** Boiled so long it has taken all it can and tastes of nothing, minutes. */
  readonly boilMin: number;
}

const facts: Readonly<Record<Thickener, ThickenerFacts>> = {
  cornStarch: { name: "corn starch", power: 1, boilMin: 1 },
  potatoStarch: { name: "potato starch", power: 1.3, boilMin: 0.5 },
  tapioca: { name: "tapioca starch", power: 1.1, boilMin: 1 },
  flour: { name: "flour", power: 0.5, boilMin: 5 },
};

/** Starch is stirred smooth in so many times its mass of cold liquid, or it lumps. */
const SLURRY_PARTS = 2;
/** A cream with yolk is boiled this long after the slurry: an enzyme in raw yolk would thin it again, minutes. */
const YOLK_BOIL_MIN = 2;

export interface ThickeningRequest {
  /** Water that is to be thickened, g: of the whole batch, fruit and milk included. */
  readonly waterG: number;
  /** Starch already in it, g, as corn starch. */
  readonly starchG: number;
  readonly body: Body;
  readonly thickener: Thickener;
  readonly hasYolk: boolean;
}

export interface Thickening {
  readonly thickenerName: string;
  /** To stir in; 0 if it has enough. */
  readonly addG: number;
  /** Cold liquid of the batch taken to stir it smooth in. */
  readonly slurryG: number;
  readonly boilMin: number;
  /** Starch as it is, g for 100 g of water. */
  readonly presentPer100G: number;
  /** Body that it has now. */
  readonly presentBody: Body;
}

/** Water and starch of so much of a filling, from what it is made of, and whether raw yolk is in it. */
export function toThickened(
  { waterShare, starchShare }: Composition,
  { lines }: Filling,
  batchG: number,
): Pick<ThickeningRequest, "waterG" | "starchG" | "hasYolk"> {
  return {
    waterG: batchG * waterShare,
    starchG: batchG * starchShare,
    hasYolk: lines.some(({ ingredientId }) => ingredientId === "egg" || ingredientId === "egg-yolk"),
  };
}

/** What brings a filling to a wanted body, or rescues a cream that did not set. */
export function computeThickening(request: ThickeningRequest): Thickening {
  const { waterG, starchG, body, thickener, hasYolk } = request;
  requireNotNegative("waterG", waterG);
  requireNotNegative("starchG", starchG);
  const { name, power, boilMin } = facts[thickener];
  const missingG = Math.max((STARCH_PER_100G[body] * waterG) / 100 - starchG, 0);
  const addG = missingG / power;
  const presentPer100G = waterG > 0 ? (100 * starchG) / waterG : 0;
  return {
    thickenerName: name,
    addG,
    slurryG: addG * SLURRY_PARTS,
    boilMin: hasYolk ? Math.max(boilMin, YOLK_BOIL_MIN) : boilMin,
    presentPer100G,
    presentBody:
      [...bodies].reverse().find((each) => STARCH_PER_100G[each] <= presentPer100G + 1e-9) ?? "pours",
  };
}
