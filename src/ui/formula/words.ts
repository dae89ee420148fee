import type {
  DividedShape,
  DoughMethod,
  FatParticle,
  FillingFamily,
  FillingMeasure,
  LiquidSchool,
  RestWay,
  Tartness,
  Wetness,
} from "@/core/formula";
import type { Body, Thickener } from "@/core/filling";
import type { LarderKind } from "@/core/plan";

/** The trade's words for what the formula book distinguishes. */
export const methodNames: Record<DoughMethod, string> = {
  rubbed: "Shortcrust, rubbed in",
  sweetCreamed: "Sweet paste, creamed",
  sweetRubbed: "Sweet paste, rubbed in",
  enrichedLard: "Enriched: egg or milk in the liquid",
  cheese: "Cheese crust",
  oilAndButter: "Oil and butter",
  roughPuff: "Rough puff",
  bought: "Bought in sheets",
};
export const particleNames: Record<FatParticle, string> = {
  none: "none to see",
  sand: "sand",
  seed: "seeds",
  pea: "peas",
  coin: "coins",
};
export const schoolNames: Record<LiquidSchool, string> = {
  justHolds: "just holds",
  littleMoist: "a little moist",
};
export const schoolReasons: Record<LiquidSchool, string> = {
  justHolds: "As dry as it will hold: the most tender.",
  littleMoist: "A little moist: rolls without cracking.",
};
export const restNames: Record<RestWay, string> = {
  minutes: "my minutes",
  fridge: "fridge, by its core",
  freezer: "freezer, turned",
  rolledInFridge: "rolled, then fridge",
};
export const shapeNames: Record<DividedShape, string> = {
  disc: "disc",
  log: "log",
  ball: "ball",
  brick: "brick",
};
export const familyNames: Record<FillingFamily, string> = {
  filling: "Filling",
  custard: "Custard",
  wash: "Wash",
  syrup: "Syrup",
  glaze: "Glaze",
};
export const larderNames: Record<LarderKind, string> = {
  dough: "dough",
  filling: "filling",
  blanks: "cut blanks",
  shells: "baked shells",
  frozenPieces: "frozen, unbaked",
};
export const wetnessNames: Record<Wetness, string> = {
  dry: "dry: holds its water",
  moist: "moist: gives some",
  wet: "wet: boils",
};
export const measureNames: Record<FillingMeasure, string> = {
  spoon: "spoon",
  scoop: "scoop",
  bag: "piping bag",
  jug: "jug or ladle",
};
export const tartnessNames: Record<Tartness, string> = {
  sweet: "sweet",
  mild: "mild",
  tart: "tart",
  sharp: "sharp",
};
export const bodyNames: Record<Body, string> = {
  pours: "pours",
  coats: "coats a spoon",
  mounds: "mounds",
  slices: "slices clean",
};
export const thickenerNames: Record<Thickener, string> = {
  cornStarch: "corn starch",
  potatoStarch: "potato starch",
  tapioca: "tapioca starch",
  flour: "flour",
};
