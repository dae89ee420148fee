export { computeSeal, crimps, type Crimp, type CrimpId, type Seal, type SealFault } from "./seal";
