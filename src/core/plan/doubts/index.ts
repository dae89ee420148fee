export { gatherCautions } from "./dayCautions";
export { findFreezerDoubt, findKitDoubts, findOldOil, nameHeld } from "./kitDoubts";
export { findLateness } from "./lateness";
export { findPastPromises } from "./pastPromises";
export { findPieceDoubts } from "./pieceDoubts";
