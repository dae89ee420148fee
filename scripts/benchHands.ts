// npm run bench:hands [-- EDITS [TABLETS [KILLS]]]: so many tablets, each with the screens' own store, change the same few
// fields at once while the server is killed again and again. Told in the end: whether all screens agree with the file, whether
// anything acknowledged is gone, and whether any change went over another in silence.
import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { createRandom } from "@/core/seededRandom";
import type { ChangeGroup } from "@/schemas/change";
import { createBenchStore, type BenchStore } from "@/ui/bench/benchStore";
import type { DaySnapshot, SaveReply } from "@/ui/bench/benchState";
import type { Outbox } from "@/ui/bench/outbox";

const [edits = 10_000, tablets = 20, kills = 20] = process.argv.slice(2).map(Number);
const PORT = 3459;
const BASE = `http://127.0.0.1:${PORT}`;
const DATE = "2026-11-28";
/** Between two changes of one tablet, ms, on the average. */
const EVERY_MS = 120;
const random = createRandom(17);
const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
const wait = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

const folder = mkdtempSync(path.join(tmpdir(), "tezgah-bench-hands-"));
const file = path.join(folder, "hands.db");
let server: ChildProcess | null = null;

const run = (command: string, args: readonly string[]) =>
  new Promise<void>((resolve) => spawn(command, args, { stdio: "ignore" }).once("exit", () => resolve()));
async function start(): Promise<void> {
  server = spawn(process.execPath, ["scripts/serve.mjs"], {
    stdio: "ignore",
    env: { ...process.env, PORT: String(PORT), TEZGAH_DATA: file, TEZGAH_NOW: "2026-11-24T10:00:00" },
  });
  while (!(await fetch(`${BASE}/api/health`).catch(() => null))) await wait(100);
}
async function kill(): Promise<void> {
  const gone = new Promise((resolve) => server?.once("exit", resolve));
  server?.kill("SIGKILL");
  await gone;
}
const readSnapshot = async (): Promise<DaySnapshot> =>
  (await (await fetch(`${BASE}/api/bench/day/${DATE}`)).json()) as DaySnapshot;

/** Every change that the server said it wrote, by group: sent twice, it counts once. */
const written = new Map<string, ChangeGroup>();
let conflicts = 0;
let sent = 0;
let ids = 0;

async function send(groups: readonly ChangeGroup[]): Promise<SaveReply> {
  sent++;
  const response = await fetch(`${BASE}/api/bench/changes`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ groups }),
  });
  if (!response.ok) throw new Error(`answered ${response.status}`);
  const reply = (await response.json()) as SaveReply;
  for (const answer of reply.answers) {
    const group = groups.find(({ id }) => id === answer.id);
    if (answer.kind === "written" && group) written.set(group.id, group);
    if (answer.kind === "conflicted") conflicts++;
    if (answer.kind === "refused") throw new Error(`refused: ${answer.message}`);
  }
  return reply;
}

type Kept = Parameters<Outbox["keep"]>[0];

/** A device: what it keeps outlives its pages. */
function createTablet(snapshot: DaySnapshot) {
  let kept: Kept | null = null;
  const open = (from: DaySnapshot): BenchStore =>
    createBenchStore({
      snapshot: from,
      send,
      fetchSnapshot: () => readSnapshot().catch(() => null),
      plan: () => undefined,
      fetchPlan: () => Promise.resolve(null),
      canKeepHere: () => Promise.resolve(true),
      atLeisure: () => {},
      outbox: {
        open: () =>
          Promise.resolve({ mine: kept && { ...kept, date: DATE, pageId: "p", savedAtMs: 0 }, left: [] }),
        keep: (next) => (kept = next),
        keepNow: (next) => (kept = next),
      },
      clock: () => new Date(),
      createId: () => `hands-${ids++}`,
    });
  const tablet = { store: open(snapshot), isOver: false, reload: async () => {} };
  tablet.reload = async () => {
    const from = await readSnapshot().catch(() => null);
    if (!from) return;
    // The page is gone; whatever of it is still under way finds nobody.
    tablet.store = open(from);
    await tablet.store.getState().start();
  };
  void (async () => {
    while (!tablet.isOver) await listen(tablet).catch(() => wait(200));
  })();
  return tablet;
}
type Tablet = ReturnType<typeof createTablet>;

