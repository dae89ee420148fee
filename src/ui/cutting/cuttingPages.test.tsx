/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import "../bench/__tests__/workersAtHand";
import { screen, waitFor, within } from "@testing-library/react";
import { computeMouldBlank } from "@/core/forming";
import { MouldPage } from "./MouldPage";
import { YieldPage } from "./YieldPage";

/** The figure on a choice of the table: how many of a cutter at a thickness. */
const countOf = (name: RegExp): number =>
  Number(/: (\d+) cut/.exec(screen.getByRole("button", { name }).getAttribute("aria-label")!)![1]);

test("thinner and more dough make more of every cutter, and the chosen sheets show that count", async () => {
  const { user, store } = renderOnBench(<YieldPage />);
  const table = await screen.findByRole("table");
  const rows = within(table).getAllByRole("row").slice(1);
  expect(rows.length).toBeGreaterThan(3);
  for (const row of rows) {
    const counts = within(row)
      .getAllByRole("button")
      .map((button) => Number(/: (\d+) cut/.exec(button.getAttribute("aria-label")!)![1]));
    expect(counts).toEqual(counts.toSorted((a, b) => b - a));
    expect(counts[0]).toBeGreaterThan(counts.at(-1)!);
  }
  const thin = new RegExp(`^${store.getState().book.cutters[0]!.name} at 2 mm: `);
  const before = countOf(thin);
  await user.click(screen.getByRole("button", { name: thin }));
  expect(screen.getByRole("button", { name: thin }).getAttribute("aria-pressed")).toBe("true");
  await waitFor(() => expect(screen.getAllByText(String(before)).length).toBeGreaterThan(1));
  const mass = screen.getByLabelText("So much of it");
  await user.clear(mass);
  await user.type(mass, "2 kg{Enter}");
  await waitFor(() => expect(countOf(thin)).toBeGreaterThan(1.8 * before));
  expect(screen.getByRole("heading", { name: "How many will 2 kg make?" })).toBeTruthy();
});

test("a wanted count names its thickness and dough; half a piece and no dough at all are said to be none", async () => {
  const { user } = renderOnBench(<YieldPage />);
  await screen.findByRole("table");
  const wanted = screen.getByLabelText("Or: exactly so many wanted");
  await user.clear(wanted);
  await user.type(wanted, "30{Enter}");
  const list = await screen.findByRole("list", { name: "Exactly 30" });
  await waitFor(() => expect(within(list).getAllByText(/^30 at 3.5 mm take /).length).toBeGreaterThan(2));
  await user.clear(wanted);
  await user.type(wanted, "4.5{Enter}");
  expect(screen.getByText("Use a whole number.")).toBeTruthy();
  expect(screen.getByRole("list", { name: "Exactly 30" })).toBeTruthy();
  const mass = screen.getByLabelText("So much of it");
  await user.clear(mass);
  await user.type(mass, "a lot{Enter}");
  expect(mass.getAttribute("aria-invalid")).toBe("true");
  await user.clear(mass);
  await user.type(mass, "12 g{Enter}");
  expect(await screen.findByText(/^Not one: this is too little dough/)).toBeTruthy();
});

test("a mould's blank is the closed form's, and each cutter says by how much it misses", async () => {
  const { user, store } = renderOnBench(<MouldPage />);
  const { densityGPerMl } = store.getState().book.formulas.find(({ kind }) => kind === "dough") as {
    densityGPerMl: number;
  };
  const blankOf = (depthMm: number) =>
    computeMouldBlank(
      { kind: "round", axes: [{ baseMm: 60, rimMm: 80 }], depthMm, fluteMm: 0 },
      { thicknessMm: 3, trimMm: 5 },
      densityGPerMl,
    );
  const across = (depthMm: number) => String(Math.round(blankOf(depthMm).acrossMm[0]!));
  expect(screen.getByText(across(22))).toBeTruthy();
  const cutters = screen.getByRole("list", { name: "Cutters in the drawer" });
  expect(within(cutters).getAllByText(/short by|to trim|more trim|just right/).length).toBeGreaterThan(2);
  const depth = screen.getByRole("textbox", { name: /^Deep/ });
  await user.clear(depth);
  await user.type(depth, "40{Enter}");
  expect(await screen.findByText(across(40))).toBeTruthy();
  expect(Number(across(40))).toBeGreaterThan(Number(across(22)));
  await user.click(screen.getByRole("radio", { name: /oval/ }));
  expect(screen.getByText(/no round cutter serves an oval mould/)).toBeTruthy();
  await user.click(screen.getByRole("radio", { name: /fluted/ }));
  expect(screen.getByRole("textbox", { name: /^Flutes/ })).toBeTruthy();
});
