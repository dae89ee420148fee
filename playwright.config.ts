import { existsSync, readdirSync } from "node:fs";
import { defineConfig } from "@playwright/test";

const SEED = "npx tsx scripts/seedDemo.ts";
/**
 * The worlds of the tests, the longest first, each a server with a data file of its own, so that two of them go on side
 * by side. What is written in a world is there for all of its files, which run one after the other.
 */
const worlds = [
  { name: "day", seed: SEED, files: ["api", "run", "screens", "taught"] },
  { name: "book", seed: SEED, files: ["piece", "saving", "mix", "market", "ways"] },
  { name: "kit", seed: SEED, files: ["kit", "cut", "bake", "heat", "remedy", "orders"] },
  { name: "server", seed: SEED, files: ["server", "live", "away", "access", "measures"] },
  { name: "empty", seed: "", files: ["firstDay", "selling"] },
] as const;
/** The first world's port; the others' follow. */
const FIRST_PORT = 3411;
const portOf = (at: number) => FIRST_PORT + at;
const left = readdirSync("tests").filter(
  (file) =>
    file.endsWith(".spec.ts") &&
    !worlds.some(({ files }) => files.some((name) => file === `${name}.spec.ts`)),
);
if (left.length > 0) throw new RangeError(`Name the world of ${left.join(", ")}: no test of it would run.`);
const toPattern = (files: readonly string[]) => new RegExp(`/(${files.join("|")})\\.spec\\.ts$`);

/** The moment the tests take place, whenever they are run. */
const TESTED_AT = "2026-11-24T10:00:00";

/** Debian's Chromium without a window: the same pages a quarter quicker. */
const WINDOWLESS = "/usr/bin/chromium-headless-shell";

const toFile = (name: string) => `data/test-${name}.db`;

export default defineConfig({
  testDir: "tests",
  fullyParallel: false,
  // One a core.
  workers: 2,
  // Generous: a busy machine is slow, not wrong, and stands still for half a minute while its neighbours build.
  timeout: 480_000,
  expect: { timeout: 60_000 },
  reporter: [["list"]],
  use: {
    viewport: { width: 1280, height: 800 },
    // An act that finds nothing to act on says so, instead of using up the whole test.
    actionTimeout: 90_000,
    contextOptions: { reducedMotion: "reduce" },
    // A journey that is about it lets it in: the others need not put the application on a device each time.
    serviceWorkers: "block",
    launchOptions: {
      executablePath: existsSync(WINDOWLESS) ? WINDOWLESS : "/usr/bin/chromium",
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
  projects: worlds.map(({ name, files }, at) => ({
    name,
    workers: 1,
    testMatch: toPattern(files),
    use: { baseURL: `http://127.0.0.1:${portOf(at)}` },
  })),
  webServer: worlds.map(({ name, seed }, at) => ({
    command: [
      `rm -f ${toFile(name)} ${toFile(name)}-wal ${toFile(name)}-shm`,
      ...(seed ? [`${seed} ${toFile(name)}`] : []),
      `exec npx next start --hostname 127.0.0.1 --port ${portOf(at)}`,
    ].join(" && "),
    port: portOf(at),
    env: { TEZGAH_DATA: toFile(name), TEZGAH_NOW: TESTED_AT, NEXT_TELEMETRY_DISABLED: "1" },
    reuseExistingServer: false,
    timeout: 300_000,
  })),
});
