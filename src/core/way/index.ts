export { stations, type Station } from "./stations";
export {
  createStep,
  createWay,
  factsOf,
  stepKinds,
  type StepFacts,
  type StepKind,
  type StepThing,
  type Way,
  type WayStep,
} from "./step";
export {
  findChillMin,
  findCoolMin,
  findFrozenEntry,
  findHeatWay,
  findShellEntry,
  findUnmould,
  hasStep,
  hasWeights,
  heatWays,
  isFilling,
  isHeat,
  listHeats,
  type Heat,
  type HeatWay,
  type UnmouldWindow,
} from "./readWay";
export { listStretches, type Stretch, type StretchWait } from "./stretches";
export { checkWay, MOST_STEPS, type WayFacts } from "./checkWay";
export type { WayFailure } from "./wayFailure";
export {
  addFigure,
  dropFigure,
  insertStep,
  moveStep,
  removeHeat,
  removeStep,
  setStep,
  fitWay,
  settleWay,
  withChill,
  withCool,
  withHeats,
  withHeatWay,
  withUnmould,
  type WayFigures,
} from "./editWay";
export { findReadyWay, listReadyWays, type ReadyWay } from "./readyWays";
export { stageActs, toWay, type FormerWay, type StageAct } from "./formerWay";
export { listShapeSteps, type ShapeSteps } from "./shapeSteps";
