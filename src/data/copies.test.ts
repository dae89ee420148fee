import {
  appendFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { NEW_ORDER_REST } from "@/core/orders";
import fc from "fast-check";
import Database from "better-sqlite3";
import {
  adding,
  MIGRATIONS,
  openDemo,
  openStore,
  readTable,
  setFields,
  writeChanges,
} from "./__tests__/testStore";
import {
  createCopies,
  findCopiesFolder,
  findRestoringFile,
  listCopies,
  putInPlace,
  readManifestOf,
} from "./copies";
import { hashFile, packCopy, unpackCopy, type CopyManifest } from "./copyFile";
import { chooseKept, GENERATIONS } from "./copyGenerations";
import { openDatabase } from "./openDatabase";
import { createStore } from "./store";
import { closeToOthers, sweepLeftovers } from "./sweep";

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-copies-"));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const pack = async (...input: Parameters<typeof packCopy>) => packCopy(...input);
const LATEST = readdirSync(MIGRATIONS).length;

const toUnpacked = (at: string, manifest: CopyManifest) => ({ file: at, manifest, sha256: hashFile(at) });

/** Every row of every table, as text. */
function dump(file: string): string {
  const db = new Database(file, { readonly: true });
  const tables = db
    .prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name != 'file_mark' ORDER BY name")
    .all() as { name: string }[];
  const text = tables
    .map(({ name }) => `${name} ${JSON.stringify(db.prepare(`SELECT * FROM "${name}"`).all())}`)
    .join("\n");
  db.close();
  return text;
}

async function copyOf(file: string, now: Date): Promise<string> {
  const db = openDatabase(file, MIGRATIONS);
  const made = await createCopies(db, file).make("by hand", now, pack);
  expect(made).toMatchObject({ ok: true });
  db.close();
  return path.join(findCopiesFolder(file), listCopies(file)[0]!.name);
}

test("a copy laid back where there is nothing is the same to the last row", async () => {
  const file = path.join(folder, "baker.db");
  openDemo(file).close();
  const copy = await copyOf(file, new Date("2026-11-25T12:00:00Z"));
  const bare = path.join(folder, "bare.db");
  const unpacked = unpackCopy(copy, findRestoringFile(bare, "a"));
  if (!unpacked.ok) throw new Error(unpacked.failure);
  expect(unpacked.value).toMatchObject({
    format: "tezgah-copy",
    why: "by hand",
    dataVersion: LATEST,
    firstDay: "2026-11-27",
    lastDay: "2026-12-05",
    counts: { days: 6, weighings: 1 },
  });
  expect(
    putInPlace(bare, toUnpacked(findRestoringFile(bare, "a"), unpacked.value), LATEST, new Date()),
  ).toEqual({
    ok: true,
    value: null,
  });
  expect(dump(bare)).toBe(dump(file));
  const store = openStore(bare);
  expect(readTable(store).size).toBeGreaterThan(10);
  store.close();
});

test("laid back over a file that went on, what was there is kept aside, and it is another file for every screen", async () => {
  const file = path.join(folder, "baker.db");
  const store = openDemo(file);
  const epoch = store.readDay("2026-11-28")!.epoch;
  store.close();
  const copy = await copyOf(file, new Date("2026-11-25T12:00:00Z"));
  const later = openStore(file);
  setFields(later, "piece", "quince-half-moon", { spares: 17 });
  later.close();
  const unpacked = unpackCopy(copy, findRestoringFile(file, "a"));
  if (!unpacked.ok) throw new Error(unpacked.failure);
  const placed = putInPlace(
    file,
    toUnpacked(findRestoringFile(file, "a"), unpacked.value),
    LATEST,
    new Date(),
  );
  expect(placed).toMatchObject({ ok: true, value: expect.stringContaining("baker.db.aside-") });
  const back = openStore(file);
  expect(readTable(back).get("piece")!.get("quince-half-moon")).toMatchObject({ spares: 2 });
  expect(back.readDay("2026-11-28")!.epoch).not.toBe(epoch);
  back.close();
  const aside = openStore((placed as { value: string }).value);
  expect(readTable(aside).get("piece")!.get("quince-half-moon")).toMatchObject({ spares: 17 });
  aside.close();
});

test("a copy is made while the file is written to, and is whole", async () => {
  const file = path.join(folder, "baker.db");
  openDemo(file).close();
  const db = openDatabase(file, MIGRATIONS);
  const store = createStore(db);
  const making = createCopies(db, file).make("start", new Date("2026-11-25T12:00:00Z"), pack);
  for (let n = 0; n < 50; n++) {
    const order = {
      ...NEW_ORDER_REST,
      id: `o-${n}`,
      dayId: "day-2026-11-28",
      pieceId: "plum-pop",
      count: 1,
      dueMin: 600,
      customer: "",
    };
    writeChanges(store, [adding({ kind: "order", record: order })]);
    await new Promise((resolve) => setImmediate(resolve));
  }
  expect(await making).toMatchObject({ ok: true });
  store.close();
  expect(readManifestOf(file, listCopies(file)[0]!.name)!.counts.pieces).toBeGreaterThan(10);
  expect(readdirSync(findCopiesFolder(file))).toHaveLength(1);
});

test("what is no copy, is damaged, or is of a newer Tezgah is refused before anything is touched", async () => {
  const file = path.join(folder, "baker.db");
  openDemo(file).close();
  const copy = await copyOf(file, new Date("2026-11-25T12:00:00Z"));
  const target = path.join(folder, "target.db");
  const bytes = readFileSync(copy);
  const cases: readonly (readonly [string, Uint8Array])[] = [
    ["no copy", Buffer.from("plum cake")],
    ["no copy", Buffer.alloc(0)],
    ["no copy", bytes.subarray(0, bytes.length >> 1)],
    [
      "damaged",
      Buffer.concat([
        bytes.subarray(0, bytes.length >> 1),
        Buffer.alloc(64, 7),
        bytes.subarray((bytes.length >> 1) + 64),
      ]),
    ],
  ];
  for (const [, content] of cases) {
    const bad = path.join(folder, "bad.zip");
    writeFileSync(bad, content);
    expect(unpackCopy(bad, target)).toMatchObject({ ok: false, failure: expect.stringMatching(/copy/i) });
    expect(existsSync(target)).toBe(false);
  }
  const unpacked = unpackCopy(copy, target);
  if (!unpacked.ok) throw new Error(unpacked.failure);
  const before = dump(file);
  expect(
    putInPlace(file, toUnpacked(target, { ...unpacked.value, dataVersion: LATEST + 1 }), LATEST, new Date()),
  ).toMatchObject({
    ok: false,
    failure: expect.stringContaining("newer Tezgah"),
  });
  expect(dump(file)).toBe(before);
});

describe("generations", () => {
  const day = 86_400_000;
  const now = Date.parse("2026-11-25T12:00:00Z");
  const daily = (days: number) =>
    Array.from({ length: days }, (_, i) => ({ name: `c-${i}`, madeAtMs: now - i * day }));

  test("of two years of daily copies the last ten stay, one of each week for eight, one of each month for two years", () => {
    const copies = daily(800);
    const chosen = chooseKept(copies);
    const kept = copies.filter(({ name }) => chosen.has(name));
    const ages = kept.map(({ madeAtMs }) => (now - madeAtMs) / day);
    expect(ages.slice(0, 10)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
    expect(kept.length).toBeLessThanOrEqual(GENERATIONS.last + GENERATIONS.weeks + GENERATIONS.months);
    // Two years back: 24 calendar months, this one among them.
    expect(Math.max(...ages)).toBeGreaterThan(22 * 28);
    expect(Math.max(...ages)).toBeLessThan(24 * 31);
    for (let week = 0; week < GENERATIONS.weeks - 1; week++)
      expect(ages.some((age) => age >= week * 7 && age < (week + 1) * 7)).toBe(true);
  });

  test("the newest is always kept, and pruning again takes nothing more", () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 900 * 24 }), { minLength: 1, maxLength: 200 }),
        (hours) => {
          const copies = hours.map((hour) => ({ name: `c-${hour}`, madeAtMs: now - hour * 3_600_000 }));
          const kept = chooseKept(copies);
          expect(kept.has(`c-${Math.min(...hours)}`)).toBe(true);
          expect(kept.size).toBeGreaterThanOrEqual(Math.min(hours.length, GENERATIONS.last));
          const left = copies.filter(({ name }) => kept.has(name));
          expect(chooseKept(left)).toEqual(kept);
        },
      ),
    );
  });
});

