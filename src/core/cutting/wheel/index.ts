export { layOutWheelCuts, type WheelLayout, type WheelRequest } from "./wheelCuts";
