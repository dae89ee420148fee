// timeline of a load: node tl.tmp.mjs BASE PATH EXE [N]
import { chromium } from "@playwright/test";
const [base, path, exe = "/usr/bin/chromium", n = "7"] = process.argv.slice(2);
const browser = await chromium.launch({ executablePath: exe, args: ["--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking", "--disable-component-update", "--disable-sync"] });
const rows = [];
for (let i = 0; i < Number(n); i++) {
  const ctx = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await ctx.newPage();
  await page.addInitScript(() => {
    window.lt = [];
    window.hyd = 0;
    new MutationObserver((_, o) => {
      const m = document.querySelector("main");
      if (m && !window.mainAt) window.mainAt = performance.now();
      if (m?.getAttribute("aria-busy") !== "false") return;
      window.usableMs = performance.now(); o.disconnect();
    }).observe(document, { subtree: true, childList: true, attributeFilter: ["aria-busy"] });
    new PerformanceObserver((l) => { for (const e of l.getEntries()) window.lt.push([Math.round(e.startTime), Math.round(e.duration)]); }).observe({ type: "longtask", buffered: true });
  });
  await page.goto(base + path, { waitUntil: "commit" });
  await page.waitForFunction(() => window.usableMs);
  const r = await page.evaluate(() => {
    const nav = performance.getEntriesByType("navigation")[0];
    const js = performance.getEntriesByType("resource").filter((e) => e.name.endsWith(".js"));
    const plan = performance.getEntriesByType("resource").find((e) => e.name.includes("/api/bench/plan"));
    const fp = performance.getEntriesByName("first-paint")[0];
    const R = Math.round;
    return { ttfb: R(nav.responseStart), htmlEnd: R(nav.responseEnd), main: R(window.mainAt ?? 0), dcl: R(nav.domContentLoadedEventStart), jsFirst: R(Math.min(...js.map((e) => e.startTime))), jsLast: R(Math.max(...js.filter(e=>e.responseEnd<window.usableMs).map((e) => e.responseEnd))), planAt: R(plan?.startTime ?? 0), planEnd: R(plan?.responseEnd ?? 0), fp: R(fp?.startTime ?? 0), usable: R(window.usableMs), lt: window.lt.map((x) => x.join("+")).join(" ") };
  });
  rows.push(r);
  await ctx.close();
}
console.table(rows);
await browser.close();
