import fc from "fast-check";
import { formatClock, formatDuration, formatMass, listUnits, parseAmount, parseClock, parseNumber } from ".";

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
  (text) => expect(parseNumber(text)).toEqual({ ok: false, failure: expect.stringMatching(/\S/) }),
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
  expect(parseAmount(text, rule)).toEqual({ ok: false, failure: expect.stringContaining(reason) }),
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
  expect(formatClock(-80)).toBe("22:40 (−1 d)");
});
