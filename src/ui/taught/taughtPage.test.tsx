/** @jest-environment jsdom */
import { render, screen, within } from "@testing-library/react";
import type { RecordRow, TaughtHabit } from "@/core/run";
import { jobSheet } from "../run/__tests__/jobSheet";
import { TaughtPage } from "./TaughtPage";

const habit = (mean: number) => ({
  lots: 3,
  mean,
  low: mean - 2,
  high: mean + 2,
  nextLow: mean - 9,
  nextHigh: mean + 9,
});
const oven: TaughtHabit = {
  kind: "oven",
  key: "oven:stone",
  name: "Stone oven",
  what: "off its setting",
  scale: "degrees",
  before: habit(0),
  after: habit(6.5),
  points: [12, 4],
  held: 1,
};
const record = (rows: readonly RecordRow[], doneCount: number) => ({
  date: "2026-11-28",
  dayName: "Market Saturday",
  rows,
  doneCount,
});

test("each habit says what it was, what came, what is likely now and where the next will lie; the sum of what held", () => {
  const row = {
    job: jobSheet("bake"),
    now: null,
    causes: [{ trouble: "pale", figures: { ovenOffC: -18 } }],
  } as unknown as RecordRow;
  render(<TaughtPage record={record([row], 3)} taught={[oven]} daysBefore={2} />);
  expect(screen.getByTestId("taught").textContent).toBe(
    "1 habit by 2 figures. What was expected nine times in ten held 1 of 2 times. Before it: 2 days.",
  );
  const [told] = within(screen.getByRole("list", { name: "Habits" })).getAllByRole("listitem");
  expect(told!.textContent).toContain("likely +6.5 °C, was 0 °C");
  expect(told!.textContent).toContain("the next, nine times in ten, −2.5 °C to +15.5 °C");
  expect(
    screen.getByRole("img", {
      name: "Stone oven, off its setting: expected −9 °C to +9 °C; came +12 °C, +4 °C",
    }),
  ).toBeTruthy();
  expect(screen.getByRole("region", { name: "Why: Pale" })).toBeTruthy();
});

test("a day of which nothing is known yet says what it waits for", () => {
  const { rerender } = render(<TaughtPage record={record([], 0)} taught={[]} daysBefore={0} />);
  expect(screen.getByTestId("taught").textContent).toContain("Nothing is done yet");
  rerender(<TaughtPage record={record([], 4)} taught={[]} daysBefore={0} />);
  expect(screen.getByTestId("taught").textContent).toContain("Nothing was timed, weighed or read yet.");
  const share: TaughtHabit = { ...oven, scale: "share", before: habit(0), points: [0.2], held: 1 };
  rerender(<TaughtPage record={record([], 4)} taught={[share]} daysBefore={0} />);
  expect(screen.getByRole("img").getAttribute("aria-label")).toContain("came 122 %");
  expect(screen.getByTestId("taught").textContent).toContain("It is the first day");
});
