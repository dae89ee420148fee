import { planDay } from "@/core/plan";
import type { SaveReply } from "./benchState";
import { NotReached } from "./callServer";
import { startSteadyClock } from "@/time/steadyClock";
import { listDemoRecords } from "@/demo";
import { findRecord, pickRecords } from "@/schemas/recordTable";
import { MOON, open } from "./__tests__/openStore";
import { createTestServer } from "./__tests__/testServer";

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test("edits are shown at once, planned with, and sent together after a quiet time", async () => {
  const { server, state, set, piece, planned } = open();
  set({ marginMm: 14 });
  set({ marginMm: 15 });
  expect(piece().marginMm).toBe(15);
  expect(planned.at(-1)!.table.get("piece")!.get(MOON)).toBe(piece());
  expect(state().save.kind).toBe("waiting");
  expect(server.received).toHaveLength(0);
  await jest.advanceTimersByTimeAsync(400);
  expect(server.received).toEqual([
    [
      expect.objectContaining({
        changes: [{ kind: "piece", id: MOON, set: { marginMm: 15 }, was: { marginMm: 13 } }],
      }),
    ],
  ]);
  expect(state().save.kind).toBe("saved");
  expect(findRecord(server.read(), "piece", MOON)!.marginMm).toBe(15);
});

test("one drag is one undo; two changes apart are two; redo brings them back", () => {
  const { state, set, piece, wait } = open();
  const before = piece().marginMm;
  set({ marginMm: 14 });
  set({ marginMm: 15 });
  set({ marginMm: 16 });
  wait(2000);
  set({ marginMm: 20 });
  state().undo();
  expect(piece().marginMm).toBe(16);
  state().undo();
  expect([piece().marginMm, state().undoes !== null]).toEqual([before, false]);
  state().undo();
  expect(piece().marginMm).toBe(before);
  state().redo();
  state().redo();
  expect([piece().marginMm, state().redoes !== null]).toEqual([20, false]);
  state().undo();
  set({ marginMm: 11 });
  expect(state().redoes !== null).toBe(false);
});

test("what is undone before it was sent is never sent", async () => {
  const { server, state, piece } = open();
  state().edit([{ kind: "piece", id: "new", record: { ...piece(), id: "new" } }]);
  state().undo();
  await state().flush();
  expect([server.received, state().save.kind]).toEqual([[], "saved"]);
});

test("a lost answer is sent again under the same id and is no conflict with oneself", async () => {
  let lost = 0;
  const { server, state, set } = open({
    send: async (groups, to) => {
      const reply = to.take(groups);
      if (lost++ === 0) throw new NotReached("Tezgah does not answer.");
      return reply;
    },
  });
  set({ marginMm: 14 });
  expect(await state().flush()).toBe(false);
  expect(state().save).toMatchObject({ kind: "offline", waiting: 1 });
  set({ marginMm: 17 });
  await jest.advanceTimersByTimeAsync(20_000);
  expect(server.received[0]![0]!.id).toBe(server.received[1]![0]!.id);
  expect(state().conflict).toBeNull();
  expect(findRecord(server.read(), "piece", MOON)!.marginMm).toBe(17);
  expect(state().save.kind).toBe("saved");
});

test("a fault of ours is no missing network: it is said, not sent for ever, and tried again by hand", async () => {
  let sends = 0;
  let isIll = true;
  const { server, state, set } = open({
    send: async (groups, to) => {
      sends++;
      if (isIll) throw new TypeError("undefined is not a list");
      return to.take(groups);
    },
  });
  set({ marginMm: 14 });
  expect(await state().flush()).toBe(false);
  expect(state().save).toEqual({ kind: "faulted", message: "undefined is not a list", waiting: 1 });
  await jest.advanceTimersByTimeAsync(120_000);
  expect(sends).toBe(1);
  expect(state().listWaiting()).toMatchObject([{ changes: [{ kind: "piece", set: { marginMm: 14 } }] }]);
  isIll = false;
  expect(await state().flush()).toBe(true);
  expect([state().save.kind, findRecord(server.read(), "piece", MOON)!.marginMm]).toEqual(["saved", 14]);
});

test("an answer that this page cannot use is a fault too: what was sent waits here", async () => {
  const { state, set } = open({ send: async () => ({ epoch: "file", revision: 9 }) as SaveReply });
  set({ marginMm: 14 });
  await state().flush();
  expect(state().save).toMatchObject({ kind: "faulted", waiting: 1 });
});

