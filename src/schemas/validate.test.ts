import { listDemoChanges, listDemoRecords } from "@/demo";
import { toDayBook } from "./toDayBook";
import { validateChanges, validateDayBook, validateFirstDay, validateLayout } from "./validate";

const records = listDemoRecords();
const book = toDayBook(records, "2026-11-28", null)!;
const [piece] = book.pieces;
const change = (fields: object) => [
  { kind: "piece", id: piece!.id, expectedVersion: 1, record: { ...piece, ...fields } },
];

test("the demo world passes its own rules, as changes and as a document", () => {
  expect(validateChanges(listDemoChanges())).toEqual({ ok: true, value: listDemoChanges() });
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
  expect(validateChanges(change(fields))).toEqual({
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
