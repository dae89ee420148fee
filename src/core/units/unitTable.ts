/** What a quantity measures. Base units: g, ml, mm, °C. */
export type Dimension = "mass" | "volume" | "length" | "temperature";

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
  unit("kg", "mass", 1000, ["kg", "kilo", "kilos", "kilogram", "kilograms"]),
  unit("oz", "mass", 28.349523125, ["oz", "ounce", "ounces"]),
  unit("lb", "mass", 453.59237, ["lb", "lbs", "pound", "pounds"]),
  unit("ml", "volume", 1, ["ml", "millilitre", "millilitres", "milliliter", "milliliters"]),
  unit("cl", "volume", 10, ["cl", "centilitre", "centilitres"]),
  unit("dl", "volume", 100, ["dl", "decilitre", "decilitres"]),
  unit("l", "volume", 1000, ["l", "litre", "litres", "liter", "liters"]),
  unit("mm", "length", 1, ["mm", "millimetre", "millimetres", "millimeter", "millimeters"]),
  unit("cm", "length", 10, ["cm", "centimetre", "centimetres", "centimeter", "centimeters"]),
  unit("m", "length", 1000, ["m", "metre", "metres", "meter", "meters"]),
  unit("in", "length", 25.4, ["in", "inch", "inches", '"', "″"]),
  unit("c", "temperature", 1, ["°c", "c", "celsius", "degrees c"]),
  unit("f", "temperature", 5 / 9, ["°f", "f", "fahrenheit", "degrees f"], -160 / 9),
];

/** Millilitres of the spoons and cups of each system: US customary, imperial, and metric (15 ml spoon). */
const kitchenMl: Record<MeasureSystem, { tsp: number; tbsp: number; cup: number; floz: number }> = {
  metric: { tsp: 5, tbsp: 15, cup: 250, floz: 29.5735295625 },
  us: { tsp: 4.92892159375, tbsp: 14.78676478125, cup: 236.5882365, floz: 29.5735295625 },
  imperial: { tsp: 5.91938802083, tbsp: 17.7581640625, cup: 284.130625, floz: 28.4130625 },
};

/** Every unit known to `system`. */
export function listUnits(system: MeasureSystem): readonly Unit[] {
  const ml = kitchenMl[system];
  return [
    ...universalUnits,
    unit("tsp", "volume", ml.tsp, ["tsp", "tsps", "teaspoon", "teaspoons"]),
    unit("tbsp", "volume", ml.tbsp, ["tbsp", "tbsps", "tablespoon", "tablespoons"]),
    unit("cup", "volume", ml.cup, ["cup", "cups"]),
    unit("floz", "volume", ml.floz, ["fl oz", "fluid ounce", "fluid ounces"]),
  ];
}
