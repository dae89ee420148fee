import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import Ajv2020 from "ajv/dist/2020";
import Database from "better-sqlite3";
import fc from "fast-check";
import { MIGRATIONS, openDemo, openStore, readTable, setFields } from "./__tests__/testStore";
import { rebuildFromLines, writeLines } from "./copyLines";
import { describeLines } from "./linesSchema";
import { openDatabase } from "./openDatabase";

let folder: string;
const at = (name: string) => path.join(folder, name);
const MADE = { madeAt: "2026-11-25T12:00:00Z" };
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-lines-"));
  const store = openDemo(at("demo.db"));
  // A log that feeds the tables that tables feed, and a row that uses a number of its own.
  setFields(store, "piece", "quince-half-moon", { spares: 17 });
  store.close();
  const db = new Database(at("demo.db"));
  db.exec(`INSERT INTO run VALUES ('run-1', 'day-2026-11-28', '2026-11-28')`);
  db.prepare("INSERT INTO run_sheet VALUES ('run-1', 1, ?, '2026-11-28T04:00:00Z')").run(
    Buffer.from([0, 255, 10, 13]),
  );
  db.close();
  expect(writeLines(at("demo.db"), at("demo.jsonl"), MADE)).toMatchObject({ ok: true });
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Every row of every table, and how far numbers were counted, as text. */
function dump(file: string): string {
  const db = new Database(file, { readonly: true });
  const tables = db
    .prepare("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name")
    .pluck()
    .all();
  const rows = tables.map(
    (name) => `${String(name)} ${JSON.stringify(db.prepare(`SELECT * FROM "${String(name)}"`).all())}`,
  );
  const sql = db.prepare("SELECT name, sql FROM sqlite_master ORDER BY name").all();
  db.close();
  return [...rows, JSON.stringify(sql)].join("\n");
}

test("lines alone rebuild the same file: every row, every count, every trigger", () => {
  const rebuilt = rebuildFromLines(at("demo.jsonl"), at("again.db"), MIGRATIONS);
  expect(rebuilt).toMatchObject({ ok: true, value: { why: "as lines", counts: { days: 6, weighings: 1 } } });
  expect(dump(at("again.db"))).toBe(dump(at("demo.db")));
  expect(dump(at("demo.db"))).toContain('"type":"Buffer","data":[0,255,10,13]');
  // And written again they are the same lines.
  writeLines(at("again.db"), at("again.jsonl"), MADE);
  expect(readFileSync(at("again.jsonl"), "utf8")).toBe(readFileSync(at("demo.jsonl"), "utf8"));
  const store = openStore(at("again.db"));
  expect(readTable(store).get("piece")!.get("quince-half-moon")).toMatchObject({ spares: 17 });
  store.close();
});

test("every line is what the published schema says, and the schema is that of the tables", () => {
  const db = openDatabase(":memory:", MIGRATIONS);
  const schema = JSON.parse(readFileSync("docs/lines.schema.json", "utf8")) as object;
  expect(schema).toEqual(JSON.parse(JSON.stringify(describeLines(db))));
  db.close();
  const check = new Ajv2020({ strict: false }).compile(schema);
  const lines = readFileSync(at("demo.jsonl"), "utf8").trimEnd().split("\n");
  expect(lines.length).toBeGreaterThan(100);
  for (const line of lines) if (!check(JSON.parse(line))) throw new Error(line);
  expect(check({ table: "piece", row: { id: 3 } })).toBe(false);
});

test("what was cut off, changed or added is refused with why, and nothing is left", () => {
  const lines = readFileSync(at("demo.jsonl"), "utf8").trimEnd().split("\n");
  const row = lines.findIndex((line) => line.startsWith('{"table":"day"'));
  const swap = (index: number, line: string) => lines.map((each, i) => (i === index ? line : each));
  const cases: readonly (readonly [string, readonly string[], RegExp])[] = [
    ["no end", lines.slice(0, -1), /without an end/],
    ["a row missing", lines.filter((_, i) => i !== row + 1), /rows came|name what is not there/],
    ["no head", lines.slice(1), /first line does not say so/],
    ["newer", swap(0, lines[0]!.replace(/"dataVersion":\d+/, '"dataVersion":999')), /this Tezgah knows/],
    ["no table", swap(row, '{"table":"cake","row":{"id":1}}'), /no table/],
    ["no column", swap(row, '{"table":"day","row":{"id":"x","cake":1}}'), /day has no “cake”/],
    ["no JSON", swap(row, "plum cake"), /could not be read/],
    ["behind the end", [...lines, lines[row]!], /behind the end/],
  ];
  for (const [name, changed, why] of cases) {
    writeFileSync(at("bad.jsonl"), changed.join("\n"));
    const rebuilt = rebuildFromLines(at("bad.jsonl"), at("bad.db"), MIGRATIONS);
    expect([name, rebuilt]).toEqual([name, { ok: false, failure: expect.stringMatching(why) }]);
    expect(() => readFileSync(at("bad.db"))).toThrow(/ENOENT/);
  }
});

test("any text, number and bytes go out and come back the same", () => {
  const cells = fc.record({
    id: fc.string({ unit: "binary", minLength: 1 }),
    text: fc.string({ unit: "binary" }),
    real: fc.double({ noNaN: true, noDefaultInfinity: true }),
    whole: fc.maxSafeInteger(),
    bytes: fc.uint8Array({ maxLength: 40 }),
  });
  const migrations = at("own");
  rmSync(migrations, { recursive: true, force: true });
  const make = (sql: string) => {
    const db = new Database(at("any.db"));
    db.exec(sql);
    return db;
  };
  const SQL =
    "CREATE TABLE piece (id TEXT PRIMARY KEY, text TEXT, real REAL, whole INTEGER, bytes BLOB) STRICT; PRAGMA user_version = 1;";
  fc.assert(
    fc.property(fc.uniqueArray(cells, { selector: ({ id }) => id, maxLength: 8 }), (rows) => {
      for (const suffix of ["", "-wal", "-shm"]) rmSync(at("any.db") + suffix, { force: true });
      const db = make(SQL);
      const insert = db.prepare("INSERT INTO piece VALUES (@id, @text, @real, @whole, @bytes)");
      for (const row of rows) insert.run({ ...row, bytes: Buffer.from(row.bytes) });
      const before = db.prepare("SELECT * FROM piece").all();
      db.close();
      expect(writeLines(at("any.db"), at("any.jsonl"), MADE)).toEqual({
        ok: true,
        value: { rows: rows.length },
      });
      const lines = readFileSync(at("any.jsonl"), "utf8").trimEnd().split("\n").slice(1, -1);
      const back = lines.map((line) => (JSON.parse(line) as { row: Record<string, unknown> }).row);
      expect(
        back.map((row) => ({
          ...row,
          bytes: Buffer.from((row.bytes as { base64: string }).base64, "base64"),
        })),
      ).toEqual(before);
    }),
    { numRuns: 40 },
  );
});
