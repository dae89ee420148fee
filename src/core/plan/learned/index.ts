export {
  findFilmFactors,
  findThicknessFactor,
  learnFormula,
  placeNames,
  toFilmHabit,
  toRelaxedHabit,
  toThicknessHabit,
} from "./learnedDough";
export {
  findHeatFactor,
  learnFryer,
  learnOven,
  toHeatFactor,
  toHeatHabit,
  toHeatUpHabit,
  toHeaterHabit,
  toOvenHabit,
} from "./learnedHeat";
export { findLiquidAim, listLiquidAims, toLiquidHabit, type LiquidAim } from "./learnedLiquid";
export { findPortionFactor, tellHand, toHandKey, toMeasureHabit } from "./learnedPortion";
