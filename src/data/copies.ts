import { existsSync, linkSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from "node:fs";
import path from "node:path";
import Database from "better-sqlite3";
import { fail, ok, type Result } from "@/core/result";
import { hashFile, readCopyManifest, type CopyManifest, type packCopy } from "./copyFile";
import { chooseKept } from "./copyGenerations";

/** A copy there is. */
export interface CopyInfo {
  readonly name: string;
  readonly bytes: number;
  /** UTC, ISO 8601. */
  readonly madeAt: string;
}

/** Packing takes seconds for a large file: the server does it in a thread of its own, a script where it stands. */
export type PackCopy = (...input: Parameters<typeof packCopy>) => Promise<ReturnType<typeof packCopy>>;

/** Where the copies of a data file stand. */
export const findCopiesFolder = (dataFile: string): string => `${dataFile}.copies`;

const NAME = /^tezgah-(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})-(\d{3})Z(?:-[a-z-]+)?\.zip$/;

/** When a copy was made, by its name: UTC, ISO 8601; null for what is no copy's name. */
export function readCopyTime(name: string): string | null {
  const [, date, hour, minute, second, milli] = NAME.exec(name) ?? [];
  return date ? `${date}T${hour}:${minute}:${second}.${milli}Z` : null;
}

/** Every copy in the folder, newest first; none if there is no folder. Needs no data file: it may be ill. */
export function listCopies(dataFile: string): CopyInfo[] {
  const folder = findCopiesFolder(dataFile);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name): CopyInfo[] => {
      const madeAt = readCopyTime(name);
      return madeAt === null ? [] : [{ name, bytes: statSync(path.join(folder, name)).size, madeAt }];
    })
    .sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
}

/** The path of a copy by its name; null if there is none of that name. */
export const findCopy = (dataFile: string, name: string): string | null =>
  listCopies(dataFile).some((copy) => copy.name === name)
    ? path.join(findCopiesFolder(dataFile), name)
    : null;

export const readManifestOf = (dataFile: string, name: string): CopyManifest | null => {
  const file = findCopy(dataFile, name);
  return file === null ? null : readCopyManifest(file);
};

/** Removes the copies that no generation keeps. */
function prune(dataFile: string): void {
  const copies = listCopies(dataFile).map(({ name, madeAt }) => ({ name, madeAtMs: Date.parse(madeAt) }));
  const kept = chooseKept(copies);
  for (const { name } of copies)
    if (!kept.has(name)) rmSync(path.join(findCopiesFolder(dataFile), name), { force: true });
}

/** Removes a data file with what SQLite keeps beside it. */
export function removeData(file: string): void {
  for (const suffix of ["", "-wal", "-shm"]) rmSync(file + suffix, { force: true });
}

/** Makes copies of an open data file. */
export function createCopies(db: Database.Database, dataFile: string) {
  let making: Promise<Result<CopyManifest, string>> | null = null;

  async function make(why: string, now: Date, pack: PackCopy): Promise<Result<CopyManifest, string>> {
    const folder = findCopiesFolder(dataFile);
    const loose = path.join(folder, "being-made.db");
    try {
      mkdirSync(folder, { recursive: true });
      removeData(loose);
      // SQLite's own online backup: page by page, while the day goes on.
      await db.backup(loose);
      const name = `tezgah-${now.toISOString().replaceAll(/[:.]/g, "-")}-${why.replaceAll(/[^a-z]+/g, "-")}.zip`;
      const packed = await pack(loose, path.join(folder, name), { madeAt: now.toISOString(), why });
      if (packed.ok) prune(dataFile);
      return packed;
    } catch (error) {
      return fail(`No copy was made: ${error instanceof Error ? error.message : String(error)}`);
    } finally {
      removeData(loose);
    }
  }
  return {
    /** Makes a copy; one at a time, and who asks meanwhile gets the one that is being made. */
    make(why: string, now: Date, pack: PackCopy): Promise<Result<CopyManifest, string>> {
      making ??= make(why, now, pack).finally(() => {
        making = null;
      });
      return making;
    },
  };
}

export type Copies = ReturnType<typeof createCopies>;

/** Where a copy is unpacked before it takes the data file's place. @param token - Of its own for each: two never meet. */
export const findRestoringFile = (dataFile: string, token: string): string =>
  `${dataFile}.restoring-${token}`;

/** A copy that was unpacked and checked. */
export interface Unpacked {
  readonly file: string;
  readonly manifest: CopyManifest;
  /** Of the unpacked file, as it was checked. */
  readonly sha256: string;
}

/**
 * Puts unpacked data in place of the data file, which is kept aside. Nobody may have the file open. At every moment there
 * is a whole data file under its name: the old one gets a second name, and then the new one replaces it in one step.
 * @param newestVersion - That this programme knows.
 * @returns Where the old file is kept; null if there was none.
 */
export function putInPlace(
  dataFile: string,
  { file: restoring, manifest, sha256 }: Unpacked,
  newestVersion: number,
  now: Date,
): Result<string | null, string> {
  if (manifest.dataVersion > newestVersion)
    return fail(
      `The copy is of version ${manifest.dataVersion}; this Tezgah knows ${newestVersion}. Start the newer Tezgah and lay it back there.`,
    );
  if (!existsSync(restoring) || hashFile(restoring) !== sha256)
    return fail("What was unpacked has changed since. Nothing was replaced. Look at the copy again.");
  // It is another file now: what screens remember of the old one's revisions says nothing about it.
  const db = new Database(restoring);
  try {
    const hasMark = db.prepare("SELECT 1 FROM sqlite_master WHERE name = 'file_mark'").get() !== undefined;
    if (hasMark) db.exec("UPDATE file_mark SET epoch = lower(hex(randomblob(8)))");
    db.pragma("journal_mode = DELETE");
  } finally {
    db.close();
  }
  let aside: string | null = null;
  if (existsSync(dataFile)) {
    aside = `${dataFile}.aside-${now.toISOString().replaceAll(/[:.]/g, "-")}`;
    linkSync(dataFile, aside);
    // A log that was not taken in yet belongs to the old file, and would be taken into the new one.
    for (const suffix of ["-wal", "-shm"])
      if (existsSync(dataFile + suffix)) renameSync(dataFile + suffix, aside + suffix);
  }
  renameSync(restoring, dataFile);
  return ok(aside);
}
