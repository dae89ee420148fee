import { getStore } from "@/data/getStore";
import { keepLog, keepLogOf } from "./keepLog";
import { loadRun } from "./loadRun";

/** So many a page: each is opened and read once for ever. */
const MOST_AT_ONCE = 40;

/** Runs whose log is behind their events are read at the start: the server was stopped, or the file refused the log. */
export function catchUpLogs(): void {
  for (const date of getStore().runs.listBehind(MOST_AT_ONCE)) keepLogOf(date);
}

/** Days that ran before this file kept habits and days at a glance are read now. */
export function catchUp(): void {
  for (const date of getStore().runs.listUnsummarised(MOST_AT_ONCE)) {
    const run = loadRun(date);
    if (run) keepLog(run);
  }
}
