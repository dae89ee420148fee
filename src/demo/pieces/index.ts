export { halfMoon, triangle, crescent, pop, oval, appleEnvelope, leekPress, harbourFold } from "./folded";
export { custardCup, chestnutPie, lemonPuck, puffCase, rose, tahiniTartlet } from "./open";
export { pearCoat, dateRound } from "./wrapped";
