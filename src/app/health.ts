import { existsSync, statSync } from "node:fs";
import Database from "better-sqlite3";
import { listCopies } from "@/data/copies";
import { toFileFault } from "@/data/fileFault";
import { findDataFile } from "@/data/dataFile";
import { findMigrationsFolder } from "@/data/getStore";
import { findNewestVersion } from "@/data/openDatabase";
import { readOutward } from "@/data/outward";
import { runJob } from "@/jobs/pool";

/** A copy older than this is too old: one is made at each start and each closing of a day, ms. */
const COPY_IS_OLD_AFTER_MS = 7 * 86_400_000;

/** Another writer is waited for so long, ms: the whole server waits with it. */
const WAIT_MS = 300;

/** How the server is. */
export interface Health {
  readonly isWell: boolean;
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
  readonly areThreadsAlive: boolean;
}

/** The server's own threads answer a question of nothing by then, or they hang, ms. */
const THREAD_END_MS = 5000;

/** Looks at this server as it is now. */
export async function lookAtHealth(): Promise<Health> {
  // Of no days nothing is weighed: all that is asked is whether a thread takes it. A busy road is one that works.
  const answered = await runJob("weighDays", [], THREAD_END_MS).catch(() => null);
  return readHealth({
    ...{ dataFile: findDataFile(), migrationsFolder: findMigrationsFolder(), now: new Date() },
    areThreadsAlive: answered !== null && (answered.ok || answered.failure.kind === "busy"),
  });
}

/** Looks at file and copies as they are now. A file that has never been copied is well on its first days. */
export function readHealth({ dataFile, migrationsFolder, now, areThreadsAlive }: Looked): Health {
  const file = { ...lookAt(dataFile), newestVersion: findNewestVersion(migrationsFolder) };
  const copies = listCopies(dataFile);
  const outward = readOutward(dataFile);
  const findAgeMs = (madeAt: string | null | undefined) =>
    madeAt ? now.getTime() - Date.parse(madeAt) : null;
  const ageMs = findAgeMs(copies[0]?.madeAt);
  return {
    isWell: file.isWritable && areThreadsAlive && (ageMs === null || ageMs < COPY_IS_OLD_AFTER_MS),
    file,
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
