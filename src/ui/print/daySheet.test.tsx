/** @jest-environment jsdom */
import { render, screen, within } from "@testing-library/react";
import type { DayPlan, Problem } from "@/core/plan";
import { formatClock, formatMass } from "@/core/units";
import { readDemoDay } from "../bench/__tests__/planDemoDay";
import { DaySheet } from "./DaySheet";

const days = ["2026-11-28", "2026-12-05"].map(readDemoDay);
/** Sections by their heading. */
const headed = (name: string) =>
  screen.getAllByRole("heading", { level: 2 }).find(({ textContent }) => textContent.startsWith(name))!
    .parentElement!;

test.each(days.map((day) => [day.book.day.name, day] as const))(
  "%s on paper: every batch with its lines, every piece with its sheets, the day by the clock; no figure is none",
  (name, { book, plan }) => {
    const { container } = render(<DaySheet book={book} plan={plan} />);
    expect(screen.getByRole("heading", { level: 1 }).textContent).toBe(name);
    expect(container.textContent).not.toMatch(/NaN|undefined|Infinity|\[object/);
    for (const { formula, batch } of [...plan.doughs, ...plan.fillings]) {
      const section = headed(formula.name);
      for (const line of batch?.lines ?? []) expect(section.textContent).toContain(formatMass(line.massG));
    }
    for (const {
      piece,
      cut,
      counts: { made, ordered },
    } of plan.lines) {
      const section = headed(piece.name);
      expect(section.textContent).toContain(`${made} = ${ordered} ordered + ${made - ordered} spare`);
      const rows = within(section)
        .getAllByRole("row")
        .slice(1, 1 + cut.plan.sheets.length);
      expect(sumCuts(rows)).toBe(cut.plan.sheets.reduce((sum, { count }) => sum + count, 0));
    }
    expect(listMinutes(plan).every((minute) => container.textContent.includes(minute))).toBe(true);
  },
);

/** The last cell of each row. */
const sumCuts = (rows: readonly HTMLElement[]) =>
  rows.reduce((sum, row) => sum + Number(within(row).getAllByRole("cell").at(-1)!.textContent), 0);
const listMinutes = ({ tasks }: DayPlan) => tasks.map(({ placed }) => formatClock(placed.startMin));

test("what stops a piece is to be decided first, on top; a day of nothing says what to do", () => {
  const [{ book, plan }] = days as [(typeof days)[number]];
  const problem: Problem = {
    code: "shortage",
    ...{ station: "mix", pieceId: null, aboutId: null, stops: false, numbers: {} },
    ...{ message: "Quince runs out at piece 40.", remedy: "Mix 1.2 times as much." },
  };
  const { container, rerender } = render(<DaySheet book={book} plan={{ ...plan, problems: [problem] }} />);
  expect(container.textContent).toContain("Decide: Quince runs out at piece 40. Mix 1.2 times as much.");
  rerender(
    <DaySheet book={book} plan={{ ...plan, lines: [], doughs: [], fillings: [], tasks: [], problems: [] }} />,
  );
  expect(container.textContent).toContain("Nothing is planned for this day yet: take an order first.");
});
