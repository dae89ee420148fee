import { gatherHolds } from "@/core/habits";
import { listReadyWays } from "@/core/way";
import type { Outline } from "@/core/shape";
import { listDemoWorld } from "@/demo";
import type { Ingredient, LotRecord, Piece, Weighing } from "@/schemas/model";
import { toChange } from "@/schemas/change";
import type { KindedRecord } from "@/schemas/recordKinds";
import { pickRecords } from "@/schemas/recordTable";
import {
  adding,
  openDemo,
  readRecord,
  readTable,
  setFields,
  writeChanges,
  SATURDAY,
} from "./__tests__/testStore";

test("everything that a day concerns comes back as it was", () => {
  const store = openDemo();
  const world = listDemoWorld();
  const dates = world.flatMap((each) => (each.kind === "day" ? [each.record.date] : []));
  const found = dates.map((date) => readTable(store, date));
  for (const { kind, record } of world)
    expect(found.map((table) => table.get(kind)?.get(record.id))).toContainEqual(record);
});

test("a day reads its own orders and the eve's, not those of other days", () => {
  const days = new Set(pickRecords(readTable(openDemo()), "order").map(({ dayId }) => dayId));
  expect([...days].sort()).toEqual(["day-2026-11-27", "day-2026-11-28"]);
});

test("a pinned sheet and a rectangle come back too", () => {
  const store = openDemo();
  const fields: Partial<Piece> = {
    cut: { kind: "rectangle", widthMm: 80, heightMm: 140 },
    cutAim: "pinned",
    pinnedSheet: { widthMm: 400, heightMm: 300, shape: "oval" },
  };
  expect(setFields(store, "piece", "quince-half-moon", fields).kind).toBe("written");
  expect(readRecord(store, "piece", "quince-half-moon")).toMatchObject(fields);
});

test("a portion by weight, a heap in its ring and a dough in equal parts come back too, and may be taken back", () => {
  const store = openDemo();
  const piece: Partial<Piece> = {
    portionG: 31.5,
    form: { kind: "gathered", finishedMm: 66, heapMm: 40 },
    cutAim: "sensible",
    seenFirst: false,
  };
  expect(setFields(store, "piece", "date-round", piece).kind).toBe("written");
  expect(setFields(store, "formula", "bay-shortcrust", { dividedCount: 3 }).kind).toBe("written");
  expect(readRecord(store, "piece", "date-round")).toMatchObject(piece);
  expect(readRecord(store, "formula", "bay-shortcrust")).toMatchObject({ dividedCount: 3 });
  const back = { portionG: null, form: { kind: "gathered", finishedMm: 66, heapMm: null } };
  expect(setFields(store, "piece", "date-round", back).kind).toBe("written");
  expect(readRecord(store, "piece", "date-round")).toMatchObject(back);
});

