import { addDays } from "@/core/plan";
import { toFileFault } from "@/data/fileFault";
import { findDataFile } from "@/data/dataFile";
import { getStore } from "@/data/getStore";
import { closeToOthers, sweepLeftovers } from "@/data/sweep";
import { PLAN_END_MS, runJob } from "@/jobs/pool";
import { getDoorkeeper, isHouseOpen, sayStartCode } from "./access/keys";
import { catchUpLogs } from "./catchUp";
import { readClock } from "./clock";
import { copyByTheClock, copyInBackground } from "./copyInBackground";
import { endInTime } from "./endInTime";
import { findLogFolder, log, openLog } from "./log";
import { findDayToOpen } from "./loadDay";
import { readVersion } from "./version";
import { readBooks } from "./readBooks";
import { listenToBridges } from "./readings";
import { loadPackedPlan } from "./planCache";

/** A shopping list looks so far, days. */
const SHOPPING_DAYS = 31;
/** What nobody has asked for yet waits so long after a start: until then there are pages that somebody waits for. */
const AHEAD_AFTER_MS = 20_000;

/** Takes every right from group and others. */
const OWNER_ONLY_MASK = 0o077;

/** Works out what the next days weigh out, so that the first shopping list finds it done. */
async function weighDaysAhead(from: string): Promise<void> {
  const books = readBooks(from, addDays(from, SHOPPING_DAYS - 1));
  if (books.length > 0) await runJob("weighDays", books, PLAN_END_MS);
}

/** Opens the data file, forgets what no tablet sends any more, and makes the start's copy. An ill file is said on the pages. */
export function startUp(): void {
  // Whatever is written from here on is the owner's alone to read: data, keys, copies, logs.
  process.umask(OWNER_ONLY_MASK);
  openLog(findLogFolder(findDataFile()));
  log({ event: "started", version: readVersion(), isForHouse: isHouseOpen(process.env) });
  process.once("SIGTERM", () => log({ event: "stopped", upSeconds: Math.round(process.uptime()) }));
  endInTime();
  listenToBridges();
  if (isHouseOpen(process.env) && getDoorkeeper().isUnset()) sayStartCode();
  try {
    getStore().forgetGroups(readClock().toISOString());
    sweepLeftovers(findDataFile());
    closeToOthers(findDataFile());
    catchUpLogs();
    copyInBackground("start");
    copyByTheClock();
    // Its thread has planned once by the time the first page asks.
    const date = findDayToOpen();
    if (!date) return;
    void loadPackedPlan(date);
    // Should it fail, whoever opens the list is told.
    setTimeout(() => void weighDaysAhead(date).catch(() => undefined), AHEAD_AFTER_MS).unref();
  } catch (error) {
    // Whatever it is, the server starts: its pages say what is wrong and what to do.
    const fault = toFileFault(error);
    log({ event: "fileIll", kind: fault?.kind ?? "unknown" });
    console.error(fault ? `${fault.message} ${fault.remedy}` : error);
  }
}
