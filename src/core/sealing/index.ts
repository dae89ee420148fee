export { computeSeal, type Seal, type SealDoubt, type SealRequest } from "./seal";
export { crimpIds, findCrimp, type Crimp, type CrimpId } from "./crimps";
export { glueIds, glues, type Glue, type GlueId } from "./glue";
export {
  adviseVentKind,
  adviseVents,
  computeVentShare,
  describeVents,
  ventFacts,
  ventKinds,
  type VentKind,
  type Vents,
} from "./vents";
export {
  computeWash,
  washFacts,
  washKinds,
  washSugars,
  type Wash,
  type WashedPiece,
  type WashKind,
  type WashSugar,
} from "./wash";
export { computeGlaze, glazeFacts, glazeKinds, type Glaze, type GlazeKind } from "./glaze";
export {
  CRAFT_HANDS,
  scoreHold,
  type HoldCause,
  type HoldFacts,
  type HoldMend,
  type HoldRisk,
  type SealingHands,
} from "./holdRisk";
