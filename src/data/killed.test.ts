import { spawn, type ChildProcess } from "node:child_process";
import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import Database from "better-sqlite3";
import { buildSync } from "esbuild";
import { createRandom } from "@/core/seededRandom";
import { MIGRATIONS, openDemo, openStore } from "./__tests__/testStore";
import { openDatabase } from "./openDatabase";

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-killed-"));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Children are begun some forty times: bundled once with all they ask for but what is compiled, each is there in a moment. */
const BUNDLES = path.resolve("node_modules/.cache/tezgah-killed");
beforeAll(() => {
  buildSync({
    entryPoints: ["saveForever", "happenForever", "migrateForever"].map((name) =>
      path.join("src/data/__tests__", `${name}.ts`),
    ),
    ...{ bundle: true, external: ["better-sqlite3"], platform: "node", format: "cjs", outdir: BUNDLES },
    outExtension: { ".js": ".cjs" },
  });
});

const run = (script: string, ...args: readonly string[]): ChildProcess =>
  spawn(process.execPath, [path.join(BUNDLES, script.replace(/ts$/, "cjs")), ...args], {
    stdio: ["ignore", "pipe", "inherit"],
  });

const ended = (child: ChildProcess) => new Promise<void>((resolve) => child.once("exit", () => resolve()));

/** Everything a child has said by the time it is gone. */
function listen(child: ChildProcess, heard: (text: string) => void): void {
  child.stdout!.setEncoding("utf8").on("data", heard);
}

const counts = {
  "saveForever.ts": `SELECT count(*) AS n FROM day_order
    WHERE id GLOB 'kept-[0-9]*' AND due_min = 600 AND customer = '' AND count = 1`,
  "happenForever.ts": `SELECT count(*) AS n FROM run_event
    WHERE id GLOB 'kept-[0-9]*' AND body = '{"taskId":"t' || substr(id, 6) || '"}'`,
} as const;

/** Kills a child that writes twenty times over. @returns How many writes it acknowledged, each of which is there. */
async function killTwenty(script: keyof typeof counts, file: string): Promise<number> {
  const random = createRandom(5);
  let acknowledged = 0;
  for (let kill = 0; kill < 20; kill++) {
    const until = acknowledged + 50 + Math.floor(random() * 20);
    const child = run(script, file, String(acknowledged), String(process.pid));
    let text = "";
    listen(child, (more) => {
      text += more;
      const lines = text.split("\n");
      const last = Number(lines.at(-2) ?? acknowledged - 1);
      if (last + 1 >= until) child.kill("SIGKILL");
    });
    await ended(child);
    const whole = text.split("\n").slice(0, -1);
    acknowledged = Math.max(acknowledged, ...whole.map((line) => Number(line) + 1));
    const db = new Database(file);
    expect(db.pragma("integrity_check", { simple: true })).toBe("ok");
    const { n } = db.prepare(counts[script]).get() as { n: number };
    // What was written and not yet acknowledged may be there too: one write, no more.
    expect(n).toBeGreaterThanOrEqual(acknowledged);
    expect(n).toBeLessThanOrEqual(acknowledged + 1);
    db.close();
  }
  expect(acknowledged).toBeGreaterThanOrEqual(1000);
  return acknowledged;
}

test("killed twenty times while saving, none of a thousand saves that were acknowledged is lost or torn", async () => {
  const file = path.join(folder, "baker.db");
  openDemo(file).close();
  const acknowledged = await killTwenty("saveForever.ts", file);
  const store = openStore(file);
  const orders = new Set(store.readDay("2026-11-28")!.lists.order!.map(({ id }) => id));
  for (let n = 0; n < acknowledged; n++) expect(orders.has(`kept-${n}`)).toBe(true);
  store.close();
}, 240_000);

test("killed twenty times while a day runs, none of a thousand events that were acknowledged is lost", async () => {
  const file = path.join(folder, "baker.db");
  openDemo(file).close();
  const acknowledged = await killTwenty("happenForever.ts", file);
  const store = openStore(file);
  const { id } = store.runs.find("2026-11-28")!;
  const { events } = store.runs.listEvents(id, 0, 10_000);
  const known = new Set(events.map((event) => event.id));
  for (let n = 0; n < acknowledged; n++) expect(known.has(`kept-${n}`)).toBe(true);
  store.close();
}, 240_000);

test("killed in the middle of a migration, the file is as it was, and the next start migrates it", async () => {
  const file = path.join(folder, "baker.db");
  openDemo(file).close();
  const migrations = path.join(folder, "migrations");
  const latest = readdirSync(MIGRATIONS).length;
  const pad = (version: number) => String(version).padStart(4, "0");
  const slow = `CREATE TABLE later (n INTEGER) STRICT;
    WITH RECURSIVE steps (n) AS (SELECT 1 UNION ALL SELECT n + 1 FROM steps WHERE n < 60000000)
    INSERT INTO later SELECT max(n) FROM steps;`;
  mkdirSync(migrations);
  for (let n = 1; n <= latest; n++) writeFileSync(path.join(migrations, `${pad(n)}_same.sql`), "SELECT 1");
  writeFileSync(path.join(migrations, `${pad(latest + 1)}_slow.sql`), slow);
  let text = "";
  const child = run("migrateForever.ts", file, migrations);
  listen(child, (more) => {
    text += more;
    if (text.includes("begun")) setTimeout(() => child.kill("SIGKILL"), 600);
  });
  await ended(child);
  expect(text).not.toContain("done");
  const between = new Database(file);
  expect(between.pragma("user_version", { simple: true })).toBe(latest);
  expect(between.pragma("integrity_check", { simple: true })).toBe("ok");
  between.close();
  writeFileSync(
    path.join(migrations, `${pad(latest + 1)}_slow.sql`),
    "CREATE TABLE later (n INTEGER) STRICT",
  );
  const db = openDatabase(file, migrations);
  expect(db.pragma("user_version", { simple: true })).toBe(latest + 1);
  db.close();
}, 60_000);
