// npm run bench:drags: dials turned and handles pulled on the largest demo day, a new page each: tasks over 50 ms, and what the page's
// main thread works a move.
import { existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { launch, median, serve, wait, watchNeighbours } from "./benchServer.mjs";
import { buildApplication, CHROMIUM, run, WINDOWLESS } from "./house.mjs";

const PORT = 3473;
const REPEATS = 5;
/** There and back, at the pace of a finger. */
const MOVES = 60;
const EVERY_MS = 50;
const PIECE = "/day/2026-12-05/piece/leek-triangle";
const DRAGS = [
  ["a piece's square", PIECE, "Square, slider", "thumb"],
  ["a piece's plumpness", PIECE, "Plumpness, slider", "thumb"],
  ["a sheet's corner", "/day/2026-12-05/roll", /^Sheet corner/, "middle"],
  ["the clock's window", "/day/2026-12-05/bake", "Seen of the day", "middle"],
];

/** Where the handle is: of a field that is a slider, its thumb. */
async function findHandle(handle, where) {
  await handle.scrollIntoViewIfNeeded();
  const { x, y, width, height } = await handle.boundingBox();
  const share = where === "middle" ? 0.5 : await handle.evaluate((e) => (e.value - e.min) / (e.max - e.min));
  return { x: x + share * width, y: y + height / 2, direction: share > 0.6 ? -1 : 1 };
}

async function pull(browser, address, label, where) {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    serviceWorkers: "block",
  });
  const page = await context.newPage();
  await page.addInitScript(() => {
    window.long = [];
    new PerformanceObserver((list) => {
      for (const { startTime, duration } of list.getEntries()) window.long.push({ startTime, duration });
    }).observe({ type: "longtask" });
  });
  await page.goto(address);
  await page.locator('main[aria-busy="false"]').waitFor();
  // What is fetched at leisure is there.
  await wait(3000);
  const { x, y, direction } = await findHandle(page.getByRole("slider", { name: label }).first(), where);
  const inspector = await context.newCDPSession(page);
  await inspector.send("Performance.enable", { timeDomain: "threadTicks" });
  const readWorkedMs = async () =>
    (await inspector.send("Performance.getMetrics")).metrics.find(({ name }) => name === "TaskDuration")
      .value * 1000;
  await page.mouse.move(x, y);
  const fromMs = await page.evaluate(() => performance.now());
  const before = await readWorkedMs();
  await page.mouse.down();
  for (let n = 0; n < MOVES; n++) {
    await page.mouse.move(x + direction * (n < MOVES / 2 ? n : MOVES - n), y);
    await wait(EVERY_MS);
  }
  await page.mouse.up();
  await wait(1000);
  const workedMs = ((await readWorkedMs()) - before) / MOVES;
  const long = await page.evaluate((from) => window.long.filter((task) => task.startTime >= from), fromMs);
  await context.close();
  return { workedMs, long: long.map(({ duration }) => duration) };
}

buildApplication();
const folder = mkdtempSync(path.join(tmpdir(), "tezgah-bench-drags-"));
const file = path.join(folder, "demo.db");
run("npx", ["tsx", "scripts/seedDemo.ts", file]);
const { base, child } = await serve(file, PORT);
try {
  for (const executablePath of [WINDOWLESS, CHROMIUM].filter((each) => existsSync(each))) {
    const browser = await launch(executablePath);
    console.log(`\n${path.basename(executablePath)}: ${REPEATS} times ${MOVES} moves on the great market`);
    for (const [title, address, label, where] of DRAGS) {
      const pulls = [];
      for (let n = 0; n < REPEATS; n++) {
        const readNeighbours = watchNeighbours();
        const { workedMs, long } = await pull(browser, base + address, label, where);
        const told = long.map((ms) => Math.round(ms)).join(" ") || "none";
        pulls.push({ workedMs, told: `${told} (${readNeighbours()} %)` });
      }
      const worked = median(pulls.map(({ workedMs }) => workedMs)).toFixed(0);
      console.log(
        `${title.padEnd(22)} ${worked.padStart(4)} ms a move; over 50 ms (neighbours took): ${pulls.map(({ told }) => told).join(", ")}`,
      );
    }
    await browser.close();
  }
} finally {
  child.kill();
  rmSync(folder, { recursive: true, force: true });
}
