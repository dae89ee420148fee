export { checkDay } from "./checkDay";
export type {
  BlankYield,
  Coating,
  CutPrice,
  CutRole,
  DayBatch,
  DayCaution,
  DayCut,
  DayPlan,
  DayTask,
  DoughRest,
  LarderUse,
  Leftover,
  MassFlow,
  PieceFill,
  PiecePlan,
  Tally,
  TaskKind,
} from "./dayPlan";
export { computeMassFlow } from "./massFlow";
export type { Material, MaterialUse } from "./material";
export { sortByPromise, type PieceWork } from "./pieceWork";
export { computeTally } from "./tally";
