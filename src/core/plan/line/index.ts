export { listCoatings, sumEggCoats } from "./coatings";
export { draftPiece, type PieceDraft } from "./draftPiece";
export { findMakings, groupOrders } from "./findMakings";
export { finishPiece } from "./finishPiece";
export { listContents, listFormulaContents, findAllergens, type Content, type ContentPart } from "./contents";
export { listMaterials, listPieceMaterials } from "./materials";
