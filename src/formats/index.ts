export { toFormulaCsv } from "./formulaCsv";
export { toRecipeJsonLd, type ReadFormula } from "./recipeJsonLd";
export { readFormulaFile } from "./readFormulaFile";