test("cutters of every outline, forms and what was logged come back as they were", () => {
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
  const piece = readRecord(store, "piece", "quince-half-moon")!;
  const forms: readonly Piece["form"][] = [
    { kind: "lidded", topOversizeMm: null, stick: null },
    { kind: "lidded", topOversizeMm: 7.5, stick: { lengthMm: 120, thicknessMm: 4 } },
    { kind: "case", holeMm: 44 },
    { kind: "rosette", sliceMm: 40, sliceThicknessMm: 2, overlapShare: 0.4, cavityMm: 66 },
  ];
  const ofDay = { dayId: `day-${SATURDAY}`, date: SATURDAY };
  const added: readonly KindedRecord[] = [
    ...outlines.map((outline, i) => ({
      kind: "cutter" as const,
      record: { id: `c-${i}`, name: `Cutter ${i}`, outline, count: i + 1 },
    })),
    ...forms.map((form, i) => ({
      kind: "piece" as const,
      record: { ...piece, id: `p-${i}`, form, way: listReadyWays(form)[0]!.way },
    })),
    { kind: "cutRecord", record: { id: "cut-1", ...ofDay, doughId: "bay-shortcrust", planned: 60, got: 57 } },
    {
      kind: "lotRecord",
      record: {
        id: "lot-1",
        ...ofDay,
        pieceId: piece.id,
        pieces: 48,
        fill: { style: "spoon", minutes: 11, craftMinutes: 9.6 },
        close: null,
        leaked: 2,
        craftLeakShare: 0.025,
        craftCauses: { margin: -0.4, "wetness:wet": 0.9 },
      },
    },
  ];
  expect(writeChanges(store, added.map(adding)).kind).toBe("written");
  const table = readTable(store);
  for (const { kind, record } of added) expect(table.get(kind)!.get(record.id)).toEqual(record);
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
  const plain: Ingredient = { ...ingredient, id: "plain-fog", densities: [], pieceG: null, pack: null };
  for (const record of [ingredient, plain]) {
    expect(writeChanges(store, [adding({ kind: "ingredient", record })]).kind).toBe("written");
    expect(readRecord(store, "ingredient", record.id)).toEqual(record);
  }
  const [weighing] = pickRecords(readTable(store, "2026-11-27"), "weighing");
  const untouched: Weighing = { ...weighing!, tickedLineIds: [], took: null, mixG: 900 };
  expect(
    writeChanges(store, [toChange({ kind: "weighing", id: weighing!.id }, weighing!, untouched)!]).kind,
  ).toBe("written");
  expect(readRecord(store, "weighing", weighing!.id, "2026-11-27")).toEqual(untouched);
  expect(setFields(store, "kitchen", "kitchen", { timeZone: "Asia/Kathmandu" }).kind).toBe("written");
  expect(readRecord(store, "kitchen", "kitchen")!.timeZone).toBe("Asia/Kathmandu");
  expect(setFields(store, "kitchen", "kitchen", { currency: "CHF" }).kind).toBe("written");
  expect(readRecord(store, "kitchen", "kitchen")!.currency).toBe("CHF");
  expect(setFields(store, "kitchen", "kitchen", { lengthUnit: "inch", massUnit: "ounce" }).kind).toBe(
    "written",
  );
  expect(readRecord(store, "kitchen", "kitchen")).toMatchObject({ lengthUnit: "inch", massUnit: "ounce" });
});

test("what hands and heat cost and what pieces are sold for is kept; a price is of a piece that is there", () => {
  const store = openDemo();
  expect(store.readTill()).toEqual(readRecord(store, "till", "till"));
  expect(setFields(store, "till", "till", { hourMinor: 2350, hidesFromBench: true }).kind).toBe("written");
  expect(store.readTill()).toEqual({ id: "till", hourMinor: 2350, kwhMinor: 30, hidesFromBench: true });
  const before = readRecord(store, "price", "leek-triangle")!;
  expect(setFields(store, "price", "leek-triangle", { priceMinor: 0 }).kind).toBe("written");
  expect(readRecord(store, "price", "leek-triangle")).toEqual({ ...before, priceMinor: 0 });
  const stray = adding({ kind: "price", record: { id: "no-such-piece", priceMinor: 100 } });
  expect(writeChanges(store, [stray])).toMatchObject({ kind: "refused" });
  expect(setFields(store, "price", "plum-pop", { priceMinor: -1 })).toMatchObject({ kind: "refused" });
  // A piece that goes out of the book takes no price with it: days that sold it still know.
  const piece = readRecord(store, "piece", "chestnut-pie")!;
  writeChanges(store, [toChange({ kind: "piece", id: piece.id }, piece, null)!]);
  expect(readRecord(store, "price", "chestnut-pie")).not.toBeNull();
});

