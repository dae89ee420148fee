import { copyFileSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import type { Outline } from "@/core/shape";
import { listDemoChanges } from "@/demo";
import type { Ingredient, Piece, Weighing } from "@/schemas/model";
import { pickRecords } from "@/schemas/toDayBook";
import { openDatabase } from "./openDatabase";
import { createStore, type Store } from "./store";

const MIGRATIONS = path.join(__dirname, "migrations");
/** When the tests write. */
const NOON = "2026-11-20T12:00:00.000Z";
const open = (file = ":memory:") => createStore(openDatabase(file, MIGRATIONS));

function openDemo(): Store {
  const store = open();
  expect(store.applyChanges(listDemoChanges(), NOON).ok).toBe(true);
  return store;
}
const firstPiece = (store: Store): Piece => pickRecords(store.listRecords(), "piece")[0]!;

test("everything that is stored comes back as it was", () => {
  const stored = openDemo().listRecords();
  expect(stored).toHaveLength(listDemoChanges().length);
  for (const { kind, record } of listDemoChanges()) {
    expect(stored).toContainEqual({ kind, record, version: 1 });
  }
});

test("a pinned sheet and a rectangle come back too", () => {
  const store = openDemo();
  const piece: Piece = {
    ...firstPiece(store),
    cut: { kind: "rectangle", widthMm: 80, heightMm: 140 },
    cutAim: "pinned",
    pinnedSheet: { widthMm: 400, heightMm: 300, shape: "oval" },
  };
  expect(
    store.applyChanges([{ kind: "piece", id: piece.id, expectedVersion: 1, record: piece }], NOON),
  ).toEqual({
    ok: true,
    value: [2],
  });
  expect(firstPiece(store)).toEqual(piece);
});

test("cutters of every outline, forms and what a rolling gave come back as they were", () => {
  const store = openDemo();
  const outlines: readonly Outline[] = [
    { kind: "oval", widthMm: 120, heightMm: 80 },
    { kind: "triangle", legMm: 90 },
    { kind: "ring", diameterMm: 80, holeMm: 46 },
    { kind: "polygon", diameterMm: 80, sides: 7 },
    { kind: "scalloped", diameterMm: 80, lobes: 13 },
    { kind: "star", diameterMm: 80, points: 6 },
    { kind: "heart", widthMm: 80, heightMm: 70 },
    { kind: "leaf", widthMm: 44, heightMm: 20 },
    {
      kind: "path",
      corners: [
        [-20.5, -10],
        [20.25, -10],
        [0, 12.125],
      ],
    },
  ];
  const cutters = outlines.map((outline, i) => ({
    id: `c-${i}`,
    name: `Cutter ${i}`,
    outline,
    count: i + 1,
  }));
  const piece = firstPiece(store);
  const forms: readonly Piece["form"][] = [
    { kind: "lidded", topOversizeMm: null, stick: null },
    { kind: "lidded", topOversizeMm: 7.5, stick: { lengthMm: 120, thicknessMm: 4 } },
    { kind: "case", holeMm: 44 },
    { kind: "rosette", sliceMm: 40, sliceThicknessMm: 2, overlapShare: 0.4, cavityMm: 66 },
  ];
  const pieces = forms.map((form, i) => ({ ...piece, id: `p-${i}`, form }));
  const cutRecord = {
    id: "cut-1",
    dayId: "day-2026-11-28",
    date: "2026-11-28",
    doughId: "bay-shortcrust",
    planned: 60,
    got: 57,
  };
  const lotRecord = {
    id: "lot-1",
    dayId: "day-2026-11-28",
    date: "2026-11-28",
    pieceId: piece.id,
    pieces: 48,
    fill: { style: "spoon", minutes: 11, craftMinutes: 9.6 },
    close: null,
    leaked: 2,
    craftLeakShare: 0.025,
  };
  const added = [
    ...cutters.map((record) => ({ kind: "cutter" as const, id: record.id, expectedVersion: 0, record })),
    ...pieces.map((record) => ({ kind: "piece" as const, id: record.id, expectedVersion: 0, record })),
    { kind: "cutRecord" as const, id: cutRecord.id, expectedVersion: 0, record: cutRecord },
    { kind: "lotRecord" as const, id: lotRecord.id, expectedVersion: 0, record: lotRecord },
  ];
  expect(store.applyChanges(added, NOON).ok).toBe(true);
  const records = store.listRecords();
  expect(pickRecords(records, "cutter").slice(-cutters.length)).toEqual(cutters);
  expect(pickRecords(records, "piece").slice(-pieces.length)).toEqual(pieces);
  expect(pickRecords(records, "cutRecord")).toEqual([cutRecord]);
  expect(pickRecords(records, "lotRecord")).toEqual([lotRecord]);
});

test("a stale edit is refused with what stands there now, and nothing of its list is written", () => {
  const store = openDemo();
  const piece = firstPiece(store);
  const theirs = { ...piece, marginMm: 15 };
  store.applyChanges([{ kind: "piece", id: piece.id, expectedVersion: 1, record: theirs }], NOON);
  const bench = pickRecords(store.listRecords(), "bench")[0]!;
  const refused = store.applyChanges(
    [
      { kind: "bench", id: bench.id, expectedVersion: 1, record: { ...bench, widthMm: 999 } },
      { kind: "piece", id: piece.id, expectedVersion: 1, record: { ...piece, marginMm: 20 } },
    ],
    NOON,
  );
  expect(refused).toEqual({
    ok: false,
    failure: {
      kind: "stale",
      changed: "piece",
      id: piece.id,
      current: { kind: "piece", record: theirs, version: 2 },
    },
  });
  expect(pickRecords(store.listRecords(), "bench")[0]).toEqual(bench);
});

test("what is still used is not removed, and a date belongs to one day", () => {
  const store = openDemo();
  const piece = firstPiece(store);
  expect(
    store.applyChanges([{ kind: "formula", id: piece.doughId, expectedVersion: 1, record: null }], NOON),
  ).toMatchObject({ ok: false, failure: { kind: "inUse" } });
  const day = { ...pickRecords(store.listRecords(), "day")[0]!, id: "another" };
  expect(
    store.applyChanges([{ kind: "day", id: day.id, expectedVersion: 0, record: day }], NOON),
  ).toMatchObject({
    ok: false,
    failure: { kind: "dateTaken" },
  });
  expect(store.listRecords()).toHaveLength(listDemoChanges().length);
});

test("a removed day takes its orders along", () => {
  const store = openDemo();
  const [day] = pickRecords(store.listRecords(), "day");
  expect(store.applyChanges([{ kind: "day", id: day!.id, expectedVersion: 1, record: null }], NOON).ok).toBe(
    true,
  );
  expect(pickRecords(store.listRecords(), "order").filter(({ dayId }) => dayId === day!.id)).toEqual([]);
});

/** The version that this programme knows. */
const LATEST = readdirSync(MIGRATIONS).length;
const pad = (version: number) => String(version).padStart(4, "0");

test("a file that needs a migration is copied first; one from a newer programme is refused", () => {
  const folder = mkdtempSync(path.join(tmpdir(), "tezgah-"));
  try {
    const file = path.join(folder, "baker.db");
    const store = open(file);
    store.applyChanges(listDemoChanges(), NOON);
    store.close();
    const migrations = mkdtempSync(path.join(folder, "migrations-"));
    for (let n = 1; n <= LATEST; n++) writeFileSync(path.join(migrations, `${pad(n)}_same.sql`), "SELECT 1");
    const next = "CREATE TABLE later (id TEXT PRIMARY KEY) STRICT";
    writeFileSync(path.join(migrations, `${pad(LATEST + 1)}_next.sql`), next);
    openDatabase(file, migrations).close();
    const copy = `baker.db.before-${pad(LATEST + 1)}`;
    expect(readdirSync(folder)).toContain(copy);
    expect(open(path.join(folder, copy)).listRecords()).toHaveLength(listDemoChanges().length);
    expect(() => open(file)).toThrow(`version ${LATEST + 1}; this Tezgah knows ${LATEST}`);
  } finally {
    rmSync(folder, { recursive: true });
  }
});

test("a change in another sitting is a new edition, and a past instant keeps the formula of then", () => {
  const store = openDemo();
  const write = (densityGPerMl: number, atIso: string) => {
    const stored = store
      .listRecords()
      .find((each) => each.kind === "formula" && each.record.id === "bay-shortcrust");
    if (stored?.kind !== "formula") throw new Error("the demo has no shortcrust");
    const record = { ...stored.record, densityGPerMl };
    const change = { kind: "formula", id: record.id, expectedVersion: stored.version, record } as const;
    expect(store.applyChanges([change], atIso).ok).toBe(true);
  };
  write(1.21, "2026-11-20T12:05:00.000Z");
  write(1.25, "2026-11-22T09:00:00.000Z");
  write(1.26, "2026-11-22T09:04:00.000Z");
  const densities = store.listEditions("bay-shortcrust").map(({ formula }) => formula.densityGPerMl);
  expect(densities).toEqual([1.21, 1.26]);
  const then = (iso: string) =>
    store.listFormulasAsOf(iso).find(({ id }) => id === "bay-shortcrust")!.densityGPerMl;
  expect([then("2026-11-21T23:59:59.999Z"), then("2026-11-23T00:00:00.000Z")]).toEqual([1.21, 1.26]);
  expect(then("2020-01-01T00:00:00.000Z")).toBe(1.21);
});

test("a file of the first version keeps its formulas, with a plain rubbed dough's figures for what is new", () => {
  const folder = mkdtempSync(path.join(tmpdir(), "tezgah-"));
  try {
    const first = path.join(folder, "first");
    mkdirSync(first);
    copyFileSync(
      path.join(MIGRATIONS, "0001_bench_book_and_days.sql"),
      path.join(first, "0001_bench_book_and_days.sql"),
    );
    const file = path.join(folder, "old.db");
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
    const store = open(file);
    expect(readdirSync(folder)).toContain(`old.db.before-${pad(LATEST)}`);
    const records = store.listRecords();
    const [stored] = records;
    const recordOf = (kind: string) => records.find((each) => each.kind === kind);
    // The tables of pieces and cutters were made anew; what pointed at a piece still does.
    expect(recordOf("piece")).toMatchObject({
      version: 3,
      record: {
        form: { kind: "halfMoon" },
        cut: { kind: "disc", diameterMm: 110 },
        pinnedSheet: { shape: "rectangle", widthMm: 400, heightMm: 300 },
        stages: [{ ovenC: 200, minutes: 24, act: "none" }],
        extras: [],
        glue: "water",
      },
    });
    expect(recordOf("cutter")).toMatchObject({ version: 2, record: { count: 1 } });
    expect(recordOf("order")).toMatchObject({ record: { pieceId: "moon", count: 12 } });
    const lose = store.applyChanges([{ kind: "piece", id: "moon", expectedVersion: 3, record: null }], NOON);
    expect(lose).toMatchObject({ ok: false, failure: { kind: "inUse" } });
    expect(stored).toMatchObject({
      version: 4,
      record: {
        name: "Old crust",
        method: "rubbed",
        restWay: "minutes",
        restMin: 30,
        window: { lowC: 10, highC: 16 },
        steps: [],
        boughtSheet: null,
        lines: [{ name: "flour", massG: 500, mostG: null, ingredientId: null }],
      },
    });
    // The state before the first change is kept as an edition, though none was noted when it was written.
    if (stored?.kind !== "formula") throw new Error("no formula came back");
    const record = { ...stored.record, name: "New crust" };
    store.applyChanges([{ kind: "formula", id: "crust", expectedVersion: 4, record }], NOON);
    expect(store.listEditions("crust").map(({ formula }) => formula.name)).toEqual([
      "Old crust",
      "New crust",
    ]);
    expect(store.listFormulasAsOf("2026-01-01T00:00:00.000Z").map(({ name }) => name)).toEqual(["Old crust"]);
    store.close();
  } finally {
    rmSync(folder, { recursive: true });
  }
});

test("a larder item, a weighing, an ingredient and a kitchen come back as they were, empty parts too", () => {
  const store = openDemo();
  const ingredient: Ingredient = {
    id: "fog",
    name: "sea fog",
    otherNames: ["haar"],
    group: "other",
    densities: [{ state: "packed", gPerMl: 0.06 }],
    pieceG: 2.5,
    waterShare: 1,
    fatShare: 0,
    sugarShare: 0,
    starchShare: 0,
    allergens: ["sulphites"],
    pack: { massG: 100, priceMinor: 5 },
    source: "my own",
  };
  for (const record of [
    ingredient,
    { ...ingredient, id: "plain-fog", densities: [], pieceG: null, pack: null },
  ]) {
    const change = { kind: "ingredient", id: record.id, expectedVersion: 0, record } as const;
    expect(store.applyChanges([change], NOON)).toEqual({ ok: true, value: [1] });
    expect(pickRecords(store.listRecords(), "ingredient")).toContainEqual(record);
  }
  const weighing = pickRecords(store.listRecords(), "weighing")[0]!;
  const untouched: Weighing = { ...weighing, tickedLineIds: [], took: null, mixG: 900 };
  const change = { kind: "weighing", id: weighing.id, expectedVersion: 1, record: untouched } as const;
  expect(store.applyChanges([change], NOON).ok).toBe(true);
  expect(pickRecords(store.listRecords(), "weighing")).toEqual([untouched]);
});
