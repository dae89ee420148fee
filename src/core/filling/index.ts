export { computePortion, findSpoons, type Portion } from "./portion";
