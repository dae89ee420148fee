// Figures of the pages, the demo's file and one of ten years side by side: what the server spends, what goes over, and
// when a page can be used. Part of npm run bench; needs Linux for the processor time.
import { existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { launch, median, readCpuMs, serve, wait, watchNeighbours } from "./benchServer.mjs";
import { buildApplication, CHROMIUM, run, WINDOWLESS } from "./house.mjs";

const REPEATS = 15;
const PORTS = { demo: 3471, "ten years": 3472 };
const PAGES = [
  ["great market, orders", "/day/2026-12-05/orders"],
  ["great market, bake", "/day/2026-12-05/bake"],
  ["a Saturday, roll & cut", "/day/2026-11-28/roll"],
  ["day sheet", "/print/2026-12-05"],
  ["shopping, 31 days", "/day/2026-11-04/shopping?to=2026-12-04", "ten years"],
  ["the plan, packed", "/api/bench/plan/2026-12-05"],
];
const folder = mkdtempSync(path.join(tmpdir(), "tezgah-bench-"));
const servers = {};

async function measure({ base, child }, address) {
  for (let n = 0; n < 3; n++) await fetch(base + address).then((answer) => answer.arrayBuffer());
  const [firsts, wholes] = [[], []];
  let bytes = 0;
  const before = readCpuMs(child.pid);
  for (let n = 0; n < REPEATS; n++) {
    const start = performance.now();
    const answer = await fetch(base + address);
    firsts.push(performance.now() - start);
    bytes = (await answer.arrayBuffer()).byteLength;
    wholes.push(performance.now() - start);
  }
  const cpu = (readCpuMs(child.pid) - before) / REPEATS;
  return `${median(firsts).toFixed(0).padStart(6)} ${median(wholes).toFixed(0).padStart(6)} ${cpu.toFixed(0).padStart(6)} ${(bytes / 1000).toFixed(0).padStart(6)}`;
}

/** A browser lays out a new profile for so long beside whatever its first page does, ms; people's are laid out. */
const LAID_OUT_MS = 1500;

/**
 * A page in a browser that has never seen it: when it can be used, what of that its main thread worked (a machine that
 * is busy elsewhere makes the first longer, not the second), its longest task, its scripts as they go over.
 */
async function measureUse(browser, base, address) {
  const [times, workedMs] = [[], []];
  const readNeighbours = watchNeighbours();
  let [longest, scriptKb] = [0, 0];
  for (let n = 0; n < 7; n++) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.addInitScript(() => {
      window.longest = 0;
      // The page itself says when: asked from outside, the answer comes some tens of milliseconds later.
      new MutationObserver((_, observer) => {
        if (document.querySelector("main")?.getAttribute("aria-busy") !== "false") return;
        window.usableMs = performance.now();
        observer.disconnect();
      }).observe(document, { subtree: true, childList: true, attributeFilter: ["aria-busy"] });
      new PerformanceObserver((list) => {
        for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
      }).observe({ type: "longtask", buffered: true });
    });
    const inspector = await context.newCDPSession(page);
    await inspector.send("Performance.enable", { timeDomain: "threadTicks" });
    await wait(LAID_OUT_MS);
    await page.goto(base + address, { waitUntil: "commit" });
    await page.waitForFunction(() => window.usableMs);
    const seen = await page.evaluate(() => ({
      usable: window.usableMs,
      longest: window.longest,
      scripts: performance
        .getEntriesByType("resource")
        .filter(({ name }) => name.endsWith(".js"))
        .reduce((sum, { transferSize }) => sum + transferSize, 0),
    }));
    const { metrics } = await inspector.send("Performance.getMetrics");
    workedMs.push(metrics.find(({ name }) => name === "TaskDuration").value * 1000);
    times.push(seen.usable);
    longest = Math.max(longest, seen.longest);
    scriptKb = seen.scripts / 1000;
    await context.close();
  }
  return `usable ${median(times).toFixed(0)} ms (least ${Math.min(...times).toFixed(0)}), main thread worked ${median(workedMs).toFixed(0)} ms, longest task ${longest.toFixed(0)} ms, scripts ${scriptKb.toFixed(0)} kB, neighbours took ${readNeighbours()} %`;
}

buildApplication();
try {
  const files = { demo: path.join(folder, "demo.db"), "ten years": path.join(folder, "years.db") };
  run("npx", ["tsx", "scripts/seedDemo.ts", files.demo]);
  run("npx", ["tsx", "scripts/years.ts", files["ten years"]]);
  for (const [name, file] of Object.entries(files)) servers[name] = await serve(file, PORTS[name]);
  console.log(
    `\n${"pages: first byte ms, whole ms, server's cpu ms, kB".padEnd(44)} ${"demo".padStart(27)}   ${"ten years".padStart(27)}`,
  );
  for (const [title, address, only] of PAGES) {
    const row = [];
    for (const name of Object.keys(files))
      row.push(only && only !== name ? "".padStart(27) : await measure(servers[name], address));
    console.log(`${title.padEnd(44)} ${row.join("   ")}`);
  }
  // The one that the journeys use, without a window, and the one that people have.
  for (const executablePath of [WINDOWLESS, CHROMIUM].filter((file) => existsSync(file))) {
    const browser = await launch(executablePath);
    console.log(`great market in a new browser (${path.basename(executablePath)})`);
    for (const name of Object.keys(files))
      console.log(
        `  ${name.padEnd(10)} ${await measureUse(browser, servers[name].base, "/day/2026-12-05/orders")}`,
      );
    await browser.close();
  }
} finally {
  for (const { child } of Object.values(servers)) child.kill();
  rmSync(folder, { recursive: true, force: true });
}
