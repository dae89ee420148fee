export { listClockRows, listClockSteps, sayClockStep, type ClockRow, type ClockStep } from "./clockRows";
export { forecastDay, toPersonHabit } from "./forecastDay";
export { keepReserve } from "./keepReserve";
export { findReadyMin } from "./readyMin";
export { tellStep, type ToldStep } from "./tellStep";
export { listRestEnds, type RestEnd } from "./restEnds";
