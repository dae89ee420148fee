// What a server that was started does about slow, large and many: each probe says what it saw. For benches and journeys.
import { connect } from "node:net";
import { readFileSync } from "node:fs";
import { readCpuMs, wait } from "./benchServer.mjs";

/** Sends so much of a request and nothing more. @returns The answer's first line and how long it took, s. */
export function sendSlowly(base, text, everyMs = 0) {
  const { hostname, port } = new URL(base);
  const fromMs = performance.now();
  return new Promise((resolve) => {
    const socket = connect(Number(port), hostname);
    let said = "";
    let dripping;
    socket.on("connect", () => {
      socket.write(text);
      if (everyMs > 0) dripping = setInterval(() => socket.write(" "), everyMs);
    });
    socket.on("data", (chunk) => (said += chunk.toString()));
    socket.on("error", () => undefined);
    socket.on("close", () => {
      clearInterval(dripping);
      resolve({ line: said.split("\r\n")[0], afterS: (performance.now() - fromMs) / 1000 });
    });
  });
}

/** A body of which a byte comes now and then, and headers that never end. */
export async function probeSlow(base) {
  const head = "POST /api/v1/chill HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\n";
  const [body, headers] = await Promise.all([
    sendSlowly(base, `${head}Content-Length: 100000\r\n\r\n{`, 2000),
    sendSlowly(base, "GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Slow:"),
  ]);
  return { body, headers };
}

/** Megabytes that a process holds. */
export const readMemoryMb = (pid) =>
  (Number(readFileSync(`/proc/${pid}/statm`, "utf8").split(" ")[1]) * 4096) / 1e6;

/** Opens many live lines at once, lets them stand, and closes them. @returns Processor time and memory that they cost. */
export async function probeLines(base, pid, count, standMs) {
  const { epoch, revision } = await (await fetch(`${base}/api/bench/day/2026-11-28`)).json();
  const before = { cpuMs: readCpuMs(pid), memoryMb: readMemoryMb(pid) };
  const stop = new AbortController();
  const open = Array.from({ length: count }, async (_, i) => {
    const query = new URLSearchParams({
      epoch,
      revision: String(revision),
      device: `d${i}`,
      name: "T",
      at: "/",
    });
    const response = await fetch(`${base}/api/bench/live?${query}`, { signal: stop.signal });
    if (response.ok) void response.body?.pipeTo(new WritableStream()).catch(() => undefined);
    return response.status;
  });
  const statuses = await Promise.all(open);
  await wait(standMs);
  const during = { cpuMs: readCpuMs(pid), memoryMb: readMemoryMb(pid) };
  stop.abort();
  await wait(5000);
  return {
    opened: statuses.filter((status) => status === 200).length,
    cpuMs: during.cpuMs - before.cpuMs,
    memoryMb: Math.round(during.memoryMb - before.memoryMb),
    memoryAfterMb: Math.round(readMemoryMb(pid) - before.memoryMb),
  };
}