test("a refused change stands alone: others are saved, it stays on the screen, and can be mended or taken back", async () => {
  const { server, state, set, piece } = open();
  server.refuseIf(({ changes }) =>
    changes.some(({ set: fields }) => fields?.marginMm === 14) ? "Too wide." : null,
  );
  set({ marginMm: 14 });
  await state().flush();
  expect(state().refused).toMatchObject([{ message: "Too wide.", isShown: true }]);
  set({ spares: 6 }, "leek-triangle");
  await state().flush();
  expect(findRecord(server.read(), "piece", "leek-triangle")!.spares).toBe(6);
  expect([piece().marginMm, state().save.kind]).toEqual([14, "saved"]);
  // The next edit to it may mend it, and takes it along.
  set({ spacingMm: 31 });
  await state().flush();
  expect(state().refused).toHaveLength(1);
  set({ marginMm: 12 });
  await state().flush();
  expect(state().refused).toEqual([]);
  expect(findRecord(server.read(), "piece", MOON)).toMatchObject({ marginMm: 12, spacingMm: 31 });
  set({ marginMm: 14 });
  await state().flush();
  state().takeBack(state().refused[0]!.id);
  expect(piece().marginMm).toBe(12);
});

test("a removal that the server refuses comes back on the screen, with the reason", async () => {
  const { server, state } = open();
  server.refuseIf(() => "Not removed: another day needs it.");
  const [vessel] = pickRecords(state().records, "shelf");
  state().edit([{ kind: "shelf", id: vessel!.id, record: null }]);
  expect(findRecord(state().records, "shelf", vessel!.id)).toBeNull();
  await state().flush();
  expect(findRecord(state().records, "shelf", vessel!.id)).toEqual(vessel);
  expect(state().refused).toMatchObject([
    { isShown: false, message: expect.stringContaining("another day") },
  ]);
});

test("what is in use is not taken away, and its users are named before anything is sent", async () => {
  const { server, state, piece } = open();
  state().edit([{ kind: "formula", id: piece().doughId, record: null }]);
  expect(state().notice?.message).toContain("Quince half-moon");
  state().edit([{ kind: "piece", id: MOON, record: null }]);
  expect(state().notice?.message).toContain("order first");
  expect(piece()).toBeTruthy();
  expect([state().undoes !== null, server.received]).toEqual([false, []]);
});

test("what names another is written after it, and removed before it", async () => {
  const { server, state, piece } = open();
  const dough = findRecord(state().records, "formula", piece().doughId)!;
  const copy = { ...dough, id: "copy" };
  state().edit([
    { kind: "piece", id: "new", record: { ...piece(), id: "new", doughId: "copy" } },
    { kind: "formula", id: "copy", record: copy },
  ]);
  await state().flush();
  expect(server.received[0]![0]!.changes.map(({ kind }) => kind)).toEqual(["formula", "piece"]);
  state().undo();
  await state().flush();
  expect(server.received[1]![0]!.changes.map(({ kind, set }) => [kind, set])).toEqual([
    ["piece", null],
    ["formula", null],
  ]);
});

test("after a reload what was kept on the device is shown, sent, and can still be undone", async () => {
  const server = createTestServer();
  const before = open({ server, send: () => Promise.reject(new NotReached("Tezgah does not answer.")) });
  before.set({ marginMm: 18 });
  before.wait(5000);
  before.set({ spares: 9 });
  await before.state().flush();
  const mine = { ...before.kept(), date: "2026-11-28", pageId: "page", savedAtMs: 1 };
  const after = open({ server, found: { mine, left: [] } });
  await after.state().start();
  expect(after.piece()).toMatchObject({ marginMm: 18, spares: 9 });
  expect(findRecord(server.read(), "piece", MOON)).toMatchObject({ marginMm: 18, spares: 9 });
  after.state().undo();
  expect(after.piece()).toMatchObject({ marginMm: 18, spares: 2 });
  after.state().undo();
  expect(after.piece().marginMm).toBe(13);
});

test("a storage that does not answer keeps nobody from the day", async () => {
  const { state, set, planned } = open({ found: new Promise(() => {}) });
  void state().start();
  await jest.advanceTimersByTimeAsync(0);
  expect(planned).toHaveLength(1);
  set({ marginMm: 14 });
  await jest.advanceTimersByTimeAsync(400);
  expect([planned.length, state().save.kind]).toEqual([2, "saved"]);
});

