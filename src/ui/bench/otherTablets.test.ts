import { findRecord } from "@/schemas/recordTable";
import { MOON, open, setElsewhere } from "./__tests__/openStore";
import { createTestServer, type TestServer } from "./__tests__/testServer";

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test("two tablets that set different fields of a piece both keep theirs", async () => {
  const here = open();
  await setElsewhere(here.server, { spares: 5 });
  here.set({ marginMm: 19 });
  await here.state().flush();
  expect(here.piece()).toMatchObject({ marginMm: 19, spares: 5 });
  expect(findRecord(here.server.read(), "piece", MOON)).toEqual(here.piece());
});

describe("the same field set on two tablets", () => {
  async function clash() {
    const here = open();
    await setElsewhere(here.server, { marginMm: 19, spares: 5 });
    here.set({ marginMm: 14 });
    await here.state().flush();
    return here;
  }

  test("is asked about, that field alone, and nothing is sent until one is chosen", async () => {
    const { state, set, server } = await clash();
    expect(state().conflict).toMatchObject({ fields: ["marginMm"], theirs: { marginMm: 19 } });
    expect(state().mine).toMatchObject({ marginMm: 14, spares: 5 });
    const sent = server.received.length;
    set({ spacingMm: 33 });
    await state().flush();
    await jest.advanceTimersByTimeAsync(60_000);
    expect([server.received.length, state().save.kind]).toEqual([sent, "conflicted"]);
  });

  test("mine is written over theirs, with what was typed meanwhile", async () => {
    const { state, set, server, piece } = await clash();
    set({ spacingMm: 33 });
    state().resolveConflict("mine");
    await jest.advanceTimersByTimeAsync(1000);
    expect(findRecord(server.read(), "piece", MOON)).toMatchObject({
      marginMm: 14,
      spacingMm: 33,
      spares: 5,
    });
    expect([piece().marginMm, state().conflict, state().save.kind]).toEqual([14, null, "saved"]);
  });

  test("theirs is taken, and undo does not write the old value over it", async () => {
    const { state, server, piece } = await clash();
    state().resolveConflict("theirs");
    await jest.advanceTimersByTimeAsync(1000);
    expect([piece().marginMm, piece().spares, state().undoes !== null]).toEqual([19, 5, false]);
    state().undo();
    await state().flush();
    expect(findRecord(server.read(), "piece", MOON)!.marginMm).toBe(19);
  });
});

test("a snapshot older than what is known is passed over, a newer one is taken with what is not yet sent on top", async () => {
  const { server, state, set, piece } = open();
  const old = server.snapshot();
  set({ marginMm: 17 });
  await state().flush();
  state().adopt(old);
  expect([piece().marginMm, state().undoes !== null]).toEqual([17, true]);
  await setElsewhere(server, { spares: 7 });
  set({ spacingMm: 44 });
  state().adopt(server.snapshot());
  expect(piece()).toMatchObject({ marginMm: 17, spares: 7, spacingMm: 44 });
  expect(state().undoes !== null).toBe(true);
});

test("another file, laid back from a copy, is taken though its revisions are lower", () => {
  const { server, state, set, piece } = open();
  set({ marginMm: 17 });
  state().adopt({ ...server.snapshot(), epoch: "another", revision: 0 });
  expect(piece().marginMm).toBe(17);
  expect(state().save.kind).toBe("waiting");
});

test("what another hand set while a page was loaded again is not this page's to take back", async () => {
  const server = createTestServer();
  const before = open({ server });
  const older = server.snapshot();
  before.set({ marginMm: 21 });
  await before.state().flush();
  await setElsewhere(server, { marginMm: 17 });
  const mine = { ...before.kept(), date: "2026-11-28", pageId: "page", savedAtMs: 1 };
  const after = open({ server, snapshot: older, found: { mine, left: [] } });
  await after.state().start();
  await jest.advanceTimersByTimeAsync(0);
  expect(after.piece().marginMm).toBe(17);
  expect(after.state().undoes !== null).toBe(false);
});

