import { createHash } from "node:crypto";
import { closeSync, openSync, readSync, renameSync, rmSync, statSync } from "node:fs";
import Database from "better-sqlite3";
import { Unzip, UnzipInflate, Zip, ZipDeflate, ZipPassThrough } from "fflate";
import { fail, ok, type Result } from "@/core/result";
import { writeAll } from "./writeAll";

/** What a copy holds, readable without opening it as data. */
export interface CopyManifest {
  readonly format: "tezgah-copy";
  readonly formatVersion: 1;
  /** Version of the data in it: the number of its newest migration. */
  readonly dataVersion: number;
  /** UTC, ISO 8601. */
  readonly madeAt: string;
  readonly why: string;
  readonly bytes: number;
  readonly sha256: string;
  readonly counts: Readonly<Record<string, number>>;
  /** YYYY-MM-DD; null without days. */
  readonly firstDay: string | null;
  readonly lastDay: string | null;
}

const MANIFEST = "manifest.json";
const DATA = "tezgah.db";
/** Read and packed at a time, bytes. */
const CHUNK_BYTES = 1 << 20;
/** Data base pages pack well at any level; a low one is several times faster. */
const DEFLATE_LEVEL = 3;
/** Largest manifest that is read: a copy of another kind may hold anything under its name. */
const MAX_MANIFEST_BYTES = 100_000;
/** Unpacked at a time, bytes: a thousandfold of it still fits the memory. */
const UNPACK_BYTES = 1 << 15;
/** Data base pages pack to a fifth, empty ones to a hundredth: what gives more for its bytes is made to fill the disk. */
const MOST_UNPACKED_PER_BYTE = 200;
/** A small file of empty pages may still be packed this well, bytes. */
const UNSUSPICIOUS_BYTES = 8 << 20;

/** What a manifest counts, and how. */
const counted = {
  pieces: "SELECT count(*) AS n FROM piece WHERE is_archived = 0",
  formulas: "SELECT count(*) AS n FROM formula WHERE is_archived = 0",
  days: "SELECT count(*) AS n FROM day WHERE is_archived = 0",
  orders: "SELECT count(*) AS n FROM day_order",
  "lots logged": "SELECT count(*) AS n FROM lot_record",
  "rollings logged": "SELECT count(*) AS n FROM cut_record",
  weighings: "SELECT count(*) AS n FROM weighing",
  "events of runs": "SELECT count(*) AS n FROM run_event",
  "in the larder": "SELECT count(*) AS n FROM larder_item WHERE taken_by_day_id IS NULL",
} as const;

/** Counts what a data file holds, and checks it page by page. @returns Why it cannot be trusted, otherwise. */
export function inspectData(
  file: string,
): Result<Pick<CopyManifest, "counts" | "firstDay" | "lastDay" | "dataVersion">, string> {
  let db: Database.Database | null = null;
  try {
    db = new Database(file, { readonly: true, fileMustExist: true });
    const check = db.pragma("integrity_check(1)", { simple: true });
    if (check !== "ok") return fail(`The data in it is damaged: ${String(check)}`);
    const open = db;
    const dataVersion = Number(db.pragma("user_version", { simple: true }));
    const count = (sql: string) => (open.prepare(sql).get() as { n: number }).n;
    // Tables of a copy that is older than archiving have no such column; it is migrated when it is laid back.
    const isOld = dataVersion < ARCHIVING_SINCE;
    const counts = Object.fromEntries(
      Object.entries(counted)
        .filter(([name]) => dataVersion >= RUNS_SINCE || name !== "events of runs")
        .map(([name, sql]) => [name, count(isOld ? sql.replace("WHERE is_archived = 0", "") : sql)]),
    );
    const span = db.prepare("SELECT min(date) AS first, max(date) AS last FROM day").get() as {
      first: string | null;
      last: string | null;
    };
    return ok({ dataVersion, counts, firstDay: span.first, lastDay: span.last });
  } catch (error) {
    return fail(`It holds no Tezgah data: ${error instanceof Error ? error.message : String(error)}`);
  } finally {
    db?.close();
  }
}

/** Reads every page of a data file. @returns What is damaged; null if nothing is. */
export function checkPages(file: string): string | null {
  let db: Database.Database | null = null;
  try {
    db = new Database(file, { readonly: true, fileMustExist: true });
    const check = db.pragma("quick_check(1)", { simple: true });
    return check === "ok" ? null : String(check);
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  } finally {
    db?.close();
  }
}

/** The migration that brought archiving. */
const ARCHIVING_SINCE = 6;
/** The version since which days are run. */
const RUNS_SINCE = 12;

/**
 * Packs a data file that nobody writes to (an online backup's) into one file, and checks it first.
 * @param target - Written under another name and then renamed: half a copy is never found there.
 */
