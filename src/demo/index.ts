export { firstBench, firstOven } from "./firstKit";
export { starters, type Starter } from "./starters";
export { listDemoChanges, listDemoRecords } from "./tirsenQuay";
export { starterFormulas } from "./formulas";
