/** @jest-environment node */
import "fake-indexeddb/auto";
import { clear, createStore } from "idb-keyval";
import { readSteadyClock } from "@/time/steadyClock";
import { createBenchStore } from "../bench/benchStore";
import { createTestServer } from "../bench/__tests__/testServer";
import type { DaySnapshot } from "../bench/benchState";
import { keepOpenDay } from "./keepOpenDay";
import { keepDay, listKeptDays, readKeptDay } from "./keptDays";

const server = createTestServer("2026-11-28");
const snapshot = server.snapshot();
const AT_MS = Date.parse("2026-11-24T10:00:00Z");
const HOUR_MS = 3_600_000;

beforeEach(() => clear(createStore("tezgah-days", "days")));

test("a day is there again as it was kept, with its clock as far on as the device's", async () => {
  await keepDay(snapshot, AT_MS);
  const found = await readKeptDay("2026-11-28", AT_MS + 2 * HOUR_MS);
  expect(found).toEqual({ ...snapshot, clock: found!.clock });
  const wasMs = Date.parse(snapshot.clock.atIso);
  expect(Date.parse(found!.clock.atIso) - wasMs).toBe(2 * HOUR_MS);
  const { timeZone } = snapshot.clock;
  const then = new Date(wasMs + 2 * HOUR_MS);
  expect(readSteadyClock(found!.clock, then, timeZone)).toEqual(
    readSteadyClock(snapshot.clock, then, timeZone),
  );
  expect(await readKeptDay("2026-12-05", AT_MS)).toBeNull();
  // A device whose clock was set back does not turn the kitchen's back.
  const back = await readKeptDay("2026-11-28", AT_MS - HOUR_MS);
  expect(back!.clock.atIso).toBe(snapshot.clock.atIso);
});

test("two weeks of days are kept, the ones looked at last", async () => {
  const dates = Array.from({ length: 16 }, (_, i) => `2026-12-${String(i + 1).padStart(2, "0")}`);
  for (const [i, date] of dates.entries()) await keepDay({ ...snapshot, date }, AT_MS + i);
  await keepDay({ ...snapshot, date: "2026-12-03" }, AT_MS + 20);
  const kept = (await listKeptDays()).map(({ date }) => date);
  expect(kept).toHaveLength(14);
  expect(kept).toContain("2026-12-03");
  expect(kept).not.toContain("2026-12-01");
  expect(kept).toEqual(kept.toSorted().reverse());
});

test("what the server has taken is kept, what only waits is not: that is the outbox's", async () => {
  const store = createBenchStore({
    ...{
      snapshot,
      send: (groups) => Promise.resolve(server.take(groups)),
      fetchSnapshot: () => Promise.resolve(null),
      plan: () => undefined,
    },
    fetchPlan: () => Promise.resolve(null),
    canKeepHere: async () => true,
    atLeisure: () => {},
    outbox: {
      open: () => Promise.resolve({ mine: null, left: [] }),
      keep: () => undefined,
      keepNow: () => undefined,
    },
    clock: () => new Date(AT_MS),
    createId: () => "group",
  });
  const close = keepOpenDay(store);
  const wait = () => new Promise((resolve) => setTimeout(resolve, 400));
  const sparesOf = (day: DaySnapshot | null) =>
    day?.lists.piece?.find(({ id }) => id === "quince-half-moon")?.spares;
  await wait();
  const before = sparesOf(await readKeptDay("2026-11-28", AT_MS));
  expect(before).not.toBe(17);
  const record = store.getState().book.pieces.find(({ id }) => id === "quince-half-moon")!;
  const changed = { ...record, spares: 17 };
  store.getState().edit([{ kind: "piece", id: record.id, record: changed }]);
  expect(sparesOf(store.getState().readSnapshot())).toBe(before);
  await store.getState().flush();
  await wait();
  expect(sparesOf(await readKeptDay("2026-11-28", AT_MS))).toBe(17);
  close();
});
