/** @jest-environment jsdom */
import "fake-indexeddb/auto";
import { clear, createStore, entries } from "idb-keyval";
import { createOutbox, type Kept } from "./outbox";

type Content = Parameters<ReturnType<typeof createOutbox>["keep"]>[0];

const DAY = "2026-11-28";
const content = (id: string): Content => ({
  queue: [
    { id, changes: [{ kind: "piece", id: "moon", set: { spares: 2 }, was: { spares: 1 } }], wasSent: false },
  ],
  refused: [],
  history: {
    past: [{ changes: [{ kind: "piece", id: "moon", set: { spares: 2 }, was: { spares: 1 } }], atMs: 1 }],
    future: [],
  },
});
const idsOf = (found: { readonly left: readonly { id: string }[] }) => found.left.map(({ id }) => id);

beforeAll(() => {
  // jsdom lacks it, browsers have it.
  globalThis.structuredClone ??= <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
});
beforeEach(async () => {
  localStorage.clear();
  sessionStorage.clear();
  await clear(createStore("tezgah", "outbox"));
});

/** Until the data base has what was kept. */
async function written(): Promise<[string, Kept][]> {
  for (let n = 0; n < 50; n++) {
    const all = await entries<string, Kept>(createStore("tezgah", "outbox"));
    if (all.length > 0) return all;
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  return [];
}

test("what a page kept of a day is its own again after it is loaded anew", async () => {
  createOutbox(DAY, () => 1).keep(content("g-1"));
  await written();
  const found = await createOutbox(DAY, () => 2).open();
  expect(found.mine).toMatchObject({ queue: [{ id: "g-1" }], history: { past: [{ atMs: 1 }] } });
  expect(found.left).toEqual([]);
});

test("what is kept with the page's last breath counts, though the data base had no time", async () => {
  createOutbox(DAY, () => 5).keepNow(content("g-late"));
  const found = await createOutbox(DAY, () => 6).open();
  expect(found.mine).toMatchObject({ queue: [{ id: "g-late" }] });
  expect(Object.keys(localStorage)).toEqual([]);
});

test("what a page left that is gone is taken over once, in the order it was kept; a page that is alive keeps its own", async () => {
  createOutbox(DAY, () => 1).keep(content("g-old"));
  await written();
  // Another page of the device, much later: without locks, what was not touched for long belongs to nobody.
  sessionStorage.clear();
  expect(idsOf(await createOutbox(DAY, () => 30_000).open())).toEqual([]);
  sessionStorage.clear();
  expect(idsOf(await createOutbox(DAY, () => 100_000).open())).toEqual(["g-old"]);
  expect(idsOf(await createOutbox(DAY, () => 100_001).open())).toEqual([]);
});

test("another day of this page is sent from here, and keeps its undo", async () => {
  createOutbox("2026-11-27", () => 1).keep(content("g-friday"));
  await written();
  expect(idsOf(await createOutbox(DAY, () => 2).open())).toEqual(["g-friday"]);
  const friday = await createOutbox("2026-11-27", () => 3).open();
  expect(friday.mine).toMatchObject({ queue: [], history: { past: [{ atMs: 1 }] } });
});

test("a device whose storage is full keeps what is not saved before what could be undone; one without any works on", async () => {
  const set = jest.spyOn(Storage.prototype, "setItem");
  set.mockImplementation((name, value) => {
    if (name.startsWith("tezgah-outbox") && value.includes("atMs"))
      throw new DOMException("full", "QuotaExceededError");
  });
  createOutbox(DAY, () => 1).keepNow(content("g-1"));
  const text = set.mock.calls.map(([, value]) => value).findLast((value) => value.includes("g-1")) ?? "{}";
  expect(JSON.parse(text)).toMatchObject({ queue: [{ id: "g-1" }], history: { past: [], future: [] } });
  set.mockImplementation(() => {
    throw new DOMException("denied", "SecurityError");
  });
  expect(() => createOutbox(DAY, () => 1).keepNow(content("g-2"))).not.toThrow();
  set.mockRestore();
});

describe("with locks, as browsers have them", () => {
  /** Locks by name, each with those who wait for it. */
  function standInLocks(): { readonly release: (name: string) => void } {
    const held = new Set<string>();
    const waiting = new Map<string, () => void>();
    const request = (name: string, { signal }: { signal: AbortSignal }, then: () => Promise<void>) =>
      new Promise<void>((_, refuse) => {
        const take = () => {
          held.add(name);
          void then();
        };
        if (!held.has(name)) return take();
        waiting.set(name, take);
        signal.addEventListener("abort", () => {
          if (waiting.delete(name)) refuse(new DOMException("waited", "AbortError"));
        });
      });
    const query = () => Promise.resolve({ held: [...held].map((name) => ({ name })) });
    Object.defineProperty(navigator, "locks", { configurable: true, value: { request, query } });
    return {
      release: (name) => {
        held.delete(name);
        waiting.get(name)?.();
        waiting.delete(name);
      },
    };
  }
  const lockOfThisPage = () => `tezgah-outbox/${sessionStorage.getItem("tezgah-page")}`;
  beforeEach(() => {
    // jsdom's own clock is not the fake one that the test turns on.
    jest.spyOn(AbortSignal, "timeout").mockImplementation((ms) => {
      const ends = new AbortController();
      setTimeout(() => ends.abort(), ms);
      return ends.signal;
    });
  });
  afterEach(() => {
    jest.restoreAllMocks();
    jest.useRealTimers();
    Reflect.deleteProperty(navigator, "locks");
  });

  test("a page that is loaded again waits for its former self to die, and is itself still", async () => {
    const { release } = standInLocks();
    createOutbox(DAY, () => 1).keep(content("g-1"));
    await written();
    const opened = createOutbox(DAY, () => 2).open();
    setTimeout(() => release(lockOfThisPage()), 1200);
    const found = await opened;
    expect(found.mine).toMatchObject({ queue: [{ id: "g-1" }], history: { past: [{ atMs: 1 }] } });
  });

  test("a page that was duplicated becomes another: it leaves its twin what is the twin's", async () => {
    standInLocks();
    createOutbox(DAY, () => 1).keep(content("g-1"));
    await written();
    const twin = lockOfThisPage();
    jest.useFakeTimers({ doNotFake: ["setImmediate", "queueMicrotask", "nextTick"] });
    const opened = createOutbox(DAY, () => 2).open();
    await jest.advanceTimersByTimeAsync(6000);
    jest.useRealTimers();
    expect(await opened).toEqual({ mine: null, left: [] });
    expect(lockOfThisPage()).not.toBe(twin);
  });
});
