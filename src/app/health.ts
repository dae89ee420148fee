import { existsSync, statfsSync, statSync } from "node:fs";
import path from "node:path";
import Database from "better-sqlite3";
import { listCopies } from "@/data/copies";
import { toFileFault } from "@/data/fileFault";
import { findDataFile } from "@/data/dataFile";
import { findMigrationsFolder } from "@/data/getStore";
import { findNewestVersion } from "@/data/openDatabase";
import { readOutward } from "@/data/outward";
import { readTroubles } from "@/data/troubles";
import { runJob } from "@/jobs/pool";

/** A copy older than this is too old: one is made at each start and each closing of a day, ms. */
const COPY_IS_OLD_AFTER_MS = 7 * 86_400_000;
/** The copy of a start is there by then, ms: ten years pack in seconds. */
const START_COPY_WITHIN_MS = 10 * 60_000;
/** A full disk loses what is typed next: so much is kept free for logs and SQLite's own, bytes, */
const LEAST_FREE_BYTES = 100_000_000;
/** and room for a copy while it is made: the loose file and the packed one, in file sizes. */
const FREE_FILE_SIZES = 2;

/** Another writer is waited for so long, ms: the whole server waits with it. */
const WAIT_MS = 300;

/** Something that is not well, and what to do about it. */
export interface HealthProblem {
  readonly code:
    | "file"
    | "newer"
    | "damaged"
    | "diskFull"
    | "notSaved"
    | "notCopied"
    | "copyOld"
    | "noCopySinceStart"
    | "elsewhere"
    | "threads";
  readonly message: string;
  readonly remedy: string;
}

/** How the server is. */
export interface Health {
  /** Nothing stands under `problems`. */
  readonly isWell: boolean;
  readonly problems: readonly HealthProblem[];
  readonly file: {
    readonly isWritable: boolean;
    /** Of its data; null where it cannot be read. */
    readonly version: number | null;
    /** That this programme writes. */
    readonly newestVersion: number;
    /** With what SQLite has not yet taken into it. */
    readonly bytes: number;
    /** What is wrong, in words; null if nothing is. */
    readonly fault: string | null;
  };
  /** On the data file's disk; null where it cannot be told. */
  readonly freeBytes: number | null;
  readonly copies: {
    readonly count: number;
    /** Of the newest; null where there is none. */
    readonly ageHours: number | null;
    /** Of the newest on another disk or share; null where there is none, or none is wanted. */
    readonly elsewhereAgeHours: number | null;
    /** None can be put there now. */
    readonly isElsewhereIll: boolean;
  };
  /** The threads that plan answer. */
  readonly areThreadsAlive: boolean;
  readonly upSeconds: number;
  readonly memoryMb: number;
}

export interface Looked {
  readonly dataFile: string;
  readonly migrationsFolder: string;
  readonly now: Date;
  readonly startedAt: Date;
  readonly areThreadsAlive: boolean;
  /** What a check of all pages found; null if they are whole, or could not be checked now. */
  readonly damage: string | null;
  readonly freeBytes: number | null;
  readonly troubles: ReturnType<typeof readTroubles>;
}

/** The server's own threads answer a question of nothing by then, or they hang, ms. */
const THREAD_END_MS = 5000;
/** Every page of fifty years is checked by then, ms. */
const CHECK_END_MS = 60_000;
/** Pages of a file that nobody wrote to are checked again after so long, ms: disks fail by themselves. */
const CHECK_AGAIN_MS = 10 * 60_000;

/** Looks at this server as it is now. */
export async function lookAtHealth(): Promise<Health> {
  const [dataFile, now] = [findDataFile(), new Date()];
  // Of no days nothing is weighed: all that is asked is whether a thread takes it. A busy road is one that works.
  const answered = await runJob("weighDays", [], THREAD_END_MS).catch(() => null);
  return readHealth({
    ...{ dataFile, migrationsFolder: findMigrationsFolder(), now },
    startedAt: new Date(now.getTime() - process.uptime() * 1000),
    areThreadsAlive: answered !== null && (answered.ok || answered.failure.kind === "busy"),
    damage: await findDamage(dataFile, now),
    freeBytes: readFreeBytes(dataFile),
    troubles: readTroubles(),
  });
}

interface Checked {
  readonly state: string;
  readonly atMs: number;
  readonly damage: string | null;
}
let checked: Checked | null = null;

/** Checks every page in a thread, whenever the file has changed or the last check is old. */
async function findDamage(dataFile: string, now: Date): Promise<string | null> {
  const state = ["", "-wal"]
    .map((end) => dataFile + end)
    .map((file) => (existsSync(file) ? `${statSync(file).size}/${statSync(file).mtimeMs}` : "none"))
    .join(" ");
  if (checked?.state === state && now.getTime() - checked.atMs < CHECK_AGAIN_MS) return checked.damage;
  const done = await runJob("checkPages", dataFile, CHECK_END_MS).catch(() => null);
  // Busy threads check it the next time.
  if (!done?.ok) return checked?.damage ?? null;
  checked = { state, atMs: now.getTime(), damage: done.value };
  return checked.damage;
}

