export { createFormula } from "./usualFormulas";
export { createPiece } from "./usualPiece";
export { createCutter, createFryer, createOven, createShelf, createVessel } from "./usualKit";
