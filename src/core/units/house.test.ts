import fc from "fast-check";
import { createMemory, createRecordMemory } from "../createMemory";
import {
  findShownUnit,
  formatKept,
  formatLength,
  formatMass,
  formatMassRange,
  formatScale,
  formatSides,
  inHouse,
  lengthUnits,
  massUnits,
  metricMeasures,
  parseLength,
  parseMass,
  readHouseMeasures,
  setHouseMeasures,
  type HouseMeasures,
} from ".";

const inches: HouseMeasures = { lengthUnit: "inch", massUnit: "ounce" };
const centimetres: HouseMeasures = { lengthUnit: "cm", massUnit: "gram" };
const houses = lengthUnits.flatMap((lengthUnit) => massUnits.map((massUnit) => ({ lengthUnit, massUnit })));

/** Exact by definition. */
const MM_PER_IN = 25.4;
const G_PER_OZ = 28.349523125;

test.each([
  [82.55, "3 1/4 in"],
  [3, "1/8 in"],
  [3.5, "9/64 in"],
  [25, "31/32 in"],
  [25.4, "1 in"],
  [430, "16 15/16 in"],
  [0, "0 in"],
  [0.1, "0.004 in"],
  [-6, "−15/64 in"],
])("%d mm reads %s on a rule of inches", (lengthMm, words) =>
  expect(inHouse(inches, () => formatLength(lengthMm))).toBe(words),
);

test.each([
  [3.5, "0.35 cm"],
  [417.6, "41.8 cm"],
  [-6, "−0.6 cm"],
])("%d mm reads %s", (lengthMm, words) =>
  expect(inHouse(centimetres, () => formatLength(lengthMm))).toBe(words),
);

test.each([
  [1.2, "0.042 oz"],
  [24, "0.85 oz"],
  [G_PER_OZ, "1 oz"],
  [300, "10.6 oz"],
  [453, "1 lb"],
  [453.59237, "1 lb"],
  [1000, "2 lb 3.3 oz"],
  [6764, "14 lb 15 oz"],
  [4535, "10 lb"],
  [-24, "−0.85 oz"],
  [0, "0 oz"],
])("%d g weigh %s", (massG, words) => {
  expect(inHouse(inches, () => formatMass(massG))).toBe(words);
  expect(inHouse(inches, () => formatScale(massG))).toBe(words);
});

test("sides share their unit, and a span of masses too unless it crosses one", () => {
  expect(inHouse(inches, () => formatSides([430, 330]))).toBe("16 15/16 × 13 in");
  expect(inHouse(inches, () => formatMassRange(21, 27))).toBe("0.74–0.95 oz");
  expect(inHouse(inches, () => formatMassRange(440, 470))).toBe("15.5 oz–1 lb 0.6 oz");
  expect([formatMassRange(21.2, 26.6), formatMassRange(24, 24.2)]).toEqual(["21–27 g", "24 g"]);
});

test("a length is told to within half the finest mark of its size, and reads back as itself", () => {
  fc.assert(
    fc.property(fc.double({ min: 0.3, max: 1500, noNaN: true }), (lengthMm) =>
      inHouse(inches, () => {
        const parts = lengthMm < 10 ? 64 : lengthMm < 38.1 ? 32 : 16;
        const read = parseLength(formatLength(lengthMm));
        const value = read.ok ? read.value : NaN;
        expect(Math.abs(value - lengthMm)).toBeLessThanOrEqual(MM_PER_IN / parts / 2 + 1e-9);
        // Told once more it is the same: nothing creeps from field to field.
        expect(formatLength(value)).toBe(formatLength(lengthMm));
      }),
    ),
  );
});

