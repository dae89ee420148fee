import type { RunEvent } from "@/core/run";
import { getStore } from "@/data/getStore";
import { keepRunLog, type KeptLog } from "@/data/keepRunLog";
import { readClock } from "./clock";
import type { LoadedRun } from "./loadRun";

/** Keeps what a run says in the baker's log, now. @param before - The events until now, where some came since. */
export const keepLog = (run: LoadedRun, before: readonly RunEvent[] | null): KeptLog | null =>
  keepRunLog(getStore(), run, before, readClock().toISOString());
