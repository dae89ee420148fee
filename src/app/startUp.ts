import { toFileFault } from "@/data/fileFault";
import { getStore } from "@/data/getStore";
import { readClock } from "./clock";
import { copyInBackground } from "./copyInBackground";
import { findDayToOpen } from "./loadDay";
import { loadPackedPlan } from "./planCache";

/** Opens the data file, forgets what no tablet sends any more, and makes the start's copy. An ill file is said on the pages. */
export function startUp(): void {
  try {
    getStore().forgetGroups(readClock().toISOString());
    copyInBackground("start");
    // Its thread has planned once by the time the first page asks.
    const date = findDayToOpen();
    if (date) void loadPackedPlan(date);
  } catch (error) {
    // Whatever it is, the server starts: its pages say what is wrong and what to do.
    const fault = toFileFault(error);
    console.error(fault ? `${fault.message} ${fault.remedy}` : error);
  }
}
