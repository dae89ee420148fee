import { randomUUID } from "node:crypto";
import path from "node:path";
import { fail, ok, type Result } from "@/core/result";
import { findRestoringFile, putInPlace, removeData, type Unpacked } from "@/data/copies";
import { hashFile } from "@/data/copyFile";
import { toFileFault } from "@/data/fileFault";
import { findDataFile } from "@/data/dataFile";
import { closeStore, findMigrationsFolder, getStore } from "@/data/getStore";
import { findNewestVersion } from "@/data/openDatabase";
import { makeCopy, openInThread } from "./copyInBackground";

/** A copy that was unpacked and looked at, and waits to be laid back. */
interface Looked extends Unpacked {
  readonly token: string;
}

/** The last one looked at. */
const holder = globalThis as { tezgahLooked?: Looked; tezgahRestoring?: Promise<unknown> };

/** Looking at copies and laying them back is done one at a time: neither may meet the other half way. */
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const done = (holder.tezgahRestoring ?? Promise.resolve()).then(work);
  holder.tezgahRestoring = done.catch(() => undefined);
  return done;
}

/** Unpacks a copy beside the data file, checks it, and says what it holds. */
export const unpackForRestore = (
  copy: string,
  passphrase: string | null,
): Promise<Result<Pick<Looked, "token" | "manifest">, string>> => inTurn(() => unpack(copy, passphrase));

async function unpack(
  copy: string,
  passphrase: string | null,
): Promise<Result<Pick<Looked, "token" | "manifest">, string>> {
  forgetLooked();
  const token = randomUUID();
  const file = findRestoringFile(findDataFile(), token);
  const unpacked = await openInThread(copy, file, passphrase);
  if (!unpacked.ok) return unpacked;
  const manifest = unpacked.value;
  const newest = findNewestVersion(findMigrationsFolder());
  if (manifest.dataVersion > newest) {
    removeData(file);
    return fail(
      `The copy is of version ${manifest.dataVersion}; this Tezgah knows ${newest}. Start the newer Tezgah and lay it back there.`,
    );
  }
  holder.tezgahLooked = { token, file, manifest, sha256: hashFile(file) };
  return ok({ token, manifest });
}

function forgetLooked(): void {
  if (holder.tezgahLooked) removeData(holder.tezgahLooked.file);
  delete holder.tezgahLooked;
}

/** Puts the copy that was looked at in the data file's place. The file that was there is copied first and kept aside. */
export const layBack = (token: string): Promise<Result<{ readonly aside: string | null }, string>> =>
  inTurn(() => lay(token));

async function lay(token: string): Promise<Result<{ readonly aside: string | null }, string>> {
  const looked = holder.tezgahLooked;
  if (looked?.token !== token) return fail("Another copy was looked at meanwhile. Look at this one again.");
  try {
    await makeCopy("before laying back");
  } catch (error) {
    // An ill file cannot be copied; it is kept aside as it is.
    if (!toFileFault(error)) throw error;
  }
  // From here to the file being open again nothing waits: no question of a tablet comes between.
  closeStore();
  const placed = putInPlace(findDataFile(), looked, findNewestVersion(findMigrationsFolder()), new Date());
  forgetLooked();
  if (!placed.ok) return placed;
  // Opened at once: a copy of an older version is migrated now, and not under the first tablet that asks.
  getStore();
  return ok({ aside: placed.value === null ? null : path.basename(placed.value) });
}
