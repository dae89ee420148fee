export { firstBench, firstOven } from "./firstKit";
export { starters, type Starter } from "./starters";
export { listDemoChanges } from "./tirsenQuay";
export { starterFormulas } from "./formulas";
