// npm run shots: one picture of each main view, from demo data, into docs/screenshots.
import { spawn, spawnSync } from "node:child_process";
import { mkdirSync, rmSync } from "node:fs";
import { chromium } from "@playwright/test";
import { buildApplication, run } from "./house.mjs";

const PORT = 3413;
const DATA = "data/shots.db";
const FOLDER = process.argv[2] ?? "docs/screenshots";
const day = "/day/2026-11-28";
const wide = { width: 1280, height: 800 };
const views = [
  { name: "orders", path: `${day}/orders` },
  { name: "mix", path: `${day}/mix` },
  { name: "roll-cut", path: `${day}/roll` },
  { name: "roll-cut-night", path: "/day/2026-11-29/roll?piece=blossom-case", theme: "tezgah-night" },
  { name: "fill", path: "/day/2026-11-30/fill?piece=tahini-tartlet" },
  { name: "seal", path: `${day}/seal` },
  { name: "bake", path: "/day/2026-12-05/bake", settle: 4000 },
  { name: "cool", path: "/day/2026-12-05/cool?piece=custard-cup" },
  { name: "piece", path: "/day/2026-11-30/piece/pear-coat" },
  { name: "formula", path: `${day}/formula/bay-shortcrust` },
  { name: "schools", path: "/day/2026-11-30/piece/pear-coat/schools", settle: 4000 },
  { name: "way", path: "/day/2026-11-30/piece/pear-coat/way" },
  { name: "larder", path: `${day}/larder` },
  { name: "heat", path: "/day/2026-11-30/piece/custard-cup/heat", settle: 4000 },
  { name: "book", path: `${day}/book` },
  { name: "kit", path: `${day}/kit` },
  { name: "batch", path: "/day/2026-11-30/batch", settle: 1500 },
  { name: "day-sheet", path: "/print/2026-11-28" },
  { name: "roll-cut-hand", path: `${day}/roll`, size: { width: 390, height: 844 } },
];
const wanted = process.argv.slice(3);

buildApplication();
mkdirSync(FOLDER, { recursive: true });
for (const suffix of ["", "-wal", "-shm"]) rmSync(DATA + suffix, { force: true });
run("npx", ["tsx", "scripts/seedDemo.ts", DATA]);
const server = spawn(
  "node",
  ["node_modules/next/dist/bin/next", "start", "--hostname", "127.0.0.1", "--port", String(PORT)],
  {
    stdio: "ignore",
    env: { ...process.env, TEZGAH_DATA: DATA, TEZGAH_NOW: "2026-11-27T18:00:00" },
  },
);
try {
  const origin = `http://127.0.0.1:${PORT}`;
  while (
    spawnSync("node", ["-e", `fetch("${origin}/api/v1/plan",{method:"POST"}).catch(()=>process.exit(1))`])
      .status !== 0
  );
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking", "--disable-component-update"],
  });
  for (const { name, path, theme = "tezgah", size = wide, settle = 0 } of views) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    const context = await browser.newContext({ viewport: size, reducedMotion: "reduce" });
    await context.addCookies([{ name: "tezgah-theme", value: theme, url: origin }]);
    const page = await context.newPage();
    page.on("console", (message) => console.log(`${name}: console ${message.type()}: ${message.text()}`));
    page.on("pageerror", (error) => console.log(`${name}: ${error}`));
    await page.goto(origin + path, { waitUntil: "networkidle" });
    await page.waitForFunction(() => document.querySelector("main")?.getAttribute("aria-busy") !== "true");
    await page.evaluate(() => document.fonts.ready);
    await page.waitForTimeout(settle);
    await page.screenshot({ path: `${FOLDER}/${name}.png` });
    await context.close();
  }
  await browser.close();
} finally {
  server.kill();
}
