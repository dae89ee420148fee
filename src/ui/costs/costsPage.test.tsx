/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { screen, within } from "@testing-library/react";
import { findRecord } from "@/schemas/recordTable";
import { CostsPage } from "./CostsPage";

const sum = () => within(screen.getByRole("region", { name: "The day" }));
const figure = () => sum().getByRole("status").textContent;
const figures = (text: string | null) => (text?.match(/[\d.]+/g) ?? []).map(Number);
async function type(user: ReturnType<typeof renderOnBench>["user"], label: string, text: string) {
  const field = screen.getByLabelText(label);
  await user.clear(field);
  await user.type(field, `${text}{Enter}`);
}

test("what is left is what is sold for less what it costs, and a dearer hour leaves less by its minutes", async () => {
  const { user, plan, store } = renderOnBench(<CostsPage />);
  const [left, sold, costs] = figures(figure());
  expect(left).toBeCloseTo(sold! - costs!, 1);
  const handsMin = plan().tasks.reduce((all, { handsMin: each }) => all + each, 0);
  await type(user, "An hour of hands", "22");
  const [lessLeft] = figures(figure());
  expect(left! - lessLeft!).toBeCloseTo((6 * handsMin) / 60, 1);
  expect(findRecord(store.getState().records, "till", "till")).toMatchObject({ hourMinor: 2200 });
});

test("a price taken away leaves the day without a sum and says of which piece; typed again it is back, and what is no price is refused", async () => {
  const { user, store } = renderOnBench(<CostsPage />);
  const before = figure();
  await type(user, "Price of one Leek triangle", " ");
  expect(figure()).toMatch(/^costs /);
  expect(sum().getByText(/^No price yet for Leek triangle:/)).toBeTruthy();
  expect(findRecord(store.getState().records, "price", "leek-triangle")).toBeNull();
  await type(user, "Price of one Leek triangle", "dear");
  expect(screen.getByRole("alert").textContent).toBe("An amount of money, as 2.40.");
  await type(user, "Price of one Leek triangle", "2.60");
  expect(figure()).toBe(before);
});

test("money has the sign of the house everywhere; what is hidden from the bench is said to be so", async () => {
  const { user, store } = renderOnBench(<CostsPage />);
  await user.selectOptions(screen.getByLabelText("Money is told in"), "JPY");
  expect(figure()).toMatch(/^¥[\d,]+ left/);
  await user.click(screen.getByRole("checkbox", { name: "Not told to devices of the bench" }));
  expect(findRecord(store.getState().records, "till", "till")).toMatchObject({ hidesFromBench: true });
});
