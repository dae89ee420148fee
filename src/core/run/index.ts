export { measures, mishaps, type Measure, type Mishap, type RunEvent, type RunEventKind } from "./event";
export { foldRun, UNTOUCHED, type RunState, type TaskRun } from "./foldRun";
export { retimeRun, type Retimed } from "./retimeRun";
export { toRunProblem, type RunPlan } from "./runProblem";
export { viewRun, type Heating, type RunJob, type RunView, type SelfRunning, type Standing } from "./viewRun";
export {
  freezeRun,
  type JobDrawing,
  type JobSheet,
  type CutSheetFacts,
  type PieceSheet,
  type RunSheet,
  type SealRemedy,
} from "./runSheet";
export type { JobFigure } from "./jobFigures";
export type { JobStep, Looks, StandingStep } from "./jobSteps";
export { listBells, type Bell } from "./bells";
export { tellMoved } from "./tellMoved";
export { tellCounts } from "./tellCounts";
export { correctCount, correctTimes, toRecord, type RecordRow, type RunRecord } from "./record";
export { toLog, type RunLog } from "./log";
export {
  listClosingEvents,
  readClosing,
  type Closing,
  type ClosingAnswers,
  type LeftOver,
  type Sale,
} from "./closing";
export { toLeftKey } from "./toLeftKey";
export { SAMPLE_EVERY, samplePortions, type PortionSample } from "./samplePortions";
export { listRunMends, type RunMend } from "./runMends";
export { adjustRun } from "./adjustRun";
export type { Counts } from "./countPieces";
export { listAsked, toDeckPart, type AskedMeasure } from "./askedMeasures";
export { openSheet } from "./openSheet";
export { followRun, type Followed, type RunFollower } from "./followRun";
export { findTrouble, readLotFigures } from "./lotFigures";
export {
  planFigures,
  readPieceNow,
  tellChange,
  toPieceChange,
  type PieceNow,
  type ToldChange,
} from "./pieceRemedy";
export type { DayFigure } from "./dayFigure";
export { listDayFigures } from "./dayFigures";
export { findTaught, type TaughtHabit, type TaughtPoint } from "./taught";
export { summariseRun, sumDays, type DaySummary, type PieceSummary, type SpanSums } from "./summary";
export { listLeftOut, type LeftOutFigures } from "./leftOut";
export { compareOutlook, type DayOutlook, type TaughtOutlook } from "./nextDay";
export type { Expected, ExpectedFigures } from "./expected";
export { countPlanned, listDemands } from "./countBlanks";
export type { JobTargets } from "./jobTargets";
