export { computeFold, nameForm, type Fold, type FoldFault, type FoldRequest } from "./computeFold";
export { solveFilledSection, type FilledSection } from "./filledSection";
export { type FoldForm } from "./foldGeometry";
export {
  computeMouldBlank,
  fitCutter,
  type CutterFit,
  type Lining,
  type Mould,
  type MouldAxis,
  type MouldBlank,
} from "./mouldBlank";
