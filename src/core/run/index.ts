export { measures, mishaps, type Measure, type Mishap, type RunEvent, type RunEventKind } from "./event";
export { foldRun, type RunState, type TaskRun } from "./foldRun";
export { retimeRun, type Retimed } from "./retimeRun";
export { toRunProblem, type RunPlan } from "./runProblem";
export { viewRun, type Heating, type RunJob, type RunView, type SelfRunning } from "./viewRun";
export { freezeRun, type JobDrawing, type JobSheet, type PieceSheet, type RunSheet } from "./runSheet";
export type { JobFigure } from "./jobFigures";
export type { JobStep, Looks } from "./jobSteps";
