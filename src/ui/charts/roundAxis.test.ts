import fc from "fast-check";
import { roundAxis, roundMarks } from "./roundAxis";

/** Tenths are not quite what they seem. */
const HAIR = 1e-9;
const tenths = (min: number, max: number) =>
  fc.integer({ min: min * 10, max: max * 10 }).map((tenth) => tenth / 10);

test("an axis begins and ends at a mark, holds every figure, and its marks are one, two or five of a ten", () => {
  fc.assert(
    fc.property(tenths(-50, 500), tenths(1, 300), (least, span) => {
      const { domain, ticks } = roundAxis(least, least + span);
      expect(domain[0]).toBeLessThanOrEqual(least + HAIR);
      expect(domain[1]).toBeGreaterThanOrEqual(least + span - HAIR);
      expect(ticks[0]! - domain[0]).toBeCloseTo(0, 9);
      expect(ticks.at(-1)! - domain[1]).toBeCloseTo(0, 9);
      expect(ticks.length).toBeGreaterThanOrEqual(3);
      expect(ticks.length).toBeLessThanOrEqual(13);
      const step = ticks[1]! - ticks[0]!;
      const lead = step / 10 ** Math.floor(Math.log10(step) + 1e-9);
      expect([1, 2, 5].some((round) => Math.abs(lead - round) < 1e-6)).toBe(true);
    }),
  );
});

test("temperatures from 41 to 78 are marked at 40, 45, …; minutes end where they end", () => {
  expect(roundAxis(41, 78)).toEqual({ domain: [40, 80], ticks: [40, 45, 50, 55, 60, 65, 70, 75, 80] });
  expect(roundMarks(0, 47)).toEqual([0, 10, 20, 30, 40]);
});
