export {
  cutAims,
  type BlankDemand,
  type BoughtSheetSize,
  type CutAim,
  type CutPart,
  type CutPlan,
  type CutRequest,
  type CutSheet,
  type DemandYield,
  type Portioning,
  type Reroll,
  type RollingRequest,
} from "./cutPlan";
export { toStreams, type CutStream } from "./cutStream";
export { estimatePlan, rollOut, soleRun, type PlanSketch, type SheetRun } from "./estimatePlan";
export { planCuts, type CutAnswers } from "./planCuts";
export { rollsRound } from "./portionBlanks";
export { noCuts, realizePlan } from "./realizePlan";
