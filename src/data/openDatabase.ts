import { existsSync, mkdirSync, readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import Database from "better-sqlite3";

/** How long a write waits for another one before it gives up, ms. */
const BUSY_TIMEOUT_MS = 5000;

/**
 * Opens the data file, making it and its folder if need be, and brings it to the newest migration. A file
 * that has to be migrated is copied beside itself first.
 * @param file - A path, or ":memory:". @param migrationsFolder - Holds numbered `.sql` files.
 * @throws If the file was made by a newer version of the programme, or is no database.
 */
export function openDatabase(file: string, migrationsFolder: string): Database.Database {
  const inMemory = file === ":memory:";
  const isNew = inMemory || !existsSync(file);
  if (!inMemory) mkdirSync(path.dirname(file), { recursive: true });
  const db = new Database(file);
  db.pragma("journal_mode = WAL");
  db.pragma("synchronous = FULL");
  db.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
  // A table that others point at can only be made anew while nobody looks; what points nowhere then is found below.
  db.pragma("foreign_keys = OFF");
  migrate(db, isNew ? null : file, migrationsFolder);
  db.pragma("foreign_keys = ON");
  return db;
}

function migrate(db: Database.Database, file: string | null, folder: string): void {
  const migrations = readdirSync(folder)
    .filter((name) => /^\d{4}_.*\.sql$/.test(name))
    .sort()
    .map((name) => ({
      number: Number(name.slice(0, 4)),
      sql: readFileSync(path.join(folder, name), "utf8"),
    }));
  const current = Number(db.pragma("user_version", { simple: true }));
  const newest = migrations.at(-1)?.number ?? 0;
  if (current > newest) {
    throw new Error(
      `The data file is at version ${current}; this Tezgah knows ${newest}. Start the newer Tezgah.`,
    );
  }
  const pending = migrations.filter(({ number }) => number > current);
  if (pending.length === 0) return;
  if (file && current > 0)
    db.prepare("VACUUM INTO ?").run(`${file}.before-${String(newest).padStart(4, "0")}`);
  db.transaction(() => {
    for (const { number, sql } of pending) {
      db.exec(sql);
      db.pragma(`user_version = ${number}`);
    }
    const strays = db.pragma("foreign_key_check") as readonly { readonly table: string }[];
    if (strays[0])
      throw new Error(`A migration would leave ${strays.length} rows of ${strays[0].table} astray.`);
  }).exclusive();
}
