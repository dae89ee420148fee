import type Database from "better-sqlite3";
import type { FruitVariety, MakingKind, MakingStep } from "@/core/formula";
import type { Dough, Filling, Formula, IngredientLine } from "@/schemas/model";
import { createChildTable } from "./childTable";
import { createVersionedTable, type Repository } from "./versionedTable";

type FormulaRow = {
  id: string;
  kind: Formula["kind"];
  name: string;
  steps: string;
  density_g_per_ml: number;
  mix_min: number;
  keeps_days: number;
  method: Dough["method"];
  fat_particle: Dough["fatParticle"];
  liquid_school: Dough["liquidSchool"];
  window_low_c: number;
  window_high_c: number;
  rest_way: Dough["restWay"];
  divided_into: Dough["dividedInto"];
  divided_count: number | null;
  bought_width_mm: number | null;
  bought_height_mm: number | null;
  bought_thickness_mm: number | null;
  spring_back_share: number | null;
  reroll_limit: number | null;
  reroll_loss_share: number | null;
  reroll_shrink_share: number;
  trim_end: Dough["trimEnd"];
  decoration_cutter_id: string | null;
  rest_min: number | null;
  reroll_rest_min: number | null;
  bench_limit_min: number | null;
  family: Filling["family"];
  making_loss_share: number | null;
  wetness: Filling["wetness"];
  shrink_share: number;
  measure: Filling["measure"];
  trim_loss_share: number | null;
};
type VarietyRow = { name: string; share: number; tartness: FruitVariety["tartness"]; is_soft: number };
type MakingRow = { step_key: string; kind: MakingKind; name: string; hands_min: number; minutes: number };
type LineRow = {
  id: string;
  name: string;
  amount_text: string;
  mass_g: number;
  most_g: number | null;
  ingredient_id: string | null;
};

const columns: readonly (keyof FormulaRow)[] = [
  "id",
  "kind",
  "name",
  "steps",
  "density_g_per_ml",
  "mix_min",
  "keeps_days",
  "method",
  "fat_particle",
  "liquid_school",
  "window_low_c",
  "window_high_c",
  "rest_way",
  "divided_into",
  "divided_count",
  "bought_width_mm",
  "bought_height_mm",
  "bought_thickness_mm",
  "spring_back_share",
  "reroll_limit",
  "reroll_loss_share",
  "reroll_shrink_share",
  "trim_end",
  "decoration_cutter_id",
  "rest_min",
  "reroll_rest_min",
  "bench_limit_min",
  "family",
  "making_loss_share",
  "wetness",
  "shrink_share",
  "measure",
  "trim_loss_share",
];

/** All SQL about doughs and fillings as they stand now. */
export function createFormulaRepository(db: Database.Database): Repository<Formula> {
  const lines = createChildTable<LineRow>(db, "formula_line", "formula_id", [
    "id",
    "name",
    "amount_text",
    "mass_g",
    "most_g",
    "ingredient_id",
  ]);
  const varieties = createChildTable<VarietyRow>(db, "formula_variety", "formula_id", [
    "name",
    "share",
    "tartness",
    "is_soft",
  ]);
  const makings = createChildTable<MakingRow>(db, "formula_making", "formula_id", [
    "step_key",
    "kind",
    "name",
    "hands_min",
    "minutes",
  ]);
  return createVersionedTable<Formula, FormulaRow>(db, {
    table: "formula",
    isArchiving: true,
    columns,
    toRow,
    fromRows(rows) {
      const ids = rows.map(({ id }) => id);
      const [linesOf, varietiesOf, makingsOf] = [
        lines.readFor(ids),
        varieties.readFor(ids),
        makings.readFor(ids),
      ];
      return rows.map((row) => {
        const ofLines = (linesOf.get(row.id) ?? []).map(fromLineRow);
        return row.kind === "dough"
          ? toDough(row, ofLines)
          : toFilling(
              row,
              ofLines,
              (varietiesOf.get(row.id) ?? []).map(fromVarietyRow),
              (makingsOf.get(row.id) ?? []).map(fromMakingRow),
            );
      });
    },
    afterPut(formula) {
      const filling = formula.kind === "filling" ? formula : null;
      lines.replace(formula.id, formula.lines.map(toLineRow));
      varieties.replace(formula.id, (filling?.fruit?.varieties ?? []).map(toVarietyRow));
      makings.replace(formula.id, (filling?.making ?? []).map(toMakingRow));
    },
  });
}

