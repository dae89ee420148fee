import fc from "fast-check";
import { formatDuration } from "./format";
import { parseDuration } from "./parseDuration";

const read = (text: string, bareMin?: number) => {
  const parsed = parseDuration(text, bareMin);
  return parsed.ok ? parsed.value : parsed.failure.code;
};

test.each([
  ["25", 25],
  ["25 min", 25],
  ["1 h 30", 90],
  ["1h30m", 90],
  ["1 hour and 5 minutes", 65],
  ["1:05", 65],
  ["1½ h", 90],
  ["1 1/2 hours", 90],
  ["2,5 h", 150],
  ["90 s", 1.5],
  ["2 min 30", 2.5],
  ["1 d 2 h", 1560],
  ["0", 0],
])("%s is %d min", (text, minutes) => expect(read(text)).toBeCloseTo(minutes, 9));

test.each([
  ["", "noNumberTyped"],
  ["soon", "noStretchOfTime"],
  ["30 min 1 h", "noStretchOfTime"],
  ["1 h 2 h", "noStretchOfTime"],
  ["5 miles", "noStretchOfTime"],
  ["-5", "belowZero"],
  ["5 s 3", "noStretchOfTime"],
  ["1:75", "notANumber"],
])("“%s” is none: %s", (text, code) => expect(read(text)).toBe(code));

test("a bare number counts in what is asked for", () => {
  expect(read("45", 1 / 60)).toBeCloseTo(0.75, 9);
  expect(read("45 min", 1 / 60)).toBe(45);
});

test("whatever the house writes is read back as it was, to the minute", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), (minutes) => {
      expect(read(formatDuration(minutes))).toBeCloseTo(minutes, 9);
    }),
  );
});

test("no text is worse than a refusal", () => {
  fc.assert(
    fc.property(fc.string({ maxLength: 40 }), (text) => {
      const parsed = parseDuration(text);
      if (parsed.ok) expect(parsed.value).toBeGreaterThanOrEqual(0);
    }),
    { numRuns: 1000 },
  );
});
