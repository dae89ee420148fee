import { toMaking } from "@/core/formula";
import { toWay } from "@/core/way";
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

test("a file of the first version keeps its formulas, with a plain rubbed dough's figures for what is new", () => {
  const first = inFolder("first");
  mkdirSync(first);
  copyFileSync(
    path.join(MIGRATIONS, "0001_bench_book_and_days.sql"),
    path.join(first, "0001_bench_book_and_days.sql"),
  );
  const file = inFolder("old.db");
  const old = openDatabase(file, first);
  old.exec(
    `INSERT INTO formula (id, kind, name, density_g_per_ml, mix_min, rest_min, version)
       VALUES ('crust', 'dough', 'Old crust', 1.2, 10, 30, 4);
     INSERT INTO formula_line VALUES ('crust', 0, 'l1', 'flour', '500 g', 500);
     INSERT INTO piece VALUES ('moon', 'Moon', 'halfMoon', 'disc', 110, 110, 'crust', 'crust', 3, 12, 0.5, 'forked',
       1, 8, 'pinned', 400, 300, 2, 20, 200, 24, 0.08, 20, 15, 3);
     INSERT INTO cutter VALUES ('r110', 'Round 110', 'disc', 110, 110, 2);
     INSERT INTO day VALUES ('d', '2026-01-02', 'Old day', 240, 1);
     INSERT INTO day_order VALUES ('o', 'd', 'moon', 12, 600, '', 1);`,
  );
  old.close();
  const store = openStore(file);
  expect(readdirSync(folder)).toContain(`old.db.before-${pad(LATEST)}`);
  const read = <K extends "piece" | "cutter" | "order" | "formula">(kind: K, id: string) =>
    readRecord(store, kind, id, "2026-01-02");
  // The tables of pieces and cutters were made anew; what pointed at a piece still does.
  expect(read("piece", "moon")).toMatchObject({
    form: { kind: "halfMoon" },
    cut: { kind: "disc", diameterMm: 110 },
    pinnedSheet: { shape: "rectangle", widthMm: 400, heightMm: 300 },
    way: toWay({
      form: { kind: "halfMoon" },
      heatBy: "oven",
      stages: [{ ovenC: 200, minutes: 24, act: "none" }],
      chillMin: 20,
      coolMin: 15,
      unmould: null,
      wash: { kind: "none", coats: 1, sugar: "none" },
      vents: { kind: "none", count: 0 },
      glaze: { kind: "none", dryMin: 0 },
      extras: [],
    }),
    extras: [],
    glue: "water",
  });
  expect(read("cutter", "r110")).toMatchObject({ count: 1 });
  expect(read("order", "o")).toMatchObject({ pieceId: "moon", count: 12 });
  expect(read("formula", "crust")).toMatchObject({
    name: "Old crust",
    method: "rubbed",
    restWay: "minutes",
    restMin: 30,
    window: { lowC: 10, highC: 16 },
    steps: [],
    boughtSheet: null,
    lines: [{ name: "flour", massG: 500, mostG: null, ingredientId: null }],
  });
  // The state before the first change is kept as an edition, though none was noted when it was written.
  const crust = read("formula", "crust")!;
  const change = {
    kind: "formula",
    id: "crust",
    set: { name: "New crust" },
    was: { name: crust.name },
  } as const;
  expect(writeChanges(store, [change])).toMatchObject({ kind: "written" });
  expect(store.listEditions("crust").map(({ formula }) => formula.name)).toEqual(["Old crust", "New crust"]);
  expect(store.listFormulasAsOf("2026-01-01T00:00:00.000Z").map(({ name }) => name)).toEqual(["Old crust"]);
  store.close();
});

