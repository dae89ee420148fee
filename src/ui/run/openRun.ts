import { openSheet, type RunEvent } from "@/core/run";
import type { GroupAnswer } from "@/schemas/change";
import { createMendClient, createRunClient, type RunClient } from "@/workers/createRunClient";
import { createId } from "../bench/createId";
import { createEventBox } from "./eventBox";
import { createRunStore, type RunServer, type RunStore } from "./runStore";

const DEVICE_KEY = "tezgah-device";
/** A message that is not answered by then is sent again, ms. */
const ANSWER_WITHIN_MS = 10_000;

/** The run of a date on this page, with its server, its box and its worker. In the browser only. */
export function openRun(date: string, nowMin: () => number): RunStore {
  let client: RunClient | null = null;
  return createRunStore({
    date,
    server: createServer(date),
    box: createEventBox(date),
    deviceId: readDeviceId(),
    createId: () => createId("tap"),
    nowMin,
    async mend(input) {
      const mender = createMendClient();
      try {
        return await mender.run(input);
      } finally {
        mender.close();
      }
    },
    async ask(input) {
      // A worker that died is replaced at the next question.
      if (client?.isDead()) client = null;
      client ??= createRunClient();
      return client.run(input);
    },
  });
}

function createServer(date: string): RunServer {
  const base = `/api/v1/runs/${encodeURIComponent(date)}`;
  async function call<T>(
    path: string,
    init?: RequestInit,
    read = (text: string) => JSON.parse(text) as T,
  ): Promise<T | null> {
    const response = await fetch(base + path, { ...init, signal: AbortSignal.timeout(ANSWER_WITHIN_MS) });
    if (response.status === 404) return null;
    if (!response.ok) throw new Error(`${path} answered ${response.status}`);
    return read(await response.text());
  }
  const json = { "content-type": "application/json" };
  return {
    async changePiece(id, remedy) {
      if ("change" in remedy) {
        const taken = await fetch(`${base}/remedy`, {
          method: "POST",
          headers: json,
          body: JSON.stringify({ pieceId: id, change: remedy.change }),
        });
        if (taken.ok) return null;
        const { faults } = (await taken.json()) as { faults: readonly { readonly message: string }[] };
        return faults[0]?.message ?? `the server answered ${taken.status}.`;
      }
      const { set, was } = remedy;
      const group = { id: createId("remedy"), changes: [{ kind: "piece", id, set, was }] };
      const changed = await fetch("/api/bench/changes", {
        method: "POST",
        headers: json,
        body: JSON.stringify({ groups: [group] }),
      });
      if (!changed.ok) return `the server answered ${changed.status}.`;
      const { answers } = (await changed.json()) as { answers: readonly GroupAnswer[] };
      const [answer] = answers;
      if (answer?.kind === "refused") return answer.message;
      if (answer?.kind !== "written")
        return "another has changed this piece meanwhile. Look at it on the bench.";
      await call("", { method: "POST", headers: json, body: JSON.stringify({ anew: true }) });
      return null;
    },
    fetchSheet: () => call("", undefined, openSheet),
    fetchEvents: (after) =>
      call<{ events: RunEvent[]; seq: number; edition: number }>(`/events?after=${after}`),
    async send(events) {
      const answer = await call<Awaited<ReturnType<RunServer["send"]>>>("/events", {
        method: "POST",
        headers: json,
        body: JSON.stringify({ events }),
      });
      if (!answer) throw new Error("The run is gone.");
      return answer;
    },
  };
}

/** This device's own name in what happened, the same for all its pages. */
function readDeviceId(): string {
  const fresh = createId("device");
  try {
    const id = localStorage.getItem(DEVICE_KEY) ?? fresh;
    localStorage.setItem(DEVICE_KEY, id);
    return id;
  } catch {
    return fresh;
  }
}
