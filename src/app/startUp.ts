import { toFileFault } from "@/data/fileFault";
import { getStore } from "@/data/getStore";
import { readClock } from "./clock";
import { copyInBackground } from "./copyInBackground";

/** Opens the data file, forgets what no tablet sends any more, and makes the start's copy. An ill file is said on the pages. */
export function startUp(): void {
  try {
    getStore().forgetGroups(readClock().toISOString());
    copyInBackground("start");
  } catch (error) {
    // Whatever it is, the server starts: its pages say what is wrong and what to do.
    const fault = toFileFault(error);
    console.error(fault ? `${fault.message} ${fault.remedy}` : error);
  }
}