test("a file of the fifth version keeps its log: what hung on its days stays, and the sums are those of its records", () => {
  const fifth = inFolder("fifth");
  mkdirSync(fifth);
  for (const name of readdirSync(MIGRATIONS).filter((each) => each < "0006"))
    copyFileSync(path.join(MIGRATIONS, name), path.join(fifth, name));
  const file = inFolder("old.db");
  const old = openDatabase(file, fifth);
  old.exec(
    `INSERT INTO formula (id, kind, name, density_g_per_ml, mix_min, rest_min, version)
       VALUES ('crust', 'dough', 'Old crust', 1.2, 10, 30, 1);
     INSERT INTO day (id, date, name, open_min, version) VALUES ('d', '2026-01-02', 'Old day', 240, 1),
       ('e', '2026-01-03', 'Next day', 240, 1);
     INSERT INTO bench VALUES ('bench', 1400, 700, 600, 400, 1);
     INSERT INTO day_pin VALUES ('d', 'mix:crust', 300, 0), ('d', 'bake:moon', 420, 0);
     INSERT INTO cut_record VALUES ('c1', 'd', '2026-01-02', 'crust', 50, 48, 1), ('c2', 'e', '2026-01-03', 'crust', 40, 36, 1);
     INSERT INTO weighing VALUES ('w1', 'd', '2026-01-02', 'crust', '[]', 130, 1, NULL, 1);`,
  );
  old.close();
  const store = openStore(file);
  const next = store.readDay("2026-01-03")!;
  expect(next.lists.cutRecord).toMatchObject([{ id: "c2", planned: 40, got: 36 }]);
  expect(store.habits.list("blanks:crust", "2026-02-01", 9)).toMatchObject([
    { date: "2026-01-03", source: "c2", value: expect.closeTo(Math.log(36.5 / 40.5), 12) },
    { date: "2026-01-02", source: "c1", value: expect.closeTo(Math.log(48.5 / 50.5), 12) },
  ]);
  expect(next.past.habits["blanks:crust"]!.lots).toBe(1);
  expect(next.lists.weighing).toMatchObject([{ took: { massG: 130, scale: 1 } }]);
  expect(store.readDay("2026-01-02")!.lists.day![0]!.pinned.map(({ taskId }) => taskId)).toEqual([
    "mix:crust",
    "bake:moon",
  ]);
  store.close();
});

test("a file of the eighth version keeps how its fillings are made: parts, hands and cooling become steps", () => {
  const eighth = inFolder("eighth");
  mkdirSync(eighth);
  for (const name of readdirSync(MIGRATIONS).filter((each) => each < "0009"))
    copyFileSync(path.join(MIGRATIONS, name), path.join(eighth, name));
  const file = inFolder("old.db");
  const old = openDatabase(file, eighth);
  old.exec(
    `INSERT INTO formula (id, kind, name, density_g_per_ml, mix_min, cool_min, making_loss_share, version)
       VALUES ('leek', 'filling', 'Leek', 1.02, 20, 45, 0.1, 1), ('cream', 'filling', 'Cream', 1.0, 3, 0, 0, 1),
         ('crust', 'dough', 'Crust', 1.2, 10, NULL, NULL, 1);
     INSERT INTO day (id, date, name, open_min, version) VALUES ('d', '2026-01-02', 'Old day', 240, 1);
     INSERT INTO bench VALUES ('bench', 1400, 700, 600, 400, 1);
     INSERT INTO formula_part VALUES ('leek', 0, 'leeks', 'Softened leeks', 6, 15, 25), ('leek', 1, 'rice', 'Rice', 2, 18, 0);
     INSERT INTO formula_edition VALUES ('leek', 1, '2026-01-01T00:00:00.000Z', '${JSON.stringify({
       kind: "filling",
       id: "leek",
       name: "Leek",
       lines: [],
       steps: [],
       mixMin: 12,
       coolMin: 0,
     })}');`,
  );
  old.close();
  const store = openStore(file);
  const read = (id: string) => readRecord(store, "formula", id, "2026-01-02");
  const precooked = [
    { id: "leeks", name: "Softened leeks", handMin: 6, cookMin: 15, coolMin: 25 },
    { id: "rice", name: "Rice", handMin: 2, cookMin: 18, coolMin: 0 },
  ];
  expect(read("leek")).toMatchObject({ making: toMaking({ precooked, mixMin: 20, coolMin: 45 }) });
  expect(read("cream")).toMatchObject({ making: toMaking({ mixMin: 3, coolMin: 0 }) });
  expect(read("crust")).toMatchObject({ mixMin: 10 });
  // What was noted before there were makings is completed as it is read.
  expect(store.listEditions("leek")[0]!.formula).toMatchObject({
    making: toMaking({ mixMin: 12, coolMin: 0 }),
  });
  store.close();
});

test("a file of the ninth version keeps its fryers: they lose what is usual for their oil", () => {
  const ninth = inFolder("ninth");
  mkdirSync(ninth);
  for (const name of readdirSync(MIGRATIONS).filter((each) => each < "0010"))
    copyFileSync(path.join(MIGRATIONS, name), path.join(ninth, name));
  const file = inFolder("old.db");
  const old = openDatabase(file, ninth);
  old.exec(
    `INSERT INTO fryer VALUES ('pan', 'Pan', 2.5, 1800, 190, 240, 240, 120, 0.5, 3, 40, 1);
     INSERT INTO bench VALUES ('bench', 1400, 700, 600, 400, 1);
     INSERT INTO day (id, date, name, open_min, version) VALUES ('d', '2026-01-02', 'Old day', 240, 1);`,
  );
  old.close();
  const store = openStore(file);
  expect(readRecord(store, "fryer", "pan", "2026-01-02")).toMatchObject({
    oilKg: 2.5,
    oilJPerKgK: 2300,
    lossWPerK: 1.5,
  });
  store.close();
});
