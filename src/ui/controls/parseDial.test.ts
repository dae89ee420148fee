import fc from "fast-check";
import { formulaLimits, kitchenLimits, orderLimits, pieceLimits, type Limit } from "@/schemas/limits";
import { checkClock, checkCount, checkName } from "./checks";
import { parseDial, toDialText } from "./parseDial";

const { thicknessMm, ovenC, plumpness, bakeMin } = pieceLimits;

test.each([
  ["3.5", thicknessMm, 3.5],
  ["3,5", thicknessMm, 3.5],
  ["3/16 in", thicknessMm, 4.76],
  ["0.4 cm", thicknessMm, 4],
  ["200", ovenC, 200],
  ["400 F", ovenC, 204.44],
  ["gas 6", ovenC, 200],
  ["180 fan", ovenC, 200],
  ["55", plumpness, 0.55],
  ["55 %", plumpness, 0.55],
  ["12½", bakeMin, 12.5],
  ["-18", kitchenLimits.freezerC, -18],
])("%s on the dial is %d", (text, limit, value) => {
  const parsed = parseDial(text, limit);
  expect("value" in parsed && parsed.value).toBeCloseTo(value, 9);
});

test.each([
  ["", thicknessMm, "Enter an amount."],
  ["2 cups", thicknessMm, "cup measures volume; a length is needed"],
  ["40", thicknessMm, "28 mm too much. Use 1 mm to 12 mm."],
  ["gas 12", ovenC, "from ¼ to 9"],
  ["120 %", plumpness, "20 % too much"],
  ["soon", bakeMin, "not a number"],
  ["0.5", formulaLimits.springBackShare, null],
])("%p on the dial: %s", (text, limit, words) => {
  const parsed = parseDial(text, limit);
  if (words === null) expect(parsed).toEqual({ value: 0.005 });
  else expect(parsed).toEqual({ fault: expect.stringContaining(words) });
});

test("every figure a dial shows reads back as itself, to what is shown", () => {
  const limits: readonly Limit[] = [thicknessMm, ovenC, plumpness, bakeMin, orderLimits.count];
  fc.assert(
    fc.property(fc.constantFrom(...limits), fc.double({ min: 0, max: 1, noNaN: true }), (limit, at) => {
      const value = limit.min + at * (limit.max - limit.min);
      const parsed = parseDial(toDialText(value, limit), limit);
      if (!("value" in parsed)) throw new Error(parsed.fault);
      expect(Math.abs(parsed.value - value)).toBeLessThanOrEqual(0.0051);
    }),
  );
});

test("names, counts and times say what is wrong with them", () => {
  expect([checkName("  "), checkName("x".repeat(83)), checkName("Moon")]).toEqual([
    "Enter a name.",
    "3 characters too long. Use up to 80.",
    null,
  ]);
  expect([checkCount("2.5"), checkCount("0"), checkCount("48")]).toEqual([
    "2.5 pieces cannot be made: use a whole number.",
    "Pieces: 0 is 1 too little. Use 1 to 10000.",
    null,
  ]);
  expect([checkClock("25:00"), checkClock("5:15 am")]).toEqual([
    expect.stringContaining("no time of the day"),
    null,
  ]);
});
