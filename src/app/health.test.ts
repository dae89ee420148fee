import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import Database from "better-sqlite3";
import { findMigrationsFolder } from "@/data/getStore";
import { openDatabase } from "@/data/openDatabase";
import { readHealth } from "./health";

let folder: string;
let dataFile: string;
const migrationsFolder = findMigrationsFolder();
const now = new Date("2026-11-28T12:00:00Z");
const look = (areThreadsAlive = true) => readHealth({ dataFile, migrationsFolder, now, areThreadsAlive });
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
  expect(look(false).isWell).toBe(false);
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