describe("the server's first plan", () => {
  const served = planDay(open().state().book);
  /** A page that got it, and what is to be done at leisure. */
  async function openServed() {
    const leisure: (() => void)[] = [];
    const opened = open({ fetchPlan: async () => served, atLeisure: (work) => leisure.push(work) });
    void opened.state().start();
    await jest.advanceTimersByTimeAsync(0);
    return { ...opened, beAtLeisure: () => leisure.forEach((work) => work()) };
  }

  it("is shown as the plan that holds; the worker plans beside it at leisure, from what is shown", async () => {
    const { state, planned, beAtLeisure } = await openServed();
    expect(state()).toMatchObject({ planner: { kind: "current" }, plannedRecords: state().records });
    expect([state().plan === served, planned.length]).toEqual([true, 0]);
    beAtLeisure();
    expect([planned.length, planned[0]!.shown === served]).toEqual([1, true]);
  });

  it("is planned anew at the first edit, and not once more at leisure", async () => {
    const { set, planned, beAtLeisure } = await openServed();
    set({ marginMm: 14 });
    beAtLeisure();
    expect(planned).toHaveLength(1);
  });

  it("is not waited for where there is none", async () => {
    const { state, planned } = open();
    void state().start();
    await jest.advanceTimersByTimeAsync(0);
    expect([planned.length, planned[0]!.shown]).toEqual([1, null]);
  });
});

test("a message that breaks the server off keeps its order: nothing later on the same record overtakes it", async () => {
  const { server, state, set, wait } = open();
  set({ marginMm: 14 });
  wait(2000);
  state().edit([
    { kind: "piece", id: MOON, record: { ...findRecord(state().records, "piece", MOON)!, marginMm: 15 } },
    {
      kind: "bench",
      id: "bench",
      record: { ...findRecord(state().records, "bench", "bench")!, depthMm: 690 },
    },
  ]);
  await state().flush();
  expect(server.received.map((groups) => groups.length)).toEqual([1, 1]);
  expect(findRecord(server.read(), "piece", MOON)!.marginMm).toBe(15);
});

test("now moves: a day in hand is planned from now on, and a day that ends asks for its formulas of then", async () => {
  const server = createTestServer("2026-11-28");
  const { state, wait } = open({
    server,
    snapshot: { ...server.snapshot(), clock: startSteadyClock(new Date("2026-11-28T05:00:00.000Z"), "UTC") },
  });
  expect(state().book.nowMin).toBe(300);
  const remembered = {
    ...server.snapshot(),
    clock: startSteadyClock(new Date("2026-11-28T05:00:00.000Z"), "UTC"),
  };
  wait(4 * 60 * 60_000);
  state().tick();
  expect(state().book.nowMin).toBe(540);
  // Back to a page that the router remembered from five: it is nine all the same.
  state().adopt(remembered);
  expect(state().book.nowMin).toBe(540);
  wait(15.2 * 60 * 60_000);
  state().tick();
  expect([state().book.nowMin, state().isOver]).toEqual([null, true]);
});

test("a day that is over is planned with the formulas of then, while the book shows those of now", () => {
  const then = { ...pickRecords(listDemoRecords(), "formula")[0]!, densityGPerMl: 1.11 };
  const server = createTestServer();
  const { state } = open({ server, snapshot: { ...server.snapshot(), formulasThen: [then] } });
  const { book, records } = state();
  expect(book.formulas.find(({ id }) => id === then.id)!.densityGPerMl).toBe(1.11);
  expect(findRecord(records, "formula", then.id)!.densityGPerMl).not.toBe(1.11);
});

test("a page loaded again while its former self still saved shows what that saved, though its own snapshot is older", async () => {
  const server = createTestServer();
  const before = open({ server });
  // The new page is written while the edit is on its way; then the answer comes and the outbox is emptied.
  const older = server.snapshot();
  before.set({ marginMm: 21 });
  await before.state().flush();
  const mine = { ...before.kept(), date: "2026-11-28", pageId: "page", savedAtMs: 1 };
  expect(mine.queue).toEqual([]);
  const after = open({ server, snapshot: older, found: { mine, left: [] } });
  expect(after.piece().marginMm).toBe(13);
  await after.state().start();
  await jest.advanceTimersByTimeAsync(0);
  expect(after.piece().marginMm).toBe(21);
  expect(after.planned.at(-1)!.table.get("piece")!.get(MOON)).toBe(after.piece());
  // It was this page's own hand, and can be taken back.
  expect(after.state().undoes !== null).toBe(true);
  after.state().undo();
  expect(after.piece().marginMm).toBe(13);
  await jest.advanceTimersByTimeAsync(1000);
  expect(findRecord(server.read(), "piece", MOON)!.marginMm).toBe(13);
});
