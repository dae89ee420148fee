export {
  computeTotalG,
  computeYieldShare,
  scaleFormula,
  type Batch,
  type Dough,
  type Filling,
  type Formula,
  type IngredientLine,
  type WeighedLine,
} from "./formula";
