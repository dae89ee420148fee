import path from "node:path";
import { fail, type Result } from "@/core/result";
import { findCopiesFolder, listCopies, type PackCopy } from "@/data/copies";
import type { CopyManifest } from "@/data/copyFile";
import { findDataFile } from "@/data/dataFile";
import { toFileFault } from "@/data/fileFault";
import { findMigrationsFolder, getCopies } from "@/data/getStore";
import { isOutwardDue } from "@/data/outward";
import { noteTrouble } from "@/data/troubles";
import { runJob } from "@/jobs/pool";
import { log } from "./log";

/** Ten years pack in some ten seconds; a slow disk or share takes its time, ms. */
const PACK_END_MS = 300_000;
/** Whether a copy is due elsewhere is looked at so often, ms. */
const LOOK_EVERY_MS = 30 * 60_000;

const tooBusy = fail("Tezgah is busy; the copy is made next time.");

/** Packs in a thread of its own. */
const packInThread: PackCopy = async (from, to, about) => {
  const done = await runJob("packCopy", { from, to, about }, PACK_END_MS);
  return done.ok ? done.value : tooBusy;
};

/** Unpacks a copy of any kind in a thread of its own. */
export async function openInThread(
  from: string,
  to: string,
  passphrase: string | null,
): Promise<Result<CopyManifest, string>> {
  const input = { from, to, passphrase, migrations: findMigrationsFolder() };
  const done = await runJob("openCopy", input, PACK_END_MS);
  return done.ok ? done.value : tooBusy;
}

/** Writes everything as lines in a thread of its own. */
export async function writeLinesInThread(to: string, now: Date): Promise<Result<unknown, string>> {
  const input = { from: findDataFile(), to, madeAt: now.toISOString() };
  const done = await runJob("writeLines", input, PACK_END_MS);
  return done.ok ? done.value : tooBusy;
}

/**
 * Makes a copy, and puts it where copies go as well if that is due.
 * @param isWantedThere - Due or not.
 */
export async function makeCopy(why: string, isWantedThere = false): Promise<Result<CopyManifest, string>> {
  // A copy is dated by the real clock, whatever moment the pages are shown at.
  const now = new Date();
  const made = await getCopies().make(why, now, packInThread);
  const dataFile = findDataFile();
  const [newest] = listCopies(dataFile);
  if (made.ok && newest && (isWantedThere || isOutwardDue(dataFile, now))) {
    const copy = path.join(findCopiesFolder(dataFile), newest.name);
    const put = await runJob("putOutward", { dataFile, copy }, PACK_END_MS);
    // What goes wrong is seen on the page too, by the age of the last one there.
    log(
      put.ok && put.value.ok
        ? { event: "copiedElsewhere" }
        : { event: "notCopied", why, reason: put.ok && !put.value.ok ? put.value.failure : "busy" },
    );
  }
  if (made !== tooBusy) noteTrouble("copy", made.ok ? null : made.failure);
  log(
    made.ok
      ? { event: "copied", why, bytes: newest?.bytes ?? 0 }
      : { event: "notCopied", why, reason: made.failure },
  );
  return made;
}

/** Makes a copy while the day goes on. What goes wrong is told in the log and seen by the age of the last copy. */
export function copyInBackground(why: string): void {
  makeCopy(why).catch((error: unknown) => noteTrouble("copy", toFileFault(error)?.message ?? String(error)));
}

/** A server that runs for weeks puts copies elsewhere by the clock too. */
export function copyByTheClock(): void {
  setInterval(() => {
    if (isOutwardDue(findDataFile(), new Date())) copyInBackground("by the clock");
  }, LOOK_EVERY_MS).unref();
}
