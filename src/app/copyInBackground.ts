import { fail } from "@/core/result";
import { getCopies } from "@/data/getStore";
import type { PackCopy, UnpackCopy } from "@/data/copies";
import { runJob } from "@/jobs/pool";

/** Ten years pack in some ten seconds; a slow disk takes its time, ms. */
const PACK_END_MS = 300_000;

const tooBusy = fail("Tezgah is busy; the copy is made next time.");

/** Packs in a thread of its own. */
export const packInThread: PackCopy = async (from, to, about) => {
  const done = await runJob("packCopy", { from, to, about }, PACK_END_MS);
  return done.ok ? done.value : tooBusy;
};

export const unpackInThread: UnpackCopy = async (from, to) => {
  const done = await runJob("unpackCopy", { from, to }, PACK_END_MS);
  return done.ok ? done.value : tooBusy;
};

/** Makes a copy while the day goes on. What goes wrong is told in the log and seen by the age of the last copy. */
export function copyInBackground(why: string): void {
  void getCopies()
    // A copy is dated by the real clock, whatever moment the pages are shown at.
    .make(why, new Date(), packInThread)
    .then((made) => {
      if (!made.ok) console.error(`Copy (${why}): ${made.failure}`);
    });
}
