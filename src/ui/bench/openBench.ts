import { createPlanClient } from "@/workers/createPlanClient";
import type { DaySnapshot, SaveReply } from "./benchState";
import { atLeisure } from "./atLeisure";
import { callServer, readAnswer } from "./callServer";
import { canKeepHere } from "./deviceStorage";
import { createBenchStore, type BenchStore } from "./benchStore";
import { createId } from "./createId";
import { fetchPlan } from "./firstPlan";
import { createOutbox, type Outbox } from "./outbox";
import { createPlanner } from "./planner";

/** What is not answered by then is asked again, ms. */
const ANSWER_WITHIN_MS = 15_000;

/** The open days of this page, by date. They outlive every screen: going back finds what was typed. */
const open = new Map<string, BenchStore>();

/** The open day of a date; the first time it is opened from the snapshot. In the browser only. */
export function openBench(snapshot: DaySnapshot): BenchStore {
  const known = open.get(snapshot.date);
  if (known) return known;
  const store = createStoreFor(snapshot, createOutbox(snapshot.date, Date.now));
  open.set(snapshot.date, store);
  // Not within the drawing that asks for the store, and not after it: the first plan is on its way meanwhile.
  queueMicrotask(() => void store.getState().start());
  return store;
}

/** The same for one rendering on the server: nothing is kept, planned or sent. */
export const renderBench = (snapshot: DaySnapshot): BenchStore =>
  createBenchStore({
    snapshot,
    send: () => Promise.reject(new Error("Nothing is sent while a page is rendered")),
    fetchSnapshot: () => Promise.resolve(null),
    plan: () => {},
    fetchPlan: () => Promise.resolve(null),
    atLeisure: () => {},
    outbox: { open: () => Promise.resolve({ mine: null, left: [] }), keep: () => {}, keepNow: () => {} },
    canKeepHere: () => Promise.resolve(true),
    clock: () => new Date(),
    createId: () => createId("group"),
  });

function createStoreFor(snapshot: DaySnapshot, outbox: Outbox): BenchStore {
  const planner = createPlanner(createPlanClient(), (state, plan) =>
    store.setState(
      plan ? { planner: state, plan, plannedRecords: store.getState().records } : { planner: state },
    ),
  );
  const store = createBenchStore({
    snapshot,
    send,
    fetchSnapshot,
    plan: (input) => planner.run(input),
    fetchPlan,
    atLeisure,
    outbox,
    canKeepHere,
    clock: () => new Date(),
    createId: () => createId("group"),
  });
  return store;
}

async function send(
  groups: Parameters<Parameters<typeof createBenchStore>[0]["send"]>[0],
): Promise<SaveReply> {
  const body = JSON.stringify({ groups });
  const response = await callServer("/api/bench/changes", {
    method: "POST",
    headers: { "content-type": "application/json" },
    body,
    withinMs: ANSWER_WITHIN_MS,
    // Goes on when the page is left, as far as browsers let it.
    keepalive: body.length < KEEPALIVE_LIMIT,
  });
  return readAnswer(response, (text) => JSON.parse(text) as SaveReply);
}

/** Longest body that a browser sends on for a page that is gone, characters; they allow 64 KiB. */
const KEEPALIVE_LIMIT = 30_000;

async function fetchSnapshot(date: string): Promise<DaySnapshot | null> {
  const response = await fetch(`/api/bench/day/${date}`, {
    cache: "no-store",
    signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
  });
  return response.ok ? ((await response.json()) as DaySnapshot) : null;
}
