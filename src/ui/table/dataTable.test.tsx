/** @jest-environment jsdom */
import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { DataTable, type Column } from "./DataTable";

interface Sale {
  readonly name: string;
  readonly sold: number | null;
}
const columns: readonly Column<Sale>[] = [
  { id: "name", title: "Piece", isHead: true, cell: ({ name }) => name, sortBy: ({ name }) => name },
  {
    id: "sold",
    title: "Sold",
    isFigure: true,
    isMostFirst: true,
    cell: ({ sold }) => sold ?? "–",
    sortBy: ({ sold }) => sold,
  },
  { id: "take", title: "Take", isTitleHidden: true, cell: ({ name }) => <button>take {name}</button> },
];
const sales: readonly Sale[] = [
  { name: "Pear coat", sold: 12 },
  { name: "Leek triangle", sold: null },
  { name: "Almond moon", sold: 40 },
  { name: "Quince moon", sold: 9 },
];
const show = (rows: readonly Sale[] = sales) =>
  render(<DataTable caption="Sales" columns={columns} rows={rows} idOf={({ name }) => name} />);
const names = () => screen.getAllByRole("rowheader").map(({ textContent }) => textContent);
const press = (name: string) => userEvent.setup().click(screen.getByRole("button", { name }));

test("rows come as they are given, each named by its head, in a table that says what it is", () => {
  show();
  const table = screen.getByRole("table", { name: "Sales" });
  expect(names()).toEqual(sales.map(({ name }) => name));
  const row = within(table).getByRole("row", { name: /Leek triangle – take Leek triangle/ });
  expect(within(row).getByRole("button")).toBeTruthy();
  expect(
    within(table)
      .getAllByRole("columnheader")
      .map(({ textContent }) => textContent),
  ).toEqual(["Piece", "Sold", "Take"]);
});

test("a press on a head puts them in order, the next turns it round, the third gives the first order back", async () => {
  show();
  const head = () => screen.getByRole("columnheader", { name: "Sold" });
  await press("Sold");
  expect(head().getAttribute("aria-sort")).toBe("descending");
  expect(names()).toEqual(["Almond moon", "Pear coat", "Quince moon", "Leek triangle"]);
  await press("Sold");
  expect(head().getAttribute("aria-sort")).toBe("ascending");
  // What is not known is last whichever way it is turned.
  expect(names()).toEqual(["Quince moon", "Pear coat", "Almond moon", "Leek triangle"]);
  await press("Sold");
  expect(head().getAttribute("aria-sort")).toBeNull();
  expect(names()).toEqual(sales.map(({ name }) => name));
  await press("Piece");
  expect(names()[0]).toBe("Almond moon");
  expect(screen.queryByRole("button", { name: "Take" })).toBeNull();
});

test("of ten years the first hundred and twenty are drawn, and more when asked for; put in order, of all of them", async () => {
  const years = Array.from({ length: 3650 }, (_, i) => ({ name: `day ${i}`, sold: i }));
  show(years);
  expect(names()).toHaveLength(120);
  await press("Show 120 more of 3530 rows");
  expect(names()).toHaveLength(240);
  await press("Sold");
  expect(names()[0]).toBe("day 3649");
});

test("a list that ends in the next go says so, and then no more", async () => {
  show(Array.from({ length: 125 }, (_, i) => ({ name: `day ${i}`, sold: i })));
  await press("Show 5 more of 5 rows");
  expect(names()).toHaveLength(125);
  expect(screen.queryByRole("button", { name: /^Show/ })).toBeNull();
});

test("what is being typed in a cell stays while the table is drawn anew, with columns made anew", async () => {
  const user = userEvent.setup();
  const listColumns = (): readonly Column<Sale>[] => [
    ...columns,
    { id: "price", title: "Price", cell: ({ name }) => <input aria-label={`Price of ${name}`} /> },
  ];
  const draw = (rows: readonly Sale[]) => (
    <DataTable caption="Sales" columns={listColumns()} rows={rows} idOf={({ name }) => name} />
  );
  const { rerender } = render(draw(sales));
  const field = screen.getByLabelText<HTMLInputElement>("Price of Pear coat");
  await user.type(field, "4.2");
  rerender(draw(sales.map((sale) => ({ ...sale, sold: 1 }))));
  await user.keyboard("0");
  expect(field.value).toBe("4.20");
  expect(document.activeElement).toBe(field);
});
