// paired loads of two servers in turn, full Chromium: median and least of usable, planEnd
import { chromium } from "@playwright/test";
const [a, b, path, exe = "/usr/bin/chromium", n = "15"] = process.argv.slice(2);
const browser = await chromium.launch({ executablePath: exe, args: ["--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking", "--disable-component-update", "--disable-sync"] });
const got = { a: [], b: [] };
for (let i = -1; i < Number(n); i++) for (const [k, base] of [["a", a], ["b", b]]) {
  const ctx = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await ctx.newPage();
  await page.addInitScript(() => {
    new MutationObserver((_, o) => { if (document.querySelector("main")?.getAttribute("aria-busy") !== "false") return; window.usableMs = performance.now(); o.disconnect(); }).observe(document, { subtree: true, childList: true, attributeFilter: ["aria-busy"] });
  });
  const s = await ctx.newCDPSession(page);
  await s.send("Performance.enable", { timeDomain: "threadTicks" });
  await page.waitForTimeout(Number(process.env.REST ?? 0));
  await page.goto(base + path, { waitUntil: "commit" });
  await page.waitForFunction(() => window.usableMs);
  const u = await page.evaluate(() => [window.usableMs, performance.getEntriesByType("resource").find((e) => e.name.includes("/api/bench/plan"))?.responseEnd ?? 0]);
  const w = (await s.send("Performance.getMetrics")).metrics.find((m) => m.name === "TaskDuration").value * 1000;
  if (i >= 0) got[k].push([...u, w]);
  await ctx.close();
}
const q = (v, p) => [...v].sort((x, y) => x - y)[Math.floor((v.length - 1) * p)].toFixed(0);
for (const k of ["a", "b"]) { const col = (j) => got[k].map((r) => r[j]); console.log(k, "usable least", q(col(0), 0), "q1", q(col(0), .25), "median", q(col(0), .5), "| plan end", q(col(1), .25), q(col(1), .5), "| worked", q(col(2), .25), q(col(2), .5)); }
const wins = got.a.filter((r, i) => r[0] > got.b[i][0]).length; console.log("b quicker", wins, "of", got.a.length);
await browser.close();
