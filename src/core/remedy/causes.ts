import type { FigureId, Spread } from "./figures";

/** Troubles that bakers look for a remedy of. */
export const troubles = [
  "seamBurst",
  "boiledOver",
  "hollowTop",
  "fatPool",
  "toughCrust",
  "cracked",
  "shrank",
  "puffedBase",
  "soggyBase",
  "pale",
  "burnt",
  "rawMiddle",
  "runnyCustard",
  "curdledCustard",
  "unsetCream",
  "lumpyFilling",
  "closedCentre",
  "uneven",
  "lidsOff",
  "greasy",
  "friedRaw",
  "stuck",
] as const;
export type Trouble = (typeof troubles)[number];

export const troubleNames: Readonly<Record<Trouble, string>> = {
  seamBurst: "Seam burst or leaked",
  boiledOver: "Filling boiled over",
  hollowTop: "Hollow under the top",
  fatPool: "Fat in a pool",
  toughCrust: "Tough crust",
  cracked: "Cracked or tore as it was rolled",
  shrank: "Shrank",
  puffedBase: "Base puffed up",
  soggyBase: "Soggy base",
  pale: "Pale",
  burnt: "Burnt or too dark",
  rawMiddle: "Dark edge, raw middle",
  runnyCustard: "Custard runny",
  curdledCustard: "Custard curdled, weeping or cracked",
  unsetCream: "Pastry cream did not set",
  lumpyFilling: "Filling lumpy",
  closedCentre: "Centre of the case closed up",
  uneven: "Pieces of different size",
  lidsOff: "Lids came off",
  greasy: "Greasy from frying",
  friedRaw: "Fried dark outside, raw inside",
  stuck: "Stuck to tin or mould",
};

/** What would be done otherwise next time, as the bench can do it; figures are of what is planned now. */
export type RemedyChange =
  | { readonly kind: "marginMm"; readonly byMm: number }
  | { readonly kind: "plumpness"; readonly by: number }
  | { readonly kind: "thicknessMm"; readonly byMm: number }
  | { readonly kind: "restMin" | "chillMin"; readonly byMin: number }
  | { readonly kind: "bakeC"; readonly byC: number }
  | { readonly kind: "bakeMin"; readonly byShare: number }
  | { readonly kind: "vents"; readonly by: number }
  | { readonly kind: "washCoats"; readonly by: number }
  | { readonly kind: "perBasket"; readonly byShare: number }
  /** Nothing that the plan has a figure for: a way of doing it. */
  | { readonly kind: "way"; readonly text: string };

/** One thing that may have caused a trouble. */
export interface CauseFacts {
  readonly id: string;
  /** As it is told: “too little margin for the crimp”. */
  readonly text: string;
  /** How often it is this, before any figure is looked at, against the others of its trouble. The craft's own order. */
  readonly prior: number;
  /** How the figures that speak of it stand where it is the cause. */
  readonly where: Readonly<Partial<Record<FigureId, Spread>>>;
  readonly change: RemedyChange;
}

const of = (mean: number, sd: number): Spread => ({ mean, sd });

/** Figures as they stand where each is at fault: as far from the usual as the craft says that it begins to show. */
const narrow = { marginShare: of(0.65, 0.15) };
const full = { plumpness: of(0.95, 0.1), portionShare: of(1.18, 0.08) };
const unchilled = { chillShare: of(0.4, 0.25) };
const warmDough = { doughOffC: of(4, 2) };
const coldDough = { doughOffC: of(-5, 2) };
const unrested = { restShare: of(0.5, 0.2) };
const reworked = { rerollShare: of(0.75, 0.2) };
const thick = { thicknessShare: of(1.25, 0.1) };
const thin = { thicknessShare: of(0.78, 0.08) };
const hotOven = { ovenOffC: of(20, 8) };
const coolOven = { ovenOffC: of(-20, 8) };
const tooLong = { bakeShare: of(1.25, 0.1) };
const tooShort = { bakeShare: of(0.78, 0.1) };
const coolOil = { oilOffC: of(-14, 6) };
const hotOil = { oilOffC: of(12, 5) };
const overloaded = { loadShare: of(1.3, 0.2) };
const oldOil = { oilLoads: of(40, 12) };
const wetFilling = { waterShare: of(1.14, 0.05) };
const warmFilling = { fillingC: of(38, 10) };
const unvented = { ventShare: of(0.35, 0.25) };
const onTheBench = { benchShare: of(1.3, 0.35) };

