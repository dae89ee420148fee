import fc from "fast-check";
import {
  computeEggG,
  findEggSize,
  findQuantity,
  formatClock,
  formatDuration,
  formatHeat,
  formatMass,
  formatMoney,
  formatQuantity,
  formatScale,
  listUnits,
  parseAmount,
  parseClock,
  parseNumber,
  parseOvenSetting,
  toCelsius,
  toFahrenheit,
  toStillC,
  type OvenScale,
  type Quantity,
} from ".";
import { refused } from "../words/__tests__/refused";

const mass = { dimension: "mass", system: "metric", bareUnit: "g" } as const;
const length = { dimension: "length", system: "metric", bareUnit: "mm" } as const;
const heat = { dimension: "temperature", system: "metric", bareUnit: "c" } as const;

test.each([
  ["3", 3],
  ["1.5", 1.5],
  ["1,5", 1.5],
  ["1/2", 0.5],
  ["1 1/2", 1.5],
  ["2-1/4", 2.25],
  ["½", 0.5],
  ["1½", 1.5],
  ["1 ⅛", 1.125],
  ["1⁄8", 0.125],
  ["−4", -4],
])("the number %s is %d", (text, value) => expect(parseNumber(text)).toEqual({ ok: true, value }));

test.each(["", "flour", "1/0", "1//2", "1 2", "1,000", "9".repeat(40), "1e5", "Infinity"])(
  "%p is refused as a number",
  (text) => expect(refused(parseNumber(text))).toMatchObject({ words: expect.stringMatching(/\S/) }),
);

test.each([
  ["8 oz", mass, 226.796185],
  ["1 1/2 lb", mass, 680.388555],
  ["½kg", mass, 500],
  ["250", mass, 250],
  ["1,5 dl", { ...mass, dimension: "volume", bareUnit: "ml" } as const, 150],
  ["2 Tbsp.", { ...mass, dimension: "volume", bareUnit: "ml" } as const, 30],
  ["1 cup", { dimension: "volume", system: "us", bareUnit: "ml" } as const, 236.5882365],
  ["4½ in", length, 114.3],
  ['1/8"', length, 3.175],
  ["350 F", heat, 176.66666666666666],
  ["-18 °C", heat, -18],
])("%s is read in base units, and kept as typed", (text, rule, value) => {
  const amount = parseAmount(text, rule);
  expect(amount).toMatchObject({ ok: true, value: { text } });
  expect(amount.ok && amount.value.value).toBeCloseTo(value, 9);
});

test.each([
  ["2 cups", mass, "cup measures volume; a mass is needed"],
  ["3 furlongs", mass, "“furlongs” is no unit known here"],
  ["-5 g", mass, "below zero"],
  ["", mass, "Enter an amount"],
  ["butter", mass, "no number"],
])("%p is refused with a reason", (text, rule, reason) =>
  expect(refused(parseAmount(text, rule))).toMatchObject({ words: expect.stringContaining(reason) }),
);

test("every unit reads back what it was told in each of its spellings", () => {
  const units = listUnits("imperial");
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 5000 }),
      fc.constantFrom(...units),
      fc.nat(),
      (thousandths, unit, pick) => {
        const spelling = unit.spellings[pick % unit.spellings.length]!;
        const amount = parseAmount(`${thousandths / 1000} ${spelling}`, {
          dimension: unit.dimension,
          system: "imperial",
          bareUnit: unit.id,
        });
        expect(amount.ok && (amount.value.value - unit.offset) / unit.factor).toBeCloseTo(
          thousandths / 1000,
          9,
        );
      },
    ),
  );
});

test("clock times read and print back, whatever the spelling", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1439 }), (minutes) =>
      expect(parseClock(formatClock(minutes))).toEqual({ ok: true, value: minutes }),
    ),
  );
  expect(["9", "9.30", "0930", "5:15 am", "12 am", "2 PM"].map((text) => parseClock(text))).toEqual(
    [540, 570, 570, 315, 0, 840].map((value) => ({ ok: true, value })),
  );
  expect(["25:00", "9:75", "13 pm", "soon", ""].some((text) => parseClock(text).ok)).toBe(false);
});

test("figures are printed as a baker reads them", () => {
  expect([4.54, 41.2, 999.6, 3174].map(formatMass)).toEqual(["4.5 g", "41 g", "1 kg", "3.17 kg"]);
  expect([0.75, 12, 125].map(formatDuration)).toEqual(["45 s", "12 min", "2 h 05"]);
  expect([formatScale(1794.2), formatScale(4.54)]).toEqual(["1794 g", "4.5 g"]);
  expect(formatMoney(289)).toBe("2.89");
  expect(formatClock(-80)).toBe("22:40 (−1 d)");
});

