import type { DayPlan } from "@/core/plan";
import type { Piece } from "@/schemas/model";
import { findRecord } from "@/schemas/recordTable";
import type { ChangeGroup } from "@/schemas/change";
import type { DayInput } from "@/workers/createPlanClient";
import type { DaySnapshot, SaveReply } from "../benchState";
import { createBenchStore } from "../benchStore";
import type { Found, Outbox } from "../outbox";
import { createTestServer, NOW_ISO, type TestServer } from "./testServer";

/** The piece that the tests set. */
export const MOON = "quince-half-moon";

type Kept = Parameters<Outbox["keep"]>[0];

interface Opened {
  readonly send?: (groups: readonly ChangeGroup[], server: TestServer) => Promise<SaveReply>;
  readonly found?: Found | Promise<Found>;
  readonly server?: TestServer;
  readonly snapshot?: DaySnapshot;
  readonly fetchSnapshot?: () => Promise<DaySnapshot | null>;
  readonly fetchPlan?: () => Promise<DayPlan | null>;
  readonly atLeisure?: (work: () => void) => void;
}

/** A store over a server of the test's, with a clock that the test turns. */
export function open({
  send,
  found,
  server = createTestServer(),
  snapshot = server.snapshot(),
  fetchSnapshot = async () => server.snapshot(),
  fetchPlan = async () => null,
  atLeisure = (work) => work(),
}: Opened = {}) {
  const planned: DayInput[] = [];
  let nowMs = Date.parse(NOW_ISO);
  let ids = 0;
  let kept: Kept = { queue: [], refused: [], history: { past: [], future: [] } };
  const store = createBenchStore({
    snapshot,
    send: async (groups) => (send ? send(groups, server) : server.take(groups)),
    fetchSnapshot,
    canKeepHere: async () => true,
    plan: (input) => planned.push(input),
    fetchPlan,
    atLeisure,
    outbox: {
      open: async () => found ?? { mine: null, left: [] },
      keep: (next) => (kept = next),
      keepNow: (next) => (kept = next),
    },
    clock: () => new Date((nowMs += 10)),
    createId: () => `group-${Math.random()}-${ids++}`,
  });
  const state = () => store.getState();
  const piece = (id = MOON): Piece => findRecord(state().records, "piece", id)!;
  const set = (fields: Partial<Piece>, id = MOON) =>
    state().edit([{ kind: "piece", id, record: { ...piece(id), ...fields } }]);
  const wait = (ms: number) => {
    nowMs += ms;
  };
  return { server, state, piece, set, wait, planned, kept: () => kept };
}

/** Another tablet sets fields of the piece. */
export function setElsewhere(server: TestServer, fields: Partial<Piece>) {
  const other = open({ server });
  other.set(fields);
  return other.state().flush();
}
