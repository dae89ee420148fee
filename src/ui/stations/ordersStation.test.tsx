/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { act, screen, within } from "@testing-library/react";
import { formatClock } from "@/core/units";
import { OrdersStation } from "./OrdersStation";

const list = () => within(screen.getByRole("list", { name: /^Orders of the day/ }));
/** The lines of orders, each below who comes for it. */
const rows = () =>
  list()
    .getAllByRole("listitem")
    .filter((item) => within(item).queryByRole("list") === null);

test("orders stand by their minute, each with when it is ready; what the day makes is drawn and counted", () => {
  const { plan } = renderOnBench(<OrdersStation />);
  const dues = list()
    .getAllByLabelText<HTMLInputElement>(/^Promised time/)
    .map(({ value }) => value);
  expect(dues).toEqual(dues.toSorted());
  const { lines } = plan();
  const half = lines.find(({ piece }) => piece.id === "quince-half-moon")!;
  for (const minute of Object.values(half.readyMin))
    expect(rows().some((row) => row.textContent.includes(formatClock(minute)))).toBe(true);
  const pieces = within(screen.getByRole("list", { name: "Pieces of the day" })).getAllByRole("listitem");
  expect(pieces.map(({ textContent }) => Number.parseInt(textContent, 10))).toEqual(
    lines.map(({ counts: { made } }) => made),
  );
  // No log, no word of nine days in ten.
  expect(screen.queryByText(/nine days in ten \d/)).toBeNull();
});

test("a count is changed in place, planned with and saved; one that is none is refused and changes nothing", async () => {
  const { user, plan, store } = renderOnBench(<OrdersStation />);
  const madeOf = () => plan().lines.find(({ piece }) => piece.id === "leek-triangle")!.counts.made;
  const was = madeOf();
  const count = screen.getByLabelText<HTMLInputElement>("Pieces of Leek triangle for The hatch");
  await user.clear(count);
  await user.type(count, "50{Enter}");
  expect(madeOf()).toBe(was + 14);
  await user.clear(count);
  await user.type(count, "-3{Enter}");
  expect(madeOf()).toBe(was + 14);
  expect(count.getAttribute("aria-invalid")).toBe("true");
  expect(store.getState().undoes !== null).toBe(true);
});

test("an order taken off is gone with its pieces, and undo brings it back where it stood", async () => {
  const { user, plan, store } = renderOnBench(<OrdersStation />);
  const before = rows().map(({ textContent }) => textContent);
  await user.click(screen.getByRole("button", { name: "Remove 40 Rhubarb crescent" }));
  expect(plan().lines.map(({ piece }) => piece.id)).not.toContain("rhubarb-crescent");
  expect(rows()).toHaveLength(before.length - 1);
  act(() => store.getState().undo());
  expect(await screen.findByRole("button", { name: "Remove 40 Rhubarb crescent" })).toBeTruthy();
  expect(rows().map(({ textContent }) => textContent)).toEqual(before);
});

test("a new order needs a count and a time that can be; taken, it is planned and the form is ready for the next", async () => {
  const { user, plan } = renderOnBench(<OrdersStation />);
  const count = screen.getByLabelText<HTMLInputElement>("How many");
  await user.type(count, "none");
  await user.click(screen.getByRole("button", { name: "Take the order" }));
  expect(screen.getAllByRole("alert").length).toBeGreaterThan(0);
  const ordered = plan().tally.ordered;
  await user.clear(count);
  await user.type(count, "12");
  await user.type(screen.getByLabelText("For (may stay empty)"), "Harbour master");
  await user.click(screen.getByRole("button", { name: "Take the order" }));
  expect(plan().tally.ordered).toBe(ordered + 12);
  expect(screen.getByDisplayValue("Harbour master")).toBeTruthy();
  expect(count.value).toBe("");
});

test("a reserve is asked for and said by how much; without one the plan is as it was", async () => {
  const { user, plan, store } = renderOnBench(<OrdersStation />);
  const start = plan().schedule!.startMin;
  const reserve = within(screen.getByRole("group", { name: "Ready by what is promised" }));
  await user.click(reserve.getByText("nine days in ten"));
  expect(store.getState().book.day.keepsReserve).toBe(true);
  expect(plan().reserveMin).toBeGreaterThan(0);
  expect(screen.getByText(/^Planned up to \d+ min before what is promised/)).toBeTruthy();
  expect(plan().schedule!.startMin).toBeLessThan(start);
  await user.click(reserve.getByText("as planned"));
  expect(plan().schedule!.startMin).toBe(start);
});

test("a helper comes for some hours, and cannot leave before coming", async () => {
  const { user, store } = renderOnBench(<OrdersStation />);
  await user.click(within(screen.getByRole("group", { name: "A helper" })).getByText("for some hours"));
  const leaves = screen.getByLabelText<HTMLInputElement>("Leaves at");
  await user.clear(leaves);
  await user.type(leaves, "06:00{Enter}");
  expect(screen.getByText("The helper must leave after coming.")).toBeTruthy();
  expect(store.getState().book.day.helper).toEqual({ fromMin: 420, toMin: 660 });
  await user.clear(leaves);
  await user.type(leaves, "12:30{Enter}");
  expect(store.getState().book.day.helper).toEqual({ fromMin: 420, toMin: 750 });
});
