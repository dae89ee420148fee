export { listUnits, type Dimension, type MeasureSystem, type Unit } from "./unitTable";
export { parseNumber } from "./parseNumber";
export { parseAmount, type Amount, type AmountRule } from "./parseAmount";
export { findQuantity, formatQuantity, type FoundQuantity, type Quantity } from "./quantity";
export {
  findGasMark,
  formatHeat,
  ovenScales,
  parseOvenSetting,
  toCelsius,
  toFahrenheit,
  toStillC,
  type OvenAir,
  type OvenScale,
  type OvenSetting,
} from "./ovenTemperature";
export { computeEggG, eggSizes, findEggSize, nameEggSize, type EggPart, type EggSize } from "./eggs";
export { parseClock } from "./parseClock";
export { parseDuration } from "./parseDuration";
export {
  formatClock,
  formatCount,
  formatDuration,
  formatLength,
  formatMass,
  formatMoney,
  formatNumber,
  formatScale,
} from "./format";
export type { ParseFailure } from "./parseFailure";
