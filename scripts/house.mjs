// What the other scripts share: running commands, installing, building. Node's own modules only, since these
// run before anything is installed.
import { spawn, spawnSync } from "node:child_process";
import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { createHash } from "node:crypto";
import path from "node:path";
import { packedTypes, packFiles } from "./packings.mjs";

process.env.NEXT_TELEMETRY_DISABLED = "1";

/** Runs a command with our own output; ends the script with its exit code if it fails. */
export function run(command, args, env = {}) {
  const done = spawnSync(command, args, { stdio: "inherit", env: { ...process.env, ...env } });
  if (done.status !== 0) {
    console.error(`\n${command} ${args.join(" ")} failed.`);
    process.exit(done.status ?? 1);
  }
}

/** Runs a command and gives its exit code and all it printed, which is shown as it comes. */
export function runAndRead(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      stdio: ["ignore", "pipe", "pipe"],
      env: { ...process.env, ...env },
    });
    let output = "";
    for (const stream of [child.stdout, child.stderr]) {
      stream.on("data", (chunk) => {
        output += chunk;
        process.stdout.write(chunk);
      });
    }
    child.on("close", (code) => resolve({ code: code ?? 1, output }));
  });
}

/** What installs: of one version, so that a lockfile is read as it was written. */
const PNPM = "pnpm@12.21.0";

/**
 * Installs exactly what the lockfile says, unless that has been done; ends the script if it fails. pnpm keeps what it once
 * fetched and compiled for all copies of the house on this machine.
 */
export async function installPackages() {
  const wanted = createHash("sha256").update(readFileSync("pnpm-lock.yaml")).digest("hex");
  const mark = "node_modules/.tezgah-installed";
  if (existsSync(mark) && readFileSync(mark, "utf8") === wanted) return;
  // SQLite is compiled on a machine that has not done so before: by as many cores as there are.
  const env = { JOBS: "max" };
  const { code } = await runAndRead("npx", ["--yes", PNPM, "install", "--frozen-lockfile"], env);
  if (code !== 0) process.exit(code);
  writeFileSync(mark, wanted);
}

const SERVICE_WORKER = "public/service-worker.js";

/** Builds the application, unless the build is newer than every source. */
export function buildApplication() {
  const built = ".next/BUILD_ID";
  if (existsSync(built) && existsSync("build/jobs.mjs") && existsSync(SERVICE_WORKER)) {
    const newest = spawnSync(
      "find",
      [
        "src",
        "next.config.mjs",
        "scripts/packings.mjs",
        "scripts/house.mjs",
        "pnpm-lock.yaml",
        "-newer",
        built,
      ],
      {
        encoding: "utf8",
      },
    );
    if (newest.status === 0 && newest.stdout.trim() === "") return;
  }
  buildJobs();
  buildPages();
}

/** Builds the application itself, and the worker that keeps it on devices. */
export function buildPages() {
  run("npx", ["next", "build"], { TEZGAH_PACKED: "1" });
  const version = readFileSync(".next/BUILD_ID", "utf8");
  compileAtOnce();
  const isPacked = (file) => Object.keys(packedTypes).some((type) => file.endsWith(`.${type}`));
  const isPart = (file) => isPacked(file) || /\.(woff2|svg)$/.test(file);
  const parts = readdirSync(".next/static", { recursive: true, encoding: "utf8" }).filter(isPart);
  packFiles(parts.filter(isPacked).map((file) => `.next/static/${file}`));
  const entries = [
    // Named after what is in them.
    ...parts.map((file) => ({ url: `/_next/static/${file}`, revision: null })),
    { url: "/away", revision: version },
  ];
  bundle("src/workers/serviceWorker.ts", SERVICE_WORKER, [
    "--platform=browser",
    `--define:TEZGAH_PARTS=${JSON.stringify(entries)}`,
    '--define:process.env.NODE_ENV="production"',
    "--minify",
  ]);
}