test.each([
  ["1 1/2 cups flour", "1.5 cup", "flour"],
  ["2-1/4 cup flour", "2.25 cup", "flour"],
  ["1,5 dl milk", "1.5 dl", "milk"],
  ["a pinch of salt", "1 pinch", "salt"],
  ["6 to 8 tbsp iced water", "6–8 tbsp", "iced water"],
  ["1 1/2-2 cups flour", "1.5–2 cup", "flour"],
  ["200 g (7 oz) butter", "200 g", "butter"],
  ["about 1 lb plums", "about 1 lb", "plums"],
  ["2 large eggs", "2", "large eggs"],
  ["butter: 1/2 lb", "0.5 lb", "butter"],
  ["salt, to taste", "to taste", "salt"],
  ["500g flour", "500 g", "flour"],
])("in “%s” the amount is %s, the rest %s", (text, amount, rest) => {
  const found = findQuantity(text, "us");
  expect(found.ok && [formatQuantity(found.value.quantity), found.value.rest]).toEqual([amount, rest]);
});

test("a quantity reads back as it was printed, in every unit and as a range", () => {
  const units = listUnits("us").filter(({ dimension }) => dimension === "mass" || dimension === "volume");
  const quantities = fc
    .record({
      low: fc.integer({ min: 1, max: 900_000 }),
      more: fc.constantFrom(0, 1, 250),
      unit: fc.constantFrom(null, ...units),
      about: fc.boolean(),
    })
    .map(({ low, more, unit, about }): Quantity => {
      const sizes = { low: low / 1000, high: (low + more) / 1000, about };
      return unit ? { kind: "measured", unit, ...sizes } : { kind: "counted", ...sizes };
    });
  fc.assert(
    fc.property(quantities, (quantity) => {
      const found = findQuantity(`${formatQuantity(quantity)} quinces`, "us");
      expect(found).toEqual({ ok: true, value: { quantity, rest: "quinces" } });
    }),
  );
});

test.each([
  ["350F", 176.66666666666669, "still"],
  ["gas 6", 200, "still"],
  ["gas mark ½", 120, "still"],
  ["180 °C fan", 180, "fan"],
  ["200", 200, "still"],
])("the oven setting %s is %d °C, %s", (text, setC, air) =>
  expect(parseOvenSetting(text)).toEqual({ ok: true, value: { text, setC, air } }),
);

test("what is no amount is refused with a reason", () => {
  const said = ["", "butter", "8–6 tbsp water"].map((text) => refused(findQuantity(text, "us"))?.words);
  expect(said).toEqual([
    "Enter an amount.",
    "“butter” has no amount in it.",
    "“6” is less than “8”: write the smaller amount first.",
  ]);
  const fan = parseOvenSetting("180 fan");
  expect(fan.ok && toStillC(fan.value)).toBe(200);
  expect(refused(parseOvenSetting("gas 12"))).toMatchObject({
    words: expect.stringContaining("from ¼ to 9"),
  });
});

test("an oven is read in the kitchen's own marks, and a five of Fahrenheit comes back as itself", () => {
  expect(["celsius", "fahrenheit", "gas"].map((scale) => formatHeat(200, scale as OvenScale))).toEqual([
    "200 °C",
    "392 °F",
    "gas 6",
  ]);
  // No mark is near: it is said in degrees.
  expect(formatHeat(280, "gas")).toBe("280 °C");
  fc.assert(
    fc.property(fc.integer({ min: 42, max: 114 }), (fives) => {
      expect(toFahrenheit(toCelsius(fives * 5))).toBe(fives * 5);
      expect(toFahrenheit(toCelsius(fives * 5 + 2))).toBe(fives * 5 + 2);
    }),
  );
});

test.each([
  ["2 large eggs", "metric", "large", 60],
  ["2 large eggs", "us", "usLarge", 50],
  ["1 extra-large egg yolk", "us", "usExtraLarge", 57],
  ["3 medium eggs", "imperial", "medium", 51],
  ["3 eggs", "us", null, 0],
] as const)("%s in %s cups is the size of that country", (text, system, size, massG) => {
  const found = findEggSize(text, system);
  expect(found).toBe(size);
  // A United States dozen of large eggs weighs 24 ounces with its shells, which are a ninth of what they hold.
  if (found) expect(computeEggG(found, "whole")).toBe(massG);
  if (found === "usLarge") expect(massG).toBeCloseTo(((24 * 28.3495) / 12) * 0.89, 0);
});
