import { fail, type Result } from "@/core/result";
import { isBusy } from "@/data/fileFault";
import { getStore } from "@/data/getStore";
import { keepRunLog, type KeptLog } from "@/data/keepRunLog";
import { readClock } from "./clock";
import { loadRun, type LoadedRun } from "./loadRun";

const BUSY = "Another programme is writing to the data file.";

/** Keeps what a run says in the baker's log. @param isWhole - All of it again. @returns What was kept, or why not. */
export function keepLog(run: LoadedRun, isWhole = false): Result<KeptLog, string> {
  try {
    return keepRunLog(getStore(), run, readClock().toISOString(), isWhole);
  } catch (error) {
    if (!isBusy(error)) throw error;
    return fail(BUSY);
  }
}

/** Waits between tries to keep a log that was refused, s: others write for milliseconds, a wrong record waits for a hand. */
const RETRY_AFTER_S = [1, 10, 60, 600];
const retries = new Map<string, NodeJS.Timeout>();

/** Keeps the log of a date's run; tries again by itself while it cannot be kept. @returns Why it was not kept now, or null. */
export function keepLogOf(date: string, tries = 0): string | null {
  const run = loadRun(date);
  if (!run) return null;
  const kept = keepLog(run);
  clearTimeout(retries.get(date));
  retries.delete(date);
  if (kept.ok) return null;
  const waitS = RETRY_AFTER_S[Math.min(tries, RETRY_AFTER_S.length - 1)] ?? 0;
  retries.set(date, setTimeout(() => void keepLogOf(date, tries + 1), waitS * 1000).unref());
  return kept.failure;
}

/** Whether a date's log waits to be tried again. */
export const isLogBehind = (date: string): boolean => retries.has(date);
