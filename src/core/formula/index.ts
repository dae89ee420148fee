export { findTearShare } from "./fragility";
export {
  computeTargetG,
  computeTotalG,
  computeYieldShare,
  dividedShapes,
  doesLift,
  doughMethods,
  fatParticles,
  fillingFamilies,
  fillingMeasures,
  findLiquidLine,
  hasGrain,
  liquidSchools,
  restWays,
  tartnesses,
  trimEnds,
  wetnesses,
  type BoughtSheet,
  type DividedShape,
  type Dough,
  type DoughMethod,
  type FatParticle,
  type Filling,
  type FillingFamily,
  type FillingMeasure,
  type Formula,
  type FruitFacts,
  type FruitVariety,
  type IngredientLine,
  type LiquidSchool,
  type RestWay,
  type Tartness,
  type TrimEnd,
  type Wetness,
} from "./formula";
export {
  isEgg,
  scaleBy,
  scaleFormula,
  type Batch,
  type ScaleBy,
  type ScaledBatch,
  type WeighedLine,
} from "./scaleFormula";
export { analyseFormula, compareFormulas, type FormulaAnalysis, type LineComparison } from "./analyseFormula";
export { balanceEggs, type EggBalance } from "./eggBalance";
export {
  checkMaking,
  createMaking,
  createMakingStep,
  factsOfMaking,
  makingKinds,
  MOST_MAKING_STEPS,
  nameMakingStep,
  readMaking,
  toMaking,
  type FormerMaking,
  type Making,
  type MakingFailure,
  type MakingJob,
  type MakingKind,
  type MakingStep,
} from "./making";
export { divideDough, listPartsG, shapeDoughPiece, type DividedPiece } from "./divideDough";
export { listWeighSteps, type WeighStep } from "./weighOut";
export {
  allergens,
  ingredientGroups,
  measureStates,
  mergeIngredients,
  type Allergen,
  type Ingredient,
  type IngredientGroup,
  type MeasureState,
  type StateDensity,
} from "./ingredient";
export { standardIngredients } from "./ingredientTable";
export { findIngredient, matchIngredient, SURE, type IngredientMatch } from "./matchIngredient";
export { parseLine, weighAmount, type KitchenRule, type ParsedLine, type WeighedAmount } from "./parseLine";
export { parseFormulaText, type ParsedFormula } from "./parseFormulaText";
export type { LineFailure, ScaleFailure } from "./formulaFailure";
