/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { screen, within } from "@testing-library/react";
import { LarderPage } from "./LarderPage";

test("what is there says what it is, when it was made and what today takes of it", () => {
  const { plan, store, container } = renderOnBench(<LarderPage />);
  const { larder } = store.getState().book;
  expect(screen.getAllByRole("button", { name: /^Throw out/ })).toHaveLength(larder.length);
  for (const { item, massG, count } of plan().larderUses)
    expect(container.textContent).toContain(
      `today takes ${item.massG > 0 ? `${Math.round(massG)} g` : count}`,
    );
});

test("what is thrown out is gone from larder and plan: its mass is mixed instead", async () => {
  const { user, plan, store } = renderOnBench(<LarderPage />);
  const crust = () => plan().doughs.find(({ formula }) => formula.id === "bay-shortcrust")!;
  const [mixedG, fromLarderG] = [crust().batch!.usableG, crust().fromLarderG];
  expect(fromLarderG).toBeGreaterThan(0);
  await user.click(screen.getByRole("button", { name: "Throw out Bay shortcrust" }));
  expect(crust().fromLarderG).toBe(0);
  expect(crust().batch!.usableG).toBeCloseTo(mixedG + fromLarderG, 0);
  expect(store.getState().undoes !== null).toBe(true);
});

test("something is put in with its mass and its date; a mass that is none is refused", async () => {
  const { user, store } = renderOnBench(<LarderPage />);
  const before = store.getState().book.larder.length;
  const form = screen.getByRole("button", { name: "Put it in" }).closest("form")!;
  const amount = within(form).getByLabelText<HTMLInputElement>(/How much/);
  await user.clear(amount);
  await user.type(amount, "-4");
  await user.click(screen.getByRole("button", { name: "Put it in" }));
  expect(store.getState().book.larder).toHaveLength(before);
  await user.clear(amount);
  await user.type(amount, "650");
  await user.click(screen.getByRole("button", { name: "Put it in" }));
  expect(store.getState().book.larder).toHaveLength(before + 1);
  expect(store.getState().book.larder.at(-1)).toMatchObject({ kind: "dough", massG: 650 });
});

test("the day's leftovers go in as they are planned, each with its last day", async () => {
  const { user, plan, store } = renderOnBench(<LarderPage />);
  const over = plan().leftovers;
  await user.click(screen.getByRole("button", { name: "Put the day's leftovers in" }));
  const { larder } = store.getState().book;
  for (const { kind, refId, massG } of over) {
    const kept = larder.find(
      (item) => item.kind === kind && item.refId === refId && item.madeOn === "2026-11-28",
    );
    expect(kept!.massG).toBeCloseTo(massG, 0);
    expect(kept!.useBy > "2026-11-28").toBe(true);
  }
});
