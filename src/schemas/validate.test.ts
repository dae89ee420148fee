import { listDemoRecords, listDemoWorld } from "@/demo";
import { toDayBook } from "./toDayBook";
import { findLongList, MAX_LIST } from "./findLongList";
import { validateDayBook, validateFirstDay, validateGroup, validateLayout, validateRecord } from "./validate";

const records = listDemoRecords();
const book = toDayBook(records, "2026-11-28", null)!;
const [piece] = book.pieces;

test("the demo world passes its own rules, as changes and as a document", () => {
  for (const { kind, record } of listDemoWorld())
    expect(validateRecord(kind, record)).toEqual({ ok: true, value: record });
  expect(validateDayBook(JSON.parse(JSON.stringify(book)))).toEqual({ ok: true, value: book });
});

test.each([
  [{ thicknessMm: 0 }, "Rolled to: 0 mm is 1 mm too little. Use 1 mm to 12 mm."],
  [{ thicknessMm: 30 }, "18 mm too much"],
  [{ thicknessMm: "3" }, "must be a number"],
  [{ spares: 1.5 }, "whole number"],
  [{ name: " " }, "needs a name"],
  [{ cut: { kind: "hexagon" } }, "disc, oval, square"],
  [{ surprise: 1 }, "not allowed"],
])("%j is refused with a reason", (fields, reason) => {
  expect(validateRecord("piece", { ...piece, ...fields })).toEqual({
    ok: false,
    failure: [expect.objectContaining({ message: expect.stringContaining(reason) })],
  });
});

test("faults name their place in the document", () => {
  const faulty = { ...book, orders: [{ ...book.orders[0], pieceId: "nobody" }] };
  expect(validateDayBook(faulty)).toEqual({
    ok: false,
    failure: [{ path: "orders.0.pieceId", message: expect.stringContaining("nobody") }],
  });
  expect(validateDayBook({})).toMatchObject({ ok: false });
  expect(validateDayBook(null)).toMatchObject({ ok: false });
  expect(
    validateLayout({
      outlines: [{ outline: { kind: "disc", diameterMm: -4 } }],
      sheet: { widthMm: 400, heightMm: 300 },
    }),
  ).toMatchObject({
    ok: false,
    failure: [{ path: "outlines.0.outline.diameterMm" }],
  });
});

test("a date the calendar does not have is refused, also on the first screen", () => {
  const day = { ...book.day, date: "2026-02-30" };
  expect(validateDayBook({ ...book, day })).toEqual({
    ok: false,
    failure: [{ path: "day.date", message: expect.stringContaining("“2026-02-30” is no date") }],
  });
  expect(validateFirstDay({ starterId: null, date: "tomorrow", count: 1, dueMin: 1 }).ok).toBe(false);
  expect(validateFirstDay(null).ok).toBe(false);
});

test("a sheet larger than its bench is refused", () => {
  const bench = { ...book.bench, sheetMaxWidthMm: book.bench.widthMm + 1 };
  expect(validateDayBook({ ...book, bench })).toMatchObject({
    ok: false,
    failure: [{ path: "bench.sheetMaxWidthMm" }],
  });
});

test("a group of changes says what it sets or what it takes away, of a kind that there is", () => {
  const change = { kind: "piece", id: "moon", set: { spares: 2 }, was: { spares: 1 } };
  expect(validateGroup({ id: "g-1", changes: [change] }).ok).toBe(true);
  for (const bad of [
    null,
    { id: "g-1", changes: [] },
    { id: "", changes: [change] },
    { id: "g-1", changes: [{ ...change, kind: "cake" }] },
    { id: "g-1", changes: [{ ...change, set: null, was: null }] },
    { id: "g-1", changes: [{ ...change, id: "../etc" }] },
    { id: "g-1", changes: [{ ...change, set: "spares" }] },
  ])
    expect(validateGroup(bad)).toMatchObject({ ok: false, failure: [{ message: expect.any(String) }] });
});

test("a list that is too long is found by its length, without a look at what is in it", () => {
  const touched = new Proxy(
    {},
    {
      ownKeys: () => {
        throw new Error("looked at an item");
      },
    },
  );
  const orders = Array.from({ length: 130_000 }, () => touched);
  expect(findLongList({ day: {}, orders })).toEqual({
    path: "orders",
    message: "130000 are 128000 too many: 2000 at the most.",
  });
  expect(findLongList({ parts: [{ placements: new Array(MAX_LIST + 1).fill(null) }] })?.path).toBe(
    "parts.0.placements",
  );
  expect(findLongList({ orders: new Array(2000).fill(null) })).toBeNull();
  const deep = Array.from({ length: 40 }).reduce<object>((inner) => ({ inner }), {});
  expect(findLongList(deep)?.message).toContain("nested");
});
