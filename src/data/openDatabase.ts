import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
} from "node:fs";
import path from "node:path";
import Database from "better-sqlite3";
import { FileFault, toFileFault } from "./fileFault";

/**
 * How long a statement waits for another writer before it gives up, ms: the whole server waits with it, so it is
 * short. Who writes tries again, off the request's way.
 */
const BUSY_TIMEOUT_MS = 100;

/**
 * Opens the data file, making it and its folder if need be, and brings it to the newest migration. A file
 * that has to be migrated is copied beside itself first.
 * @param file - A path, or ":memory:". @param migrationsFolder - Holds numbered `.sql` files.
 * @throws {FileFault} If the file or its folder cannot be used, with what to do.
 */
export function openDatabase(file: string, migrationsFolder: string): Database.Database {
  let db: Database.Database | null = null;
  try {
    const inMemory = file === ":memory:";
    const isNew = inMemory || !existsSync(file) || statSync(file).size === 0;
    if (isNew && !inMemory) refuseLost(file);
    if (!inMemory) mkdirSync(path.dirname(file), { recursive: true });
    db = new Database(file);
    db.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
    db.pragma("journal_mode = WAL");
    db.pragma("synchronous = FULL");
    // A table that others point at can only be made anew while nobody looks; what points nowhere then is found below.
    db.pragma("foreign_keys = OFF");
    migrate(db, isNew ? null : file, migrationsFolder);
    db.pragma("foreign_keys = ON");
    // A file that cannot be written says so now, not when the first order is typed.
    db.exec("BEGIN IMMEDIATE; ROLLBACK");
    return db;
  } catch (error) {
    db?.close();
    throw toFileFault(error) ?? error;
  }
}

/** Whatever Tezgah puts beside a data file once there is one. */
const TRACES = /^\.(aside-|restoring|before-|copying)/;

/**
 * A data file that is not there, or is empty, while traces of one are: it was lost, half replaced, or its disk is not
 * connected. A new empty book in its place would look as if everything was gone.
 * @throws {FileFault} With what is there and what to do.
 */
function refuseLost(file: string): void {
  const [folder, base] = [path.dirname(file), path.basename(file)];
  if (!existsSync(folder)) return;
  const copies = `${base}.copies`;
  const traces = readdirSync(folder).filter(
    (name) =>
      name.startsWith(base) &&
      (TRACES.test(name.slice(base.length)) ||
        (name === copies && readdirSync(path.join(folder, copies)).some((each) => each.endsWith(".zip")))),
  );
  if (traces.length === 0) return;
  throw new FileFault(
    "missing",
    `The data file ${existsSync(file) ? "is empty" : "is not there"}, but there is: ${traces.join(", ")}.`,
    "Connect its disk; or restore a copy on the page Copies (or with npm run restore); or, where the last restore broke off, " +
      `give the newest “${base}.aside-…” the name “${base}” again. For a new, empty book move these away or name another file in TEZGAH_DATA.`,
  );
}

interface Migration {
  readonly number: number;
  readonly sql: string;
}

/** @throws {FileFault} Where the folder is not there: its absence says nothing about the data file's own. */
function listMigrations(folder: string): Migration[] {
  if (!existsSync(folder))
    throw new FileFault(
      "migration",
      `What brings a data file to this version is not there: ${folder}.`,
      "Start Tezgah in its own folder, or install it anew. What is in the data file is as it was.",
    );
  return readdirSync(folder)
    .filter((name) => /^\d{4}_.*\.sql$/.test(name))
    .sort()
    .map((name) => ({
      number: Number(name.slice(0, 4)),
      sql: readFileSync(path.join(folder, name), "utf8"),
    }));
}

/** The version of the data that this programme writes. */
export const findNewestVersion = (migrationsFolder: string): number =>
  listMigrations(migrationsFolder).at(-1)?.number ?? 0;

/**
 * Brings an empty file to a version, for rows that were written in it.
 * @returns Why it cannot be; null if it is there.
 */
