import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import Database from "better-sqlite3";
import { checkPages } from "@/data/copyFile";
import { findMigrationsFolder } from "@/data/getStore";
import { openDatabase } from "@/data/openDatabase";
import { readHealth, type Looked } from "./health";

let folder: string;
let dataFile: string;
const migrationsFolder = findMigrationsFolder();
const now = new Date("2026-11-28T12:00:00Z");
const look = (over: Partial<Looked> = {}) =>
  readHealth({
    ...{ dataFile, migrationsFolder, now, areThreadsAlive: true, damage: null, freeBytes: 1e12 },
    startedAt: new Date(now.getTime() - 60_000),
    troubles: { save: null, copy: null },
    ...over,
  });
const codesOf = (over: Partial<Looked>) => look(over).problems.map(({ code }) => code);
const addCopy = (name: string) => {
  mkdirSync(`${dataFile}.copies`, { recursive: true });
  writeFileSync(path.join(`${dataFile}.copies`, name), "zip");
};

beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-health-"));
  dataFile = path.join(folder, "t.db");
});
afterEach(() => rmSync(folder, { recursive: true }));

test("a file that is open and newest is well; with a copy of a week ago it is not, with one of today it is again", () => {
  const db = openDatabase(dataFile, migrationsFolder);
  expect(look()).toMatchObject({ isWell: true, copies: { count: 0, ageHours: null } });
  expect(look().file.version).toBe(look().file.newestVersion);
  expect(look().file.bytes).toBeGreaterThan(50_000);
  addCopy("tezgah-2026-11-21T11-59-00-000Z-start.zip");
  expect(look()).toMatchObject({ isWell: false, copies: { count: 1, ageHours: 168 } });
  addCopy("tezgah-2026-11-28T10-30-00-000Z-start.zip");
  expect(look()).toMatchObject({ isWell: true, copies: { count: 2, ageHours: 1.5 } });
  db.close();
});

test("threads that do not answer, a file that another holds, one that is none and one that is gone are not well", () => {
  const db = openDatabase(dataFile, migrationsFolder);
  expect(codesOf({ areThreadsAlive: false })).toEqual(["threads"]);
  db.exec("BEGIN EXCLUSIVE");
  expect(look()).toMatchObject({ isWell: false, file: { isWritable: false } });
  db.exec("ROLLBACK");
  expect(look().isWell).toBe(true);
  db.close();
  writeFileSync(dataFile, "plum cake ".repeat(1000));
  for (const suffix of ["-wal", "-shm"]) rmSync(dataFile + suffix, { force: true });
  expect(look()).toMatchObject({
    isWell: false,
    file: { version: null, fault: expect.stringMatching(/no Tezgah data/) },
  });
  rmSync(dataFile);
  const gone = look();
  expect(gone).toMatchObject({ isWell: false, file: { bytes: 0 } });
  // Looking makes none.
  expect(() => new Database(dataFile, { fileMustExist: true })).toThrow();
  // Who is not let in further learns nothing of the machine.
  expect(JSON.stringify(gone)).not.toContain(folder);
});

test("a full disk, a damaged page, a newer version, copies and saves that failed are each said, with what to do", () => {
  const db = openDatabase(dataFile, migrationsFolder);
  addCopy("tezgah-2026-11-28T10-30-00-000Z-start.zip");
  expect(look()).toMatchObject({ isWell: true, problems: [] });
  const hourAgo = new Date(now.getTime() - 3_600_000);
  expect(codesOf({ freeBytes: 50_000_000 })).toEqual(["diskFull"]);
  expect(codesOf({ damage: "page 7" })).toEqual(["damaged"]);
  expect(codesOf({ troubles: { save: "The disk is full.", copy: null } })).toEqual(["notSaved"]);
  expect(codesOf({ troubles: { save: null, copy: "No room." } })).toEqual(["notCopied"]);
  // Its newest copy is of an hour and a half ago, before the start of an hour ago.
  expect(codesOf({ startedAt: hourAgo })).toEqual(["noCopySinceStart"]);
  addCopy("tezgah-2026-11-28T11-05-00-000Z-start.zip");
  expect(codesOf({ startedAt: hourAgo })).toEqual([]);
  db.pragma("user_version = 9999");
  expect(codesOf({})).toEqual(["newer"]);
  db.close();
  for (const { message, remedy } of look({ damage: "page 7", freeBytes: 0 }).problems) {
    expect(remedy.length).toBeGreaterThan(10);
    expect(message + remedy).not.toContain(folder);
  }
});

test("a page that is damaged is found by reading all of them", () => {
  const db = openDatabase(dataFile, migrationsFolder);
  db.pragma("wal_checkpoint(TRUNCATE)");
  db.close();
  expect(checkPages(dataFile)).toBeNull();
  const bytes = readFileSync(dataFile);
  bytes.fill(7, 3 * 4096, 4 * 4096);
  writeFileSync(dataFile, bytes);
  expect(checkPages(dataFile)).not.toBeNull();
});
