export { computeFold, type Fold, type FoldRequest } from "./computeFold";
export { formPiece } from "./formPiece";
export {
  formKinds,
  isFilledLevel,
  nameForm,
  type Blank,
  type BlankRole,
  type FormedPiece,
  type FormKind,
  type FormRequest,
  type RequestOf,
  type PieceForm,
  type PlanShape,
  type SectionShape,
  type Solid,
  type Stick,
  type Topping,
} from "./form";
export { findGatheredBlankMm } from "./formGathered";
export { findLining, LINING_TRIM_MM, PUCK_PROUD_MM } from "./formLined";
export { solveFilledSection, type FilledSection } from "./filledSection";
export {
  computeMouldBlank,
  fitCutter,
  listCutterFits,
  mouldKinds,
  type CutterFit,
  type Lining,
  type Mould,
  type MouldAxis,
  type MouldBlank,
  type MouldKind,
} from "./mouldBlank";
export type { FormDoubt } from "./formDoubt";
export type { FormFailure } from "./formFailure";
