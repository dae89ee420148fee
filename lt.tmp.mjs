import { chromium } from "@playwright/test";
import fs from "node:fs";
const [base, path, exe = "/usr/bin/chromium", out="/tmp/w/load.json"] = process.argv.slice(2);
const browser = await chromium.launch({ executablePath: exe, args: ["--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking", "--disable-component-update", "--disable-sync"] });
for (let i = 0; i < 3; i++) {
  const ctx = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await ctx.newPage();
  await page.addInitScript(() => {
    new MutationObserver((_, o) => {
      const m = document.querySelector("main");
      if (m && !window.mainAt) performance.mark("MAIN"), window.mainAt = 1;
      if (m?.getAttribute("aria-busy") !== "false") return;
      window.usableMs = performance.now(); performance.mark("USABLE"); o.disconnect();
    }).observe(document, { subtree: true, childList: true, attributeFilter: ["aria-busy"] });
  });
  await browser.startTracing(page, { categories: ["devtools.timeline", "toplevel", "v8", "blink.user_timing", "loading", "disabled-by-default-v8.compile", "devtools.timeline.frame"], screenshots: false });
  await page.goto(base + path, { waitUntil: "commit" });
  await page.waitForFunction(() => window.usableMs);
  await page.waitForTimeout(200);
  const buf = await browser.stopTracing();
  const { traceEvents: ev } = JSON.parse(buf.toString());
  if (i === 2) fs.writeFileSync(out, buf);
  const us = ev.find((e) => e.name === "USABLE");
  const { pid, tid } = us;
  const t0 = us.ts - (us.args.data?.startTime ?? us.args.startTime) * 1000;
  const th = ev.filter((e) => e.pid === pid && e.tid === tid && e.ph === "X" && e.ts >= t0 && e.ts < us.ts);
  // self time by name
  th.sort((a, b) => a.ts - b.ts || b.dur - a.dur);
  const stack = [], self = {}, cnt = {};
  for (const e of th) {
    while (stack.length && stack.at(-1).ts + stack.at(-1).dur <= e.ts) stack.pop();
    const d = e.tdur ?? e.dur;
    self[e.name] = (self[e.name] ?? 0) + d; cnt[e.name] = (cnt[e.name] ?? 0) + 1;
    if (stack.length) self[stack.at(-1).name] -= d;
    stack.push(e);
  }
  const top = Object.entries(self).sort((a, b) => b[1] - a[1]).slice(0, 22);
  console.log("usable", ((us.ts - t0) / 1000).toFixed(0), "main cpu", (Object.values(self).reduce((a, b) => a + b) / 1000).toFixed(0));
  console.log("  " + top.map(([k, v]) => `${k} ${(v / 1000).toFixed(1)}(${cnt[k]})`).join(", "));
  for (const e of th.filter((e) => /^(Layout|UpdateLayoutTree)$/.test(e.name) && e.dur > 2000)) console.log("   ", e.name, ((e.ts - t0) / 1000).toFixed(0), "wall", (e.dur / 1000).toFixed(0), "cpu", (e.tdur / 1000).toFixed(0));
  if (i === 2) for (const e of th.filter((e) => (e.name === "RunTask" || e.name === "ThreadControllerImpl::RunTask") && e.dur > 4000)) {
    const inner = th.filter((x) => x !== e && x.ts >= e.ts && x.ts + x.dur <= e.ts + e.dur && x.dur > 3000 && !/RunTask/.test(x.name));
    console.log(`  ${((e.ts - t0) / 1000).toFixed(0)} +${(e.dur / 1000).toFixed(0)} cpu ${((e.tdur ?? 0) / 1000).toFixed(0)}: ` + inner.map((x) => `${x.name}${x.args?.data?.url ? ":" + x.args.data.url.split("/").pop().slice(0, 18) : ""} ${(x.dur / 1000).toFixed(0)}`).join(", ").slice(0, 330));
  }
  await ctx.close();
}
await browser.close();
