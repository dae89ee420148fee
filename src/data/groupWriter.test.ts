import fc from "fast-check";
import type { ChangeGroup } from "@/schemas/change";
import { invert, toChange } from "@/schemas/change";
import type { Piece } from "@/schemas/model";
import { adding, NOON, openDemo, readRecord, setFields, writeChanges } from "./__tests__/testStore";

const KEY = { kind: "piece", id: "quince-half-moon" } as const;
const readPiece = (store: ReturnType<typeof openDemo>) => readRecord(store, "piece", KEY.id)!;
const changing = (before: Piece, fields: Partial<Piece>) => toChange(KEY, before, { ...before, ...fields })!;

test("two tablets that set different fields of one piece both find theirs", () => {
  const store = openDemo();
  const seen = readPiece(store);
  expect(writeChanges(store, [changing(seen, { marginMm: 15 })]).kind).toBe("written");
  const answer = writeChanges(store, [changing(seen, { spares: 3 })]);
  expect(answer).toMatchObject({ kind: "written", standing: [{ record: { marginMm: 15, spares: 3 } }] });
});

test("the same field set by both is asked about, with what stands there, and nothing is written", () => {
  const store = openDemo();
  const seen = readPiece(store);
  writeChanges(store, [changing(seen, { marginMm: 15 })]);
  const answer = writeChanges(store, [changing(seen, { marginMm: 16, spares: 3 })]);
  expect(answer).toMatchObject({
    kind: "conflicted",
    conflicts: [{ ...KEY, fields: ["marginMm"], theirs: { marginMm: 15 } }],
  });
  expect(readPiece(store)).toEqual({ ...seen, marginMm: 15 });
});

test("the same value set by both is no conflict", () => {
  const store = openDemo();
  const seen = readPiece(store);
  writeChanges(store, [changing(seen, { marginMm: 15 })]);
  expect(writeChanges(store, [changing(seen, { marginMm: 15 })]).kind).toBe("written");
});

test("a piece changed there is not taken away here unasked, nor one brought back that was taken away", () => {
  const store = openDemo();
  const seen = readPiece(store);
  writeChanges(store, [changing(seen, { marginMm: 15 })]);
  expect(writeChanges(store, [toChange(KEY, seen, null)!])).toMatchObject({
    kind: "conflicted",
    conflicts: [{ fields: ["marginMm"] }],
  });
  const order = readRecord(store, "order", "order-4")!;
  const orderKey = { kind: "order", id: order.id } as const;
  writeChanges(store, [toChange(orderKey, order, null)!]);
  expect(writeChanges(store, [toChange(orderKey, order, { ...order, count: 9 })!])).toMatchObject({
    kind: "conflicted",
    conflicts: [{ theirs: null }],
  });
});

test("a day that still names an archived piece may change it, and does not lose it from its screen by that", () => {
  const store = openDemo();
  const seen = readPiece(store);
  const stands = readRecord(store, "standing", "kiosk-moons")!;
  expect(writeChanges(store, [toChange(KEY, seen, null)!])).toMatchObject({
    kind: "refused",
    message: expect.stringContaining("a standing order of Ferry kiosk"),
  });
  writeChanges(store, [toChange({ kind: "standing", id: stands.id }, stands, null)!]);
  expect(writeChanges(store, [toChange(KEY, seen, null)!])).toMatchObject({ standing: [{ record: null }] });
  const answer = writeChanges(store, [changing(seen, { spares: 6 })]);
  expect(answer).toMatchObject({ kind: "written", standing: [{ record: { spares: 6 } }] });
  expect(readPiece(store).spares).toBe(6);
  // It stays out of the book: a day that does not name it does not find it.
  expect(readRecord(store, "piece", KEY.id, "2026-12-04")).toBeNull();
});

test("a group is written whole or not at all; the others of its message are written all the same", () => {
  const store = openDemo();
  const seen = readPiece(store);
  const bench = readRecord(store, "bench", "bench")!;
  const groups: ChangeGroup[] = [
    { id: "good-1", changes: [changing(seen, { spares: 4 })] },
    {
      id: "bad",
      changes: [
        toChange({ kind: "bench", id: "bench" }, bench, { ...bench, widthMm: 999 })!,
        toChange({ kind: "cutter", id: "none" }, null, {
          id: "none",
          name: "",
          count: 1,
          outline: { kind: "disc", diameterMm: 80 },
        })!,
      ],
    },
    { id: "good-2", changes: [changing({ ...seen, spares: 4 }, { spares: 5 })] },
  ];
  const { answers } = store.applyGroups(groups, NOON);
  expect(answers.map(({ kind }) => kind)).toEqual(["written", "refused", "written"]);
  expect(answers[1]).toMatchObject({ message: expect.stringContaining("needs a name") });
  expect([readPiece(store).spares, readRecord(store, "bench", "bench")]).toEqual([5, bench]);
});

