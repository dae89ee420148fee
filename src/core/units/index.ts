export { G_PER_KG, listUnits, type Dimension, type MeasureSystem, type Unit } from "./unitTable";
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
export { formatClock, formatCount, formatDuration, formatMoney, formatNumber } from "./format";
export {
  formatLength,
  formatMass,
  formatMassRange,
  formatScale,
  formatSide,
  formatSides,
  lengthName,
  lengthSign,
} from "./measure";
export {
  inHouse,
  lengthUnits,
  massUnits,
  metricMeasures,
  readHouseMeasures,
  setHouseMeasures,
  setMeasureScope,
  type HouseMeasures,
  type LengthUnit,
  type MassUnit,
} from "./house";
export { findShownUnit, formatKept, type ShownUnit } from "./shownUnit";
export { parseLength, parseMass } from "./parseHouse";
export type { ParseFailure } from "./parseFailure";