const fromLineRow = (row: LineRow): IngredientLine => ({
  id: row.id,
  name: row.name,
  amountText: row.amount_text,
  massG: row.mass_g,
  mostG: row.most_g,
  ingredientId: row.ingredient_id,
});
const toLineRow = (line: IngredientLine): LineRow => ({
  id: line.id,
  name: line.name,
  amount_text: line.amountText,
  mass_g: line.massG,
  most_g: line.mostG,
  ingredient_id: line.ingredientId,
});
const fromVarietyRow = ({ name, share, tartness, is_soft }: VarietyRow): FruitVariety => ({
  name,
  share,
  tartness,
  isSoft: is_soft === 1,
});
const toVarietyRow = ({ name, share, tartness, isSoft }: FruitVariety): VarietyRow => ({
  name,
  share,
  tartness,
  is_soft: isSoft ? 1 : 0,
});
const fromMakingRow = ({ step_key, kind, name, hands_min, minutes }: MakingRow): MakingStep => ({
  id: step_key,
  kind,
  name,
  handsMin: hands_min,
  minutes,
});
const toMakingRow = ({ id, kind, name, handsMin, minutes }: MakingStep): MakingRow => ({
  step_key: id,
  kind,
  name,
  hands_min: handsMin,
  minutes,
});

function toRow(formula: Formula): FormulaRow {
  const { id, kind, name, steps, densityGPerMl, keepsDays } = formula;
  const dough = formula.kind === "dough" ? formula : null;
  const filling = formula.kind === "filling" ? formula : null;
  return {
    id,
    kind,
    name,
    steps: JSON.stringify(steps),
    density_g_per_ml: densityGPerMl,
    mix_min: dough?.mixMin ?? 0,
    keeps_days: keepsDays,
    method: dough?.method ?? "rubbed",
    fat_particle: dough?.fatParticle ?? "none",
    liquid_school: dough?.liquidSchool ?? "justHolds",
    window_low_c: dough?.window.lowC ?? 0,
    window_high_c: dough?.window.highC ?? 0,
    rest_way: dough?.restWay ?? "minutes",
    divided_into: dough?.dividedInto ?? "disc",
    divided_count: dough?.dividedCount ?? null,
    bought_width_mm: dough?.boughtSheet?.widthMm ?? null,
    bought_height_mm: dough?.boughtSheet?.heightMm ?? null,
    bought_thickness_mm: dough?.boughtSheet?.thicknessMm ?? null,
    spring_back_share: dough?.springBackShare ?? null,
    reroll_limit: dough?.rerollLimit ?? null,
    reroll_loss_share: dough?.rerollLossShare ?? null,
    reroll_shrink_share: dough?.rerollShrinkShare ?? 0,
    trim_end: dough?.trimEnd ?? "larder",
    decoration_cutter_id: dough?.decorationCutterId ?? null,
    rest_min: dough?.restMin ?? null,
    reroll_rest_min: dough?.rerollRestMin ?? null,
    bench_limit_min: dough?.benchLimitMin ?? null,
    family: filling?.family ?? "filling",
    making_loss_share: filling?.makingLossShare ?? null,
    wetness: filling?.wetness ?? "moist",
    shrink_share: filling?.shrinkShare ?? 0,
    measure: filling?.measure ?? "spoon",
    trim_loss_share: filling?.fruit?.trimLossShare ?? null,
  };
}

const toShared = (row: FormulaRow, lines: readonly IngredientLine[]) => ({
  id: row.id,
  name: row.name,
  lines,
  steps: JSON.parse(row.steps) as string[],
  densityGPerMl: row.density_g_per_ml,
  keepsDays: row.keeps_days,
});

function toFilling(
  row: FormulaRow,
  lines: readonly IngredientLine[],
  varieties: readonly FruitVariety[],
  making: readonly MakingStep[],
): Filling {
  return {
    ...toShared(row, lines),
    kind: "filling",
    family: row.family,
    makingLossShare: row.making_loss_share ?? 0,
    wetness: row.wetness,
    shrinkShare: row.shrink_share,
    measure: row.measure,
    fruit: row.trim_loss_share === null ? null : { trimLossShare: row.trim_loss_share, varieties },
    making,
  };
}

function toDough(row: FormulaRow, lines: readonly IngredientLine[]): Dough {
  const { bought_width_mm: widthMm, bought_height_mm: heightMm, bought_thickness_mm: thicknessMm } = row;
  return {
    ...toShared(row, lines),
    kind: "dough",
    mixMin: row.mix_min,
    method: row.method,
    fatParticle: row.fat_particle,
    liquidSchool: row.liquid_school,
    window: { lowC: row.window_low_c, highC: row.window_high_c },
    restWay: row.rest_way,
    dividedInto: row.divided_into,
    dividedCount: row.divided_count,
    boughtSheet:
      widthMm !== null && heightMm !== null && thicknessMm !== null
        ? { widthMm, heightMm, thicknessMm }
        : null,
    springBackShare: row.spring_back_share ?? 0,
    rerollLimit: row.reroll_limit ?? 0,
    rerollLossShare: row.reroll_loss_share ?? 0,
    rerollShrinkShare: row.reroll_shrink_share,
    trimEnd: row.trim_end,
    decorationCutterId: row.decoration_cutter_id,
    restMin: row.rest_min ?? 0,
    rerollRestMin: row.reroll_rest_min ?? 0,
    benchLimitMin: row.bench_limit_min ?? 0,
  };
}