export function packCopy(
  dataFile: string,
  target: string,
  { madeAt, why }: { readonly madeAt: string; readonly why: string },
): Result<CopyManifest, string> {
  const inspected = inspectData(dataFile);
  if (!inspected.ok) return inspected;
  const manifest: CopyManifest = {
    format: "tezgah-copy",
    formatVersion: 1,
    madeAt,
    why,
    bytes: statSync(dataFile).size,
    sha256: hashFile(dataFile),
    ...inspected.value,
  };
  const half = `${target}.half`;
  const out = openSync(half, "w");
  try {
    let failure: Error | null = null;
    const zip = new Zip((error, chunk) => {
      if (error) failure ??= error;
      else writeAll(out, chunk);
    });
    const head = new ZipPassThrough(MANIFEST);
    zip.add(head);
    head.push(new TextEncoder().encode(`${JSON.stringify(manifest, null, 2)}\n`), true);
    const data = new ZipDeflate(DATA, { level: DEFLATE_LEVEL });
    zip.add(data);
    readChunks(dataFile, (chunk, isLast) => data.push(chunk, isLast));
    zip.end();
    if (failure) throw failure as Error;
    renameSync(half, target);
  } finally {
    closeSync(out);
    rmSync(half, { force: true });
  }
  return ok(manifest);
}

/**
 * Unpacks a copy's data into `target` and checks it against its manifest and page by page.
 * @returns What it holds; or why it is no copy, and then `target` is gone.
 */
export function unpackCopy(copy: string, target: string): Result<CopyManifest, string> {
  const out = openSync(target, "w");
  const manifestParts: Uint8Array[] = [];
  let unpackedBytes = 0;
  let readBytes = 0;
  let failure: string | null = null;
  const unzip = new Unzip((file) => {
    if (file.name !== MANIFEST && file.name !== DATA) return;
    file.ondata = (error, chunk) => {
      if (failure !== null) return;
      if (error) failure = error.message;
      else if (file.name === DATA) {
        unpackedBytes += chunk.length;
        const told = readManifest(manifestParts)?.bytes ?? 0;
        const most = Math.max(readBytes * MOST_UNPACKED_PER_BYTE, UNSUSPICIOUS_BYTES);
        if (unpackedBytes > told) failure = "it holds more than it says.";
        else if (unpackedBytes > most) failure = "it unpacks to far more than a copy does.";
        else writeAll(out, chunk);
      } else if (manifestParts.reduce((sum, part) => sum + part.length, chunk.length) <= MAX_MANIFEST_BYTES)
        manifestParts.push(chunk);
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    readChunks(
      copy,
      (chunk, isLast) => {
        readBytes += chunk.length;
        unzip.push(chunk, isLast);
        return failure === null;
      },
      UNPACK_BYTES,
    );
  } catch (error) {
    failure ??= error instanceof Error ? error.message : String(error);
  } finally {
    closeSync(out);
  }
  const refused = (why: string) => {
    rmSync(target, { force: true });
    return fail(why);
  };
  const manifest = readManifest(manifestParts);
  if (failure !== null || !manifest || unpackedBytes === 0)
    return refused(`This is no copy of Tezgah${failure ? `: ${String(failure)}` : "."}`);
  if (statSync(target).size !== manifest.bytes || hashFile(target) !== manifest.sha256)
    return refused("The copy is damaged: its data is not what its manifest says. Take another copy.");
  const inspected = inspectData(target);
  return inspected.ok ? ok(manifest) : refused(inspected.failure);
}

function readManifest(parts: readonly Uint8Array[]): CopyManifest | null {
  try {
    const manifest = JSON.parse(Buffer.concat(parts).toString("utf8")) as CopyManifest;
    return manifest.format === "tezgah-copy" && manifest.formatVersion === 1 ? manifest : null;
  } catch {
    return null;
  }
}

/** What a copy says it holds, without unpacking its data; null if it is none. */
export function readCopyManifest(copy: string): CopyManifest | null {
  const parts: Uint8Array[] = [];
  let isRead = false;
  const unzip = new Unzip((file) => {
    if (file.name !== MANIFEST) return;
    file.ondata = (error, chunk, isLast) => {
      if (!error) parts.push(chunk);
      isRead ||= isLast;
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    readChunks(
      copy,
      (chunk, isLast) => {
        unzip.push(chunk, isLast);
        return !isRead;
      },
      MAX_MANIFEST_BYTES,
    );
  } catch {
    // No zip, or one that ends early: what was read of a manifest decides.
  }
  return readManifest(parts);
}

/** Reads a file in order. @param take - Given each chunk; false ends the reading. */
function readChunks(
  file: string,
  take: (chunk: Uint8Array, isLast: boolean) => unknown,
  chunkBytes = CHUNK_BYTES,
): void {
  const input = openSync(file, "r");
  try {
    let leftBytes = statSync(file).size;
    if (leftBytes === 0) take(new Uint8Array(0), true);
    while (leftBytes > 0) {
      const chunk = new Uint8Array(Math.min(chunkBytes, leftBytes));
      const read = readSync(input, chunk);
      if (read === 0) return;
      leftBytes -= read;
      if (take(chunk.subarray(0, read), leftBytes === 0) === false) return;
    }
  } finally {
    closeSync(input);
  }
}

/** A file's SHA-256, hexadecimal. */
export function hashFile(file: string): string {
  const hash = createHash("sha256");
  readChunks(file, (chunk) => void hash.update(chunk));
  return hash.digest("hex");
}
