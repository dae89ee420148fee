/** @jest-environment jsdom */
import { readSinceTold } from "./sinceTold";

const told = (atIso: string) => ({ clock: { atIso } });

test("a page told anew begins at nothing; the same page again, opened without the server, is as old as it is", () => {
  localStorage.clear();
  expect(readSinceTold(told("2026-11-28T05:00:00Z"), 1_000_000)).toBe(0);
  expect(readSinceTold(told("2026-11-28T05:00:00Z"), 1_090_000)).toBe(90_000);
  expect(readSinceTold(told("2026-11-28T05:02:00Z"), 1_120_000)).toBe(0);
  // A device whose clock was put back does not go before what it was told.
  expect(readSinceTold(told("2026-11-28T05:02:00Z"), 900_000)).toBe(0);
});