test("the sums of leaks are those of the records, however these were written, changed and taken away", () => {
  const store = openDemo();
  const past = () => {
    const { leaks, holds } = store.readDay(SATURDAY)!.past;
    return { leaks, holds: holds.toSorted((a, b) => a.craftLeakShare - b.craftLeakShare) };
  };
  const sunday = "2026-11-29";
  const lot = (i: number, over: Partial<LotRecord>): LotRecord => ({
    id: `lot-${i}`,
    dayId: `day-${sunday}`,
    date: sunday,
    pieceId: "plum-pop",
    pieces: 40,
    fill: null,
    close: null,
    leaked: 2,
    craftLeakShare: 0.03,
    craftCauses: { margin: -0.4, "glue:egg": -0.4 },
    ...over,
  });
  const bare = past();
  const lots = [
    lot(1, {}),
    lot(2, { leaked: 5, craftCauses: { "glue:egg": -0.4, margin: -0.4 } }),
    lot(3, { leaked: null }),
    lot(4, { craftLeakShare: 0.05 }),
    lot(5, { craftCauses: {}, leaked: 1 }),
  ];
  const write = (before: readonly LotRecord[], after: readonly LotRecord[]) => {
    const changes = after.map((record, i) =>
      toChange({ kind: "lotRecord", id: record.id }, before[i]!, record)!,
    );
    expect(writeChanges(store, changes).kind).toBe("written");
  };
  writeChanges(
    store,
    lots.map((record) => adding({ kind: "lotRecord", record })),
  );
  const expected = gatherHolds(bare, lots);
  expect(past()).toEqual(expected);
  expect(expected.holds.find(({ craftLeakShare }) => craftLeakShare === 0.03)).toMatchObject({
    lots: 2,
    leaked: 7,
  });

  const changed = [
    lot(1, { leaked: null }),
    lot(2, { leaked: 0, craftCauses: {} }),
    lot(3, { leaked: 9, pieces: 30 }),
  ];
  write(lots, changed);
  expect(past()).toEqual(gatherHolds(bare, [...changed, ...lots.slice(3)]));

  const gone = [...changed, ...lots.slice(3)].map(({ id }) =>
    toChange({ kind: "lotRecord", id }, readRecord(store, "lotRecord", id, sunday), null)!,
  );
  expect(writeChanges(store, gone).kind).toBe("written");
  expect(past().holds).toEqual(bare.holds);
  expect(past().leaks["plum-pop"]).toEqual({ lots: 0, leaked: 0, expected: 0 });
});