test("what every house tells, every house reads: with its unit, and bare in its own", () => {
  fc.assert(
    fc.property(fc.nat(houses.length - 1), fc.double({ min: 1, max: 20_000, noNaN: true }), (index, massG) =>
      inHouse(houses[index]!, () => {
        const [told, bare] = [parseMass(formatMass(massG)), parseMass(findShownUnit("g").write(massG))];
        // Two decimals of a kilogram, a tenth of an ounce and of much a whole one, a thousandth in a field.
        expect(Math.abs((told.ok ? told.value : NaN) - massG)).toBeLessThanOrEqual(
          massG >= 4500 ? 14.2 : massG >= 999.5 ? 5.01 : 1.42,
        );
        expect(Math.abs((bare.ok ? bare.value : NaN) - massG)).toBeLessThanOrEqual(0.0151);
      }),
    ),
  );
});

test.each([
  ["1 lb 4 oz", 566.9904625],
  ["2 lb. 1/2", 921.35950156],
  ["1 1/2 lb", 680.388555],
  ["8", 226.796185],
  ["40 g", 40],
])("%s is %d g where ounces are meant", (text, massG) => {
  const read = inHouse(inches, () => parseMass(text));
  expect(read.ok && read.value).toBeCloseTo(massG, 6);
});

test("ounces follow pounds alone: a mass of two other units is refused", () => {
  expect(inHouse(inches, () => parseMass("1 kg 4 oz")).ok).toBe(false);
  expect(inHouse(inches, () => parseMass("1 lb 4 in")).ok).toBe(false);
});

test("a bare figure of a large mass is in the larger unit", () => {
  expect(parseMass("2", "large")).toEqual({ ok: true, value: 2000 });
  expect(inHouse(inches, () => parseMass("2", "large"))).toEqual({ ok: true, value: 907.18474 });
});

test("what is neither a length nor a mass stands as it is kept", () => {
  expect(inHouse(inches, () => [formatKept(12, "min"), formatKept(4, ""), formatKept(180, "°C")])).toEqual([
    "12 min",
    "4",
    "180 °C",
  ]);
  expect(inHouse(inches, () => [formatKept(0.5, "kg"), formatKept(600, "mm")])).toEqual([
    "1.1 lb",
    "23 5/8 in",
  ]);
});

test("a step is a mark of the rule or a round figure, near the step it stands for", () => {
  const [rule, scale] = inHouse(inches, () => [findShownUnit("mm"), findShownUnit("g")]);
  expect([0.5, 1, 5].map((step) => rule.toStep(step))).toEqual([1 / 64, 1 / 16, 1 / 8]);
  expect([1, 5, 50].map((step) => scale.toStep(step))).toEqual([0.05, 0.2, 2]);
});

test("the house before speaks again after another, whatever happens meanwhile", () => {
  expect(() =>
    inHouse(inches, () => {
      inHouse(centimetres, () => expect(formatLength(90)).toBe("9 cm"));
      expect(formatLength(25.4)).toBe("1 in");
      throw new Error("broken");
    }),
  ).toThrow("broken");
  expect(readHouseMeasures()).toBe(metricMeasures);
});

test("a door sets the house for good; the same measures are the same object", () => {
  setHouseMeasures({ ...inches });
  const spoken = readHouseMeasures();
  setHouseMeasures({ ...inches });
  expect(readHouseMeasures()).toBe(spoken);
  setHouseMeasures(metricMeasures);
  expect(() => setHouseMeasures({ lengthUnit: "ell" as "mm", massUnit: "gram" })).toThrow("ell");
});

test("what is remembered in one house's measures is told anew in another's", () => {
  const byKey = createMemory<string>(4);
  const byRecord = createRecordMemory<object, string>();
  const record = {};
  const tell = () => [
    byKey("base", () => formatLength(50.8)),
    byRecord(record, [], () => formatLength(50.8)),
  ];
  expect([tell(), inHouse(inches, tell), tell()]).toEqual([
    ["51 mm", "51 mm"],
    ["2 in", "2 in"],
    ["51 mm", "51 mm"],
  ]);
});
