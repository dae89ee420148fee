/** @jest-environment jsdom */
import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { PieceNow } from "@/core/run";
import { CauseList } from "./CauseList";

const now: PieceNow = {
  marginMm: 12,
  plumpness: 0.7,
  vents: 2,
  washCoats: 1,
  chillMin: 20,
  bakeC: 200,
  bakeMin: 24,
};

test("causes stand in their order with the figure that speaks, what would be done, and what would tell more", async () => {
  const taken = jest.fn();
  render(<CauseList trouble="burnt" figures={{ bakeShare: 1.16 }} now={now} most={2} onTake={taken} />);
  const why = screen.getByRole("region", { name: "Why: Burnt or too dark" });
  const [first, second] = within(why).getAllByRole("listitem");
  expect(first!.textContent).toMatch(/^\d\d %it was in the heat too long/);
  expect(first!.textContent).toMatch(
    /minutes in the heat against the planned ones: 116 %, speaks for it, [\d.]+ to 1/,
  );
  expect(second!.textContent).toContain("the oven was hotter than it said");
  expect(why.textContent).toContain("2 more, and");
  expect(why.textContent).toContain("What would tell most: the oven, with a probe beside the tray.");
  await userEvent
    .setup()
    .click(screen.getByRole("button", { name: "From now on in the heat 21 min, not 24" }));
  expect(taken).toHaveBeenCalledWith({ kind: "bakeMin", byShare: -0.12 }, "in the heat 21 min, not 24");
});

test("a figure as usual speaks against its cause; afterwards nothing is taken, and without a piece nothing is named", () => {
  const { rerender } = render(
    <CauseList trouble="pale" figures={{ ovenOffC: 0 }} now={now} most={4} onTake={null} />,
  );
  expect(screen.getByText(/oven against its setting: 0 °C, speaks against it/)).toBeTruthy();
  expect(screen.queryByRole("button")).toBeNull();
  expect(screen.getByText("Next time: baked at 210 °C, not 200")).toBeTruthy();
  rerender(<CauseList trouble="pale" figures={{}} now={null} most={4} onTake={null} />);
  expect(screen.queryByText(/Next time/)).toBeNull();
});
