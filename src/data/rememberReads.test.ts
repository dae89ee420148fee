import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import Database from "better-sqlite3";
import fc from "fast-check";
import { rememberReads } from "./rememberReads";

let folder: string;
let mine: Database.Database;
let others: Database.Database;
let reads = 0;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-reads-"));
  const open = () => new Database(path.join(folder, "sums.db"));
  [mine, others] = [open(), open()];
  mine.pragma("journal_mode = WAL");
  mine.exec(
    "CREATE TABLE sum (key TEXT PRIMARY KEY, n INTEGER); INSERT INTO sum VALUES ('a', 0), ('b', 0), ('c', 0)",
  );
  reads = 0;
});
afterEach(() => {
  mine.close();
  others.close();
  rmSync(folder, { recursive: true });
});

const readSum = (key: string) =>
  mine.prepare<[string], { key: string; n: number }>("SELECT * FROM sum WHERE key = ?").get(key)!;
const add = (db: Database.Database, key: string) =>
  db.prepare("UPDATE sum SET n = n + 1 WHERE key = ?").run(key);
const remember = (most = 8) =>
  rememberReads(
    mine,
    (key) => {
      reads++;
      return readSum(key);
    },
    most,
  );

test("what was read is given again as the same object while nobody writes", () => {
  const read = remember();
  const first = read("a");
  read("b");
  expect(read("a")).toBe(first);
  expect(reads).toBe(2);
});

test("whoever writes what, in whatever order, what is read is what stands in the file", () => {
  const acts = fc.array(
    fc.record({
      act: fc.constantFrom("read", "write", "others write", "write in vain"),
      key: fc.constantFrom("a", "b", "c"),
    }),
    { minLength: 1, maxLength: 25 },
  );
  fc.assert(
    fc.property(acts, (all) => {
      const read = remember(2);
      for (const { act, key } of all) {
        if (act === "read") expect(read(key)).toEqual(readSum(key));
        if (act === "write") add(mine, key);
        if (act === "others write") add(others, key);
        if (act === "write in vain")
          mine.exec(`BEGIN; UPDATE sum SET n = n + 1 WHERE key = '${key}'; ROLLBACK`);
      }
      for (const key of ["a", "b", "c"]) expect(read(key)).toEqual(readSum(key));
    }),
    { numRuns: 60 },
  );
});

test("a write of another's between two queries of one read does not tear it", () => {
  const read = rememberReads(
    mine,
    (key) => {
      const first = readSum(key).n;
      add(others, key);
      return [first, readSum(key).n];
    },
    8,
  );
  expect(read("a")).toEqual([0, 0]);
  expect(read("a")).toEqual([1, 1]);
});

test("what was read within a write that is taken back is not remembered", () => {
  const read = remember();
  mine.exec("BEGIN");
  add(mine, "a");
  expect(read("a").n).toBe(1);
  mine.exec("ROLLBACK");
  expect(read("a").n).toBe(0);
});

test("only what was asked for last is kept", () => {
  const read = remember(2);
  for (const key of ["a", "b", "a", "c", "a"]) read(key);
  expect(reads).toBe(3);
  read("b");
  expect(reads).toBe(4);
});
