/** One line of a formula: what was typed for the amount is kept beside its grams. */
export interface IngredientLine {
  readonly id: string;
  readonly name: string;
  readonly amountText: string;
  readonly massG: number;
}

interface FormulaBase {
  readonly id: string;
  readonly name: string;
  readonly lines: readonly IngredientLine[];
  /** Raw, as it is rolled or spooned. */
  readonly densityGPerMl: number;
}

/** What is rolled. Shares are fractions of 1. */
export interface Dough extends FormulaBase {
  readonly kind: "dough";
  /** Share of every length a blank loses as it relaxes after cutting. */
  readonly springBackShare: number;
  /** How many times the trim may be rolled again. */
  readonly rerollLimit: number;
  /** Share of the trim lost to flour, pin and bench at each re-roll. */
  readonly rerollLossShare: number;
  /** Rest in the cold between mixing and the first rolling. */
  readonly restMin: number;
  /** Rest of the stacked trim before it is rolled again. */
  readonly rerollRestMin: number;
  /** Longest a cut blank may wait on the bench before it is filled. */
  readonly benchLimitMin: number;
  /** Hands-on minutes to mix one batch, whatever its size. */
  readonly mixMin: number;
}

/** What goes inside. */
export interface Filling extends FormulaBase {
  readonly kind: "filling";
  /** Share of the weighed ingredients that boils away or stays in the pan. */
  readonly makingLossShare: number;
  readonly mixMin: number;
  /** Cooling between making the filling and its first use: it meets the dough cold. */
  readonly coolMin: number;
}

export type Formula = Dough | Filling;

/** Grams weighed for the formula as written. */
export function computeTotalG(formula: Formula): number {
  return formula.lines.reduce((sum, { massG }) => sum + massG, 0);
}

/** Share of the weighed mass that can be used: 1 for dough, less the making loss for a filling. */
export function computeYieldShare(formula: Formula): number {
  return formula.kind === "filling" ? 1 - formula.makingLossShare : 1;
}

export interface WeighedLine {
  readonly lineId: string;
  readonly name: string;
  readonly massG: number;
}

/** A formula scaled so that `usableG` can be used of it. */
export interface Batch {
  readonly formulaId: string;
  readonly usableG: number;
  readonly weighedG: number;
  /** Multiple of the formula as written. */
  readonly scale: number;
  readonly lines: readonly WeighedLine[];
}

/**
 * Scales a formula to a usable mass.
 * @param usableG - Grams wanted after any making loss, ≥ 0.
 * @throws {RangeError} If the formula weighs nothing: the caller checks that it has lines.
 */
export function scaleFormula(formula: Formula, usableG: number): Batch {
  const totalG = computeTotalG(formula);
  const weighedG = usableG / computeYieldShare(formula);
  if (!(totalG > 0) || !Number.isFinite(weighedG)) {
    throw new RangeError(`scaleFormula: ${formula.id} weighs ${totalG} g, cannot give ${usableG} g`);
  }
  const scale = weighedG / totalG;
  return {
    formulaId: formula.id,
    usableG,
    weighedG,
    scale,
    lines: formula.lines.map(({ id, name, massG }) => ({ lineId: id, name, massG: massG * scale })),
  };
}
