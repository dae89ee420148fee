export { planDay } from "./planDay";
export type { Bench, Cutter, Day, DayBook, Order, Oven, Piece } from "./book";
export {
  stations,
  type CutPrice,
  type DayBatch,
  type DayPlan,
  type DayTask,
  type MassFlow,
  type PiecePlan,
  type Problem,
  type Station,
  type Tally,
  type TaskKind,
  type WhyStep,
} from "./dayPlan";
export type { ShapedPiece } from "./shapePiece";
