export { gatherProblems, type ProblemGroup } from "./harm";
export { sayProblem, toProblem, type Problem, type ProblemCode, type ProblemNumbers } from "./problem";
export type { FryFailure, ProblemFailure, Waited } from "./problemFailure";
export type { WhyStep } from "./whyStep";