/** One line, until it breaks. */
async function listen(tablet: Tablet): Promise<void> {
  const { epoch, revision } = tablet.store.getState().readMark();
  const query = new URLSearchParams({
    epoch,
    revision: String(revision),
    device: `h${ids++}`,
    name: "T",
    at: "/",
  });
  const line = await fetch(`${BASE}/api/bench/live?${query}`);
  let text = "";
  const decoder = new TextDecoder();
  for await (const chunk of line.body as unknown as AsyncIterable<Uint8Array>) {
    text += decoder.decode(chunk, { stream: true });
    const blocks = text.split("\n\n");
    text = blocks.pop() ?? "";
    for (const block of blocks) {
      const data = /^data: (.*)$/m.exec(block)?.[1];
      if (data && block.includes("event: changed"))
        tablet.store
          .getState()
          .hear(JSON.parse(data) as Parameters<ReturnType<BenchStore["getState"]>["hear"]>[0]);
    }
    if (tablet.isOver) return;
  }
}

let value = 0;
/** Sets one of a dozen fields to a value that was never set before, or ends a conflict. */
function act({ store }: Tablet): boolean {
  const state = store.getState();
  if (state.conflict) {
    state.resolveConflict(pick(["mine", "theirs"]));
    return false;
  }
  const order = pick(state.book.orders.slice(0, 6));
  const fields = random() < 0.5 ? { customer: `c${value++}` } : { dueMin: 300 + (value++ % 1100) };
  state.edit([{ kind: "order", id: order.id, record: { ...order, ...fields } }]);
  return true;
}

async function main(): Promise<void> {
  console.log(`${edits} changes by ${tablets} tablets on six orders, ${kills} kills`);
  await run("npx", ["tsx", "scripts/seedDemo.ts", file]);
  await start();
  const first = await readSnapshot();
  const all = Array.from({ length: tablets }, () => createTablet(first));
  for (const { store } of all) await store.getState().start();

  let made = 0;
  let killed = 0;
  let reloads = 0;
  const killing = (async () => {
    while (killed < kills) {
      await wait(((edits / tablets) * EVERY_MS) / (kills + 1));
      await kill();
      killed++;
      await wait(random() * 1000);
      await start();
    }
  })();
  await Promise.all(
    all.map(async (tablet) => {
      while (made < edits) {
        if (act(tablet)) made++;
        if (random() < 0.002) {
          reloads++;
          await tablet.reload();
        }
        await wait(random() * 2 * EVERY_MS);
      }
    }),
  );
  await killing;

  /** Until nothing waits and nothing is asked on any of them. */
  for (let quiet = 0; quiet < 3;) {
    let isQuiet = true;
    for (const { store } of all) {
      if (store.getState().conflict) store.getState().resolveConflict("theirs");
      if (!(await store.getState().flush()) || store.getState().conflict) isQuiet = false;
    }
    quiet = isQuiet ? quiet + 1 : 0;
    await wait(500);
  }
  const last = await readSnapshot();
  const readOrders = (lists: DaySnapshot["lists"]) =>
    JSON.stringify((lists.order ?? []).toSorted((a, b) => a.id.localeCompare(b.id)));
  const agreeing = all.filter(
    ({ store }) => readOrders(store.getState().readSnapshot().lists) === readOrders(last.lists),
  ).length;

  /** Of each field: a change that was written must have seen the one before it. Two that saw the same went over each other. */
  let silent = 0;
  let lost = 0;
  for (const order of first.lists.order ?? [])
    for (const field of ["customer"] as const) {
      const seen = new Map<unknown, unknown>();
      for (const { changes } of written.values())
        for (const { kind, id, set, was } of changes) {
          if (kind !== "order" || id !== order.id || !set || !(field in set)) continue;
          const before = (was as Record<string, unknown>)[field];
          if (seen.has(before)) silent++;
          seen.set(before, set[field]);
        }
      let end: unknown = order[field];
      while (seen.has(end)) {
        const next = seen.get(end);
        seen.delete(end);
        end = next;
      }
      // What is left hangs on nothing that was written: something acknowledged is gone.
      lost += seen.size;
      if (end !== last.lists.order?.find(({ id }) => id === order.id)?.[field]) lost++;
    }
  console.log(
    `${made} changes in ${written.size} groups, ${sent} messages, ${conflicts} conflicts asked, ${reloads} reloads, ${killed} kills`,
  );
  console.log(`screens that agree with the file: ${agreeing} of ${tablets}`);
  console.log(`acknowledged and gone: ${lost}; written over in silence: ${silent}`);
  for (const tablet of all) tablet.isOver = true;
  await kill();
  rmSync(folder, { recursive: true, force: true });
  process.exit(agreeing === tablets && lost === 0 && silent === 0 ? 0 : 1);
}

void main();
