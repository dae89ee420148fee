import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { closeStore, findMigrationsFolder, getStore } from "@/data/getStore";
import { openDatabase } from "@/data/openDatabase";
import { createStore, type Store } from "@/data/store";
import { listDemoWorld } from "@/demo";
import { toChange } from "@/schemas/change";
import { findRecord, fromLists } from "@/schemas/recordTable";
import { POST as move } from "./api/bench/here/route";
import type { Role } from "@/schemas/access";
import { openLiveLine } from "./liveLine";
import {
  countListeners,
  encodeEvent,
  hangUpHolder,
  hangUpRole,
  LINES,
  listen,
  move as moveTo,
  type Listener,
} from "./live";

const NOW = "2026-11-20T12:00:00.000Z";
const HALF = "quince-half-moon";
let folder: string;
const was = { ...process.env };

beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-live-"));
  process.env.TEZGAH_DATA = path.join(folder, "t.db");
  const changes = listDemoWorld().flatMap(
    ({ kind, record }) => toChange({ kind, id: record.id }, null, record) ?? [],
  );
  getStore().applyGroups([{ id: "world", changes }], NOW);
});
afterAll(() => {
  closeStore();
  process.env = was;
  rmSync(folder, { recursive: true });
});

let groups = 0;
function setMargin(store: Store, marginMm: number): void {
  const piece = findRecord(fromLists(store.readDay("2026-11-28")!.lists), "piece", HALF)!;
  const change = toChange({ kind: "piece", id: HALF }, piece, { ...piece, marginMm })!;
  store.applyGroups([{ id: `g${groups++}`, changes: [change] }], NOW);
}

/** Who needs no key. */
const OWNER = { role: "owner", holderId: null } as const;

interface Told {
  readonly event: string;
  readonly id: string | null;
  readonly data: {
    readonly after: number;
    readonly revision: number;
    readonly standing: readonly { readonly record: { readonly marginMm: number } }[] | null;
    readonly others: readonly object[];
  };
  readonly atMs: number;
}

/** A screen that listens, by the words of the standard and nothing of ours. */
async function connect(
  device: string,
  knows: { epoch: string; revision: number },
  headers: Record<string, string> = {},
  whose: { role: Role; holderId: string | null } = OWNER,
) {
  const query = new URLSearchParams({
    ...{ device, name: "A tablet", at: "/day/2026-11-28/fill", epoch: knows.epoch },
    revision: String(knows.revision),
  });
  const response = openLiveLine(new Request(`http://bench/api/bench/live?${query}`, { headers }), whose);
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  const told: Told[] = [];
  let text = "";
  const reading = (async () => {
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return;
      text += value;
      const blocks = text.split("\n\n");
      text = blocks.pop()!;
      for (const block of blocks) {
        const fields = new Map(
          block.split("\n").map((line) => [line.split(": ")[0]!, line.slice(line.indexOf(": ") + 2)]),
        );
        const event = fields.get("event");
        if (event)
          told.push({
            event,
            id: fields.get("id") ?? null,
            data: JSON.parse(fields.get("data")!) as Told["data"],
            atMs: performance.now(),
          });
      }
    }
  })();
  const until = async (is: (each: Told) => boolean) => {
    for (let i = 0; i < 200; i++) {
      const found = told.find(is);
      if (found) return found;
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
    throw new Error(`Not told: ${JSON.stringify(told)}`);
  };
  return { response, told, until, ended: reading, close: () => reader.cancel().then(() => reading) };
}
const toQuery = ({ epoch, revision }: { epoch: string; revision: number }) => ({
  epoch,
  revision: String(revision),
});
const markNow = () => ({ epoch: getStore().readEpoch(), ...getStore().feed.readMark() });
const isChanged = ({ event }: Told) => event === "changed";

test("what is written is told, whichever process wrote it", async () => {
  const line = await connect("one", markNow());
  expect(line.response.headers.get("content-type")).toBe("text/event-stream");
  setMargin(getStore(), 15);
  expect((await line.until(isChanged)).data.standing![0]!.record.marginMm).toBe(15);
  const other = createStore(openDatabase(process.env.TEZGAH_DATA!, findMigrationsFolder()));
  setMargin(other, 16);
  other.close();
  const { data, id } = await line.until(({ data: { standing } }) => standing?.[0]?.record.marginMm === 16);
  expect(id).toBe(`${markNow().epoch}/${data.revision}`);
  await line.close();
});

test("a screen that slept is told what it missed, and nothing twice", async () => {
  const before = markNow();
  setMargin(getStore(), 17);
  setMargin(getStore(), 18);
  const line = await connect("one", before);
  const { data } = await line.until(isChanged);
  expect(data).toMatchObject({ after: before.revision, revision: before.revision + 2 });
  await line.close();
  // A line that broke goes on from its last word, whatever its address says.
  const again = await connect("one", before, { "last-event-id": `${before.epoch}/${data.revision}` });
  await again.until(({ event }) => event === "here");
  await new Promise((resolve) => setTimeout(resolve, 250));
  expect(again.told.filter(isChanged)).toEqual([]);
  await again.close();
});