test("a group sent twice counts once, and the second answer says what stands there now", () => {
  const store = openDemo();
  const seen = readPiece(store);
  const group: ChangeGroup = { id: "once", changes: [changing(seen, { spares: 4 })] };
  const first = store.applyGroups([group], NOON);
  setFields(store, "piece", KEY.id, { spares: 7 });
  const second = store.applyGroups([group], NOON);
  expect(second.answers[0]).toMatchObject({ kind: "written", standing: [{ record: { spares: 7 } }] });
  expect(readPiece(store).spares).toBe(7);
  expect(second.revision).toBeGreaterThan(first.revision);
});

test("old groups are forgotten and the revision does not fall for it", () => {
  const store = openDemo();
  const before = store.applyGroups([], NOON).revision;
  store.forgetGroups("2027-06-01T00:00:00.000Z");
  expect(store.applyGroups([], NOON).revision).toBe(before);
  expect(
    store.applyGroups([{ id: "new", changes: [changing(readPiece(store), { spares: 9 })] }], NOON).revision,
  ).toBe(before + 1);
});

test("two living customers have two names, whatever their case; one who is gone stays the name on an order", () => {
  const store = openDemo();
  const kiosk = readRecord(store, "customer", "ferry-kiosk")!;
  const twin = adding({ kind: "customer", record: { ...kiosk, id: "twin", name: "FERRY kiosk" } });
  expect(writeChanges(store, [twin])).toMatchObject({
    kind: "refused",
    message: expect.stringContaining("customer of this name"),
  });
  expect(writeChanges(store, [toChange({ kind: "customer", id: kiosk.id }, kiosk, null)!]).kind).toBe(
    "written",
  );
  expect(readRecord(store, "order", "order-2")).toMatchObject({
    customer: "Ferry kiosk",
    customerId: kiosk.id,
  });
  expect(writeChanges(store, [twin]).kind).toBe("written");
});

test("a day taken away comes back with its orders; one that was run stays", () => {
  const store = openDemo();
  const day = readRecord(store, "day", "day-2026-11-28")!;
  const removal = toChange({ kind: "day", id: day.id }, day, null)!;
  expect(writeChanges(store, [removal]).kind).toBe("written");
  expect(store.readDay(day.date)).toBeNull();
  expect(writeChanges(store, [invert(removal)]).kind).toBe("written");
  expect(store.readDay(day.date)!.lists.order!.map(({ id }) => id)).toContain("order-1");
  store.runs.freeze(day, Buffer.from("{}"), NOON);
  expect(writeChanges(store, [removal])).toMatchObject({
    kind: "refused",
    message: expect.stringContaining("stays in the book of days"),
  });
});

test("what names something that is not there is refused in words", () => {
  const store = openDemo();
  const order = { ...readRecord(store, "order", "order-1")!, id: "lost", pieceId: "nobody" };
  expect(writeChanges(store, [adding({ kind: "order", record: order })])).toMatchObject({
    kind: "refused",
    message: expect.stringContaining("no longer there"),
  });
});

/**
 * Ten thousand edits of two tablets, each from what it last saw: whatever the order, no value that one set is replaced
 * by the other unless that other had seen it.
 */
test("of 10,000 interleaved edits from two tablets none is overwritten in silence", () => {
  const store = openDemo();
  const random = fc.sample(fc.tuple(fc.nat(1), fc.nat(2), fc.integer({ min: 5, max: 30 }), fc.boolean()), {
    numRuns: 10_000,
    seed: 7,
  });
  const seen: [Piece, Piece] = [readPiece(store), readPiece(store)];
  const fields = ["marginMm", "spares", "spacingMm"] as const;
  let stands = readPiece(store);
  const counts = { written: 0, conflicted: 0 };
  random.forEach(([tablet, field, value, looks], i) => {
    if (looks) seen[tablet] = stands;
    const name = fields[field]!;
    if (seen[tablet]![name] === value) return;
    const change = changing(seen[tablet]!, { [name]: value });
    const [answer] = store.applyGroups([{ id: `edit-${i}`, changes: [change] }], NOON).answers;
    const mayWrite = stands[name] === seen[tablet]![name] || stands[name] === value;
    expect(answer!.kind).toBe(mayWrite ? "written" : "conflicted");
    if (!mayWrite) return void counts.conflicted++;
    counts.written++;
    stands = { ...stands, [name]: value };
    seen[tablet] = stands;
  });
  expect(readPiece(store)).toEqual(stands);
  expect(Math.min(counts.written, counts.conflicted)).toBeGreaterThan(500);
}, 60_000);