const chillMore: RemedyChange = { kind: "chillMin", byMin: 15 };
const restMore: RemedyChange = { kind: "restMin", byMin: 20 };
const wider: RemedyChange = { kind: "marginMm", byMm: 2 };
const leaner: RemedyChange = { kind: "plumpness", by: -0.1 };
const hotter: RemedyChange = { kind: "bakeC", byC: 10 };
const cooler: RemedyChange = { kind: "bakeC", byC: -10 };
const longer: RemedyChange = { kind: "bakeMin", byShare: 0.15 };
const shorter: RemedyChange = { kind: "bakeMin", byShare: -0.12 };
const vent: RemedyChange = { kind: "vents", by: 1 };
const thinner: RemedyChange = { kind: "thicknessMm", byMm: -0.5 };
const thicker: RemedyChange = { kind: "thicknessMm", byMm: 0.5 };
const fewer: RemedyChange = { kind: "perBasket", byShare: -0.3 };
const way = (text: string): RemedyChange => ({ kind: "way", text });
const cause = (
  id: string,
  text: string,
  prior: number,
  where: CauseFacts["where"],
  change: RemedyChange,
): CauseFacts => ({ id, text, prior, where, change });

/** Of each trouble what may have caused it. Priors are the craft's order of what to look for first. */
export const causesOf: Readonly<Record<Trouble, readonly CauseFacts[]>> = {
  seamBurst: [
    cause("margin", "too little margin for the crimp", 3, narrow, wider),
    cause("full", "filled too full", 3, full, leaner),
    cause("wet", "the filling was too wet", 2, wetFilling, way("cook the filling down further")),
    cause("vents", "too few vents", 2, unvented, vent),
    cause("soft", "it went into the heat soft", 2, unchilled, chillMore),
    cause("warm", "it was closed with warm dough", 1, warmDough, way("chill the dough before it is rolled")),
  ],
  boiledOver: [
    cause("full", "filled too full", 4, full, leaner),
    cause("wet", "the filling was too wet", 2, wetFilling, way("cook the filling down further")),
    cause("hot", "the oven was hotter than it said", 2, hotOven, cooler),
    cause("long", "it was in the heat too long", 1, tooLong, shorter),
    cause("vents", "too few vents", 2, unvented, vent),
  ],
  hollowTop: [
    cause(
      "lean",
      "too little filling for the room",
      3,
      { plumpness: of(0.35, 0.12), portionShare: of(0.82, 0.08) },
      { kind: "plumpness", by: 0.1 },
    ),
    cause("wet", "the filling was wet and sank", 2, wetFilling, way("cook the filling down further")),
    cause("vents", "steam lifted the top: too few vents", 2, unvented, vent),
    cause("hot", "the top set before the filling sank", 1, hotOven, cooler),
  ],
  fatPool: [
    cause("soft", "it went into the heat soft", 4, unchilled, chillMore),
    cause("warm", "the dough was worked warm", 3, warmDough, way("chill the dough before it is rolled")),
    cause("cool", "the oven was cooler than it said", 3, coolOven, hotter),
    cause("bench", "it stood too long on the bench", 2, onTheBench, way("keep shaped pieces in the cold")),
  ],
  toughCrust: [
    cause("reroll", "re-rolled dough", 3, reworked, way("cut visible pieces from the first rolling")),
    cause("rest", "the dough had not rested", 3, unrested, restMore),
    cause("thick", "rolled too thick", 2, thick, thinner),
    cause("long", "it was in the heat too long", 1, tooLong, shorter),
    cause("cool", "the oven was cooler than it said", 1, coolOven, hotter),
  ],
  cracked: [
    cause("cold", "the dough was too cold", 4, coldDough, way("let the dough stand before it is rolled")),
    cause("rest", "the dough had not rested", 2, unrested, restMore),
    cause("reroll", "re-rolled dough", 2, reworked, restMore),
    cause("thin", "rolled too thin", 2, thin, thicker),
    cause("warm", "the dough was too warm", 1, warmDough, way("chill the dough before it is rolled")),
  ],
  shrank: [
    cause("rest", "the dough had not rested", 4, unrested, restMore),
    cause("soft", "it was not chilled after shaping", 3, unchilled, chillMore),
    cause("reroll", "re-rolled dough", 2, reworked, restMore),
    cause("cool", "the oven was cooler than it said", 1, coolOven, hotter),
  ],
  puffedBase: [
    cause("vents", "the base was not pricked or weighted", 4, unvented, vent),
    cause("hot", "the oven was hotter than it said", 1, hotOven, cooler),
    cause("soft", "it went into the heat soft", 2, unchilled, chillMore),
  ],
  soggyBase: [
    cause("wet", "the filling was too wet", 3, wetFilling, way("cook the filling down further")),
    cause("short", "it was taken out too soon", 3, tooShort, longer),
    cause("cool", "the oven was cooler than it said", 3, coolOven, hotter),
    cause("warm", "the filling went in warm", 2, warmFilling, way("cool the filling before it is filled")),
    cause("bench", "it stood filled too long", 2, onTheBench, way("fill just before the heat")),
    cause("thick", "rolled too thick", 1, thick, thinner),
  ],
  pale: [
    cause("short", "it was taken out too soon", 3, tooShort, longer),
    cause("cool", "the oven was cooler than it said", 4, coolOven, hotter),
    cause("wash", "too little wash", 2, { washCoats: of(0.3, 0.4) }, { kind: "washCoats", by: 1 }),
    cause("load", "too much in the oven at once", 2, overloaded, fewer),
  ],
  burnt: [
    cause("hot", "the oven was hotter than it said", 4, hotOven, cooler),
    cause("long", "it was in the heat too long", 4, tooLong, shorter),
    cause("thin", "rolled too thin", 1, thin, thicker),
    cause("wash", "too much wash", 1, { washCoats: of(2.5, 0.4) }, { kind: "washCoats", by: -1 }),
  ],
  rawMiddle: [
    cause("hot", "the oven was hotter than it said", 4, hotOven, cooler),
    cause("full", "filled too full", 2, full, leaner),
    cause("thick", "rolled too thick", 2, thick, thinner),
    cause("cold", "the filling or the piece was too cold", 1, { fillingC: of(3, 2) }, longer),
    cause("short", "it was taken out too soon", 2, tooShort, longer),
  ],
  runnyCustard: [
    cause("core", "it was taken out below its mark", 5, { coreOffC: of(-5, 2) }, longer),
    cause("short", "it was taken out too soon", 2, tooShort, longer),
    cause("cool", "the oven was cooler than it said", 2, coolOven, hotter),
    cause("wet", "too much milk for the egg", 1, { waterShare: of(1.1, 0.04) }, way("weigh milk and egg")),
  ],
  curdledCustard: [
    cause("core", "its core went above its mark", 5, { coreOffC: of(6, 2.5) }, shorter),
    cause("hot", "the oven was hotter than it said", 3, hotOven, cooler),
    cause("long", "it was in the heat too long", 2, tooLong, shorter),
  ],
  unsetCream: [
    cause(
      "core",
      "it was not brought to the boil",
      5,
      { coreOffC: of(-7, 3) },
      way("boil it for another minute"),
    ),
    cause(
      "warm",
      "it was filled before it was cold",
      3,
      warmFilling,
      way("cool it under film before it is filled"),
    ),
    cause(
      "wet",
      "too little starch for the milk",
      1,
      { waterShare: of(1.1, 0.04) },
      way("weigh starch and milk"),
    ),
  ],
  lumpyFilling: [
    cause(
      "hot",
      "starch or flour met hot liquid",
      4,
      { fillingC: of(45, 12) },
      way("stir the starch into cold liquid first"),
    ),
    cause("core", "it was heated past its mark", 2, { coreOffC: of(6, 2.5) }, way("take it off at its mark")),
  ],
  closedCentre: [
    cause("rest", "the dough had not rested", 3, unrested, restMore),
    cause("thick", "rolled too thick", 2, thick, thinner),
    cause("soft", "it was not chilled after shaping", 3, unchilled, chillMore),
    cause("warm", "the dough was cut warm", 2, warmDough, way("chill the dough before it is cut")),
  ],
  uneven: [
    cause(
      "portions",
      "portions were uneven",
      4,
      { portionSpread: of(0.14, 0.05) },
      way("put every tenth portion on the scale"),
    ),
    cause(
      "thickness",
      "the dough was uneven",
      3,
      { thicknessShare: of(1.12, 0.15) },
      way("roll between guides"),
    ),
    cause("rest", "blanks drew back", 2, unrested, restMore),
    cause("reroll", "some are of re-rolled dough", 1, reworked, restMore),
  ],
  lidsOff: [
    cause("margin", "too little rim to hold the lid", 3, narrow, wider),
    cause("full", "filled too full", 3, full, leaner),
    cause("vents", "steam lifted the lid: too few vents", 3, unvented, vent),
    cause("soft", "it went into the heat soft", 1, unchilled, chillMore),
  ],
  greasy: [
    cause("oil", "the oil was too cool", 4, coolOil, way("wait until the oil is back at its heat")),
    cause("load", "too many in the basket", 4, overloaded, fewer),
    cause("old", "the oil was old", 2, oldOil, way("change the oil")),
    cause("thin", "rolled too thin", 1, thin, thicker),
  ],
  friedRaw: [
    cause("oil", "the oil was too hot", 5, hotOil, way("set the oil lower")),
    cause("full", "filled too full", 2, full, leaner),
    cause("short", "it was taken out too soon", 2, tooShort, longer),
    cause("cold", "it went in too cold", 1, { fillingC: of(2, 2) }, longer),
  ],
  stuck: [
    cause("leak", "filling ran out and burnt on", 3, full, leaner),
    cause("margin", "the seam opened: too little margin", 2, narrow, wider),
    cause(
      "cool",
      "it cooled too long in the mould",
      2,
      { benchShare: of(1.3, 0.35) },
      way("unmould while it is warm"),
    ),
    cause("short", "it was taken out too soon", 1, tooShort, longer),
  ],
};
