import fc from "fast-check";
import { readSteadyClock, startSteadyClock } from "./steadyClock";
import { readWallClock } from "./wallClock";

const zones = fc.constantFrom(
  "Europe/Istanbul",
  "Europe/Berlin",
  "America/New_York",
  "Australia/Lord_Howe",
  "Asia/Kathmandu",
  "UTC",
);

test("counted on or asked, a wall clock shows the same in every zone, through the year, for seconds and for hours", () => {
  const within = (from: string, to: string) =>
    fc.date({ min: new Date(from), max: new Date(to), noInvalidDate: true });
  // The whole of a year, and the nights on which clocks change.
  const instants = fc.oneof(
    within("2026-01-01T00:00:00Z", "2026-12-31T23:59:59Z"),
    within("2026-03-28T22:00:00Z", "2026-03-29T04:00:00Z"),
    within("2026-10-25T00:00:00Z", "2026-10-25T03:00:00Z"),
    within("2026-11-01T04:00:00Z", "2026-11-01T08:00:00Z"),
    within("2026-04-04T13:00:00Z", "2026-04-04T17:00:00Z"),
  );
  let counted = 0;
  fc.assert(
    fc.property(
      instants,
      zones,
      zones,
      fc.integer({ min: -5000, max: 2 * 3_600_000 }),
      (from, zone, other, goneMs) => {
        const clock = startSteadyClock(from, zone);
        const instant = new Date(from.getTime() + goneMs);
        expect(readSteadyClock(clock, instant, zone)).toEqual(readWallClock(instant, zone));
        expect(readSteadyClock(clock, instant, other)).toEqual(readWallClock(instant, other));
        if (goneMs >= 0 && goneMs < clock.steadyMs) counted++;
      },
    ),
    { numRuns: 2000 },
  );
  expect(counted).toBeGreaterThan(200);
});

test("near midnight and near a change of the clocks nothing is counted on", () => {
  const steadyAt = (iso: string) => startSteadyClock(new Date(iso), "Europe/Berlin").steadyMs;
  expect(steadyAt("2026-06-01T10:00:00Z")).toBe(3_600_000);
  expect(steadyAt("2026-06-01T21:30:00Z")).toBe(0);
  expect(steadyAt("2026-03-29T00:30:00Z")).toBe(0);
  expect(steadyAt("2026-10-25T00:30:00Z")).toBe(0);
});
