// npm run bench:hostile [-- BODIES [SEED]]: so many hostile bodies over all routes, at eight at once: what was answered, how long
// the slowest took, and whether anything that looks like a script stands as one on a page afterwards.
import { spawn } from "node:child_process";
import { mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { probeLines, probeSlow } from "./hostileServer.mjs";
import { buildApplication, run } from "./house.mjs";

const [bodies = 10_000, seed = 1] = process.argv.slice(2).map(Number);
const PORT = 3461;
const BASE = `http://127.0.0.1:${PORT}`;
const AT_ONCE = 8;
const SLOW_MS = 1000;
/** Far more screens than a house has. */
const LIVE_LINES = 400;
const LIVE_STAND_MS = 5000;
const SCRIPT = "<script>window.stolen=1</script>";
/** A search takes as long as it is given: here, no longer than a page. */
const BUDGET_MS = 20;

let state = seed;
/** A small generator (mulberry32): the same seed, the same bodies. */
function random() {
  state = (state + 0x6d2b79f5) | 0;
  let t = Math.imul(state ^ (state >>> 15), 1 | state);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
}
/** One in ten only reads, at odd addresses: they are there to see that others are answered meanwhile. */
const READ_SHARE = 0.1;
const pick = (list) => list[Math.floor(random() * list.length)];

/** Routes with the methods that they export. */
const routes = readdirSync("src/app/api", { recursive: true })
  .filter((file) => file.endsWith("route.ts"))
  .flatMap((file) => {
    const text = readFileSync(path.join("src/app/api", file), "utf8");
    const methods = [...text.matchAll(/export (?:const|async function|function) (GET|POST|PUT|DELETE)/g)];
    return methods.map(([, method]) => ({ method, path: `/api/${path.dirname(file)}` }));
  });

const reads = routes.filter(({ method }) => method === "GET");
const sends = routes.filter(({ method }) => method !== "GET");

/** Documents that are right, to be made wrong: the handbook's, and what the screens send. */
const handbook = [
  ...readFileSync("docs/api.md", "utf8").matchAll(/127\.0\.0\.1:3000(\S+).*?-d '([\s\S]*?)'\n/g),
]
  .map(([, at, text]) => {
    try {
      return { path: at.replaceAll("'", ""), document: JSON.parse(text) };
    } catch {
      return null;
    }
  })
  .filter(Boolean);
const change = {
  id: "hostile-1",
  changes: [{ kind: "order", id: "order-1", set: { customer: "x" }, was: { customer: "" } }],
};
const screens = [
  { path: "/api/bench/changes", document: { groups: [change] } },
  { path: "/api/bench/here", document: { device: "d", at: "/", field: null } },
  { path: "/api/bench/felt", document: { screen: "orders", ms: 3 } },
  { path: "/api/enter", document: { by: "passphrase", passphrase: "plum cake at dawn", name: "x" } },
  { path: "/api/access", document: { act: "token", role: "shop", name: "x" } },
  { path: "/api/copies/outward", document: { folder: "/nowhere", everyHours: 24, passphrase: null } },
  { path: "/api/copies/restore", document: { token: "x" } },
];
const documents = [...handbook, ...screens];

const deep = (depth) => JSON.parse("[".repeat(depth) + "]".repeat(depth));
const hostile = [
  ...[null, true, [], {}, "", 0, -1, 0.5, 1e308, -1e308, 2 ** 53, "NaN", "1e999", "0x10", "١٢"],
  ...[SCRIPT, "'; DROP TABLE piece; --", "__proto__", "constructor", "../../etc/passwd", "\u0000", "\ud800"],
  ...["x".repeat(20_000), "𝕏".repeat(500), deep(500), Array.from({ length: 3000 }, (_, i) => i)],
  ...[{ toString: 1 }, { length: 1e9 }, { base64: "x" }, "2026-02-30", "9999-99-99"],
];

/** As its own key, whatever it is called. */
const put = (value) => ({
  value: structuredClone(value),
  enumerable: true,
  configurable: true,
  writable: true,
});

/** Every place in a document, as a path of keys. */
function listPlaces(value, at = []) {
  if (typeof value !== "object" || value === null) return [at];
  return [at, ...Object.entries(value).flatMap(([key, each]) => listPlaces(each, [...at, key]))];
}

function spoil(document) {
  const copy = structuredClone({ root: document });
  for (let i = 0; i <= Math.floor(random() * 3); i++) {
    const place = ["root", ...pick(listPlaces(copy.root))];
    let parent = copy;
    for (const key of place.slice(0, -1)) parent = parent?.[key];
    if (typeof parent !== "object" || parent === null) continue;
    const key = place.at(-1);
    const chance = random();
    if (chance < 0.15) delete parent[key];
    else if (chance < 0.3)
      Object.defineProperty(parent, pick(["__proto__", "extra", "id", SCRIPT]), put(pick(hostile)));
    else parent[key] = structuredClone(pick(hostile));
  }
  if (copy.root && typeof copy.root === "object" && "budgetMs" in copy.root) copy.root.budgetMs = BUDGET_MS;
  return copy.root;
}

function makeBody(at) {
  const kind = random();
  if (kind < 0.05)
    return pick(["", "{", "[", "null", "\ufeff{}", '{"a":1e}', "plum cake", "[".repeat(50_000)]);
  if (kind < 0.07) return Buffer.from(Array.from({ length: 300 }, () => Math.floor(random() * 256)));
  const own = documents.filter(({ path: each }) => each.split("?")[0] === at);
  const { document } = pick(own.length > 0 && random() < 0.9 ? own : documents);
  const text = JSON.stringify(spoil(document)) ?? "null";
  return random() < 0.05 ? text.slice(0, Math.floor(text.length * random())) : text;
}

const parts = {
  date: ["2026-11-28", "2026-12-05", "2026-02-30", "x", "..%2f..", "%00"],
  id: ["quince-half-moon", "bay-shortcrust", "none", "%F0%9F%A5%90", "__proto__", encodeURIComponent(SCRIPT)],
  form: ["pdf", "ics", "csv", "json", "txt", "x"],
  name: ["x.zip", "..%2f..%2fetc%2fpasswd", "tezgah-2026-11-25T12-00-00-000Z.zip"],
};
const fillPath = (at) => at.replaceAll(/\[(\w+)\]/g, (_, name) => pick(parts[name] ?? ["x"]));
const types = [
  "application/json",
  "application/json",
  "application/json",
  "application/json",
  "text/plain",
  "application/zip",
  "x",
];

buildApplication();
const folder = mkdtempSync(path.join(tmpdir(), "tezgah-hostile-"));
const file = path.join(folder, "hostile.db");
run("npx", ["tsx", "scripts/seedDemo.ts", file]);
const server = spawn(process.execPath, ["scripts/serve.mjs"], {
  stdio: "ignore",
  env: { ...process.env, PORT: String(PORT), TEZGAH_DATA: file, TEZGAH_NOW: "2026-11-24T10:00:00" },
});
while (!(await fetch(`${BASE}/api/health`).catch(() => null))) await new Promise((r) => setTimeout(r, 200));

const statuses = new Map();
const broken = [];
const slow = [];
let slowestMs = 0;
let sent = 0;

async function ask() {
  const route = pick(random() < READ_SHARE ? reads : sends);
  const at = fillPath(route.path);
  const query =
    random() < 0.2
      ? `?${pick(["after", "from", "to", "name", "on", "revision"])}=${new URLSearchParams({ v: (JSON.stringify(pick(hostile)) ?? "").slice(0, 300) }).toString().slice(2)}`
      : "";
  const body = route.method === "GET" ? undefined : makeBody(route.path);
  const fromMs = performance.now();
  let status = "no answer";
  let text = "";
  try {
    const answer = await fetch(`${BASE}${at}${query}`, {
      method: route.method,
      headers: body === undefined ? {} : { "content-type": pick(types) },
      body,
    });
    status = answer.status;
    if (answer.headers.get("content-type")?.includes("event-stream")) await answer.body?.cancel();
    else text = await answer.text();
  } catch (error) {
    text = String(error);
  }
  const ms = performance.now() - fromMs;
  const what = `${route.method} ${at}${query} ${String(body ?? "").slice(0, 300)}`;
  statuses.set(status, (statuses.get(status) ?? 0) + 1);
  if (status === 500 || status === "no answer" || /\n\s+at .*:\d+:\d+/.test(text))
    broken.push(`${status} ${what} ${text.slice(0, 200)}`);
  if (body !== undefined) sent++;
  // What was taken after all is work that was asked for: a great day is frozen, a sheet is searched.
  if (ms > SLOW_MS && body !== undefined && status >= 400) slow.push(`${Math.round(ms)} ms ${what}`);
  if (body !== undefined && status >= 400) slowestMs = Math.max(slowestMs, ms);
}

const fromMs = performance.now();
await Promise.all(
  Array.from({ length: AT_ONCE }, async () => {
    while (sent < bodies) await ask();
  }),
);
console.log(
  `${sent} bodies over ${sends.length} routes in ${Math.round((performance.now() - fromMs) / 1000)} s`,
);
console.log(`answered: ${[...statuses].map(([status, count]) => `${status}: ${count}`).join(", ")}`);
console.log(
  `slowest that was refused ${Math.round(slowestMs)} ms; over ${SLOW_MS} ms: ${slow.length}; broken: ${broken.length}`,
);
for (const line of [...broken.slice(0, 20), ...slow.slice(0, 20)]) console.log(line);

const pages = ["orders", "book", "larder", "kit", "ingredients", "bake"].map(
  (page) => `/day/2026-11-28/${page}`,
);
let scripts = 0;
for (const page of [...pages, "/days", "/habits", "/access", "/print/2026-11-28"])
  if ((await (await fetch(BASE + page)).text()).includes(SCRIPT)) scripts++;
console.log(`pages on which what was sent stands as a script: ${scripts}`);
const { body, headers } = await probeSlow(BASE);
console.log(
  `slow body: ${body.line} after ${body.afterS.toFixed(1)} s; headers: ${headers.line} after ${headers.afterS.toFixed(1)} s`,
);
const lines = await probeLines(BASE, server.pid, LIVE_LINES, LIVE_STAND_MS);
console.log(
  `${lines.opened} live lines opened, held ${LIVE_STAND_MS / 1000} s and closed: ${lines.cpuMs} ms of processor time, ` +
    `${lines.memoryMb} MB more while open, ${lines.memoryAfterMb} MB more afterwards`,
);
const health = await (await fetch(`${BASE}/api/health`)).json();
console.log(`well afterwards: ${health.isWell}, ${health.memoryMb} MB`);
server.kill();
rmSync(folder, { recursive: true, force: true });
process.exit(broken.length + scripts === 0 ? 0 : 1);
