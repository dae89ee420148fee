export { findMixedG } from "./findMixedG";
export { planBatches, restBatches, type Batches } from "./planBatches";
export { toReadinessRequest } from "./restDough";
