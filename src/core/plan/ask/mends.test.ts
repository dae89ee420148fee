import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { listMends, planDay, type DayBook, type Piece } from "..";

const monday = toDayBook(listDemoRecords(), "2026-11-30", null)!;
const withPiece = (id: string, change: Partial<Piece>): DayBook => ({
  ...monday,
  pieces: monday.pieces.map((piece) => (piece.id === id ? { ...piece, ...change } : piece)),
});
const isMade = (book: DayBook, id: string) => planDay(book).lines.some(({ piece }) => piece.id === id);

test.each<[string, string, Partial<Piece>, RegExp]>([
  [
    "a square too small for its fruit",
    "pear-coat",
    { cut: { kind: "square", sideMm: 120 } },
    /^Cut it .*square/,
  ],
  [
    "a round too small for its mould",
    "custard-cup",
    { cut: { kind: "disc", diameterMm: 60 } },
    /to its mould/,
  ],
  ["too thick for its mould", "custard-cup", { thicknessMm: 40 }, /^(Cut|Roll) it/],
  ["rolled out too wide", "date-round", { thicknessMm: 1.2 }, /^(Roll|Cut|Fill)/],
  ["larger than the bench", "leek-press", { cut: { kind: "disc", diameterMm: 590 } }, /^Cut it/],
])("%s: the rest of the day is planned, and every mend named makes it", (_, id, change, first) => {
  const book = withPiece(id, change);
  const plan = planDay(book);
  expect(plan.lines.some(({ piece }) => piece.id === id)).toBe(false);
  expect(plan.problems).toContainEqual(expect.objectContaining({ pieceId: id, stops: true }));
  const asWas = planDay(monday).lines.length;
  expect(plan.lines).toHaveLength(asWas - 1);
  const mends = listMends(book, id);
  expect(mends.length).toBeGreaterThan(0);
  expect(mends.length).toBeLessThanOrEqual(4);
  expect(mends[0]!.title).toMatch(first);
  for (const mend of mends) expect(isMade(withPiece(id, { ...change, ...mend.change }), id)).toBe(true);
});

test("a stepped figure is moved no further than it must, and what can be made or is not there has no mend of another kind", () => {
  const book = withPiece("custard-cup", { thicknessMm: 40 });
  const rolled = listMends(book, "custard-cup").find(({ change }) => change.thicknessMm !== undefined)!;
  const thicknessMm = rolled.change.thicknessMm! + 0.5;
  expect(isMade(withPiece("custard-cup", { thicknessMm }), "custard-cup")).toBe(false);
  expect(listMends(monday, "gone")).toEqual([]);
});
