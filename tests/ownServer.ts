import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { copyFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { expect, test } from "@playwright/test";

/** A server of a spec's own, with data files of its own: it may be killed, starved and started at another hour. */
export function createOwnServer(port: number) {
  const base = `http://127.0.0.1:${port}`;
  let folder: string;
  let server: ChildProcess | null = null;
  let said = "";
  test.beforeAll(() => {
    folder = mkdtempSync(path.join(tmpdir(), "tezgah-server-"));
  });
  test.afterAll(async () => {
    await stop();
    rmSync(folder, { recursive: true, force: true });
  });

  /** The demo's data, a copy of what the first server's start has laid. @param past - With six Saturdays before it. */
  const seed = (file: string, past = false) => copyFile(`data/test-seed-${past ? "past" : "demo"}.db`, file);

  async function start(file: string, more: Record<string, string> = {}): Promise<void> {
    // Two specs side by side on one port would each be answered by the other's server.
    const isTaken = await fetch(base).then(
      () => true,
      () => false,
    );
    if (isTaken) throw new Error(`Something answers on ${port} already: give this spec a port of its own.`);
    server = spawn(process.execPath, ["scripts/serve.mjs"], {
      stdio: ["ignore", "pipe", "ignore"],
      env: {
        ...process.env,
        ...{ HOST: "127.0.0.1", PORT: String(port) },
        TEZGAH_DATA: file,
        TEZGAH_NOW: "2026-11-24T10:00:00",
        NEXT_TELEMETRY_DISABLED: "1",
        ...more,
      },
    });
    said = "";
    server.stdout?.on("data", (chunk: Buffer) => (said += chunk.toString()));
    await expect
      .poll(
        () =>
          fetch(base).then(
            ({ status }) => status,
            () => 0,
          ),
        { timeout: 180_000 },
      )
      .toBeGreaterThan(0);
  }

  async function stop(signal: NodeJS.Signals = "SIGTERM"): Promise<void> {
    const child = server;
    server = null;
    if (!child || child.exitCode !== null) return;
    child.kill(signal);
    await expect
      .poll(() => child.exitCode ?? child.signalCode, {
        message: `the server on ${port} ends when it gets ${signal}`,
      })
      .not.toBeNull();
  }

  /** What the server has printed since it was started. */
  const readSaid = () => said;

  return { base, seed, start, stop, readSaid, file: (name: string) => path.join(folder, name) };
}