describe("broken off", () => {
  test("unpacked data that was changed or is gone is not put in place", async () => {
    const file = path.join(folder, "baker.db");
    openDemo(file).close();
    const copy = await copyOf(file, new Date("2026-11-25T12:00:00Z"));
    const restoring = findRestoringFile(file, "a");
    const unpacked = unpackCopy(copy, restoring);
    if (!unpacked.ok) throw new Error(unpacked.failure);
    const checked = toUnpacked(restoring, unpacked.value);
    const before = dump(file);
    appendFileSync(restoring, "x");
    expect(putInPlace(file, checked, LATEST, new Date())).toMatchObject({ ok: false });
    rmSync(restoring);
    expect(putInPlace(file, checked, LATEST, new Date())).toMatchObject({ ok: false });
    expect(dump(file)).toBe(before);
  });

  test("a data file that is gone or empty beside its traces never becomes a new empty book", () => {
    const file = path.join(folder, "baker.db");
    for (const trace of [".aside-2026", ".restoring-abc", ".before-0023", ".copying"]) {
      writeFileSync(file + trace, "data");
      for (const isEmpty of [false, true]) {
        if (isEmpty) writeFileSync(file, "");
        expect(() => openDatabase(file, MIGRATIONS)).toThrow(
          expect.objectContaining({
            kind: "missing",
            message: expect.stringContaining(`baker.db${trace}`),
            remedy: expect.stringContaining("restore"),
          }),
        );
        expect(existsSync(file) && statSync(file).size > 0).toBe(false);
        rmSync(file, { force: true });
      }
      rmSync(file + trace);
    }
    openDatabase(file, MIGRATIONS).close();
    expect(statSync(file).size).toBeGreaterThan(0);
  });

  test("what was left by something that broke off is swept; copies, the file and what was put aside stay", () => {
    const file = path.join(folder, "baker.db");
    openDemo(file).close();
    const copies = findCopiesFolder(file);
    mkdirSync(copies, { recursive: true, mode: 0o755 });
    const left = [
      ...[".restoring-1a2b", ".restoring-1a2b-wal", ".copying", ".half", ".before-0010.trial"].map(
        (end) => file + end,
      ),
      ...["tezgah-x.zip.half", "being-made.db", "brought-12", "tezgah-2026.jsonl"].map((name) =>
        path.join(copies, name),
      ),
    ];
    const kept = [
      `${file}.aside-2026`,
      path.join(copies, "tezgah-2026-11-25T12-00-00-000Z-start.zip"),
      ...[20, 21, 22].map((n) => `${file}.before-00${n}`),
    ];
    for (const each of [...left, ...kept]) writeFileSync(each, "x", { mode: 0o644 });
    sweepLeftovers(file);
    expect(left.filter((each) => existsSync(each))).toEqual([]);
    // Of the files from before upgrades the two newest stay.
    expect(kept.filter((each) => existsSync(each))).toHaveLength(kept.length - 1);
    closeToOthers(file);
    for (const each of [file, kept[1]!]) expect(statSync(each).mode & 0o077).toBe(0);
    expect(statSync(copies).mode & 0o077).toBe(0);
  });
});
