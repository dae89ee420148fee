import { openSheet } from "@/core/run";
import type { GroupAnswer } from "@/schemas/change";
import { createMendClient, createRunClient } from "@/workers/createRunClient";
import { callServer, NotHandled, readAnswer } from "../bench/callServer";
import { createId } from "../bench/createId";
import { canKeepHere } from "../bench/deviceStorage";
import { createEventBox } from "./eventBox";
import { createRunStore, type EventPage, type RunServer, type RunStore } from "./runStore";

const DEVICE_KEY = "tezgah-device";
/** A message that is not answered by then is sent again, ms. */
const ANSWER_WITHIN_MS = 10_000;

/** The run of a date on this page, with its server, its box and its worker. In the browser only. */
export function openRun(date: string, nowMin: () => number): RunStore {
  const client = createRunClient();
  return createRunStore({
    date,
    server: createServer(date),
    box: createEventBox(date),
    deviceId: readDeviceId(),
    createId: () => createId("tap"),
    canKeepHere,
    nowMin,
    async mend(input) {
      const mender = createMendClient();
      try {
        return await mender.run(input);
      } finally {
        mender.close();
      }
    },
    ask: (input) => client.run(input),
  });
}

function createServer(date: string): RunServer {
  const base = `/api/v1/runs/${encodeURIComponent(date)}`;
  async function call<T>(
    path: string,
    init?: RequestInit,
    read = (text: string) => JSON.parse(text) as T,
  ): Promise<T | null> {
    const response = await callServer(base + path, { ...init, withinMs: ANSWER_WITHIN_MS, known: [404] });
    return response.status === 404 ? null : readAnswer(response, read);
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
    fetchEvents: (after) => call<EventPage>(`/events?after=${after}`),
    async send(events) {
      const answer = await call<Awaited<ReturnType<RunServer["send"]>>>("/events", {
        method: "POST",
        headers: json,
        body: JSON.stringify({ events }),
      });
      if (!answer)
        throw new NotHandled("This run is not in the data file any more. Save what waits as a file.");
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
