import { act, configure, render, type RenderResult } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { ReactNode } from "react";
import { planDay, type DayPlan } from "@/core/plan";
import { toDayBook } from "@/schemas/toDayBook";
import type { DayInput } from "@/workers/createPlanClient";
import { nativeDialogs } from "../../shell/__tests__/nativeDialogs";
import { BenchContext } from "../BenchProvider";
import { createBenchStore, type BenchStore } from "../benchStore";
import "./chartsOfASize";
import { createTestServer, NOW_ISO, type TestServer } from "./testServer";

/** Where the screen is; a test turns to another piece by its address. */
export const address = { pathname: "/day/2026-11-28/orders", search: "", went: [] as string[] };
jest.mock("next/navigation", () => ({
  useRouter: () => ({
    push: (to: string) => address.went.push(to),
    replace: (to: string) => address.went.push(to),
    refresh: () => undefined,
  }),
  usePathname: () => address.pathname,
  useSearchParams: () => new URLSearchParams(address.search),
}));

// Generous: a busy machine is slow, not wrong.
configure({ asyncUtilTimeout: 20_000 });

/** What is worked out beside the screen is never ready: the screen stands without it. */
class SilentWorker {
  postMessage(): void {}
  addEventListener(): void {}
  removeEventListener(): void {}
  terminate(): void {}
}
class SilentObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}

export interface OnBench extends RenderResult {
  readonly store: BenchStore;
  readonly server: TestServer;
  readonly user: ReturnType<typeof userEvent.setup>;
  readonly plan: () => DayPlan;
}

/**
 * A screen over the demo's day, planned at once and by the real engine, saved to a server of the test's.
 * @param search - Of the address: `piece=…`. @param isEmptied - Without its orders.
 */
export function renderOnBench(
  screen: ReactNode,
  { date = "2026-11-28", search = "", isEmptied = false } = {},
): OnBench {
  Object.assign(address, { pathname: `/day/${date}/orders`, search, went: [] });
  globalThis.Worker ??= SilentWorker as unknown as typeof Worker;
  globalThis.ResizeObserver ??= SilentObserver as unknown as typeof ResizeObserver;
  nativeDialogs();
  const server = createTestServer(date);
  let ids = 0;
  const store: BenchStore = createBenchStore({
    snapshot: server.snapshot(),
    send: async (groups) => server.take(groups),
    fetchSnapshot: async () => server.snapshot(),
    plan: (input) => act(() => store.setState({ plan: planInput(input), planner: { kind: "current" } })),
    fetchPlan: async () => null,
    canKeepHere: async () => true,
    atLeisure: () => {},
    outbox: { open: async () => ({ mine: null, left: [] }), keep: () => {}, keepNow: () => {} },
    clock: () => new Date(Date.parse(NOW_ISO)),
    createId: () => `group-${ids++}`,
  });
  if (isEmptied) {
    const { book, edit } = store.getState();
    edit(book.orders.map(({ id }) => ({ kind: "order", id, record: null })));
  }
  store.setState({ plan: planDay(store.getState().book), planner: { kind: "current" } });
  return {
    ...render(<BenchContext value={store}>{screen}</BenchContext>),
    ...{ store, server, user: userEvent.setup() },
    plan: () => store.getState().plan!,
  };
}

function planInput({ table, date, nowMin, ground }: DayInput): DayPlan | null {
  const book = toDayBook(table, date, nowMin, ground);
  return book && planDay(book);
}
