export {
  isIncomplete,
  listAllergenRows,
  listAllergenSources,
  listPieceAllergens,
  type AllergenFacts,
  type AllergenRow,
  type Contact,
  type ContactWay,
  type UnknownContact,
} from "./allergenMatrix";
export { findBakedKeepDays, findWarmUp } from "./keeping";
export { labelKinds, listLabels, type KeptIn, type Label, type LabelKind, type WarmUp } from "./labels";
