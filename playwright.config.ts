import { existsSync, readdirSync } from "node:fs";
import { defineConfig } from "@playwright/test";
import quietFlags from "./scripts/quietFlags.json";

const toFile = (name: string) => `data/test-${name}.db`;

/** The demo world and the one with a past, laid once, before any server is there; who needs one takes a copy. */
const seeds = { demo: toFile("seed-demo"), past: toFile("seed-past") };
const SEED = [
  `rm -rf ${seeds.demo}* ${seeds.past}*`,
  `npx tsx scripts/seedDemo.ts ${seeds.demo}`,
  `npx tsx scripts/seedDemo.ts ${seeds.past} --past`,
].join(" && ");
/**
 * The worlds of the tests, the longest first, each a server with a data file of its own, so that two of them go on side
 * by side. What is written in a world is there for all of its files, which run one after the other.
 */
const worlds = [
  { name: "day", isDemo: true, files: ["api", "run", "screens", "taught"] },
  { name: "book", isDemo: true, files: ["piece", "saving", "mix", "market", "ways"] },
  { name: "kit", isDemo: true, files: ["kit", "cut", "bake", "heat", "remedy", "orders"] },
  { name: "empty", isDemo: false, files: ["firstDay"] },
] as const;
/**
 * Journeys that start servers of their own touch no world: they fill whatever core is free, file by file, the longest first,
 * so that both cores end together.
 */
const OWN_SERVERS = ["server", "selling", "live", "away", "measures", "access"];
/** The first world's port; the others' follow. */
const FIRST_PORT = 3411;
const portOf = (at: number) => FIRST_PORT + at;
const left = readdirSync("tests").filter(
  (file) =>
    file.endsWith(".spec.ts") &&
    ![...OWN_SERVERS, ...worlds.flatMap(({ files }) => files)].some((name) => file === `${name}.spec.ts`),
);
if (left.length > 0) throw new RangeError(`Name the world of ${left.join(", ")}: no test of it would run.`);
const toPattern = (files: readonly string[]) => new RegExp(`/(${files.join("|")})\\.spec\\.ts$`);

/** The moment the tests take place, whenever they are run. */
const TESTED_AT = "2026-11-24T10:00:00";

/** Debian's Chromium without a window: the same pages a quarter quicker. */
const WINDOWLESS = "/usr/bin/chromium-headless-shell";

export default defineConfig({
  testDir: "tests",
  fullyParallel: false,
  // One a core: three of them came no sooner to their end.
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
      // Nothing of its own beside the page: the benches read them too.
      args: quietFlags,
    },
  },
  projects: [
    ...worlds.map(({ name, files }, at) => ({
      name,
      workers: 1,
      testMatch: toPattern(files),
      use: { baseURL: `http://127.0.0.1:${portOf(at)}` },
    })),
    ...OWN_SERVERS.map((name) => ({ name, testMatch: toPattern([name]) })),
  ],
  // They are started one after the other: the first lays the seeds for all.
  webServer: worlds.map(({ name, isDemo }, at) => ({
    command: [
      ...(at === 0 ? [SEED] : []),
      `rm -rf ${toFile(name)}*`,
      ...(isDemo ? [`cp ${seeds.demo} ${toFile(name)}`] : []),
      "exec node scripts/serve.mjs",
    ].join(" && "),
    port: portOf(at),
    env: {
      ...{ HOST: "127.0.0.1", PORT: String(portOf(at)) },
      ...{ TEZGAH_DATA: toFile(name), TEZGAH_NOW: TESTED_AT, NEXT_TELEMETRY_DISABLED: "1" },
    },
    reuseExistingServer: false,
    timeout: 300_000,
  })),
});
