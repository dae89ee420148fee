// What the benches of pages share: servers of their own on a data file, browsers, and what neighbours on the machine took.
import { spawn } from "node:child_process";
import { readFileSync } from "node:fs";
import { chromium } from "@playwright/test";

/** A server that spends less in a second has nothing to do, ms of processor time. */
const AT_REST_MS = 50;
/** Clock ticks a second, as Linux counts processor time. */
const TICKS = 100;

export const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
export const median = (values) => [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN;

/** Processor time of a process so far, ms, all its threads. */
export function readCpuMs(pid) {
  const fields = readFileSync(`/proc/${pid}/stat`, "utf8").split(") ")[1].split(" ");
  return ((Number(fields[11]) + Number(fields[12])) * 1000) / TICKS;
}

/** A start makes a copy of the file and plans ahead, in threads of the same process: what they spend is no page's. */
async function untilAtRest(pid) {
  for (let beforeMs = -Infinity; ;) {
    await wait(1000);
    const spentMs = readCpuMs(pid);
    if (spentMs - beforeMs < AT_REST_MS) return;
    beforeMs = spentMs;
  }
}

/** A server on a data file, at rest; it is ended by its `child`. */
export async function serve(file, port) {
  const child = spawn(process.execPath, ["scripts/serve.mjs"], {
    stdio: "ignore",
    env: {
      ...process.env,
      ...{ HOST: "127.0.0.1", PORT: String(port) },
      TEZGAH_DATA: file,
      TEZGAH_NOW: "2026-11-24T10:00:00",
      NEXT_TELEMETRY_DISABLED: "1",
    },
  });
  const base = `http://127.0.0.1:${port}`;
  for (let n = 0; n < 200; n++) {
    const answers = await fetch(base).then(
      () => true,
      () => false,
    );
    if (answers) {
      await untilAtRest(child.pid);
      return { base, child };
    }
    await wait(100);
  }
  child.kill();
  throw new Error(`No server answers on ${port}.`);
}

/** A browser that does nothing of its own beside the page, as the journeys have it. */
export const launch = (executablePath) =>
  chromium.launch({ executablePath, args: JSON.parse(readFileSync("scripts/quietFlags.json", "utf8")) });

/**
 * What of the cores other guests of the machine took since it was called, in %: while they take much, whatever is timed by the wall
 * says more of them than of us.
 */
export function watchNeighbours() {
  const read = () => {
    const ticks = readFileSync("/proc/stat", "utf8").split("\n")[0].split(/\s+/).slice(1, 9).map(Number);
    return { all: ticks.reduce((sum, each) => sum + each), stolen: ticks[7] };
  };
  const before = read();
  return () => {
    const now = read();
    return Math.round((100 * (now.stolen - before.stolen)) / Math.max(now.all - before.all, 1));
  };
}
