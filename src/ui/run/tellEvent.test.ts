import { measures, type RunEvent } from "@/core/run";
import { inHouse } from "@/core/units";
import { tellEvent, tellReading } from "./tellEvent";

const about = { id: "e", person: 0, deviceId: "tablet", taskId: "t", atMin: 400 } as const;

test("a reading is told with its unit, in the house's own where it is a length or a mass", () => {
  const readings = [
    { measure: "massG", value: 24.06 },
    { measure: "thicknessMm", value: 3.5 },
    { measure: "coreC", value: 96 },
    { measure: "heatUpMin", value: 18 },
    { measure: "cutCount", value: 22 },
  ] as const;
  expect(readings.map(tellReading)).toEqual([
    "weighs 24.1 g",
    "thick 3.5 mm",
    "core 96 °C",
    "to heat up 18 min",
    "really cut 22",
  ]);
  expect(inHouse({ lengthUnit: "inch", massUnit: "ounce" }, () => readings.map(tellReading))).toEqual([
    "weighs 0.85 oz",
    "thick 9/64 in",
    "core 96 °C",
    "to heat up 18 min",
    "really cut 22",
  ]);
});

test("every measure of a run has its word", () => {
  for (const measure of measures) expect(tellReading({ measure, value: 5 })).toMatch(/^\p{L}[\p{L} ]+ 5/u);
});

test("what is told of a job beside its beginning and its end", () => {
  const told = (event: Partial<RunEvent>) => tellEvent({ ...about, ...event } as RunEvent);
  expect(told({ kind: "poured", massG: 180 })).toBe("180 g poured");
  expect(told({ kind: "more", minutes: 5 })).toBe("needed 5 min more");
  expect(told({ kind: "note", word: "door left open" })).toBe("door left open");
  expect(told({ kind: "wrong", mishap: "leaked", count: 2, word: "corner", isLost: true })).toBe(
    "2 leaked and lost: corner",
  );
  expect(told({ kind: "begun" })).toBeNull();
});
