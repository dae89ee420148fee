export {
  CUSTARD_CORE_C,
  listCautions,
  type Caution,
  type CautionFacts,
  type CautionStation,
} from "./listCautions";
