/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { act, screen } from "@testing-library/react";
import { pickRecords } from "@/schemas/recordTable";
import { Notices } from "./Notices";

test("a removal that cannot be says who uses it and leads there, and nothing was taken away or waits", () => {
  const { store } = renderOnBench(<Notices />);
  const state = () => store.getState();
  const formula = pickRecords(state().records, "formula").find(({ id }) => id === "bay-shortcrust")!;
  act(() => state().edit([{ kind: "formula", id: formula.id, record: null }]));
  expect(screen.getByRole("alert").textContent).toMatch(
    /Bay shortcrust stays: Quince half-moon.* still uses? it/,
  );
  expect(screen.getByRole("link", { name: "Quince half-moon" }).getAttribute("href")).toBe(
    `/day/${state().date}/piece/quince-half-moon`,
  );
  expect(pickRecords(state().records, "formula")).toContain(formula);
  expect([state().undoes, state().save.kind]).toEqual([null, "saved"]);
  // Something else goes through at once, and what was refused is behind it.
  const [cutter] = pickRecords(state().records, "cutter");
  act(() => state().edit([{ kind: "cutter", id: cutter!.id, record: null }]));
  expect(pickRecords(state().records, "cutter")).not.toContain(cutter);
  expect(screen.queryByRole("alert")).toBeNull();
  act(() => state().edit([{ kind: "formula", id: formula.id, record: null }]));
  act(() => screen.getByRole("button", { name: "Understood" }).click());
  expect(screen.queryByRole("alert")).toBeNull();
});

test("a piece that is ordered leads to the orders, once for all of them", () => {
  const { store } = renderOnBench(<Notices />);
  act(() => store.getState().edit([{ kind: "piece", id: "quince-half-moon", record: null }]));
  const links = screen.getAllByRole("link").map((link) => [link.textContent, link.getAttribute("href")]);
  expect(links).toEqual([["The orders", `/day/${store.getState().date}/orders`]]);
});
