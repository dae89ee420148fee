import { writeAll } from "./writeAll";
import { closeSync, existsSync, openSync, readSync, renameSync, rmSync } from "node:fs";
import { StringDecoder } from "node:string_decoder";
import Database from "better-sqlite3";
import { fail, ok, type Result } from "@/core/result";
import { inspectData, type CopyManifest } from "./copyFile";
import { migrateTo } from "./openDatabase";

/** The first line of a copy as lines. */
export interface LinesHead {
  readonly format: "tezgah-lines";
  readonly formatVersion: 1;
  /** Version of the data in it: the number of its newest migration. */
  readonly dataVersion: number;
  /** UTC, ISO 8601. */
  readonly madeAt: string;
}

/** A row of a table; what is no text or number stands as `{ "base64": … }`. */
type Cell = string | number | null | { readonly base64: string };
interface RowLine {
  readonly table: string;
  readonly row: Readonly<Record<string, Cell>>;
}
/** The last line: a copy that ends without it is not whole. */
interface EndLine {
  readonly end: true;
  readonly rows: number;
}

/** Written at a time, characters. */
const WRITE_CHARACTERS = 1 << 20;
const READ_BYTES = 1 << 20;
/** A frozen plan of a great day is some 200 kB; nothing of ours comes near this, characters. */
const LONGEST_LINE = 64_000_000;

/** How far SQLite has counted the rows of a table that never uses a number twice. */
const SEQUENCE = "sqlite_sequence";

/** The tables by name, and how far SQLite has counted behind them. */
export const listTables = (db: Database.Database): string[] =>
  db
    .prepare<[{ sequence: string }], string>(
      `SELECT name FROM sqlite_master WHERE type = 'table' AND (name NOT LIKE 'sqlite_%' OR name = :sequence)
       ORDER BY name = :sequence, name`,
    )
    .pluck()
    .all({ sequence: SEQUENCE });

const toCell = (value: unknown): Cell =>
  Buffer.isBuffer(value) ? { base64: value.toString("base64") } : (value as string | number | null);

const fromCell = (cell: Cell): string | number | Buffer | null =>
  typeof cell === "object" && cell !== null ? Buffer.from(cell.base64, "base64") : cell;

/**
 * Writes everything in a data file as JSON Lines (docs/lines.schema.json): a head, each row of each table, an end. The file
 * may be in use: what is written is one moment of it.
 * @param target - Written under another name and then renamed: half a copy is never found there.
 */
export function writeLines(
  dataFile: string,
  target: string,
  { madeAt }: { readonly madeAt: string },
): Result<{ readonly rows: number }, string> {
  const half = `${target}.half`;
  let db: Database.Database | null = null;
  let out: number | null = null;
  try {
    db = new Database(dataFile, { readonly: true, fileMustExist: true });
    const open = db;
    out = openSync(half, "w");
    const to = out;
    let waiting = "";
    let rows = 0;
    const write = (line: LinesHead | RowLine | EndLine) => {
      waiting += `${JSON.stringify(line)}\n`;
      if (waiting.length < WRITE_CHARACTERS) return;
      writeAll(to, waiting);
      waiting = "";
    };
    open.transaction(() => {
      const dataVersion = Number(open.pragma("user_version", { simple: true }));
      write({ format: "tezgah-lines", formatVersion: 1, dataVersion, madeAt });
      for (const table of listTables(open)) {
        // Each table in its own order: that of its rows' numbers, or of its key.
        const read = open.prepare<[], Record<string, unknown>>(`SELECT * FROM "${table}"`);
        for (const row of read.iterate()) {
          const cells = Object.entries(row).map(([column, value]) => [column, toCell(value)] as const);
          write({ table, row: Object.fromEntries(cells) });
          rows++;
        }
      }
      write({ end: true, rows });
    })();
    writeAll(to, waiting);
    closeSync(to);
    out = null;
    renameSync(half, target);
    return ok({ rows });
  } catch (error) {
    return fail(`No lines were written: ${error instanceof Error ? error.message : String(error)}`);
  } finally {
    if (out !== null) closeSync(out);
    rmSync(half, { force: true });
    db?.close();
  }
}

/**
 * Builds a data file out of lines: the tables by the migrations of then, the rows as they stand, and what the tables do by
 * themselves (triggers) only after that.
 * @returns What it holds; or why these are no lines of ours, and then `target` is gone.
 */