/** A store whose answers are held back until they are let through. */
function openSlow(server: TestServer) {
  const held: (() => void)[] = [];
  const opened = open({
    server,
    send: async (groups) => {
      const reply = server.take(groups);
      await new Promise<void>((arrive) => held.push(arrive));
      return reply;
    },
  });
  return { ...opened, arrive: () => held.shift()!() };
}

test("an answer that comes after news written later takes nothing of the news back", async () => {
  const server = createTestServer();
  const { state, set, piece, arrive } = openSlow(server);
  set({ marginMm: 17 });
  const saved = state().flush();
  await jest.advanceTimersByTimeAsync(0);
  await setElsewhere(server, { spares: 9 });
  state().hear(server.tell(state().readMark().revision));
  arrive();
  await saved;
  expect(piece()).toMatchObject({ marginMm: 17, spares: 9 });
  expect(piece()).toEqual(findRecord(server.read(), "piece", MOON));
});

test("news read before an answer's writing takes nothing of it back, and what else it told is read anew", async () => {
  const server = createTestServer();
  const { state, set, piece } = open({ server });
  await setElsewhere(server, { spares: 9 });
  const before = server.tell(1);
  set({ marginMm: 17 });
  await state().flush();
  state().hear(before);
  expect(piece()).toMatchObject({ marginMm: 17, spares: 9 });
  state().undo();
  expect(piece().marginMm).toBe(13);
  state().hear(server.tell(before.revision));
  await jest.advanceTimersByTimeAsync(0);
  expect(piece().spares).toBe(9);
});

test("a conflict that is told late asks about what stands now", async () => {
  const server = createTestServer();
  await setElsewhere(server, { marginMm: 20 });
  const { state, set, piece, arrive } = openSlow(server);
  set({ marginMm: 17 });
  server.take([
    {
      id: "before",
      changes: [{ kind: "piece", id: MOON, set: { marginMm: 21 }, was: { marginMm: 20 } }],
    },
  ]);
  const saved = state().flush();
  await jest.advanceTimersByTimeAsync(0);
  await setElsewhere(server, { marginMm: 22, spares: 9 });
  state().hear(server.tell(state().readMark().revision));
  arrive();
  await saved;
  expect(state().conflict?.theirs).toMatchObject({ marginMm: 22, spares: 9 });
  state().resolveConflict("theirs");
  expect(piece()).toMatchObject({ marginMm: 22, spares: 9 });
});

test("a day that could not be read when there was news of it is asked for until it comes", async () => {
  const server = createTestServer();
  let isAway = true;
  const { state, piece } = open({
    server,
    fetchSnapshot: async () => (isAway ? null : server.snapshot()),
  });
  await setElsewhere(server, { spares: 9 });
  state().hear({ ...server.tell(1), standing: null });
  await jest.advanceTimersByTimeAsync(5000);
  expect(piece().spares).not.toBe(9);
  isAway = false;
  await jest.advanceTimersByTimeAsync(20_000);
  expect(piece().spares).toBe(9);
});

test("typed back to what stood here first, over what another has set since, is asked about and not dropped", async () => {
  const server = createTestServer();
  const { state, set, piece } = open({ server });
  const { spares } = piece();
  set({ spares: spares + 4 });
  await setElsewhere(server, { spares: spares + 3 });
  state().hear(server.tell(state().readMark().revision));
  set({ spares });
  expect(piece().spares).toBe(spares);
  await state().flush();
  expect(state().conflict).toMatchObject({ fields: ["spares"], theirs: { spares: spares + 3 } });
  state().resolveConflict("mine");
  await state().flush();
  expect(findRecord(server.read(), "piece", MOON)!.spares).toBe(spares);
});

test("while a conflict is open it shows what the other has set last", async () => {
  const server = createTestServer();
  const { state, set, piece } = open({ server });
  set({ marginMm: 17 });
  await setElsewhere(server, { marginMm: 21 });
  await state().flush();
  expect(state().conflict?.theirs).toMatchObject({ marginMm: 21 });
  await setElsewhere(server, { marginMm: 22 });
  // What the other's page tells knows of the first figure already.
  state().hear(server.tell(1));
  await jest.advanceTimersByTimeAsync(0);
  expect(state().conflict?.theirs).toMatchObject({ marginMm: 22 });
  expect(piece().marginMm).toBe(17);
});
