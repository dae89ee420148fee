/**
 * @jest-environment jsdom
 * @own-rooms
 */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { screen } from "@testing-library/react";
import { formatScale } from "@/core/units";
import { RestPage } from "./RestPage";
import { WeighPage } from "./WeighPage";

const crust = "bay-shortcrust";
const open = (formulaId = crust) => {
  const bench = renderOnBench(<WeighPage formulaId={formulaId} />);
  const batch = () =>
    [...bench.plan().doughs, ...bench.plan().fillings].find(({ formula }) => formula.id === formulaId)!;
  const weighing = () => {
    const { day, weighings } = bench.store.getState().book;
    return weighings.find((each) => each.dayId === day.id && each.formulaId === formulaId);
  };
  return { ...bench, batch, weighing };
};

test("a batch is weighed line by line: what is ticked stands in the bowl, and is kept", async () => {
  const { user, batch, weighing } = open();
  const [first, second] = batch().steps;
  const [one, two] = screen.getAllByRole("button", { pressed: false });
  expect(one!.textContent).toContain(first!.line.name);
  expect(screen.getByTestId("in-bowl").textContent).toBe("0 g");
  await user.click(one!);
  await user.click(two!);
  expect(screen.getByTestId("in-bowl").textContent).toBe(formatScale(first!.line.massG + second!.line.massG));
  expect(weighing()!.tickedLineIds).toEqual([first!.line.lineId, second!.line.lineId]);
  await user.click(screen.getByRole("button", { name: "Begin again" }));
  expect(weighing()!.tickedLineIds).toEqual([]);
});

test("the scale's figure at each line is what stands on it without tare: the sum of the lines before", () => {
  const { batch, container } = open();
  let sumG = 0;
  for (const { line, scaleShowsG } of batch().steps) {
    sumG += line.massG;
    // Each is rounded for the scale.
    expect(Math.abs(scaleShowsG - sumG)).toBeLessThan(3);
    if (!line.range) expect(container.textContent).toContain(`scale shows ${formatScale(scaleShowsG)}`);
  }
});

test("liquid goes in by degrees; beyond its range it is said by how much; what it took is kept for next time", async () => {
  const { user, batch, weighing } = open();
  const { leastG, mostG } = batch().steps.find(({ line }) => line.range)!.line.range!;
  await user.click(screen.getByRole("button", { name: "+ 25 g" }));
  expect(screen.getByText(/below the formula’s least|below the formula's least/)).toBeTruthy();
  const took = screen.getByLabelText<HTMLInputElement>("It took, g");
  await user.clear(took);
  await user.type(took, `${Math.ceil(mostG) + 40}{Enter}`);
  expect(screen.getByText(/above its most/)).toBeTruthy();
  await user.clear(took);
  await user.type(took, `${Math.round((leastG + mostG) / 2)}{Enter}`);
  expect(screen.queryByText(/above its most/)).toBeNull();
  await user.click(screen.getByRole("button", { name: "Keep what it took" }));
  expect(weighing()!.took).toMatchObject({ massG: Math.round((leastG + mostG) / 2) });
  await user.clear(took);
  await user.type(took, "-20{Enter}");
  expect(took.getAttribute("aria-invalid")).toBe("true");
});

test("of what is not needed today nothing is weighed, and it leads back", () => {
  const { container } = renderOnBench(<WeighPage formulaId="lemon-sweet-paste" />);
  expect(container.textContent).toContain("Nothing of this formula is needed today.");
  expect(screen.getByRole("link", { name: "Back to Mix" }).getAttribute("href")).toBe("/day/2026-11-28/mix");
});

test("the rest is looked at for another piece and another fridge; the kitchen's figures are kept", async () => {
  const { user, store } = renderOnBench(<RestPage formulaId={crust} />);
  const fridge = screen.getByLabelText<HTMLInputElement>("Fridge");
  await user.clear(fridge);
  await user.type(fridge, "6{Enter}");
  expect(store.getState().book.kitchen.fridgeC).toBe(6);
  await user.clear(fridge);
  await user.type(fridge, "90{Enter}");
  expect(store.getState().book.kitchen.fridgeC).toBe(6);
  expect(fridge.getAttribute("aria-invalid")).toBe("true");
});

test("a dough that left the book meanwhile says so", () => {
  const { container } = renderOnBench(<RestPage formulaId="never" />);
  expect(container.textContent).toContain("not in the book any more");
});
