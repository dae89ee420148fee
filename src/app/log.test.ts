import { mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { listFelt, tellFelt } from "./felt";
import { findLogFolder, listFrames, log, openLog } from "./log";

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-log-"));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const readLines = (name: string) =>
  readFileSync(path.join(folder, name), "utf8")
    .split("\n")
    .filter((line) => line !== "")
    .map((line) => JSON.parse(line) as Record<string, unknown>);
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

test("nothing is written before a log is opened; then a line each, with its instant; full files are rolled and let go", async () => {
  expect(findLogFolder("/x/tezgah.db")).toBe("/x/tezgah.db.log");
  log({ event: "copiedElsewhere" });
  expect(readdirSync(folder)).toEqual([]);
  openLog(folder);
  log({ event: "copied", why: "day closed", bytes: 50_000 });
  await wait(300);
  const [line] = readLines("tezgah.log");
  expect(Object.keys(line!).toSorted()).toEqual(["bytes", "event", "level", "time", "why"]);
  expect(Date.parse(line!.time as string)).toBeGreaterThan(Date.parse("2026-01-01"));
  // Opened twice it is one log.
  openLog(folder);
  const long = "x".repeat(10_000);
  for (let i = 0; i < 1500; i++) {
    log({ event: "notCopied", why: "start", reason: long });
    if (i % 100 === 0) await wait(10);
  }
  await wait(1500);
  const rolled = readdirSync(folder).filter((name) => name !== "tezgah.log" && !name.endsWith(".txt"));
  expect(rolled.length).toBeGreaterThan(1);
  expect(rolled.length).toBeLessThanOrEqual(5);
}, 20_000);

test("where an error came from is told, not what it says", () => {
  const error = new Error("24 quince half-moons for Ayla");
  const frames = listFrames(error);
  expect(frames[0]).toMatch(/log\.test\.ts/);
  expect(frames.join("\n")).not.toContain("Ayla");
  expect(frames.join("\n")).not.toContain(process.cwd());
  expect(frames.length).toBeLessThanOrEqual(6);
  expect(listFrames("no error")).toEqual([]);
});

test("how screens felt: the slowest nineteen in twenty first, of the last two hundred times; a flood of names is not kept", () => {
  for (let i = 1; i <= 300; i++) tellFelt("orders", i);
  for (let i = 0; i < 20; i++) tellFelt("bake", i === 0 ? 5000 : 40);
  tellFelt("mix", 90.4);
  expect(listFelt()).toEqual([
    { screen: "bake", count: 20, medianMs: 40, slowMs: 5000 },
    { screen: "orders", count: 200, medianMs: 201, slowMs: 291 },
    { screen: "mix", count: 1, medianMs: 90, slowMs: 90 },
  ]);
  for (let i = 0; i < 500; i++) tellFelt(`made-up-${i}`, 1);
  expect(listFelt()).toHaveLength(60);
});
