/** What a quantity measures. Base units: g, ml, mm, °C. */
export type Dimension = "mass" | "volume" | "length" | "temperature";

/** Exact by definition (NIST SP 811, appendix B). */
export const MM_PER_IN = 25.4;
export const MM_PER_CM = 10;
export const G_PER_OZ = 28.349523125;
export const OZ_PER_LB = 16;
export const G_PER_LB = G_PER_OZ * OZ_PER_LB;
export const G_PER_KG = 1000;
/** A stick is how butter is packed in the United States: a quarter of a pound. */
const STICK_G = G_PER_LB / 4;

/** Whose cups and spoons are meant. */
export type MeasureSystem = "metric" | "us" | "imperial";

export interface Unit {
  readonly id: string;
  readonly dimension: Dimension;
  /** base = value · factor + offset */
  readonly factor: number;
  readonly offset: number;
  /** Spellings accepted, lower case, without full stops. The first is the one we print. */
  readonly spellings: readonly string[];
}

const unit = (id: string, dimension: Dimension, factor: number, spellings: string[], offset = 0): Unit => ({
  id,
  dimension,
  factor,
  offset,
  spellings,
});

/** Units that mean the same everywhere. Factors are the exact definitions (NIST SP 811, appendix B). */
const universalUnits: readonly Unit[] = [
  unit("g", "mass", 1, ["g", "gr", "gram", "grams", "gramme", "grammes"]),
  unit("kg", "mass", G_PER_KG, ["kg", "kilo", "kilos", "kilogram", "kilograms"]),
  unit("oz", "mass", G_PER_OZ, ["oz", "ounce", "ounces"]),
  unit("stick", "mass", STICK_G, ["stick", "sticks"]),
  unit("lb", "mass", G_PER_LB, ["lb", "lbs", "pound", "pounds"]),
  unit("ml", "volume", 1, ["ml", "millilitre", "millilitres", "milliliter", "milliliters"]),
  unit("cl", "volume", 10, ["cl", "centilitre", "centilitres"]),
  unit("dl", "volume", 100, ["dl", "decilitre", "decilitres"]),
  unit("l", "volume", 1000, ["l", "litre", "litres", "liter", "liters"]),
  unit("mm", "length", 1, ["mm", "millimetre", "millimetres", "millimeter", "millimeters"]),
  unit("cm", "length", MM_PER_CM, ["cm", "centimetre", "centimetres", "centimeter", "centimeters"]),
  unit("m", "length", 1000, ["m", "metre", "metres", "meter", "meters"]),
  unit("in", "length", MM_PER_IN, ["in", "inch", "inches", '"', "″"]),
  unit("c", "temperature", 1, ["°c", "c", "celsius", "degrees c"]),
  unit("f", "temperature", 5 / 9, ["°f", "f", "fahrenheit", "degrees f"], -160 / 9),
];

interface KitchenMl {
  readonly tsp: number;
  readonly tbsp: number;
  readonly cup: number;
  readonly floz: number;
  readonly pint: number;
}

/** Millilitres of the spoons and cups of each system: US customary, imperial, and metric (15 ml spoon). */
const kitchenMl: Record<MeasureSystem, KitchenMl> = {
  metric: { tsp: 5, tbsp: 15, cup: 250, floz: 29.5735295625, pint: 500 },
  us: { tsp: 4.92892159375, tbsp: 14.78676478125, cup: 236.5882365, floz: 29.5735295625, pint: 473.176473 },
  imperial: { tsp: 5.91938802083, tbsp: 17.7581640625, cup: 284.130625, floz: 28.4130625, pint: 568.26125 },
};

/** Shares of a teaspoon that fingers take: the sets of spoons sold for them agree on these. */
const PINCH_PER_TSP = 1 / 16;
const DASH_PER_TSP = 1 / 8;
/** A dessertspoon is two teaspoons in every system. */
const DESSERTSPOON_PER_TSP = 2;

/** Every unit known to `system`. */
export function listUnits(system: MeasureSystem): readonly Unit[] {
  const ml = kitchenMl[system];
  return [
    ...universalUnits,
    unit("tsp", "volume", ml.tsp, ["tsp", "tsps", "teaspoon", "teaspoons"]),
    unit("tbsp", "volume", ml.tbsp, ["tbsp", "tbsps", "tablespoon", "tablespoons"]),
    unit("dsp", "volume", ml.tsp * DESSERTSPOON_PER_TSP, ["dsp", "dessertspoon", "dessertspoons"]),
    unit("cup", "volume", ml.cup, ["cup", "cups", "c"]),
    unit("floz", "volume", ml.floz, ["fl oz", "floz", "fluid ounce", "fluid ounces"]),
    unit("pint", "volume", ml.pint, ["pint", "pints", "pt"]),
    unit("pinch", "volume", ml.tsp * PINCH_PER_TSP, ["pinch", "pinches"]),
    unit("dash", "volume", ml.tsp * DASH_PER_TSP, ["dash", "dashes"]),
  ];
}

/**
 * The unit with this spelling (lower case, no full stops), or null. A spelling shared by two dimensions, as `c`
 * is by cups and degrees, is read in the dimension hoped for.
 */
export function findUnit(units: readonly Unit[], spelling: string, hopedFor: Dimension | null): Unit | null {
  const matches = units.filter(({ spellings }) => spellings.includes(spelling));
  return matches.find(({ dimension }) => dimension === hopedFor) ?? matches[0] ?? null;
}
