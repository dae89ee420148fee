/** @jest-environment jsdom */
import { renderOnBench } from "../bench/__tests__/renderOnBench";
import { act, screen, within } from "@testing-library/react";
import { AllergensPage } from "./AllergensPage";
import { LabelsPage } from "./LabelsPage";

const status = () => screen.getByRole("status").textContent;
const hrefOf = (name: string) => new URL(screen.getByRole<HTMLAnchorElement>("link", { name }).href);

test("as many labels as pieces, on so many sheets; how many of each and where the sheet begins are said", async () => {
  const { user, plan } = renderOnBench(<LabelsPage />);
  const made = plan().lines.reduce((sum, { counts }) => sum + counts.made, 0);
  expect(status()).toBe(`${made} labels on ${Math.ceil(made / 8)} sheets`);
  const [first] = plan().lines;
  const field = screen.getByLabelText<HTMLInputElement>(first!.piece.name);
  expect(field.value).toBe(String(first!.counts.made));
  await user.clear(field);
  await user.type(field, "two{Enter}");
  expect(screen.getByRole("alert").textContent).toBe("A whole number from 0 to 500.");
  await user.clear(field);
  await user.type(field, "2{Enter}");
  const left = made - first!.counts.made + 2;
  const used = screen.getByLabelText("Used up already on the first sheet, of 8");
  await user.clear(used);
  await user.type(used, "7{Enter}");
  expect(status()).toBe(`${left} labels on ${Math.ceil((left + 7) / 8)} sheets`);
  expect(screen.getByRole("img", { name: /^Sheet 1 of \d+, 1 label$/ })).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "The sheet after" }));
  expect(screen.getByRole("img", { name: /^Sheet 2 of \d+, 8 labels$/ })).toBeTruthy();
  // Paper and file are asked for the same.
  for (const name of ["Print", "PDF"]) {
    expect(hrefOf(name).searchParams.get("used")).toBe("7");
    expect(hrefOf(name).searchParams.getAll("n")).toEqual([`2*${first!.piece.id}`]);
  }
});

test("orders and trays have labels of their own; a label too small for what must be named says so", async () => {
  const { user, plan, container } = renderOnBench(<LabelsPage />);
  await user.click(screen.getByRole("radio", { name: "Orders" }));
  expect(status()).toBe("4 labels on 1 sheet");
  expect(container.textContent).toContain("Ferry kiosk");
  await user.click(screen.getByRole("radio", { name: "Trays" }));
  const trays = plan().lines.flatMap(({ loading }) => loading.loads.flatMap((load) => load.trays));
  expect(status()).toMatch(new RegExp(`^${trays.length} labels`));
  await user.click(screen.getByRole("radio", { name: "Pieces" }));
  await user.selectOptions(screen.getByLabelText("Sheet of labels"), "a4-4x10");
  expect(screen.getByRole("alert").textContent).toMatch(/No room on \d labels? for .*ingredients/);
});

test("labels that are not complete are printed only after asking, and the answer goes to paper and file", async () => {
  const { user, store } = renderOnBench(<LabelsPage />);
  const { book, edit } = store.getState();
  const filling = book.formulas.find(({ id }) => id === book.pieces[0]!.fillingId)!;
  const salmon = { id: "new", name: "smoked salmon", amountText: "90 g", massG: 90, mostG: null };
  act(() =>
    edit([
      {
        kind: "formula",
        id: filling.id,
        record: { ...filling, lines: [...filling.lines, { ...salmon, ingredientId: null }] },
      },
    ]),
  );
  expect(screen.queryByRole("link", { name: "PDF" })).toBeNull();
  expect(screen.getByRole("alert").textContent).toMatch(
    /not known of smoked salmon: these labels are incomplete/,
  );
  await user.click(screen.getByRole("button", { name: "Print incomplete labels" }));
  for (const name of ["Print", "PDF"]) expect(hrefOf(name).searchParams.get("unknown")).toBe("true");
});

test("a day without orders says why there is nothing to stick on", async () => {
  const { user } = renderOnBench(<LabelsPage />, { isEmptied: true });
  expect(screen.getByText("Nothing is made on this day yet: take an order first.")).toBeTruthy();
  await user.click(screen.getByRole("radio", { name: "Orders" }));
  expect(screen.getByText(/Nobody comes for anything/)).toBeTruthy();
});

test("a word in the table of allergens tells by what: the ingredients, or the pieces it shares with", async () => {
  const { user } = renderOnBench(<AllergensPage />);
  const aside = within(screen.getByRole("complementary"));
  await user.click(screen.getByRole("button", { name: "Quince half-moon, milk: contains" }));
  expect(aside.getAllByRole("listitem").map(({ textContent }) => textContent)).toContain("unsalted butter");
  await user.click(screen.getByRole("button", { name: "Rhubarb crescent, egg: shares wash bowl and brush" }));
  expect(aside.getAllByRole("listitem").map(({ textContent }) => textContent)).toEqual([
    "Quince half-moon",
    "Leek triangle",
  ]);
  expect(aside.getByText(/is made without egg/)).toBeTruthy();
});