describe("what is taken away", () => {
  const removal = (
    store: ReturnType<typeof openDemo>,
    kind: "piece" | "formula" | "day" | "vessel",
    id: string,
  ) => toChange({ kind, id }, readRecord(store, kind, id), null)!;

  test("a piece leaves the book, and the days that name it keep it with its formulas and its log", () => {
    const store = openDemo();
    const sunday = "2026-11-29";
    const piece = readRecord(store, "piece", "plum-pop")!;
    const lot = {
      id: "lot-1",
      dayId: `day-${sunday}`,
      date: sunday,
      pieceId: piece.id,
      pieces: 40,
      fill: null,
      close: null,
      leaked: 3,
      craftLeakShare: 0.02,
      craftCauses: {},
    };
    writeChanges(store, [adding({ kind: "lotRecord", record: lot })]);
    expect(writeChanges(store, [removal(store, "piece", piece.id)]).kind).toBe("written");
    expect(readRecord(store, "piece", piece.id, sunday)).toEqual(piece);
    expect(readRecord(store, "lotRecord", "lot-1", sunday)).toEqual(lot);
    expect(readRecord(store, "piece", piece.id)).toBeNull();
    // Its filling may go now, and is kept likewise.
    expect(writeChanges(store, [removal(store, "formula", piece.fillingId)]).kind).toBe("written");
    expect(readRecord(store, "formula", piece.fillingId, sunday)).not.toBeNull();
    expect(readRecord(store, "formula", piece.fillingId)).toBeNull();
  });

  test("a cutter that is taken out and comes back stands where it stood, also for the next tablet", () => {
    const store = openDemo();
    const ids = () => pickRecords(readTable(store), "cutter").map(({ id }) => id);
    const before = ids();
    const cutters = pickRecords(readTable(store), "cutter");
    const [first, second] = [cutters[0]!, cutters[1]!];
    const taking = (record: (typeof cutters)[number]) =>
      toChange({ kind: "cutter", id: record.id }, record, null)!;
    expect(writeChanges(store, [taking(first), taking(second)]).kind).toBe("written");
    expect(ids()).toEqual(before.slice(2));
    expect(writeChanges(store, [adding({ kind: "cutter", record: second })]).kind).toBe("written");
    expect(writeChanges(store, [adding({ kind: "cutter", record: first })]).kind).toBe("written");
    expect(ids()).toEqual(before);
  });

  test("what a living piece is made of is not taken away, and its users are named", () => {
    const store = openDemo();
    const answer = writeChanges(store, [removal(store, "formula", "bay-shortcrust")]);
    expect(answer).toMatchObject({ kind: "refused", message: expect.stringContaining("Quince") });
    expect(readRecord(store, "formula", "bay-shortcrust")).not.toBeNull();
  });

  test("a day leaves its date free and comes back with its orders when the removal is undone", () => {
    const store = openDemo();
    const day = readRecord(store, "day", `day-${SATURDAY}`)!;
    const orders = pickRecords(readTable(store), "order");
    expect(writeChanges(store, [removal(store, "day", day.id)]).kind).toBe("written");
    expect(store.readDay(SATURDAY)).toBeNull();
    expect(store.days.listBetween(SATURDAY, SATURDAY, 9)).toEqual([]);
    expect(writeChanges(store, [adding({ kind: "day", record: day })]).kind).toBe("written");
    expect(pickRecords(readTable(store), "order")).toEqual(orders);
  });

  test("its date may be another day's meanwhile, and then the first cannot come back to it", () => {
    const store = openDemo();
    const day = readRecord(store, "day", `day-${SATURDAY}`)!;
    const another = adding({ kind: "day", record: { ...day, id: "another" } });
    expect(writeChanges(store, [another])).toMatchObject({
      kind: "refused",
      message: expect.stringContaining("date"),
    });
    writeChanges(store, [removal(store, "day", day.id)]);
    expect(writeChanges(store, [another]).kind).toBe("written");
    expect(writeChanges(store, [adding({ kind: "day", record: day })]).kind).toBe("refused");
  });
});

test("two long ids that share their first 64 letters stay two", () => {
  const store = openDemo();
  const piece = readRecord(store, "piece", "quince-half-moon")!;
  const ids = ["a", "b"].map((end) => `${"quince".repeat(15)}-${end}`);
  for (const id of ids)
    writeChanges(store, [adding({ kind: "piece", record: { ...piece, id, name: id.slice(-20) } })]);
  expect(ids.map((id) => readRecord(store, "piece", id)?.id)).toEqual(ids);
});

test("a change in another sitting is a new edition, and a past instant keeps the formula of then", () => {
  const store = openDemo();
  const write = (densityGPerMl: number, atIso: string) =>
    expect(setFields(store, "formula", "bay-shortcrust", { densityGPerMl }, atIso).kind).toBe("written");
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

test("days are listed in pages, the next one is found, and so is a free date", () => {
  const { days } = openDemo();
  expect(days.listBefore("2026-11-30", 2).map(({ date }) => date)).toEqual(["2026-11-29", "2026-11-28"]);
  expect(days.listFrom("2026-11-30", 2).map(({ date }) => date)).toEqual(["2026-11-30", "2026-12-04"]);
  expect([days.findNext("2026-12-01"), days.findNext("2030-01-01")]).toEqual(["2026-12-04", "2026-12-05"]);
  expect([days.findFree("2026-11-28", 7), days.findFree("2026-11-28", 1)]).toEqual([
    "2026-12-12",
    "2026-12-01",
  ]);
});
