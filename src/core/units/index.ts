export { listUnits, type Dimension, type MeasureSystem, type Unit } from "./unitTable";
export { parseNumber } from "./parseNumber";
export { parseAmount, type Amount, type AmountRule } from "./parseAmount";
export { parseClock } from "./parseClock";
export { formatClock, formatCount, formatDuration, formatLength, formatMass, formatNumber } from "./format";
