/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { screen } from "@testing-library/react";
import { computeTotalG } from "@/core/formula";
import { formatMass } from "@/core/units";
import { BatchPage } from "../batch/BatchPage";
import { BookPage } from "../book/BookPage";
import { YieldPage } from "../cutting/YieldPage";
import { FormulaLines } from "./FormulaLines";
import { FormulaScale } from "./FormulaScale";

const ID = "bay-shortcrust";

/** What a formula weighs, its water as it took it last time; as it is written it would be another figure. */
function open(page: "book" | "lines" | "scale" | "yield" | "batch") {
  const formulaOf = (bench: ReturnType<typeof renderOnBench>) =>
    bench.store.getState().book.formulas.find(({ id }) => id === ID)!;
  const probe = renderOnBench(<></>);
  const formula = formulaOf(probe);
  const totalG = computeTotalG(formula, probe.plan().liquidAims[ID]!.massG);
  expect(formatMass(totalG)).not.toBe(formatMass(computeTotalG(formula)));
  probe.unmount();
  const pages = {
    book: <BookPage starterFormulas={[]} />,
    lines: <FormulaLines formula={formula} save={() => undefined} />,
    scale: <FormulaScale formula={formula} />,
    yield: <YieldPage />,
    batch: <BatchPage />,
  };
  renderOnBench(pages[page]);
  return formatMass(totalG);
}

test("a formula weighs the same wherever it is told", () => {
  const total = open("lines");
  expect(screen.getAllByText(total).length).toBeGreaterThan(0);
});

test("in the book", () => {
  const total = open("book");
  expect(screen.getByRole("link", { name: /Bay shortcrust/ }).textContent).toContain(total);
});

test("where it is scaled", () => {
  const total = open("scale");
  expect(screen.getAllByDisplayValue(total)).toHaveLength(1);
});

test("where it is asked how many it makes", () => {
  const total = open("yield");
  expect(screen.getByRole("button", { name: `as written, ${total}` })).toBeTruthy();
  expect(screen.getByRole("radio", { name: new RegExp(`^Bay shortcrust ?${total}`) })).toBeTruthy();
});

test("where a batch of it comes first", () => {
  const total = open("batch");
  const dial = screen.getByLabelText<HTMLInputElement>("Batch of Bay shortcrust");
  expect(formatMass(Number(dial.value))).toBe(total);
});
