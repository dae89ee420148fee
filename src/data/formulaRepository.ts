import type Database from "better-sqlite3";
import type { Formula, IngredientLine } from "@/schemas/model";
import { createVersionedTable, type Repository } from "./versionedTable";

type FormulaRow = {
  id: string;
  kind: Formula["kind"];
  name: string;
  density_g_per_ml: number;
  mix_min: number;
  spring_back_share: number | null;
  reroll_limit: number | null;
  reroll_loss_share: number | null;
  rest_min: number | null;
  reroll_rest_min: number | null;
  bench_limit_min: number | null;
  making_loss_share: number | null;
  cool_min: number | null;
};
type LineRow = { id: string; name: string; amount_text: string; mass_g: number };

/** All SQL about doughs and fillings. */
export function createFormulaRepository(db: Database.Database): Repository<Formula> {
  const selectLines = db.prepare<[string], LineRow>(
    "SELECT id, name, amount_text, mass_g FROM formula_line WHERE formula_id = ? ORDER BY position",
  );
  const deleteLines = db.prepare<[string]>("DELETE FROM formula_line WHERE formula_id = ?");
  const insertLine = db.prepare<[string, number, string, string, string, number]>(
    "INSERT INTO formula_line (formula_id, position, id, name, amount_text, mass_g) VALUES (?, ?, ?, ?, ?, ?)",
  );
  const readLines = (formulaId: string): IngredientLine[] =>
    selectLines.all(formulaId).map(({ id, name, amount_text, mass_g }) => ({ id, name, amountText: amount_text, massG: mass_g }));

  return createVersionedTable<Formula, FormulaRow>(db, {
    table: "formula",
    columns: [
      "id",
      "kind",
      "name",
      "density_g_per_ml",
      "mix_min",
      "spring_back_share",
      "reroll_limit",
      "reroll_loss_share",
      "rest_min",
      "reroll_rest_min",
      "bench_limit_min",
      "making_loss_share",
      "cool_min",
    ],
    toRow,
    fromRow: (row) => fromRow(row, readLines(row.id)),
    afterPut({ id, lines }) {
      deleteLines.run(id);
      lines.forEach((line, i) => insertLine.run(id, i, line.id, line.name, line.amountText, line.massG));
    },
  });
}

function toRow(formula: Formula): FormulaRow {
  const { id, kind, name, densityGPerMl, mixMin } = formula;
  const shared = { id, kind, name, density_g_per_ml: densityGPerMl, mix_min: mixMin };
  const dough = formula.kind === "dough" ? formula : null;
  const filling = formula.kind === "filling" ? formula : null;
  return {
    ...shared,
    spring_back_share: dough?.springBackShare ?? null,
    reroll_limit: dough?.rerollLimit ?? null,
    reroll_loss_share: dough?.rerollLossShare ?? null,
    rest_min: dough?.restMin ?? null,
    reroll_rest_min: dough?.rerollRestMin ?? null,
    bench_limit_min: dough?.benchLimitMin ?? null,
    making_loss_share: filling?.makingLossShare ?? null,
    cool_min: filling?.coolMin ?? null,
  };
}

function fromRow(row: FormulaRow, lines: IngredientLine[]): Formula {
  const shared = { id: row.id, name: row.name, lines, densityGPerMl: row.density_g_per_ml, mixMin: row.mix_min };
  if (row.kind === "filling") {
    return { ...shared, kind: "filling", makingLossShare: row.making_loss_share ?? 0, coolMin: row.cool_min ?? 0 };
  }
  return {
    ...shared,
    kind: "dough",
    springBackShare: row.spring_back_share ?? 0,
    rerollLimit: row.reroll_limit ?? 0,
    rerollLossShare: row.reroll_loss_share ?? 0,
    restMin: row.rest_min ?? 0,
    rerollRestMin: row.reroll_rest_min ?? 0,
    benchLimitMin: row.bench_limit_min ?? 0,
  };
}
