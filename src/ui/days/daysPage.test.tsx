/** @jest-environment jsdom */
import { act, fireEvent, render, screen, within } from "@testing-library/react";
import type { DaySummary, PieceSummary } from "@/core/run";
import { DaysPage } from "./DaysPage";
import { findDays } from "./findDays";

const piece = (over: Partial<PieceSummary>): PieceSummary => ({
  ...{ pieceId: "moon", name: "Quince half-moon", ordered: 70, planned: 74, made: 72, sold: 69, lost: 2 },
  ...{ faults: { leaked: 3 }, plannedMin: 100, tookMin: 110, ingredientsMinor: 1480, handsMin: 90 },
  ...over,
});
const day = (date: string, over: Partial<DaySummary> = {}): DaySummary => ({
  ...{ date, name: "Market Saturday", isClosed: true, isLeftOut: false, jobs: 12, jobsDone: 12 },
  ...{ plannedEndMin: 640, endMin: 655, pieces: [piece({})], trimG: 400, keptG: 0, unpriced: [] },
  ...over,
});
const days = [
  day("2026-11-21"),
  day("2026-11-14", { endMin: 640, pieces: [piece({ faults: {}, made: 74 })] }),
  day("2026-08-15", { name: "Harbour fair", endMin: null, jobsDone: 4 }),
];
const rows = () => screen.getAllByRole("row").slice(1);

test("each day says what was made, sold and went wrong, and when it was done against the plan", () => {
  render(<DaysPage currency={null} hidesCosts={false} days={days} today="2026-11-24" />);
  const [first, second, third] = rows();
  expect(first!.textContent).toContain("15 min later than planned");
  expect(first!.textContent).toContain("3 leaked");
  expect(second!.textContent).toContain("as planned");
  expect(third!.textContent).toContain("4 of 12 jobs");
  expect(screen.getByText("of the planned minutes").nextSibling!.textContent).toBe("110 %");
});

test("a search and a span narrow list and sums; a piece narrows the sums", () => {
  render(<DaysPage currency={null} hidesCosts={false} days={days} today="2026-11-24" />);
  fireEvent.change(screen.getByLabelText("Search"), { target: { value: "november LEAKED" } });
  expect(rows()).toHaveLength(1);
  fireEvent.change(screen.getByLabelText("Search"), { target: { value: "" } });
  fireEvent.click(screen.getByRole("button", { name: "4 weeks" }));
  expect(rows()).toHaveLength(2);
  expect(screen.getByText("made", { selector: "dt" }).nextSibling!.textContent).toBe("146");
  fireEvent.change(screen.getByLabelText("Sums of"), { target: { value: "moon" } });
  expect(screen.queryByText("trim not used again")).toBeNull();
  expect(findDays(days, "fair august")).toHaveLength(1);
  expect(findDays(days, "pear")).toHaveLength(0);
});

test("two days stand side by side, the earlier first; the calendar leads to each", () => {
  render(<DaysPage currency={null} hidesCosts={false} days={days} today="2026-11-24" />);
  fireEvent.click(screen.getByRole("button", { name: "Compare Sat 21 November 2026" }));
  expect(screen.getByRole("status").textContent).toContain("choose another");
  fireEvent.click(screen.getByRole("button", { name: "Compare Sat 14 November 2026" }));
  const table = screen.getByRole("table", { name: "Two days side by side" });
  const heads = within(table).getAllByRole("columnheader");
  expect(heads.map(({ textContent }) => textContent)).toEqual([
    "What",
    "Sat 14 November 2026",
    "Sat 21 November 2026",
  ]);
  expect(table.textContent).toContain("nothing3 leaked");
  fireEvent.click(screen.getByRole("button", { name: "Calendar" }));
  expect(screen.getByRole("link", { name: "Sat 21 November 2026: 72 made, 3 leaked" })).toBeTruthy();
  expect(screen.getByRole("region", { name: "August 2026" })).toBeTruthy();
});

test("a book without days says how one begins", () => {
  render(<DaysPage currency={null} hidesCosts={false} days={[]} today="2026-11-24" />);
  expect(screen.getByText(/No day was run yet/)).toBeTruthy();
});

test("two days pressed at once are both compared", () => {
  render(<DaysPage currency={null} hidesCosts={false} days={days} today="2026-11-24" />);
  const press = (day: string) => screen.getByRole("button", { name: `Compare ${day}` }).click();
  act(() => {
    press("Sat 21 November 2026");
    press("Sat 14 November 2026");
  });
  expect(screen.getByRole("table", { name: "Two days side by side" })).toBeTruthy();
});
