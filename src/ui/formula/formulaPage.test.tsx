/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { act, screen } from "@testing-library/react";
import { findRecord } from "@/schemas/recordTable";
import type { Formula } from "@/schemas/model";
import { BookPage } from "../book/BookPage";
import { FormulaPage } from "./FormulaPage";

const open = (formulaId: string) => {
  const bench = renderOnBench(<FormulaPage formulaId={formulaId} />);
  const formula = (): Formula => findRecord(bench.store.getState().records, "formula", formulaId)!;
  return { ...bench, formula };
};
const amount = (name: string) => screen.getByLabelText<HTMLInputElement>(`Amount of ${name}`);

test("a dough by its lines, each as a share of its flour; made of what its lines are", () => {
  const { container, formula } = open("bay-shortcrust");
  for (const { name } of formula().lines) expect(amount(name)).toBeTruthy();
  expect(container.textContent).toContain("255 g51 %");
  const shares = /water (\d+) %, fat (\d+) %, sugar (\d+) %, starch (\d+) %/.exec(container.textContent)!;
  expect(shares.slice(1).reduce((sum, each) => sum + Number(each), 0)).toBeLessThanOrEqual(100);
  expect(screen.getByText(/gluten, milk/)).toBeTruthy();
});

test("an amount is typed in any unit and kept in grams; what is none is refused and the formula stays", async () => {
  const { user, formula, plan } = open("bay-shortcrust");
  const butterG = () => formula().lines.find(({ name }) => name === "cold butter")!;
  const before = plan().doughs.find(({ formula: { id } }) => id === "bay-shortcrust")!.batch!.scale;
  await user.clear(amount("cold butter"));
  await user.type(amount("cold butter"), "0.3 kg{Enter}");
  expect(JSON.stringify(butterG())).toContain("300");
  expect(plan().doughs.find(({ formula: { id } }) => id === "bay-shortcrust")!.batch!.scale).toBeLessThan(
    before,
  );
  const was = JSON.stringify(butterG());
  await user.clear(amount("cold butter"));
  await user.type(amount("cold butter"), "a lot{Enter}");
  expect(JSON.stringify(butterG())).toBe(was);
  expect(amount("cold butter").getAttribute("aria-invalid")).toBe("true");
});

test("a line taken out is gone from formula and analysis; undo gives it back", async () => {
  const { user, formula, store, container } = open("quince-and-bay");
  const lines = formula().lines.length;
  await user.click(screen.getByRole("button", { name: "Remove sugar" }));
  expect(formula().lines).toHaveLength(lines - 1);
  expect(container.textContent).not.toContain("sugar 20 %");
  act(() => store.getState().undo());
  expect(formula().lines).toHaveLength(lines);
});

test("a filling that pours says how much starch makes it stand, and that the boiling burns", () => {
  const { container } = open("quince-and-bay");
  expect(container.textContent).toMatch(/\+ \d+ g corn starch/);
  expect(container.textContent).toContain("Boiling filling burns");
});

test("a dough that smears below where it cracks cannot be typed", async () => {
  const { user, formula } = open("bay-shortcrust");
  const smears = screen.getByLabelText<HTMLInputElement>("Smears above");
  const was = JSON.stringify(formula());
  await user.clear(smears);
  await user.type(smears, "400{Enter}");
  expect(JSON.stringify(formula())).toBe(was);
  expect(smears.getAttribute("aria-invalid")).toBe("true");
});

test("a formula that pieces are made of is not taken away, and says by which", async () => {
  const { user, store, container } = open("bay-shortcrust");
  await user.click(screen.getByRole("button", { name: "Remove this formula" }));
  expect(findRecord(store.getState().records, "formula", "bay-shortcrust")).toBeDefined();
  expect(container.textContent).toMatch(/Used by .*Quince half-moon/);
});

test("what the liquid took last time is in its grams, its share of the flour and the total, here and in the book", () => {
  const { plan, formula, container, unmount } = open("bay-shortcrust");
  const aimG = plan().liquidAims["bay-shortcrust"]!.massG;
  const flourG = formula().lines.find(({ name }) => name === "plain flour")!.massG;
  const totalG = formula().lines.reduce((sum, { massG, mostG }) => sum + (mostG === null ? massG : aimG), 0);
  expect(container.textContent).toContain(`${Math.round((1000 * aimG) / flourG) / 10} %`);
  expect(screen.getByRole("heading", { name: /^Bay shortcrust/ }).textContent).toContain(`${totalG} g`);
  unmount();
  renderOnBench(<BookPage starterFormulas={[]} />);
  expect(screen.getByRole("link", { name: /^Bay shortcrust/ }).textContent).toContain(
    `${totalG} g as written`,
  );
});
