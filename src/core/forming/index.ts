export { computeFold, type Fold, type FoldRequest } from "./computeFold";
export { formPiece } from "./formPiece";
export {
  formKinds,
  nameForm,
  type Blank,
  type BlankRole,
  type FormedPiece,
  type FormFault,
  type FormKind,
  type FormRequest,
  type PieceForm,
  type PlanShape,
  type SectionShape,
} from "./form";
export { solveFilledSection, type FilledSection } from "./filledSection";
export {
  computeMouldBlank,
  fitCutter,
  type CutterFit,
  type Lining,
  type Mould,
  type MouldAxis,
  type MouldBlank,
} from "./mouldBlank";
