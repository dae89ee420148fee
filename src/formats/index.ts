export { type CutTemplate } from "./cutTemplate";
export { toTemplateDxf } from "./templateDxf";
export { toTemplatePdf, type Paper } from "./templatePdf";
export { toTemplateSvg } from "./templateSvg";
export { toFormulaCsv } from "./formulaCsv";
export { toRecipeJsonLd, type ReadFormula } from "./recipeJsonLd";
export { readFormulaFile } from "./readFormulaFile";
export { writeDayCalendar } from "./dayCalendar";
export { toDayCsv } from "./dayCsv";