export function rebuildFromLines(
  lines: string,
  target: string,
  migrationsFolder: string,
): Result<CopyManifest, string> {
  for (const suffix of ["", "-wal", "-shm"]) rmSync(target + suffix, { force: true });
  let db: Database.Database | null = null;
  let isWhole = false;
  try {
    const reader = readLines(lines);
    const head = reader.next().value as Partial<LinesHead> | undefined;
    if (head?.format !== "tezgah-lines" || head.formatVersion !== 1 || !Number.isInteger(head.dataVersion))
      return fail("These are no lines of Tezgah: the first line does not say so.");
    const { dataVersion = 0, madeAt = "" } = head;
    db = new Database(target);
    db.pragma("foreign_keys = OFF");
    const fault = migrateTo(db, migrationsFolder, dataVersion);
    if (fault) return fail(fault);
    fill(db, reader);
    db.close();
    db = null;
    const inspected = inspectData(target);
    if (!inspected.ok) return inspected;
    isWhole = true;
    const about = { formatVersion: 1, madeAt, why: "as lines", bytes: 0, sha256: "" } as const;
    return ok({ format: "tezgah-copy", ...about, ...inspected.value });
  } catch (error) {
    return fail(`The lines could not be read: ${error instanceof Error ? error.message : String(error)}`);
  } finally {
    db?.close();
    if (!isWhole) rmSync(target, { force: true });
  }
}

/** Puts every row in its place, all or none. @throws If a row fits no table, or the lines do not end. */
function fill(db: Database.Database, lines: Iterable<unknown>): void {
  const triggers = db
    .prepare<[], { name: string; sql: string }>("SELECT name, sql FROM sqlite_master WHERE type = 'trigger'")
    .all();
  const tables = new Set(listTables(db));
  db.transaction(() => {
    for (const { name } of triggers) db.exec(`DROP TRIGGER "${name}"`);
    // What the migrations put in themselves is among the rows.
    for (const table of tables) db.exec(`DELETE FROM "${table}"`);
    const statements = new Map<string, Database.Statement>();
    let rows = 0;
    let end: EndLine | null = null;
    for (const line of lines as Iterable<Partial<RowLine> & Partial<EndLine>>) {
      if (end) throw new Error("something stands behind the end.");
      if (line.end) end = { end: true, rows: line.rows ?? -1 };
      else insert(line, ++rows, statements);
    }
    if (!end) throw new Error(`they end after ${rows} rows without an end. Take another copy.`);
    if (end.rows !== rows) throw new Error(`${rows} rows came, ${end.rows} were written. Take another copy.`);
    const strays = db.pragma("foreign_key_check") as readonly { readonly table: string }[];
    if (strays[0]) throw new Error(`${strays.length} rows of ${strays[0].table} name what is not there.`);
    for (const { sql } of triggers) db.exec(sql);
  })();

  function insert({ table, row }: Partial<RowLine>, at: number, statements: Map<string, Database.Statement>) {
    if (table === undefined || !row || !tables.has(table))
      throw new Error(`line ${at + 1} is a row of no table that this version has.`);
    const columns = Object.keys(row);
    const key = `${table} ${columns.join(" ")}`;
    let statement = statements.get(key);
    if (!statement) {
      const known = new Set(db.prepare(`SELECT name FROM pragma_table_info(?)`).pluck().all(table));
      const odd = columns.find((column) => !known.has(column));
      if (odd !== undefined) throw new Error(`line ${at + 1}: ${table} has no “${odd.slice(0, 40)}”.`);
      const names = columns.map((column) => `"${column}"`).join(", ");
      statement = db.prepare(
        `INSERT INTO "${table}" (${names}) VALUES (${columns.map(() => "?").join(", ")})`,
      );
      statements.set(key, statement);
    }
    if (table === SEQUENCE) db.prepare(`DELETE FROM ${SEQUENCE} WHERE name = ?`).run(row.name);
    statement.run(...Object.values(row).map(fromCell));
  }
}

/** Each line's value, in order. @throws If one is no JSON or too long. */
function* readLines(file: string): Generator<unknown, undefined> {
  const input = openSync(file, "r");
  const decoder = new StringDecoder("utf8");
  const chunk = Buffer.alloc(READ_BYTES);
  let rest = "";
  try {
    for (;;) {
      const read = readSync(input, chunk);
      rest += read === 0 ? decoder.end() : decoder.write(chunk.subarray(0, read));
      const lines = rest.split("\n");
      rest = lines.pop() ?? "";
      for (const line of lines) if (line.trim() !== "") yield JSON.parse(line);
      if (rest.length > LONGEST_LINE) throw new Error("a line has no end.");
      if (read > 0) continue;
      if (rest.trim() !== "") yield JSON.parse(rest);
      return undefined;
    }
  } finally {
    closeSync(input);
  }
}

/** Whether a file begins as lines do: with the head, so long as it is. */
export function looksLikeLines(file: string): boolean {
  if (!existsSync(file)) return false;
  const input = openSync(file, "r");
  try {
    const start = Buffer.alloc(START.length);
    return readSync(input, start) === START.length && start.toString() === START;
  } finally {
    closeSync(input);
  }
}

/** What the first line begins with. */
const START = '{"format":"tezgah-lines"';
