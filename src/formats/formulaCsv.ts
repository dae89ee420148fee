import Papa from "papaparse";
import { parseFormulaText, type KitchenRule } from "@/core/formula";
import { fail, ok, type Result } from "@/core/result";
import type { Formula } from "@/schemas/model";
import type { ReadFormula } from "./recipeJsonLd";
import { writeCsv, unmark } from "./writeCsv";

/**
 * One formula as CSV (RFC 4180): a row for each line of it, then its steps and its figures as rows of their own.
 * A table of another's with columns `amount` and `ingredient` (or `name`) is read as text.
 */
const columns = ["row", "name", "amount", "grams", "most_grams", "book_entry", "id"] as const;
type Row = Readonly<Record<(typeof columns)[number], string>>;

const EMPTY: Row = { row: "", name: "", amount: "", grams: "", most_grams: "", book_entry: "", id: "" };

/** The formula as a CSV text with a heading. */
export function toFormulaCsv(formula: Formula): string {
  const { lines, steps, ...figures } = formula;
  const rows: Row[] = [
    ...lines.map((line) => ({
      row: "line",
      name: line.name,
      amount: line.amountText,
      grams: String(line.massG),
      most_grams: line.mostG === null ? "" : String(line.mostG),
      book_entry: line.ingredientId ?? "",
      id: line.id,
    })),
    ...steps.map((step) => ({ ...EMPTY, row: "step", name: step })),
    ...Object.entries(figures).map(([name, value]) => ({
      ...EMPTY,
      row: "figure",
      name,
      amount: JSON.stringify(value),
    })),
  ];
  return writeCsv(rows, columns);
}

/** Reads a formula from CSV, ours or a plain table of amounts and ingredients. */
export function fromFormulaCsv(text: string, rule: KitchenRule): Result<ReadFormula, string> {
  const { data, errors } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (heading) => heading.trim().toLowerCase(),
  });
  const [error] = errors.filter(({ type }) => type !== "Delimiter");
  if (error) return fail(`Row ${(error.row ?? 0) + 2} of this table does not read: ${error.message}`);
  const [first] = data;
  if (!first) return fail("This table has no rows.");
  return "row" in first ? readOwn(data) : readPlain(data, rule);
}

function readOwn(cells: readonly Record<string, string>[]): Result<ReadFormula, string> {
  const data = cells.map((row) =>
    Object.fromEntries(Object.entries(row).map(([name, cell]) => [name, unmark(cell ?? "")])),
  );
  const of = (kind: string) => data.filter(({ row }) => row === kind);
  const figures: [string, unknown][] = [];
  for (const { name = "", amount = "" } of of("figure")) {
    try {
      figures.push([name, JSON.parse(amount)]);
    } catch {
      return fail(`The figure “${name.slice(0, 32)}” does not read: “${amount.slice(0, 32)}”.`);
    }
  }
  const lines = of("line").map((row) => ({
    id: row.id,
    name: row.name,
    amountText: row.amount,
    massG: toNumber(row.grams),
    mostG: row.most_grams ? toNumber(row.most_grams) : null,
    ingredientId: row.book_entry ? row.book_entry : null,
  }));
  const document = { ...Object.fromEntries(figures), lines, steps: of("step").map(({ name }) => name) };
  return ok({ kind: "whole", document });
}

/** A cell that is no number is passed on as it is, for the schema to name. */
const toNumber = (text: string | undefined) => (text && Number.isFinite(Number(text)) ? Number(text) : text);

function readPlain(data: readonly Record<string, string>[], rule: KitchenRule): Result<ReadFormula, string> {
  const lines = data.flatMap((row) => {
    const name = row.ingredient ?? row.name ?? "";
    const amount = row.amount ?? row.quantity ?? "";
    return name.trim() === "" ? [] : [`${amount} ${row.unit ?? ""} ${name}`];
  });
  if (lines.length === 0)
    return fail("This table has no column “ingredient” with a column “amount” beside it.");
  return ok({ kind: "text", parsed: parseFormulaText(["Ingredients:", ...lines].join("\n"), rule) });
}
