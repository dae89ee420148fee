export { listCautions, type Caution, type CautionFacts, type CautionStation } from "./listCautions";
