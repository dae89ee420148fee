/** @jest-environment jsdom */
import { render, screen, within } from "@testing-library/react";
import type { DayPlan, Problem } from "@/core/plan";
import { formatClock, formatMass } from "@/core/units";
import { readDemoDay } from "../bench/__tests__/planDemoDay";
import { DaySheet } from "./DaySheet";

const days = ["2026-11-28", "2026-12-05"].map(readDemoDay);
/** Sections by their heading. */
const headed = (name: string) =>
  screen.getAllByRole("heading").find(({ textContent }) => textContent.startsWith(name))!.parentElement!;

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
      const sheets = within(section).queryByRole("list", { name: `Sheets of ${piece.name}` });
      // Told once, under the first of those that share them.
      if (!sheets) expect(section.textContent).toMatch(/: sheets as under /);
      else
        expect(sumCuts(within(sheets).queryAllByRole("listitem"))).toBe(
          cut.plan.sheets.reduce((sum, { count }) => sum + count, 0),
        );
    }
    expect(listMinutes(plan).every((minute) => container.textContent.includes(minute))).toBe(true);
  },
);

/** Cuts of each line of sheets, as many times as it has sheets. */
const sumCuts = (lines: readonly HTMLElement[]) =>
  lines.reduce((sum, { textContent }) => {
    const [, first, last] = textContent.match(/^Sheets? (\d+)(?:–(\d+))?/)!;
    const [, cuts] = textContent.match(/(\d+) cuts?$/)!;
    return sum + (Number(last ?? first) - Number(first) + 1) * Number(cuts);
  }, 0);
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

test("promises come first, with when they are ready; what is the matter with a piece that nobody ordered is not told", () => {
  const [{ book, plan }] = days as [(typeof days)[number]];
  const of = (pieceId: string, message: string): Problem => ({
    code: "shortage",
    ...{ station: "fill", pieceId, aboutId: null, stops: false, numbers: {} },
    ...{ message, remedy: "Look again." },
  });
  const problems = [
    of(plan.lines[0]!.piece.id, "Too plump to close."),
    of("pear-coat", "Its pears are too tall."),
  ];
  const { container } = render(<DaySheet book={book} plan={{ ...plan, problems }} />);
  expect(container.textContent).toContain("Too plump to close.");
  expect(container.textContent).not.toContain("Its pears are too tall.");
  const promised = headed("Promised");
  expect(screen.getAllByRole("heading", { level: 2 })[0]!.textContent).toBe("Promised");
  const lines = within(promised)
    .getAllByRole("listitem")
    .map(({ textContent }) => textContent);
  expect(lines).toHaveLength(4);
  expect(lines[2]).toMatch(/^☐10:30Ferry kiosk: 24 Quince half-moon, ready \d\d:\d\d$/);
});
