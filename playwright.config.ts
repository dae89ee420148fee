import { defineConfig } from "@playwright/test";

/** Ports of the two servers under test: one begins empty, the other with the demo world. */
const EMPTY_PORT = 3411;
const DEMO_PORT = 3412;

/** The moment the tests take place, whenever they are run. */
const TESTED_AT = "2026-11-24T10:00:00";

const serve = (data: string, port: number, seed: string) => ({
  command: `rm -f ${data} ${data}-wal ${data}-shm; ${seed} npx next start --hostname 127.0.0.1 --port ${port}`,
  port,
  env: { TEZGAH_DATA: data, TEZGAH_NOW: TESTED_AT, NEXT_TELEMETRY_DISABLED: "1" },
  reuseExistingServer: false,
});

export default defineConfig({
  testDir: "tests",
  fullyParallel: false,
  workers: 1,
  // Generous: a busy machine is slow, not wrong.
  timeout: 120_000,
  expect: { timeout: 15_000 },
  reporter: [["list"]],
  use: {
    viewport: { width: 1280, height: 800 },
    // An act that finds nothing to act on says so, instead of using up the whole test.
    actionTimeout: 20_000,
    contextOptions: { reducedMotion: "reduce" },
    launchOptions: {
      executablePath: "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
  projects: [
    { name: "empty", testMatch: /firstDay\.spec\.ts/, use: { baseURL: `http://127.0.0.1:${EMPTY_PORT}` } },
    { name: "demo", testIgnore: /firstDay\.spec\.ts/, use: { baseURL: `http://127.0.0.1:${DEMO_PORT}` } },
  ],
  webServer: [
    serve("data/test-empty.db", EMPTY_PORT, ""),
    serve("data/test-demo.db", DEMO_PORT, "npx tsx scripts/seedDemo.ts data/test-demo.db &&"),
  ],
});
