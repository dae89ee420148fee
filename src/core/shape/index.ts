export {
  computeAreaMm2,
  computeBox,
  computePerimeterMm,
  describeOutline,
  scaleOutline,
  type BoxMm,
  type Outline,
} from "./outline";
