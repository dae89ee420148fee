import {
  chmodSync,
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { NEW_ORDER_REST } from "@/core/orders";
import Database from "better-sqlite3";
import { listDemoWorld } from "@/demo";
import { fromLists, pickRecords } from "@/schemas/recordTable";
import {
  adding,
  MIGRATIONS,
  openDemo,
  openStore,
  readRecord,
  setFields,
  writeChanges,
} from "./__tests__/testStore";
import { FileFault, toFileFault } from "./fileFault";
import { listCopiesBefore, openDatabase } from "./openDatabase";
import { createStore } from "./store";

/** The version that this programme knows. */
const LATEST = readdirSync(MIGRATIONS).length;
const pad = (version: number) => String(version).padStart(4, "0");

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-"));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const inFolder = (name: string) => path.join(folder, name);

/** What opening gives: the fault's kind, or "opened". */
function tryOpen(file: string): string {
  try {
    openDatabase(file, MIGRATIONS).close();
    return "opened";
  } catch (error) {
    if (error instanceof FileFault) {
      expect(error.message).not.toBe("");
      expect(error.remedy).not.toBe("");
      return error.kind;
    }
    throw error;
  }
}

/** Migrations as if there were one more after the latest. */
function withNext(sql: string): string {
  const migrations = mkdtempSync(inFolder("migrations-"));
  for (let n = 1; n <= LATEST; n++) writeFileSync(path.join(migrations, `${pad(n)}_same.sql`), "SELECT 1");
  writeFileSync(path.join(migrations, `${pad(LATEST + 1)}_next.sql`), sql);
  return migrations;
}

test("a file that needs a migration is copied first; one from a newer programme is refused", () => {
  const file = inFolder("baker.db");
  openDemo(file).close();
  openDatabase(file, withNext("CREATE TABLE later (id TEXT PRIMARY KEY) STRICT")).close();
  const copy = `baker.db.before-${pad(LATEST + 1)}`;
  expect(readdirSync(folder)).toContain(copy);
  const kept = openStore(inFolder(copy));
  expect(pickRecords(fromLists(kept.readDay("2026-11-28")!.lists), "piece")).toHaveLength(
    listDemoWorld().filter(({ kind }) => kind === "piece").length,
  );
  kept.close();
  expect(tryOpen(file)).toBe("newer");
});

test("a migration that breaks leaves the file as it was, says so, and stands in no later start's way", () => {
  const file = inFolder("baker.db");
  openDemo(file).close();
  const broken = withNext("CREATE TABLE later (id TEXT) STRICT; INSERT INTO nowhere VALUES (1);");
  for (let n = 0; n < 3; n++) expect(() => openDatabase(file, broken)).toThrow(FileFault);
  expect(readdirSync(folder).filter((name) => name.includes("before"))).toEqual([]);
  expect(tryOpen(file)).toBe("opened");
  openDatabase(file, withNext("CREATE TABLE later (id TEXT PRIMARY KEY) STRICT")).close();
  expect(readdirSync(folder)).toContain(`baker.db.before-${pad(LATEST + 1)}`);
});

test("a migration is tried on a copy first: one that would break in the file is never begun in it", () => {
  const file = inFolder("baker.db");
  openDemo(file).close();
  // Breaks at a row that the data have, after it has changed others: what it did is seen by nobody.
  const breaks = withNext("UPDATE day SET name = 'gone'; UPDATE day_order SET count = NULL;");
  const before = readFileSync(file);
  expect(() => openDatabase(file, breaks)).toThrow(/could not be brought/);
  expect(readFileSync(file).equals(before)).toBe(true);
  expect(readdirSync(folder).filter((name) => name.includes("trial"))).toEqual([]);
});

test("the way back after an upgrade is the copy from before it, the newest", () => {
  const file = inFolder("baker.db");
  expect(listCopiesBefore(inFolder("nowhere/baker.db"))).toEqual([]);
  openDemo(file).close();
  openDatabase(file, withNext("CREATE TABLE later (id TEXT PRIMARY KEY) STRICT")).close();
  writeFileSync(inFolder("baker.db.before-spring"), "a note");
  const [copy] = listCopiesBefore(file);
  expect(copy).toBe(`${file}.before-${pad(LATEST + 1)}`);
  expect(tryOpen(file)).toBe("newer");
  copyFileSync(copy!, file);
  expect(tryOpen(file)).toBe("opened");
});

test("a copy left over from before, or half of one, does not stop a start", () => {
  const file = inFolder("baker.db");
  openDemo(file).close();
  writeFileSync(`${file}.before-${pad(LATEST + 1)}`, "kept by somebody");
  writeFileSync(`${file}.copying`, "half a copy");
  openDatabase(file, withNext("CREATE TABLE later (id TEXT PRIMARY KEY) STRICT")).close();
  expect(readFileSync(`${file}.before-${pad(LATEST + 1)}`, "utf8")).toBe("kept by somebody");
  expect(existsSync(`${file}.before-${pad(LATEST + 1)}-2`)).toBe(true);
  expect(existsSync(`${file}.copying`)).toBe(false);
});

describe("a file that is ill is said in words, with what to do", () => {
  test("garbage", () => {
    const file = inFolder("baker.db");
    writeFileSync(file, "This is a recipe for plum cake, not a data base. ".repeat(200));
    expect(tryOpen(file)).toBe("notADatabase");
    expect(readFileSync(file, "utf8")).toContain("plum cake");
  });

  test("damaged pages", () => {
    const file = inFolder("baker.db");
    openDemo(file).close();
    const bytes = readFileSync(file);
    bytes.fill(0xff, 100, 3000);
    writeFileSync(file, bytes);
    expect(tryOpen(file)).toBe("corrupt");
  });

  test("a folder that cannot be", () => {
    writeFileSync(inFolder("a-file"), "");
    expect(tryOpen(path.join(folder, "a-file", "baker.db"))).toBe("noFolder");
    mkdirSync(inFolder("dir.db"));
    expect(tryOpen(inFolder("dir.db"))).toBe("unreadable");
  });

  test("a programme without its migrations is called so, and not the file's folder; the file is not touched", () => {
    const file = inFolder("baker.db");
    openDemo(file).close();
    const before = readFileSync(file);
    const nowhere = inFolder("no-migrations");
    const open = () => openDatabase(file, nowhere);
    expect(open).toThrow(FileFault);
    expect(open).toThrow(`not there: ${nowhere}`);
    expect(readFileSync(file)).toEqual(before);
  });

  test("read-only", () => {
    const file = inFolder("baker.db");
    openDemo(file).close();
    // The rights of a file do not bind a superuser: SQLite's own switch says the same.
    chmodSync(file, 0o444);
    const db = new Database(file);
    db.pragma("query_only = ON");
    let fault: FileFault | null = null;
    try {
      writeChanges(createStore(db), [
        adding({
          kind: "shelf",
          record: { id: "s", name: "S", place: "rack", count: 1, widthMm: 400, depthMm: 300 },
        }),
      ]);
    } catch (error) {
      fault = toFileFault(error);
    }
    expect(fault?.kind).toBe("readOnly");
    db.close();
  });

  test("full: nothing is called saved, and what was saved before is there", () => {
    const file = inFolder("baker.db");
    const db = openDatabase(file, MIGRATIONS);
    const store = createStore(db);
    writeChanges(store, listDemoWorld().map(adding));
    db.pragma(`max_page_count = ${Number(db.pragma("page_count", { simple: true })) + 1}`);
    let saved = 0;
    let fault: FileFault | null = null;
    for (let n = 0; n < 500 && !fault; n++) {
      try {
        expect(setFields(store, "piece", "quince-half-moon", { spares: n % 2 ? 3 : 4 }).kind).toBe("written");
        const order = {
          ...NEW_ORDER_REST,
          id: `o-${n}`,
          dayId: "day-2026-11-28",
          pieceId: "plum-pop",
          count: n + 1,
          dueMin: 600,
          customer: "x".repeat(70),
        };
        expect(writeChanges(store, [adding({ kind: "order", record: order })]).kind).toBe("written");
        saved++;
      } catch (error) {
        fault = toFileFault(error);
      }
    }
    expect(fault?.kind).toBe("full");
    db.close();
    const again = openStore(file);
    expect(readRecord(again, "order", `o-${saved - 1}`)).not.toBeNull();
    expect(readRecord(again, "order", `o-${saved}`)).toBeNull();
    again.close();
  });

  test("held by another program: said at once, not after seconds", () => {
    const file = inFolder("baker.db");
    const store = openDemo(file);
    const other = new Database(file);
    other.exec("BEGIN IMMEDIATE");
    const start = performance.now();
    let fault: FileFault | null = null;
    try {
      setFields(store, "piece", "quince-half-moon", { spares: 9 });
    } catch (error) {
      fault = toFileFault(error);
    }
    expect(fault?.kind).toBe("locked");
    expect(performance.now() - start).toBeLessThan(1500);
    other.exec("ROLLBACK");
    expect(setFields(store, "piece", "quince-half-moon", { spares: 9 }).kind).toBe("written");
    other.close();
    store.close();
  });

  test("made by something else", () => {
    const file = inFolder("baker.db");
    const db = new Database(file);
    db.exec(`CREATE TABLE piece (x); PRAGMA user_version = ${LATEST}`);
    db.close();
    let kind = "";
    try {
      createStore(openDatabase(file, MIGRATIONS));
    } catch (error) {
      kind = toFileFault(error)?.kind ?? "";
    }
    expect(kind).toBe("foreign");
  });

  test("an error that does not speak of the file is left as it is", () => {
    expect(toFileFault(new TypeError("a bug"))).toBeNull();
    expect(toFileFault(null)).toBeNull();
  });
});
