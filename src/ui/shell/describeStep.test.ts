import { listDemoRecords } from "@/demo";
import { toChange } from "@/schemas/change";
import { findRecord, pickRecords } from "@/schemas/recordTable";
import { describeStep } from "./describeStep";

const records = listDemoRecords();
const piece = findRecord(records, "piece", "quince-half-moon")!;
const order = pickRecords(records, "order").find(({ customer }) => customer === "Ferry kiosk")!;
const say = (...changes: (ReturnType<typeof toChange> | null)[]) =>
  describeStep({ changes: changes.flatMap((change) => change ?? []), atMs: 0 }, records);
const ofPiece = (fields: Partial<typeof piece>) =>
  toChange({ kind: "piece", id: piece.id }, piece, { ...piece, ...fields });
const key = { kind: "order", id: order.id } as const;

test("a figure by its piece and its name, several by the first and how many more", () => {
  expect(say(ofPiece({ marginMm: 9 }))).toBe("Quince half-moon: margin (mm)");
  expect(say(ofPiece({ marginMm: 9, spares: 4, webMm: 3 }))).toMatch(/^Quince half-moon: .* and 2 more$/);
});

test("what came and what went by what it is, an order by what it is for", () => {
  const words = `${order.count} Quince half-moon for Ferry kiosk, 10:30`;
  expect(say(toChange(key, null, order))).toBe(`${words}, added`);
  expect(say(toChange(key, order, null))).toBe(`${words}, removed`);
  expect(say(toChange(key, order, { ...order, count: 30 }))).toBe(`${words}: count`);
});

test("several records by the first; what has no name by its kind; nothing for nothing", () => {
  expect(say(ofPiece({ marginMm: 9 }), toChange(key, order, null))).toBe(
    "Quince half-moon: margin (mm), and 1 more",
  );
  const [kitchen] = pickRecords(records, "kitchen");
  expect(say(toChange({ kind: "kitchen", id: kitchen!.id }, kitchen!, { ...kitchen!, roomC: 25 }))).toBe(
    "the kitchen: room (°C)",
  );
  expect(say()).toBe("");
});
