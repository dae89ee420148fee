// npm run shots: one picture of each main view, from demo data, into docs/screenshots.
import { spawn, spawnSync } from "node:child_process";
import { mkdirSync } from "node:fs";
import { chromium } from "@playwright/test";
import { buildApplication, CHROMIUM, removeDataFile, run } from "./house.mjs";

const PORT = 3413;
const DATA = "data/shots.db";
const FOLDER = process.argv[2] ?? "docs/screenshots";
const day = "/day/2026-11-28";
const wide = { width: 1280, height: 800 };
const views = [
  { name: "orders", path: `${day}/orders` },
  { name: "mix", path: `${day}/mix` },
  { name: "roll-cut", path: `${day}/roll` },
  { name: "fill", path: "/day/2026-11-30/fill?piece=tahini-tartlet" },
  { name: "seal", path: `${day}/seal` },
  { name: "bake", path: "/day/2026-12-05/bake", settle: 4000 },
  { name: "piece", path: "/day/2026-11-30/piece/pear-coat" },
  { name: "formula", path: `${day}/formula/bay-shortcrust` },
  { name: "way", path: "/day/2026-11-30/piece/pear-coat/way" },
  { name: "kit", path: `${day}/kit` },
  { name: "labels", path: `${day}/labels`, settle: 2500 },
  { name: "costs", path: "/day/2026-12-05/costs", settle: 2500 },
  { name: "day-sheet", path: "/print/2026-11-28" },
  { name: "taught", path: "/run/2026-10-31/taught", settle: 3000 },
  { name: "days", path: "/days" },
  { name: "habits", path: "/habits?of=oven%3Atwo-deck" },
];
/** Views of the running day, and the minute of each. */
const runViews = [
  // Weighing out, with so much on the scale.
  { name: "run", path: "/run/2026-11-28", atMin: 290, touch: true, settle: 4000, scaleG: 1240 },
  { name: "run-bell", path: "/run/2026-11-28", theme: "tezgah-night", atMin: 482, touch: true, settle: 1500 },
  { name: "close", path: "/run/2026-11-28/close", atMin: 720 },
];
const wanted = process.argv.slice(3);
const origin = `http://127.0.0.1:${PORT}`;

buildApplication();
mkdirSync(FOLDER, { recursive: true });
removeDataFile(DATA);
run("npx", ["tsx", "scripts/seedDemo.ts", DATA, "--past"]);
let server = start("2026-11-27T18:00:00");
try {
  waitForServer();
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking", "--disable-component-update"],
  });
  for (const view of views) await shoot(browser, view);
  // The market's day frozen the evening before and worked off as planned until each of these.
  for (const { atMin, ...view } of runViews) {
    await workOffUntil(atMin);
    await stop();
    server = start(`2026-11-28T${clock(atMin)}:20`);
    waitForServer();
    await shoot(browser, view);
  }
  await browser.close();
} finally {
  server.kill();
}

function start(now) {
  return spawn("node", ["scripts/serve.mjs"], {
    stdio: "ignore",
    env: { ...process.env, PORT: String(PORT), TEZGAH_DATA: DATA, TEZGAH_NOW: now },
  });
}

async function stop() {
  // One that found its port taken is gone already.
  if (server.exitCode !== null) throw new Error(`The server ended by itself. Is port ${PORT} free?`);
  const gone = new Promise((resolve) => server.once("exit", resolve));
  server.kill();
  await gone;
}

function waitForServer() {
  const ask = `fetch("${origin}/api/v1/plan",{method:"POST"}).catch(()=>process.exit(1))`;
  while (spawnSync("node", ["-e", ask]).status !== 0);
}

function clock(minute) {
  return [Math.floor(minute / 60), minute % 60].map((part) => String(part).padStart(2, "0")).join(":");
}

async function workOffUntil(atMin) {
  const run = `${origin}/api/v1/runs/2026-11-28`;
  const post = (path, body) =>
    fetch(run + path, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(body),
    });
  await post("", {});
  const { placed, problem, jobs } = await (await fetch(run)).json();
  const told = { person: 0, deviceId: "shots" };
  const events = placed.flatMap(({ taskId, startMin, mode }) => {
    const endMin = startMin + problem.tasks.find(({ id }) => id === taskId).modes[mode].durationMin;
    return [
      ...(startMin < atMin ? [{ ...told, id: `b ${taskId}`, kind: "begun", taskId, atMin: startMin }] : []),
      ...(endMin < atMin ? [{ ...told, id: `d ${taskId}`, kind: "done", taskId, atMin: endMin }] : []),
    ];
  });
  // An oven that is somewhat hot, portions that are somewhat large, a blank that is torn now and then.
  for (const [i, { taskId, kind, targets, drawing }] of jobs.entries()) {
    const { startMin } = placed.find((each) => each.taskId === taskId);
    const measured = (measure, value) => ({
      ...told,
      id: `m ${measure} ${taskId}`,
      kind: "measured",
      taskId,
      measure,
      value,
      atMin: startMin + 1,
    });
    if (kind === "bake") events.push(measured("ovenC", targets.endC + 6 + 4 * (i % 3)));
    if (targets.portionG !== null) events.push(measured("massG", targets.portionG * (1.03 + 0.02 * (i % 3))));
    if (drawing?.kind === "sheet") events.push(measured("cutCount", drawing.sheet.count - (i % 2)));
  }
  events.push({
    ...told,
    id: "w",
    kind: "wrong",
    taskId: "bake:quince-half-moon:1",
    mishap: "leaked",
    count: 2,
    word: "at the fold",
    atMin: 484,
  });
  await post("/events", { events: events.filter((event) => event.atMin < atMin) });
}

async function shoot(
  browser,
  { name, path, theme = "tezgah", size = wide, settle = 0, touch = false, scaleG = null },
) {
  if (wanted.length > 0 && !wanted.includes(name)) return;
  const context = await browser.newContext({ viewport: size, reducedMotion: "reduce" });
  await context.addCookies([{ name: "tezgah-theme", value: theme, url: origin }]);
  const page = await context.newPage();
  page.on("console", (message) => console.log(`${name}: console ${message.type()}: ${message.text()}`));
  page.on("pageerror", (error) => console.log(`${name}: ${error}`));
  await page.goto(origin + path, { waitUntil: "networkidle" });
  await page.waitForFunction(() => document.querySelector("main")?.getAttribute("aria-busy") !== "true");
  await page.evaluate(() => document.fonts.ready);
  if (touch) await page.locator("h1").click();
  const weighing = scaleG === null ? null : setInterval(() => void weigh(scaleG).catch(() => undefined), 500);
  await page.waitForTimeout(settle);
  await page.screenshot({ path: `${FOLDER}/${name}.png` });
  clearInterval(weighing);
  await context.close();
}

/** The bench scale's own words. */
function weigh(massG) {
  return fetch(`${origin}/api/v1/readings`, {
    method: "POST",
    headers: { "content-type": "application/senml+json" },
    body: JSON.stringify([{ n: "bench-scale/mass", u: "g", v: massG }]),
  });
}