export function migrateTo(db: Database.Database, folder: string, version: number): string | null {
  const migrations = listMigrations(folder);
  const newest = migrations.at(-1)?.number ?? 0;
  if (version > newest)
    return `They are of version ${version}; this Tezgah knows ${newest}. Start the newer Tezgah and lay them back there.`;
  db.transaction(() =>
    apply(
      db,
      migrations.filter(({ number }) => number <= version),
    ),
  )();
  return null;
}

function apply(db: Database.Database, pending: readonly Migration[]): void {
  for (const { number, sql } of pending) {
    db.exec(sql);
    db.pragma(`user_version = ${number}`);
  }
  const strays = db.pragma("foreign_key_check") as readonly { readonly table: string }[];
  if (strays[0])
    throw new Error(`A migration would leave ${strays.length} rows of ${strays[0].table} astray.`);
}

function migrate(db: Database.Database, file: string | null, folder: string): void {
  const migrations = listMigrations(folder);
  const current = Number(db.pragma("user_version", { simple: true }));
  const newest = migrations.at(-1)?.number ?? 0;
  if (current > newest)
    throw new FileFault(
      "newer",
      `The data file is at version ${current}; this Tezgah knows ${newest}.`,
      "Start the newer Tezgah that wrote it, or lay back a copy from before with npm run restore.",
    );
  const pending = migrations.filter(({ number }) => number > current);
  if (pending.length === 0) return;
  const copy = file && current > 0 ? copyBefore(db, file, newest) : null;
  try {
    if (copy) tryOn(copy, pending);
    db.transaction(() => apply(db, pending)).exclusive();
  } catch (error) {
    // The file is as it was: the copy would only stand in the way of the next try.
    if (copy) rmSync(copy, { force: true });
    const fault = toFileFault(error);
    if (fault) throw fault;
    throw new FileFault(
      "migration",
      `The data file could not be brought from version ${current} to ${newest}: ${error instanceof Error ? error.message : String(error)}`,
      "Nothing was changed in it. Start the Tezgah that wrote it last, and pass this message on to whoever looks after it.",
    );
  }
}

/** Tries migrations on a copy of the copy first, and looks at every page of what comes of it. @throws If it fails. */
function tryOn(copy: string, pending: readonly Migration[]): void {
  const trial = `${copy}.trial`;
  const remove = () => ["", "-journal"].forEach((suffix) => rmSync(trial + suffix, { force: true }));
  remove();
  copyFileSync(copy, trial);
  const db = new Database(trial);
  try {
    db.pragma("foreign_keys = OFF");
    db.transaction(() => apply(db, pending))();
    const check = db.pragma("integrity_check(1)", { simple: true });
    if (check !== "ok") throw new Error(`What came of it on a copy is damaged: ${String(check)}`);
  } finally {
    db.close();
    remove();
  }
}

/** The copies that were made before migrations, the newest first. */
export function listCopiesBefore(dataFile: string): readonly string[] {
  const folder = path.dirname(dataFile);
  if (!existsSync(folder)) return [];
  const name = `${path.basename(dataFile)}.before-`;
  return readdirSync(folder)
    .filter((each) => each.startsWith(name) && /^\d{4}(-\d+)?$/.test(each.slice(name.length)))
    .map((each) => path.join(folder, each))
    .sort((a, b) => statSync(b).mtimeMs - statSync(a).mtimeMs);
}

/** Copies the file as it is beside itself; a copy of that name from an earlier try keeps its own. */
function copyBefore(db: Database.Database, file: string, newest: number): string {
  const base = `${file}.before-${String(newest).padStart(4, "0")}`;
  let copy = base;
  for (let n = 2; existsSync(copy); n++) copy = `${base}-${n}`;
  // Half a copy, of a start that was broken off, is no copy.
  const half = `${file}.copying`;
  rmSync(half, { force: true });
  db.prepare("VACUUM INTO ?").run(half);
  renameSync(half, copy);
  return copy;
}
