export {
  createReadingBoard,
  type HeardReading,
  type RawReading,
  type ReadingBoard,
  type ReadingCounts,
  type ReadingKind,
} from "./board";
export { fitCooling, type CoolingFit, type HeatAt } from "./fitCooling";
export { deviceUses, placeReading, type Device, type DeviceUse, type PlacedReading } from "./device";
