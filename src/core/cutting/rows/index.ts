export { listDiscSheets } from "./discRows";
export {
  layOutSets,
  layOutTogether,
  placeShared,
  type SharedOutline,
  type SharedPart,
  type SharedSheet,
} from "./layOutTogether";
export {
  countRows,
  explainNothing,
  findRows,
  layOutRows,
  placeCuts,
  squareOfTwo,
  type Layout,
  type LayoutRequest,
} from "./layout";
export { improveRows } from "./mirrorRows";
export { listOutlineSheets } from "./outlineRows";
export { listRectangleSheets } from "./rectangleRows";
