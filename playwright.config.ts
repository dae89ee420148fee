import { defineConfig } from "@playwright/test";

/**
 * The worlds of the tests, each a server with a data file of its own, so that two of them go on side by side. What is
 * written in a world is there for all of its files, which run one after the other.
 */
const worlds = [
  { name: "empty", port: 3411, seed: "", files: ["firstDay"] },
  {
    name: "day",
    port: 3412,
    seed: "npx tsx scripts/seedDemo.ts",
    files: ["api", "run", "screens", "taught"],
  },
  { name: "bench", port: 3413, seed: "npx tsx scripts/seedDemo.ts", files: null },
] as const;
const toPattern = (files: readonly string[]) => new RegExp(`/(${files.join("|")})\\.spec\\.ts$`);
const elsewhere = worlds.flatMap(({ files }) => files ?? []);

/** The moment the tests take place, whenever they are run. */
const TESTED_AT = "2026-11-24T10:00:00";

const toFile = (name: string) => `data/test-${name}.db`;

export default defineConfig({
  testDir: "tests",
  fullyParallel: false,
  // Two at a time take three quarters of the time, and the minutes of a running day then come late on a slow machine.
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
  projects: worlds.map(({ name, port, files }) => ({
    name,
    workers: 1,
    ...(files ? { testMatch: toPattern(files) } : { testIgnore: toPattern(elsewhere) }),
    use: { baseURL: `http://127.0.0.1:${port}` },
  })),
  webServer: worlds.map(({ name, port, seed }) => ({
    command: [
      `rm -f ${toFile(name)} ${toFile(name)}-wal ${toFile(name)}-shm`,
      ...(seed ? [`${seed} ${toFile(name)}`] : []),
      `exec npx next start --hostname 127.0.0.1 --port ${port}`,
    ].join(" && "),
    port,
    env: { TEZGAH_DATA: toFile(name), TEZGAH_NOW: TESTED_AT, NEXT_TELEMETRY_DISABLED: "1" },
    reuseExistingServer: false,
    timeout: 120_000,
  })),
});
