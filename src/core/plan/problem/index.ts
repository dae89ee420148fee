export { sayProblem, toProblem, type Problem, type ProblemCode, type ProblemNumbers } from "./problem";
export type { FryFailure, ProblemFailure, Waited } from "./problemFailure";
export type { WhyStep } from "./whyStep";
