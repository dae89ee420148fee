import fc from "fast-check";
import { samplePortions } from ".";

test("mean and spread by their definitions, the band about the portion, and the newest judged by it", () => {
  expect(samplePortions([], 24)).toBeNull();
  expect(samplePortions([25], 24)).toEqual({
    count: 1,
    meanG: 25,
    spreadG: 0,
    lowG: 22.08,
    highG: 25.92,
    isLastOff: false,
  });
  const sample = samplePortions([22, 24, 29], 24)!;
  expect(sample.meanG).toBe(25);
  expect(sample.spreadG).toBeCloseTo(Math.sqrt((9 + 1 + 16) / 2), 12);
  expect(sample.isLastOff).toBe(true);
  // Of five grams the scale's own gram is the band.
  expect(samplePortions([6], 5)).toMatchObject({ lowG: 4, highG: 6, isLastOff: false });
});

test("whatever was weighed, the mean lies between the least and the most, and a constant hand has no spread", () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 1, max: 500, noNaN: true }), { minLength: 1 }), (weighed) => {
      const { meanG, spreadG } = samplePortions(weighed, 24)!;
      expect(meanG).toBeGreaterThanOrEqual(Math.min(...weighed) - 1e-9);
      expect(meanG).toBeLessThanOrEqual(Math.max(...weighed) + 1e-9);
      expect(spreadG).toBeGreaterThanOrEqual(0);
      expect(
        samplePortions(
          weighed.map(() => 30),
          24,
        )!.spreadG,
      ).toBeCloseTo(0, 9);
    }),
  );
});
