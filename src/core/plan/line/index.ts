export { listCoatings, sumEggCoats } from "./coatings";
export { draftPiece, type PieceDraft } from "./draftPiece";
export { findMakings, groupOrders } from "./findMakings";
export { finishPiece } from "./finishPiece";
export { listAllergens, listMaterials } from "./materials";
