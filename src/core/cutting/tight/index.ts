export { fillGaps, type GapRequest } from "./fillGaps";
export { searchTightDiscs, type TightRequest } from "./tightDiscs";
export { searchTightOutlines, type TightOutlineRequest } from "./tightOutlines";
export type { TightProgress } from "./tightSearch";
