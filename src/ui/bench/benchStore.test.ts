import { planDay } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import type { Piece } from "@/schemas/model";
import type { RecordChange } from "@/schemas/recordKinds";
import { pickRecords, toDayBook } from "@/schemas/toDayBook";
import { createBenchStore, type SaveChanges } from "./benchStore";

const DATE = "2026-11-28";
const records = listDemoRecords();
const plan = planDay(toDayBook(records, DATE, null)!);
const piece = pickRecords(records, "piece")[0]!;

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

/** A store whose saves are answered by the test, and whose clock the test turns. */
function open(
  answer: SaveChanges = async (changes) => ({
    ok: true,
    value: changes.map(({ expectedVersion }) => expectedVersion + 1),
  }),
) {
  const sent: (readonly RecordChange[])[] = [];
  let nowMs = 0;
  const store = createBenchStore({
    date: DATE,
    records,
    formulasThen: [],
    plan,
    nowMin: null,
    saveChanges: async (changes) => {
      sent.push(changes);
      return answer(changes);
    },
    planBook: async () => plan,
    clock: () => new Date((nowMs += 10)),
  });
  const state = () => store.getState();
  const setMargin = (marginMm: number) =>
    state().edit([{ kind: "piece", id: piece.id, record: { ...current(), marginMm } }]);
  const current = (): Piece => pickRecords(state().records, "piece").find(({ id }) => id === piece.id)!;
  const wait = (ms: number) => {
    nowMs += ms;
  };
  return { sent, state, setMargin, current, wait };
}

test("edits are shown at once, planned with, and sent together after a quiet time", async () => {
  const { sent, state, setMargin, current } = open();
  setMargin(14);
  setMargin(15);
  expect(current().marginMm).toBe(15);
  expect(state().book.pieces[0]!.marginMm).toBe(15);
  expect(state().save.kind).toBe("waiting");
  expect(sent).toHaveLength(0);
  await jest.advanceTimersByTimeAsync(400);
  expect(sent).toHaveLength(1);
  expect(sent[0]).toEqual([expect.objectContaining({ kind: "piece", id: piece.id, expectedVersion: 1 })]);
  expect(state().save.kind).toBe("saved");
});

test("one drag is one undo; two changes apart are two; redo brings them back", () => {
  const { state, setMargin, current, wait } = open();
  const before = current().marginMm;
  setMargin(14);
  setMargin(15);
  setMargin(16);
  wait(2000);
  setMargin(20);
  state().undo();
  expect(current().marginMm).toBe(16);
  state().undo();
  expect([current().marginMm, state().canUndo]).toEqual([before, false]);
  state().undo();
  expect(current().marginMm).toBe(before);
  state().redo();
  state().redo();
  expect([current().marginMm, state().canRedo]).toEqual([20, false]);
  state().undo();
  setMargin(11);
  expect(state().canRedo).toBe(false);
});

test("the next save names the version the last one made", async () => {
  const { sent, setMargin, state } = open();
  setMargin(14);
  await state().flush();
  setMargin(15);
  await state().flush();
  expect(sent.map(([change]) => change!.expectedVersion)).toEqual([1, 2]);
});

test("a refused save says why and keeps the edit; no answer is tried again", async () => {
  const refusing = open(async () => ({
    ok: false,
    failure: { kind: "refused", message: "Not saved. Too wide." },
  }));
  refusing.setMargin(14);
  await refusing.state().flush();
  expect(refusing.state().save).toEqual({ kind: "failed", message: "Not saved. Too wide." });
  expect(refusing.current().marginMm).toBe(14);

  let answers = 0;
  const offline = open(async (changes) => {
    if (answers++ === 0) throw new Error("no network");
    return { ok: true, value: changes.map(() => 2) };
  });
  offline.setMargin(14);
  await offline.state().flush();
  expect(offline.state().save.kind).toBe("failed");
  await jest.advanceTimersByTimeAsync(5000);
  expect(offline.sent).toHaveLength(2);
  expect(offline.state().save.kind).toBe("saved");
});

describe("a stale save", () => {
  const theirs: Piece = { ...piece, marginMm: 19 };
  const stale = () => {
    let first = true;
    return open(async (changes) => {
      if (!first) return { ok: true, value: changes.map(({ expectedVersion }) => expectedVersion + 1) };
      first = false;
      return {
        ok: false,
        failure: {
          kind: "stale",
          changed: "piece",
          id: piece.id,
          current: { kind: "piece", record: theirs, version: 7 },
        },
      };
    });
  };

  test("is shown with both sides, and nothing is sent until one is chosen", async () => {
    const { state, setMargin, sent } = stale();
    setMargin(14);
    await state().flush();
    expect(state().conflict).toMatchObject({ theirs: { record: { marginMm: 19 } }, mine: { marginMm: 14 } });
    setMargin(15);
    await state().flush();
    expect(sent).toHaveLength(1);
  });

  test("mine is written over theirs, from their version", async () => {
    const { state, setMargin, sent, current } = stale();
    setMargin(14);
    await state().flush();
    state().resolveConflict("mine");
    await jest.advanceTimersByTimeAsync(10);
    expect(sent[1]![0]).toMatchObject({ expectedVersion: 7, record: { marginMm: 14 } });
    expect([current().marginMm, state().conflict]).toEqual([14, null]);
  });

  test("theirs is taken, and nothing more is sent", async () => {
    const { state, setMargin, sent, current } = stale();
    setMargin(14);
    await state().flush();
    state().resolveConflict("theirs");
    await jest.advanceTimersByTimeAsync(10);
    expect([current().marginMm, sent.length]).toEqual([19, 1]);
    setMargin(21);
    await state().flush();
    expect(sent[1]![0]).toMatchObject({ expectedVersion: 7 });
  });
});

test("what names another is written after it, and removed before it", async () => {
  const { state, sent } = open();
  const dough = pickRecords(records, "formula")[0]!;
  const copy = { ...dough, id: "copy" };
  state().edit([
    { kind: "piece", id: "new", record: { ...piece, id: "new", doughId: "copy" } },
    { kind: "formula", id: "copy", record: copy },
  ]);
  await state().flush();
  expect(sent[0]!.map(({ kind }) => kind)).toEqual(["formula", "piece"]);
  state().edit([
    { kind: "formula", id: "copy", record: null },
    { kind: "piece", id: "new", record: null },
  ]);
  await state().flush();
  expect(sent[1]!.map(({ kind, record }) => [kind, record])).toEqual([
    ["piece", null],
    ["formula", null],
  ]);
});

test("what was made and taken away again before it was saved is never sent", async () => {
  const { state, sent } = open();
  state().edit([{ kind: "piece", id: "new", record: { ...piece, id: "new" } }]);
  state().undo();
  await state().flush();
  expect(sent.flat()).toEqual([]);
});

test("a day that is over is planned with the formulas of then, while the book shows those of now", () => {
  const then = { ...pickRecords(records, "formula")[0]!, densityGPerMl: 1.11 };
  const store = createBenchStore({
    date: DATE,
    records,
    formulasThen: [then],
    plan,
    nowMin: null,
    saveChanges: async () => ({ ok: true, value: [] }),
    planBook: async () => plan,
    clock: () => new Date(0),
  });
  const { book, records: now } = store.getState();
  expect(book.formulas.find(({ id }) => id === then.id)!.densityGPerMl).toBe(1.11);
  expect(pickRecords(now, "formula").find(({ id }) => id === then.id)!.densityGPerMl).not.toBe(1.11);
});
