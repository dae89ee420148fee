export { firstBench, firstOven } from "./firstKit";
export { findStarterKit } from "./kit";
export { starters, type Starter } from "./starters";
export { listDemoWorld, listDemoRecords } from "./tirsenQuay";
export { starterFormulas } from "./formulas";
