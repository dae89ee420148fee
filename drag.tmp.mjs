// node drag.tmp.mjs BASE PATH "Label, slider" MOVES : drags a slider, prints event-loop tasks over 30 ms on the main thread, from a trace
import { chromium } from "@playwright/test";
import fs from "node:fs";
const [base, path, label, moves = "60", exe = "/usr/bin/chromium-headless-shell", out] = process.argv.slice(2);
const browser = await chromium.launch({ executablePath: exe, args: ["--no-sandbox", "--disable-gpu"] });
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: "block" })).newPage();
await page.goto(base + path);
await page.locator('main[aria-busy="false"]').waitFor();
await page.waitForTimeout(3000);
const slider = page.getByRole("slider", { name: label, exact: true }).first();
await slider.scrollIntoViewIfNeeded();
const box = await slider.boundingBox();
const share = await slider.evaluate((e) => (Number(e.value) - Number(e.min)) / (Number(e.max) - Number(e.min)));
await browser.startTracing(page, { categories: ["devtools.timeline", "toplevel", "disabled-by-default-devtools.timeline", "blink.user_timing", "v8.execute"], screenshots: false });
const y = box.y + box.height / 2;
const x0 = box.x + 10 + share * (box.width - 20);
await page.mouse.move(x0, y);
await page.mouse.down();
for (let i = 0; i < Number(moves); i++) { const d = (i < moves / 2 ? i : moves - i) * (share > 0.6 ? -1 : 1); await page.mouse.move(x0 + d, y); await page.waitForTimeout(50); }
await page.mouse.up();
await page.waitForTimeout(1500);
const buf = await browser.stopTracing();
if (out) fs.writeFileSync(out, buf);
const { traceEvents } = JSON.parse(buf.toString());
const main = traceEvents.find((e) => e.name === "thread_name" && e.args.name === "CrRendererMain" && traceEvents.some((f) => f.pid === e.pid && f.tid === e.tid && f.name === "FunctionCall"));
const tasks = traceEvents.filter((e) => e.ph === "X" && e.pid === main.pid && e.tid === main.tid && e.name === "RunTask" ).sort((a, b) => (b.tdur??0) - (a.tdur??0));
console.log(label, "tasks>50:", tasks.filter((t) => t.dur > 50000).map((t) => `${Math.round(t.dur / 1000)}(${Math.round((t.tdur ?? 0) / 1000)})`).join(" "), "| top cpu:", tasks.slice(0, 8).map((t) => `${Math.round(t.dur / 1000)}/${Math.round((t.tdur ?? 0) / 1000)}`).join(" "), "n", tasks.length);
for (const t of tasks.slice(0, 3)) {
  const inner = traceEvents.filter((e) => e.ph === "X" && e.pid === main.pid && e.tid === main.tid && e.ts >= t.ts && e.ts + (e.dur ?? 0) <= t.ts + t.dur && e.dur > 2000 && e !== t).sort((a, b) => a.ts - b.ts);
  console.log("  task", Math.round((t.tdur??0)/1000), Math.round(t.dur / 1000), inner.map((e) => `${e.name}${e.name === "EventDispatch" ? ":" + e.args.data.type : ""} ${(e.dur / 1000).toFixed(0)}`).join(", ").slice(0, 600));
}
await browser.close();
