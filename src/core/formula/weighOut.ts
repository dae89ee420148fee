import type { Ingredient } from "./ingredient";
import { findDensity } from "./matchIngredient";
import { type Batch, type WeighedLine, EGG_PARTS, isEgg } from "./scaleFormula";
import { computeEggG, formatNumber, listUnits, type EggSize, type MeasureSystem } from "../units";

/** A line of a weigh-out, in the order of adding. */
export interface WeighStep {
  readonly line: WeighedLine;
  /** In cups, spoons or eggs; null where the book has no density for it. */
  readonly measure: string | null;
  /** What a scale that is not set back to zero shows once this is in, g. Liquid by degrees counts its target. */
  readonly scaleShowsG: number;
}

/** Below this many spoons of a kind, the next smaller measure is handier. */
const LEAST_OF_A_MEASURE = 1 / 4;

/** The lines of a batch with the baker's measures and the running total. */
export function listWeighSteps(
  { lines }: Batch,
  book: readonly Ingredient[],
  system: MeasureSystem,
  eggSize: EggSize,
): WeighStep[] {
  let scaleShowsG = 0;
  return lines.map((line) => {
    scaleShowsG += line.massG;
    const ingredient = book.find(({ id }) => id === line.ingredientId) ?? null;
    return { line, measure: findMeasure(line, ingredient, system, eggSize), scaleShowsG };
  });
}

function findMeasure(
  { massG, ingredientId }: WeighedLine,
  ingredient: Ingredient | null,
  system: MeasureSystem,
  eggSize: EggSize,
): string | null {
  if (isEgg(ingredientId)) {
    return `${formatNumber(massG / computeEggG(eggSize, EGG_PARTS[ingredientId]), 1)} × ${ingredient?.name ?? "egg"}`;
  }
  const density = ingredient && findDensity(ingredient, null);
  if (!density) return null;
  const volumeMl = massG / density.gPerMl;
  for (const id of ["cup", "tbsp", "tsp"] as const) {
    const unit = listUnits(system).find((each) => each.id === id);
    if (unit && volumeMl / unit.factor >= LEAST_OF_A_MEASURE) {
      const count = volumeMl / unit.factor;
      return `${toVulgar(count)} ${id === "cup" && count > 1 ? "cups" : unit.spellings[0]}`;
    }
  }
  return null;
}

const EIGHTHS = ["", "⅛", "¼", "⅜", "½", "⅝", "¾", "⅞"] as const;

/** To the nearest eighth, as measuring cups are marked: `1¼`. */
function toVulgar(value: number): string {
  const eighths = Math.max(Math.round(value * 8), 1);
  const whole = Math.floor(eighths / 8);
  return `${whole > 0 ? whole : ""}${EIGHTHS[eighths % 8] ?? ""}`;
}
