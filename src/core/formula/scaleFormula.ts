import { because, fail, ok, type Result } from "../result";
import { computeEggG, formatMass, formatNumber, type EggSize } from "../units";
import { computeTargetG, computeTotalG, computeYieldShare, type Formula } from "./formula";
import type { ScaleFailure } from "./formulaFailure";

export interface WeighedLine {
  readonly lineId: string;
  readonly name: string;
  /** To weigh; for a range, the target. */
  readonly massG: number;
  /** Of a range, scaled; null otherwise. */
  readonly range: { readonly leastG: number; readonly mostG: number } | null;
  readonly ingredientId: string | null;
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
 * @param tookG - What its liquid took last time, as written; null if not recorded.
 * @throws {RangeError} If the formula weighs nothing: the caller checks that it has lines.
 */
export function scaleFormula(formula: Formula, usableG: number, tookG: number | null = null): Batch {
  const totalG = computeTotalG(formula, tookG);
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
    lines: formula.lines.map((line) => ({
      lineId: line.id,
      name: line.name,
      massG: computeTargetG(formula, line, tookG) * scale,
      range: line.mostG === null ? null : { leastG: line.massG * scale, mostG: line.mostG * scale },
      ingredientId: line.ingredientId,
    })),
  };
}

/** What a batch is measured by today. */
export type ScaleBy =
  | { readonly by: "mass"; readonly usableG: number }
  | { readonly by: "pieces"; readonly pieces: number; readonly perPieceG: number }
  | { readonly by: "ingredient"; readonly lineId: string; readonly massG: number }
  /** The mass wanted, then eggs made whole upwards and all the rest with them. */
  | { readonly by: "wholeEggs"; readonly usableG: number };

/** A batch, and what rounding to whole eggs has changed. */
export interface ScaledBatch {
  readonly batch: Batch;
  /** `3 eggs instead of 2.6: 118 g more in all`; null where nothing was rounded. */
  readonly change: string | null;
}

/** Entries of the ingredient book that are eggs, with their part. */
export const EGG_PARTS = { egg: "whole", "egg-yolk": "yolk", "egg-white": "white" } as const;
/** A change of all lines by less than this is rounding: grams were typed to the tenth. */
const WHOLE_TOLERANCE_SHARE = 2e-3;

/** Scales a formula by what matters today. @returns The batch, or why it cannot be. */
export function scaleBy(
  formula: Formula,
  target: ScaleBy,
  eggSize: EggSize,
  tookG: number | null = null,
): Result<ScaledBatch, ScaleFailure> {
  const totalG = computeTotalG(formula, tookG);
  if (totalG <= 0) return fail(because("nothingToWeigh", { formula: formula.name }));
  const plain = (usableG: number): Result<ScaledBatch, ScaleFailure> =>
    ok({ batch: scaleFormula(formula, usableG, tookG), change: null });
  switch (target.by) {
    case "mass":
      return plain(target.usableG);
    case "pieces":
      return plain(target.pieces * target.perPieceG);
    case "ingredient": {
      const line = formula.lines.find(({ id }) => id === target.lineId);
      if (!line) return fail(because("noSuchLine", { formula: formula.name }));
      const usableG =
        (target.massG / computeTargetG(formula, line, tookG)) * totalG * computeYieldShare(formula);
      return plain(usableG);
    }
    case "wholeEggs":
      return scaleToWholeEggs(formula, target.usableG, eggSize, tookG);
  }
}

function scaleToWholeEggs(
  formula: Formula,
  usableG: number,
  eggSize: EggSize,
  tookG: number | null,
): Result<ScaledBatch, ScaleFailure> {
  const batch = scaleFormula(formula, usableG, tookG);
  const eggs = batch.lines.flatMap(({ ingredientId, massG, name }) =>
    isEgg(ingredientId) ? [{ name, count: massG / computeEggG(eggSize, EGG_PARTS[ingredientId]) }] : [],
  );
  const [first] = eggs;
  if (!first) return fail(because("noEggs", { formula: formula.name }));
  const whole = Math.max(Math.ceil(first.count * (1 - WHOLE_TOLERANCE_SHARE)), 1);
  const factor = whole / first.count;
  const changed = scaleFormula(formula, usableG * factor, tookG);
  const more = changed.weighedG - batch.weighedG;
  const change =
    Math.abs(factor - 1) < WHOLE_TOLERANCE_SHARE
      ? `${whole} ${first.name}: whole already.`
      : `${whole} ${first.name} instead of ${formatNumber(first.count, 2)}: ${formatMass(more)} more in all, ` +
        `every line × ${formatNumber(factor, 3)}.`;
  return ok({ batch: changed, change });
}

/** Whether an ingredient of the book is an egg or a part of one. */
export function isEgg(ingredientId: string | null): ingredientId is keyof typeof EGG_PARTS {
  return ingredientId !== null && Object.hasOwn(EGG_PARTS, ingredientId);
}
