export { checkDay } from "./checkDay";
export type {
  BlankYield,
  Coating,
  CutPrice,
  CutRole,
  DayBatch,
  DayCaution,
  DayCut,
  DayMachine,
  DayPlan,
  DayTask,
  DoughRest,
  LarderUse,
  Leftover,
  MassFlow,
  PieceCounts,
  PieceFill,
  PiecePlan,
  Tally,
  TaskKind,
} from "./dayPlan";
export { computeMassFlow } from "./massFlow";
export type { Material, MaterialUse } from "./material";
export { sortByPromise, type PieceWork } from "./pieceWork";
export { computeTally, TOO_MUCH_MIN } from "./tally";