test("a screen of another file reads its day whole", async () => {
  const line = await connect("one", { epoch: "before it was laid back", revision: 3 });
  expect((await line.until(isChanged)).data.standing).toBeNull();
  await line.close();
});

test("each is told of the others, where they are and which field they are in, until they are gone", async () => {
  const [one, two] = [await connect("one", markNow()), await connect("two", markNow())];
  const at = "/day/2026-11-28/fill?piece=plum-pop";
  const answer = await move(
    new Request("http://bench/api/bench/here", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ device: "two", at, field: "Clean margin" }),
    }),
  );
  expect(answer.status).toBe(204);
  await one.until(
    ({ event, data }) => event === "here" && JSON.stringify(data.others).includes("Clean margin"),
  );
  expect(one.told.at(-1)!.data.others).toContainEqual({
    ...{ deviceId: "two", name: "A tablet", at, field: "Clean margin" },
  });
  const count = one.told.length;
  await two.close();
  await one.until((each) => one.told.indexOf(each) >= count && each.data.others?.length === 1);
  await one.close();
});

test("who is gone before the first word, or reads nothing more, is not kept in mind", async () => {
  const gone = new AbortController();
  gone.abort();
  const query = new URLSearchParams({ device: "gone", name: "T", at: "/", ...toQuery(markNow()) });
  const left = openLiveLine(
    new Request(`http://bench/api/bench/live?${query}`, { signal: gone.signal }),
    OWNER,
  );
  expect((await left.text()).includes("retry:")).toBe(true);
  const deaf = new URLSearchParams({ device: "deaf", name: "T", at: "/", ...toQuery(markNow()) });
  openLiveLine(new Request(`http://bench/api/bench/live?${deaf}`), OWNER);
  const line = await connect("one", markNow());
  await line.until(({ event, data }) => event === "here" && JSON.stringify(data.others).includes("deaf"));
  expect(JSON.stringify(line.told)).not.toContain('"gone"');
  // It reads nothing: what it has not read is weighed, and long before memory fills it is let go.
  const large = { ...markNow(), more: "x".repeat(600_000) };
  for (let i = 0; i < 5; i++) sendToAll(large);
  await line.until(({ event, data }) => event === "here" && !JSON.stringify(data.others).includes("deaf"));
  await line.close();
});

/** Says something to all that listen, as the server does. */
const sendToAll = (data: object) => {
  for (const listener of (globalThis as { tezgahLive?: { listeners: Set<Listener> } }).tezgahLive!.listeners)
    listener.send(encodeEvent("happened", data));
};

test("one key holds twenty lines; turned out, they end at once, and those of others go on", async () => {
  const open = (holderId: string, device: string) =>
    connect(device, markNow(), {}, { role: "bench", holderId });
  const mine = [];
  for (let i = 0; i < LINES.ofHolder; i++) mine.push(await open("tablet", `t${i}`));
  const query = new URLSearchParams({ device: "one more", name: "T", at: "/", ...toQuery(markNow()) });
  const more = openLiveLine(new Request(`http://bench/api/bench/live?${query}`), {
    ...OWNER,
    holderId: "tablet",
  });
  expect([more.status, more.headers.get("retry-after")]).toEqual([429, "30"]);
  const other = await open("office", "o");
  hangUpHolder("tablet");
  await Promise.all(mine.map(({ ended }) => ended));
  expect(countListeners()).toBe(1);
  hangUpRole("owner");
  expect(countListeners()).toBe(1);
  hangUpRole("bench");
  await other.ended;
  expect(countListeners()).toBe(0);
});

test("a hundred screens that come and move at once are told in a few words for all", async () => {
  const said: Uint8Array[] = [];
  const stops = Array.from({ length: 100 }, (_, i) =>
    listen({
      ...{ holderId: null, role: "owner" as const, ...markNow(), beat: () => {}, hangUp: () => {} },
      neighbour: { deviceId: `d${i}`, name: "T", at: "/", field: null },
      send: (encoded) => said.push(encoded),
    }),
  );
  const from = performance.now();
  for (let i = 0; i < 100; i++) moveTo(`d${i}`, { at: "/day", field: String(i) });
  await new Promise((resolve) => setTimeout(resolve, 1000));
  const seconds = (performance.now() - from) / 1000;
  // Each message is made once, and sent to all.
  expect(new Set(said).size).toBeLessThanOrEqual(5 * seconds + 1);
  expect(said.length).toBeLessThanOrEqual(100 * (5 * seconds + 1));
  for (const stop of stops) stop();
});

test("a line without a device or of no revision is refused, and so is a place that is none", async () => {
  const open = async (query: string) =>
    openLiveLine(new Request(`http://bench/api/bench/live?${query}`), OWNER).status;
  for (const query of ["revision=1", "device=a&revision=-1", "device=a&revision=x"])
    expect(await open(query)).toBe(400);
  const post = (body: unknown) =>
    move(
      new Request("http://bench/api/bench/here", {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify(body),
      }),
    );
  for (const body of [
    null,
    7,
    {},
    { device: "a", at: "x".repeat(121), field: null },
    { device: "a", at: "/", field: 3 },
  ])
    expect((await post(body)).status).toBe(400);
});
