import fc from "fast-check";
import { addDays, findSeason, findWeekday } from "..";
import { sayDate } from "./calendar";

/** Days from 1 March of the year 0 to a date, by the lengths of months and leap years alone. */
function countDays(date: string): number {
  const [year = 0, month = 0, day = 0] = date.split("-").map(Number);
  // Years from March on: a leap day is the last of its year.
  const [years, months] = month > 2 ? [year, month - 3] : [year - 1, month + 9];
  const leapDays = Math.floor(years / 4) - Math.floor(years / 100) + Math.floor(years / 400);
  return years * 365 + leapDays + Math.floor((months * 153 + 2) / 5) + day - 1;
}

const dates = fc
  .record({
    year: fc.integer({ min: 1999, max: 2101 }),
    month: fc.integer({ min: 1, max: 12 }),
    day: fc.integer({ min: 1, max: 28 }),
  })
  .map(({ year, month, day }) => `${year}-${String(month).padStart(2, "0")}-${String(day).padStart(2, "0")}`);

test("so many days after a date is the day so many later, over leap days, clock changes and years", () => {
  fc.assert(
    fc.property(dates, fc.integer({ min: -3700, max: 3700 }), (date, days) => {
      const later = addDays(date, days);
      expect(later).toMatch(/^\d{4}-\d\d-\d\d$/);
      expect(countDays(later) - countDays(date)).toBe(days);
      expect(addDays(later, -days)).toBe(date);
    }),
    { seed: 5 },
  );
  expect(addDays("2028-02-28", 1)).toBe("2028-02-29");
  expect(addDays("2100-02-28", 1)).toBe("2100-03-01");
});

test("weekdays go round from a Saturday that is known", () => {
  fc.assert(
    fc.property(dates, (date) => {
      const fromSaturday = countDays(date) - countDays("2026-11-28");
      expect(findWeekday(date)).toBe(((((fromSaturday + 5) % 7) + 7) % 7) + 1);
    }),
    { seed: 6 },
  );
});

test("a date is said by its day and month, and lies in the season that kitchens feel", () => {
  expect(sayDate("2026-11-09")).toBe("9 Nov");
  expect(["2026-12-01", "2027-02-28", "2027-03-01", "2026-11-30"].map(findSeason)).toEqual([
    "dec-feb",
    "dec-feb",
    "mar-may",
    "sep-nov",
  ]);
});