function readFreeBytes(dataFile: string): number | null {
  try {
    const { bavail, bsize } = statfsSync(path.dirname(dataFile));
    return bavail * bsize;
  } catch {
    return null;
  }
}

/** What is wrong with file, disk, copies and threads as they are now. Names no path. */
export function readHealth(looked: Looked): Health {
  const { dataFile, migrationsFolder, now, areThreadsAlive, freeBytes } = looked;
  const file = { ...lookAt(dataFile), newestVersion: findNewestVersion(migrationsFolder) };
  const copies = listCopies(dataFile);
  const outward = readOutward(dataFile);
  const findAgeMs = (madeAt: string | null | undefined) =>
    madeAt ? now.getTime() - Date.parse(madeAt) : null;
  const ageMs = findAgeMs(copies[0]?.madeAt);
  const problems = listProblems(looked, file, ageMs, outward?.fault ?? null);
  return {
    isWell: problems.length === 0,
    problems,
    file,
    freeBytes,
    copies: {
      count: copies.length,
      ageHours: toHours(ageMs),
      elsewhereAgeHours: toHours(findAgeMs(outward?.newestAt)),
      isElsewhereIll: (outward?.fault ?? null) !== null,
    },
    areThreadsAlive,
    upSeconds: Math.round(process.uptime()),
    memoryMb: Math.round(process.memoryUsage().rss / 1e6),
  };
}

function listProblems(
  { now, startedAt, areThreadsAlive, damage, freeBytes, troubles }: Looked,
  file: Health["file"],
  copyAgeMs: number | null,
  elsewhereFault: string | null,
): HealthProblem[] {
  const upMs = now.getTime() - startedAt.getTime();
  const wantedBytes = LEAST_FREE_BYTES + FREE_FILE_SIZES * file.bytes;
  const found: readonly (readonly [boolean, HealthProblem["code"], string, string])[] = [
    [
      !file.isWritable,
      "file",
      file.fault ?? "The data file cannot be used.",
      "Open any page: it says what to do.",
    ],
    [
      file.version !== null && file.version > file.newestVersion,
      "newer",
      `The data file is at version ${file.version}; this Tezgah knows ${file.newestVersion}.`,
      "Start the newer Tezgah that wrote it.",
    ],
    [
      damage !== null,
      "damaged",
      `A page of the data file is damaged: ${damage}.`,
      "Stop Tezgah, keep the file aside, look at the disk, and restore the last copy.",
    ],
    [
      freeBytes !== null && freeBytes < wantedBytes,
      "diskFull",
      `${toMb(freeBytes ?? 0)} MB are free on the disk of the data file; ${toMb(wantedBytes)} MB are needed for what is typed next and for a copy.`,
      "Free some space on it.",
    ],
    [
      troubles.save !== null,
      "notSaved",
      `The last change was not saved: ${troubles.save}`,
      "What was typed waits on its device. Mend the cause; the device sends it again.",
    ],
    [
      troubles.copy !== null,
      "notCopied",
      `The last copy was not made: ${(troubles.copy ?? "").replaceAll(/\/\S+/g, "…")}`,
      "Mend the cause, then make a copy on the page Copies.",
    ],
    [
      copyAgeMs !== null && copyAgeMs >= COPY_IS_OLD_AFTER_MS,
      "copyOld",
      `The newest copy is ${toHours(copyAgeMs)} h old.`,
      "Make a copy on the page Copies.",
    ],
    [
      upMs > START_COPY_WITHIN_MS && (copyAgeMs === null || copyAgeMs > upMs),
      "noCopySinceStart",
      "No copy was made since Tezgah was started.",
      "Make a copy on the page Copies; it says what is in the way.",
    ],
    [
      elsewhereFault !== null,
      "elsewhere",
      "No copy can be put on the other disk or share.",
      "Connect it, or choose another folder on the page Copies.",
    ],
    [!areThreadsAlive, "threads", "The threads that plan do not answer.", "Start Tezgah again."],
  ];
  return found.flatMap(([holds, code, message, remedy]) => (holds ? [{ code, message, remedy }] : []));
}

const toMb = (bytes: number): number => Math.round(bytes / 1e6);

/** To a tenth. */
const toHours = (ms: number | null): number | null => (ms === null ? null : Math.round(ms / 360_000) / 10);

function lookAt(dataFile: string) {
  const bytes = ["", "-wal"].reduce(
    (sum, suffix) => sum + (existsSync(dataFile + suffix) ? statSync(dataFile + suffix).size : 0),
    0,
  );
  let db: Database.Database | null = null;
  try {
    db = new Database(dataFile, { fileMustExist: true, timeout: WAIT_MS });
    const version = Number(db.pragma("user_version", { simple: true }));
    db.exec("BEGIN IMMEDIATE; ROLLBACK");
    return { isWritable: true, version, bytes, fault: null };
  } catch (error) {
    const fault = toFileFault(error)?.message ?? "The data file cannot be used.";
    return { isWritable: false, version: null, bytes, fault };
  } finally {
    db?.close();
  }
}
