// npm run bench:live [-- SECONDS [TABLETS]]: so many tablets on one bench, each typing every five seconds: how long a save
// takes, how long until all others have it, what the server holds of memory, and whether all screens agree in the end.
import { spawn } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { buildApplication, run } from "./house.mjs";

const [seconds = 60, tablets = 20] = process.argv.slice(2).map(Number);
const PORT = 3455;
const BASE = `http://127.0.0.1:${PORT}`;
const DATE = "2026-11-28";
/** Between two saves of one tablet, ms. */
const EVERY_MS = 5000;
const json = { "content-type": "application/json" };
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

buildApplication();
const folder = mkdtempSync(path.join(tmpdir(), "tezgah-bench-live-"));
const file = path.join(folder, "bench.db");
run("npx", ["tsx", "scripts/seedDemo.ts", file]);
const server = spawn(process.execPath, ["scripts/serve.mjs"], {
  stdio: "ignore",
  env: { ...process.env, PORT: String(PORT), TEZGAH_DATA: file, TEZGAH_NOW: "2026-11-24T10:00:00" },
});
const readSnapshot = async () => (await fetch(`${BASE}/api/bench/day/${DATE}`)).json();
while (!(await fetch(BASE).catch(() => null))) await wait(200);

/** Megabytes of the server's own memory. */
const readMemoryMb = () =>
  (Number(readFileSync(`/proc/${server.pid}/statm`, "utf8").split(" ")[1]) * 4096) / 1e6;

const first = await readSnapshot();
const orders = first.lists.order;
/** When each written value was sent, by record and value. */
const sentAt = new Map();
const saves = [];
const heard = [];
let refused = 0;
let isOver = false;

async function openTablet(index) {
  const known = new Map(orders.map((order) => [order.id, order]));
  const state = { revision: first.revision };
  const query = new URLSearchParams({ epoch: first.epoch, revision: String(first.revision) });
  const line = await fetch(`${BASE}/api/bench/live?${query}&device=bench-${index}&name=T&at=/`);
  const reading = (async () => {
    let text = "";
    for await (const chunk of line.body.pipeThrough(new TextDecoderStream())) {
      const nowMs = performance.now();
      text += chunk;
      const blocks = text.split("\n\n");
      text = blocks.pop();
      for (const block of blocks) {
        if (!block.includes("event: changed")) continue;
        const news = JSON.parse(/^data: (.*)$/m.exec(block)[1]);
        state.revision = news.revision;
        for (const { id, record } of news.standing ?? []) {
          if (!known.has(id)) continue;
          known.set(id, record);
          const sent = sentAt.get(`${id} ${record.count}`);
          if (sent && sent.index !== index) heard.push(nowMs - sent.atMs);
        }
      }
    }
  })().catch(() => undefined);
  const typing = (async () => {
    await wait((EVERY_MS * index) / tablets);
    for (let n = 0; !isOver; n++) {
      const order = known.get(orders[(index + n) % orders.length].id);
      const count = 1 + ((order.count + 37 * (index + 1) + n) % 900);
      const change = { kind: "order", id: order.id, set: { count }, was: { count: order.count } };
      const atMs = performance.now();
      sentAt.set(`${order.id} ${count}`, { atMs, index });
      const answer = await fetch(`${BASE}/api/bench/changes`, {
        method: "POST",
        headers: json,
        body: JSON.stringify({ groups: [{ id: `b-${index}-${n}-${atMs.toFixed(0)}`, changes: [change] }] }),
      });
      const { answers } = await answer.json();
      saves.push(performance.now() - atMs);
      if (answers[0].kind !== "written") refused++;
      await wait(EVERY_MS - (performance.now() - atMs));
    }
  })();
  return { known, reading, typing };
}

const opened = await Promise.all(Array.from({ length: tablets }, (_, i) => openTablet(i)));
await wait(3000);
const memory = [readMemoryMb()];
for (let i = 0; i < 4; i++) {
  await wait((seconds * 1000) / 4);
  memory.push(readMemoryMb());
}
isOver = true;
await Promise.all(opened.map(({ typing }) => typing));
await wait(1000);
const last = await readSnapshot();
const agree = opened.filter(({ known }) =>
  last.lists.order.every((order) => JSON.stringify(known.get(order.id)) === JSON.stringify(order)),
).length;
const figure = (list) => {
  const sorted = list.toSorted((a, b) => a - b);
  const at = (share) => sorted[Math.min(Math.floor(sorted.length * share), sorted.length - 1)]?.toFixed(0);
  return `median ${at(0.5)}, 99 in 100 below ${at(0.99)}, longest ${at(1)} ms of ${sorted.length}`;
};
console.log(`${tablets} tablets, ${seconds} s, a save each ${EVERY_MS / 1000} s a tablet`);
console.log(`a save: ${figure(saves)}; ${refused} asked about, as two set the same`);
console.log(`on another screen, from the press: ${figure(heard)}`);
console.log(`memory of the server: ${memory.map((mb) => mb.toFixed(0)).join(", ")} MB`);
console.log(`screens that stand as the file does: ${agree} of ${tablets}`);
server.kill();
await Promise.all(opened.map(({ reading }) => reading));
rmSync(folder, { recursive: true, force: true });
process.exit(agree === tablets ? 0 : 1);
