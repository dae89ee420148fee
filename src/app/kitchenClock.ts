import { getStore } from "@/data/getStore";
import { findComputersZone, readWallClock, type WallTime } from "@/time/wallClock";
import { readClock } from "./clock";

export interface KitchenNow {
  readonly now: Date;
  readonly timeZone: string;
  /** What the clock on the kitchen's wall shows. */
  readonly wall: WallTime;
}

/** Now, as the kitchen's wall clock shows it: by its own zone, or this computer's where it has named none. */
export function readKitchenClock(): KitchenNow {
  const now = readClock();
  const timeZone = getStore().readKitchen().kitchen?.timeZone ?? findComputersZone();
  return { now, timeZone, wall: readWallClock(now, timeZone) };
}
