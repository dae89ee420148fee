export { computeDayCosts, type Cost, type DayCosts, type OrderCost, type PieceCost } from "./dayCosts";
export { sumHeatKwh } from "./heat";
export { FIRST_TILL, type Price, type Till } from "./till";
