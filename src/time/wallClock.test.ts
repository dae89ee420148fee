import fc from "fast-check";
import { findEndIso, findNowMin, findPhase, nextDate, readWallClock, toInstant } from "./wallClock";

/** Where clocks change in March and October, where they never do, and where the offset is no whole hour. */
const zones = ["Europe/Lisbon", "Asia/Kathmandu", "Australia/Lord_Howe"] as const;

const at = (iso: string, zone: string) => {
  const { date, minute } = readWallClock(new Date(iso), zone);
  return `${date} ${String(Math.floor(minute / 60)).padStart(2, "0")}:${String(minute % 60).padStart(2, "0")}`;
};

test("the wall clock shows the zone's own time, whatever zone the computer is in", () => {
  expect(at("2026-11-25T18:15:00Z", "Europe/Lisbon")).toBe("2026-11-25 18:15");
  expect(at("2026-11-25T18:15:00Z", "Asia/Kathmandu")).toBe("2026-11-26 00:00");
  expect(at("2026-11-25T18:15:00Z", "America/St_Johns")).toBe("2026-11-25 14:45");
});

test("on the days of clock change minutes are still the wall clock's", () => {
  // Forward at 01:00 UTC on 29 March 2026, back at 01:00 UTC on 25 October.
  expect(at("2026-03-29T00:59:00Z", "Europe/Berlin")).toBe("2026-03-29 01:59");
  expect(at("2026-03-29T01:00:00Z", "Europe/Berlin")).toBe("2026-03-29 03:00");
  expect(at("2026-03-29T05:30:00Z", "Europe/Berlin")).toBe("2026-03-29 07:30");
  expect(at("2026-10-25T00:59:00Z", "Europe/Berlin")).toBe("2026-10-25 02:59");
  expect(at("2026-10-25T01:00:00Z", "Europe/Berlin")).toBe("2026-10-25 02:00");
  expect(at("2026-10-25T06:30:00Z", "Europe/Berlin")).toBe("2026-10-25 07:30");
});

test("at 23:30 of the day on which clocks go back the day is not over, and it is 23:30", () => {
  const now = readWallClock(new Date("2026-10-25T22:30:00Z"), "Europe/Berlin");
  expect([findPhase("2026-10-25", now), findNowMin("2026-10-25", now)]).toEqual(["today", 23 * 60 + 30]);
  expect([findPhase("2026-10-24", now), findPhase("2026-10-26", now)]).toEqual(["over", "ahead"]);
  expect(findNowMin("2026-10-26", now)).toBeNull();
});

test("a minute of a date is an instant and back, in every zone, but for the hour that is skipped", () => {
  const days = fc
    .integer({ min: 0, max: 3650 })
    .map((n) => new Date(Date.UTC(2020, 0, 1 + n)).toISOString().slice(0, 10));
  fc.assert(
    fc.property(days, fc.integer({ min: 0, max: 1439 }), fc.constantFrom(...zones), (date, minute, zone) => {
      const back = readWallClock(toInstant(date, minute, zone), zone);
      const skipped = back.minute - minute;
      expect(back.date).toBe(date);
      // Lisbon skips an hour, Lord Howe half of one.
      expect([0, 30, 60]).toContain(skipped);
      if (skipped !== 0) expect(["03", "10"]).toContain(date.slice(5, 7));
    }),
  );
});

test("minutes before midnight and after it fall on the days before and after", () => {
  expect(toInstant("2026-11-28", -30, "UTC").toISOString()).toBe("2026-11-27T23:30:00.000Z");
  expect(toInstant("2026-02-28", 1440 + 60, "UTC").toISOString()).toBe("2026-03-01T01:00:00.000Z");
});

test("a date ends with its last millisecond there, on days of 23 and 25 hours too", () => {
  const lengthH = (date: string, zone: string) =>
    (Date.parse(findEndIso(date, zone)) + 1 - toInstant(date, 0, zone).getTime()) / 3_600_000;
  expect(findEndIso("2026-11-28", "Asia/Kathmandu")).toBe("2026-11-28T18:14:59.999Z");
  expect(lengthH("2026-03-29", "Europe/Berlin")).toBe(23);
  expect(lengthH("2026-10-25", "Europe/Berlin")).toBe(25);
  expect(lengthH("2026-11-28", "Europe/Berlin")).toBe(24);
});

test("the date after is the calendar's", () => {
  expect(nextDate({ date: "2026-12-31", minute: 0 })).toBe("2027-01-01");
  expect(nextDate({ date: "2028-02-28", minute: 1439 })).toBe("2028-02-29");
});
