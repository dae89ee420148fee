import { toMaking } from "@/core/formula";
import { toWay } from "@/core/way";
import { copyFileSync, mkdirSync, mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { pickRecords } from "@/schemas/recordTable";
import { MIGRATIONS, openStore, readRecord, readTable, writeChanges } from "./__tests__/testStore";
import { openDatabase } from "./openDatabase";

/** The version that this programme knows. */
const LATEST = readdirSync(MIGRATIONS).length;
const pad = (version: number) => String(version).padStart(4, "0");

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-"));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const inFolder = (name: string) => path.join(folder, name);

/** A file as the version before a migration wrote it. @param before - The migration's number, as "0009". */
function writeFormer(before: string, sql: string): string {
  const migrations = inFolder("former");
  mkdirSync(migrations);
  for (const name of readdirSync(MIGRATIONS).filter((each) => each < before))
    copyFileSync(path.join(MIGRATIONS, name), path.join(migrations, name));
  const file = inFolder("old.db");
  const old = openDatabase(file, migrations);
  old.exec(sql);
  old.close();
  return file;
}

test("a file of the first version keeps its formulas, with a plain rubbed dough's figures for what is new", () => {
  const file = writeFormer(
    "0002",
    `INSERT INTO formula (id, kind, name, density_g_per_ml, mix_min, rest_min, version)
       VALUES ('crust', 'dough', 'Old crust', 1.2, 10, 30, 4);
     INSERT INTO formula_line VALUES ('crust', 0, 'l1', 'flour', '500 g', 500);
     INSERT INTO piece VALUES ('moon', 'Moon', 'halfMoon', 'disc', 110, 110, 'crust', 'crust', 3, 12, 0.5, 'forked',
       1, 8, 'pinned', 400, 300, 2, 20, 200, 24, 0.08, 20, 15, 3);
     INSERT INTO cutter VALUES ('r110', 'Round 110', 'disc', 110, 110, 2);
     INSERT INTO day VALUES ('d', '2026-01-02', 'Old day', 240, 1);
     INSERT INTO day_order VALUES ('o', 'd', 'moon', 12, 600, '', 1);`,
  );
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
  const file = writeFormer(
    "0006",
    `INSERT INTO formula (id, kind, name, density_g_per_ml, mix_min, rest_min, version)
       VALUES ('crust', 'dough', 'Old crust', 1.2, 10, 30, 1);
     INSERT INTO day (id, date, name, open_min, version) VALUES ('d', '2026-01-02', 'Old day', 240, 1),
       ('e', '2026-01-03', 'Next day', 240, 1);
     INSERT INTO bench VALUES ('bench', 1400, 700, 600, 400, 1);
     INSERT INTO day_pin VALUES ('d', 'mix:crust', 300, 0), ('d', 'bake:moon', 420, 0);
     INSERT INTO cut_record VALUES ('c1', 'd', '2026-01-02', 'crust', 50, 48, 1), ('c2', 'e', '2026-01-03', 'crust', 40, 36, 1);
     INSERT INTO weighing VALUES ('w1', 'd', '2026-01-02', 'crust', '[]', 130, 1, NULL, 1);`,
  );
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
  const file = writeFormer(
    "0009",
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
  const file = writeFormer(
    "0010",
    `INSERT INTO fryer VALUES ('pan', 'Pan', 2.5, 1800, 190, 240, 240, 120, 0.5, 3, 40, 1);
     INSERT INTO bench VALUES ('bench', 1400, 700, 600, 400, 1);
     INSERT INTO day (id, date, name, open_min, version) VALUES ('d', '2026-01-02', 'Old day', 240, 1);`,
  );
  const store = openStore(file);
  expect(readRecord(store, "fryer", "pan", "2026-01-02")).toMatchObject({
    oilKg: 2.5,
    oilJPerKgK: 2300,
    lossWPerK: 1.5,
  });
  store.close();
});

test("a file without customers: a name given on two days becomes one, a name given once stays a word", () => {
  const file = writeFormer(
    "0002",
    `INSERT INTO formula (id, kind, name, density_g_per_ml, mix_min, rest_min, version)
       VALUES ('crust', 'dough', 'Old crust', 1.2, 10, 30, 4);
     INSERT INTO piece VALUES ('moon', 'Moon', 'halfMoon', 'disc', 110, 110, 'crust', 'crust', 3, 12, 0.5, 'forked',
       1, 8, 'pinned', 400, 300, 2, 20, 200, 24, 0.08, 20, 15, 3);
     INSERT INTO bench VALUES ('bench', 1400, 700, 600, 400, 1);
     INSERT INTO day VALUES ('one', '2026-01-02', 'One', 240, 1), ('two', '2026-01-03', 'Two', 240, 1);
     INSERT INTO day_order VALUES ('a', 'one', 'moon', 12, 600, 'Lamp room', 1), ('b', 'two', 'moon', 6, 600, ' lamp ROOM', 1),
       ('c', 'one', 'moon', 2, 600, 'Someone', 1), ('d', 'one', 'moon', 3, 660, 'Someone', 1), ('e', 'two', 'moon', 1, 600, '', 1);`,
  );
  const store = openStore(file);
  const orders = ["2026-01-02", "2026-01-03"].flatMap((date) => [
    ...pickRecords(readTable(store, date), "order"),
  ]);
  const customers = pickRecords(readTable(store, "2026-01-03"), "customer");
  expect(customers).toEqual([
    { id: expect.any(String) as string, name: "lamp ROOM", contact: "", usualMin: null },
  ]);
  expect(new Map(orders.map(({ id, customerId }) => [id, customerId]))).toEqual(
    new Map([
      ...(["a", "b"] as const).map((id) => [id, customers[0]!.id] as const),
      ...(["c", "d", "e"] as const).map((id) => [id, null] as const),
    ]),
  );
  expect(orders.every(({ standingId, handedMin }) => standingId === null && handedMin === null)).toBe(true);
  store.close();
});
