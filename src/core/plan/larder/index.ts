export { blanksKeepDays, findKeepDays } from "./keeping";
export { LEAST_KEPT_G, closeLarder, giveBack, listLeftovers, takeUse } from "./leftovers";
export { countAhead, toLarderItem } from "./makeAhead";
export { listShopping, type ShoppingLine, type WeighedDay } from "./shopping";
export { openLarder, takeMass, takePieces, type OpenLarder } from "./takeFromLarder";
