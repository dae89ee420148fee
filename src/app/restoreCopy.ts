import { randomUUID } from "node:crypto";
import path from "node:path";
import { fail, ok, type Result } from "@/core/result";
import { findRestoringFile, putInPlace } from "@/data/copies";
import type { CopyManifest } from "@/data/copyFile";
import { toFileFault } from "@/data/fileFault";
import { findDataFile } from "@/data/dataFile";
import { closeStore, findMigrationsFolder, getStore } from "@/data/getStore";
import { findNewestVersion } from "@/data/openDatabase";
import { makeCopy, openInThread } from "./copyInBackground";

/** A copy that was unpacked and looked at, and waits to be laid back. */
interface Looked {
  readonly token: string;
  readonly manifest: CopyManifest;
}

/** The last one looked at: there is one place to unpack it. */
const holder = globalThis as { tezgahLooked?: Looked };

/** One is unpacked after the other: there is one place for it. */
let unpacking: Promise<unknown> = Promise.resolve();

/** Unpacks a copy beside the data file, checks it, and says what it holds. */
export function unpackForRestore(copy: string, passphrase: string | null): Promise<Result<Looked, string>> {
  const looked = unpacking.then(() => unpack(copy, passphrase));
  unpacking = looked.catch(() => undefined);
  return looked;
}

async function unpack(copy: string, passphrase: string | null): Promise<Result<Looked, string>> {
  delete holder.tezgahLooked;
  const unpacked = await openInThread(copy, findRestoringFile(findDataFile()), passphrase);
  if (!unpacked.ok) return unpacked;
  const newest = findNewestVersion(findMigrationsFolder());
  if (unpacked.value.dataVersion > newest)
    return fail(
      `The copy is of version ${unpacked.value.dataVersion}; this Tezgah knows ${newest}. Start the newer Tezgah and lay it back there.`,
    );
  const looked = { token: randomUUID(), manifest: unpacked.value };
  holder.tezgahLooked = looked;
  return ok(looked);
}

/** Puts the copy that was looked at in the data file's place. The file that was there is copied first and kept aside. */
export async function layBack(token: string): Promise<Result<{ readonly aside: string | null }, string>> {
  const looked = holder.tezgahLooked;
  if (looked?.token !== token) return fail("Another copy was looked at meanwhile. Look at this one again.");
  try {
    await makeCopy("before laying back");
  } catch (error) {
    // An ill file cannot be copied; it is kept aside as it is.
    if (!toFileFault(error)) throw error;
  }
  delete holder.tezgahLooked;
  closeStore();
  const dataFile = findDataFile();
  const placed = putInPlace(
    dataFile,
    findRestoringFile(dataFile),
    looked.manifest,
    findNewestVersion(findMigrationsFolder()),
    new Date(),
  );
  if (!placed.ok) return placed;
  // Opened at once: a copy of an older version is migrated now, and not under the first tablet that asks.
  getStore();
  return ok({ aside: placed.value === null ? null : path.basename(placed.value) });
}
