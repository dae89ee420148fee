import { readDayMin } from "./dayClock";
import { startSteadyClock } from "./steadyClock";

const told = (iso: string, timeZone: string, speed = 1) => ({
  clock: startSteadyClock(new Date(iso), timeZone),
  speed,
});
const MINUTE_MS = 60_000;

test("minutes of the day run on with the page's own time, seconds and all", () => {
  const clock = told("2026-11-28T06:30:00.000Z", "UTC");
  expect(readDayMin("2026-11-28", clock, 0)).toBe(390);
  expect(readDayMin("2026-11-28", clock, 45_000)).toBeCloseTo(390.75, 9);
  expect(readDayMin("2026-11-28", clock, 120 * MINUTE_MS)).toBe(510);
});

test("the eve is below nothing, the night after goes beyond the day", () => {
  expect(readDayMin("2026-11-28", told("2026-11-27T23:00:00.000Z", "UTC"), 0)).toBe(-60);
  expect(readDayMin("2026-11-28", told("2026-11-28T23:59:30.000Z", "UTC"), MINUTE_MS)).toBeCloseTo(1440.5, 9);
});

test("a day that is played through goes as many times as fast", () => {
  const clock = told("2026-11-28T04:00:00.000Z", "Europe/Lisbon", 60);
  expect(readDayMin("2026-11-28", clock, 10 * MINUTE_MS)).toBe(240 + 600);
});

test("where the clocks go back, the wall is told: an hour comes twice", () => {
  // In Lisbon the clocks go back from 2:00 to 1:00 on 25 October 2026, at 01:00 UTC.
  const clock = told("2026-10-25T00:30:00.000Z", "Europe/Lisbon");
  expect(readDayMin("2026-10-25", clock, 0)).toBe(90);
  expect(readDayMin("2026-10-25", clock, 60 * MINUTE_MS)).toBe(90);
  expect(readDayMin("2026-10-25", clock, 120 * MINUTE_MS)).toBe(150);
});