/** The frame has two that are larger, React and the router; the others are a tenth of it and stay as they are. */
const LEAST_COMPILED_BYTES = 100_000;

/**
 * Tells browsers to compile the frame of every page, React and the router, while it comes in, beside the page's own thread:
 * half of its functions are called before a page can be used, and compiled one by one they hold that thread up by a fifth. Of
 * the pages' own scripts less is called: for them it would be work for nothing.
 */
function compileAtOnce() {
  const { rootMainFiles } = JSON.parse(readFileSync(".next/build-manifest.json", "utf8"));
  for (const file of rootMainFiles.map((name) => `.next/${name}`)) {
    const text = readFileSync(file, "utf8");
    if (text.length >= LEAST_COMPILED_BYTES) writeFileSync(file, `//# allFunctionsCalledOnLoad\n${text}`);
  }
}

/** Bundles the programme of the server's own threads, each part that is fetched later in a file of its own. */
export function buildJobs() {
  rmSync("build", { recursive: true, force: true });
  bundle("src/jobs/jobs.ts", null, [
    ...["--platform=node", "--target=node20", "--external:better-sqlite3"],
    ...["--splitting", "--outdir=build", "--out-extension:.js=.mjs"],
  ]);
}

const SERVER = ["--platform=node", "--target=node20", "--packages=external"];

/** Bundles a programme as it is built for use, into one file unless that is null: nothing kept that only helps to debug. */
export function bundle(source, outfile, more = SERVER) {
  run("npx", [
    "esbuild",
    source,
    "--bundle",
    "--format=esm",
    ...more,
    "--tsconfig=tsconfig.json",
    "--log-level=warning",
    ...(outfile === null ? [] : [`--outfile=${outfile}`]),
  ]);
}

/** Removes a data file with all that stands beside it: one that is gone beside its copies would be taken for lost. */
export function removeDataFile(file) {
  const folder = path.dirname(file);
  for (const name of existsSync(folder) ? readdirSync(folder) : [])
    if (name.startsWith(path.basename(file)))
      rmSync(path.join(folder, name), { recursive: true, force: true });
}

/** Starts the built application on `port` of this machine only, with its own data file. */
export function startApplication(dataFile, port, more = {}) {
  console.log(`\nTezgah is at http://127.0.0.1:${port}  (data: ${dataFile}; stop with Ctrl C)\n`);
  const child = spawn(process.execPath, ["scripts/serve.mjs"], {
    stdio: "inherit",
    env: { ...process.env, PORT: String(port), TEZGAH_DATA: dataFile, ...more },
  });
  for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => child.kill(signal));
  child.on("close", (code) => process.exit(code ?? 0));
}

export const CHROMIUM = "/usr/bin/chromium";
/** The same without a window: the tests' journeys take a quarter less. */
export const WINDOWLESS = "/usr/bin/chromium-headless-shell";

const isThere = (file) => existsSync(file) && statSync(file).isFile();

/**
 * Makes sure that Chromium is there for the tests, the windowless one where apt may fetch it.
 * @returns Whether one is there: if not, what to do has been said.
 */
export async function installChromium() {
  if (isThere(WINDOWLESS)) return true;
  const isRoot = process.getuid?.() === 0;
  const hasApt = spawnSync("apt-get", ["--version"]).status === 0;
  if (isRoot && hasApt) {
    // Without a network it is given up soon: the other one will do.
    const apt = ["-qq", "-o", "Acquire::Retries=0", "-o", "Acquire::http::Timeout=10"];
    await runAndRead("apt-get", [...apt, "update"]);
    const wanted = ["chromium-headless-shell", ...(isThere(CHROMIUM) ? [] : ["chromium"])];
    await runAndRead("apt-get", [...apt, "install", "-y", "--no-install-recommends", ...wanted]);
  }
  if (isThere(CHROMIUM)) return true;
  console.error(
    `The end-to-end tests need Chromium at ${CHROMIUM}. Install it (Debian: apt-get install chromium) and run again.`,
  );
  return false;
}
