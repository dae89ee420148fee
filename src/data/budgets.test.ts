import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import Database from "better-sqlite3";
import { NO_PAST, planDay } from "@/core/plan";
import { findHoldHabit, knowByCraft, learnLog, LOTS_LOOKED_AT } from "@/core/habits";
import { fromLists } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { validateDayBook } from "@/schemas/validate";
import { writeYears } from "../../scripts/writeYears";
import { createStore, type Store } from "./store";

/** Tables that grow with every day of work: no query may walk them whole. */
const GROWING = [
  "day",
  "day_order",
  "weighing",
  "cut_record",
  "lot_record",
  "make_ahead",
  "larder_item",
  "formula_edition",
  "applied_group",
  "day_laid",
  "day_pin",
  "habit_figure",
  "run_figure",
  "run_summary",
  "run_sheet",
  "run_event",
];

let folder: string;
let file: string;
let store: Store;
const ran: string[] = [];

beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-years-"));
  file = path.join(folder, "years.db");
  writeYears(file, { years: 10, seed: 1 });
  store = openStore();
}, 120_000);
afterAll(() => {
  store.close();
  rmSync(folder, { recursive: true });
});

/** One that remembers nothing yet. */
const openStore = () => createStore(new Database(file, { verbose: (sql) => ran.push(String(sql)) }));

/** What a screen asks of the file. */
const screens: readonly (readonly [string, () => unknown])[] = [
  ["the great market", () => store.readDay("2026-12-05")],
  ["a day of three years ago", () => store.readDay("2023-10-14")],
  ["formulas as they were then", () => store.listFormulasAsOf("2023-10-14T23:00:00.000Z")],
  ["shopping over 31 days", () => store.readSpan("2026-10-20", "2026-11-19", 31)],
  [
    "the list of days",
    () => [store.days.listBefore("2026-11-20", 20), store.days.listFrom("2026-11-20", 20)],
  ],
  ["the day to open", () => store.days.findNext("2026-11-24")],
  ["a free date", () => store.days.findFree("2026-11-28", 7)],
  ["one formula", () => store.findFormula("bay-shortcrust")],
  ["its editions", () => store.listEditions("bay-shortcrust")],
  ["the kitchen", () => store.readKitchen()],
  ["habits", () => store.habits.know("2026-12-05")],
  ["the trend of one", () => store.habits.list("hands:fill:spoon", "2026-12-05", 200)],
  ["how far the file has come", () => store.feed.readMark()],
  ["the book of days", () => store.runs.listSummaries("2026-01-01", "2026-12-31", 100)],
];

test("the file holds ten years", () => {
  const db = new Database(file, { readonly: true });
  const count = (table: string) =>
    (db.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n;
  expect(["day", "day_order", "lot_record", "cut_record", "weighing"].map(count)).toEqual([
    3656,
    expect.any(Number),
    100_000,
    100_000,
    100_001,
  ]);
  expect(count("day_order")).toBeGreaterThan(30_000);
  db.close();
});

test.each(screens)("%s: no query walks a table that grows, and there are few", (_, ask) => {
  ran.length = 0;
  ask();
  // Two of them, of a day, ask whether anything was written since it was read.
  const queries = [...ran];
  const db = new Database(file, { readonly: true });
  const walks = queries
    .filter((sql) => /^\s*(SELECT|WITH)/.test(sql))
    .flatMap((sql) => db.prepare(`EXPLAIN QUERY PLAN ${sql}`).all() as { readonly detail: string }[])
    .map(({ detail }) => detail)
    .filter((detail) => GROWING.some((table) => new RegExp(`^SCAN ${table}\\b`).test(detail)));
  db.close();
  expect(walks).toEqual([]);
  expect(queries.length).toBeGreaterThan(0);
  expect(queries.length).toBeLessThanOrEqual(58);
});

test("as many queries for a day of ten years as for one of a new file", () => {
  const count = (date: string) => {
    const fresh = openStore();
    ran.length = 0;
    fresh.readDay(date);
    fresh.close();
    return ran.length;
  };
  // A day of the past names archived pieces, formulas and moulds: three queries more.
  expect(Math.abs(count("2020-03-03") - count("2026-12-05"))).toBeLessThanOrEqual(3);
});

test("a day that was read is there again for five queries, until something is written", () => {
  const fresh = openStore();
  const first = fresh.readDay("2026-12-05");
  ran.length = 0;
  expect(fresh.readDay("2026-12-05")).toBe(first);
  expect(ran.length).toBeLessThanOrEqual(5);
  fresh.raiseRevision("a test's own", "2026-12-04T10:00:00.000Z");
  expect(fresh.readDay("2026-12-05")!.revision).toBe(first!.revision + 1);
  fresh.close();
});

test("what is known of a habit is learned from its records, the newest first", () => {
  const db = new Database(file, { readonly: true });
  const { past } = store.readDay("2026-12-05")!;
  const learned = (habit: "blanks:bay-shortcrust" | "hands:fill:spoon", sql: string) => {
    const rows = db.prepare(sql).all("2026-12-05") as { date: string; real: number; planned: number }[];
    const oldest = rows[LOTS_LOOKED_AT - 1]!.date;
    const half = habit.startsWith("blanks") ? 0.5 : 0;
    return learnLog(
      knowByCraft(habit),
      rows
        .filter(({ date }) => date >= oldest)
        .map(({ date, real, planned }) => ({ date, value: Math.log((real + half) / (planned + half)) })),
    );
  };
  const newest = "date < ? ORDER BY date DESC";
  const yields = learned(
    "blanks:bay-shortcrust",
    `SELECT date, got AS real, planned FROM cut_record WHERE dough_id = 'bay-shortcrust' AND ${newest}`,
  );
  const paces = learned(
    "hands:fill:spoon",
    `SELECT date, fill_min AS real, fill_craft_min AS planned FROM lot_record WHERE fill_style = 'spoon' AND ${newest}`,
  );
  for (const [habit, known] of [
    ["blanks:bay-shortcrust", yields],
    ["hands:fill:spoon", paces],
  ] as const) {
    expect(past.habits[habit]!.lots).toBe(known.lots);
    expect(known.lots).toBeGreaterThanOrEqual(LOTS_LOOKED_AT);
    expect(past.habits[habit]!.mean).toBeCloseTo(known.mean, 10);
    expect(past.habits[habit]!.sd).toBeCloseTo(known.sd, 10);
  }
  db.close();
});

test("of leaks in more ways than a plan weighs those made last are read", () => {
  const { holds } = store.readDay("2026-12-05")!.past;
  expect(holds).toHaveLength(150);
  const { weights } = findHoldHabit({ leaks: {}, holds });
  expect(Object.keys(weights).sort()).toEqual(["margin", "plumpness"]);
});

test("a day is planned from what was known before it, and its own records stand beside that", () => {
  const own = store.readDay("2020-03-03")!;
  expect(own.lists.lotRecord!.length).toBeGreaterThan(20);
  const [known] = store.habits.list("hands:fill:spoon", "2020-03-03", 1);
  expect(known!.date < "2020-03-03").toBe(true);
  expect(own.past.habits["hands:fill:spoon"]!.mean).not.toBe(
    store.readDay("2026-12-05")!.past.habits["hands:fill:spoon"]!.mean,
  );
});

test("a kept day's own document is taken by the API's rules", () => {
  const { lists, past } = store.readDay("2020-03-03")!;
  const book = toDayBook(fromLists(lists), "2020-03-03", null, { formulasThen: [], past, closed: null });
  const valid = validateDayBook(JSON.parse(JSON.stringify(book)));
  expect(valid).toMatchObject({ ok: true });
});

test("the log of ten years changes what the day's plan forecasts, and nothing but that", () => {
  const { lists, past } = store.readDay("2026-11-29")!;
  const plan = (log: typeof past) =>
    planDay(toDayBook(fromLists(lists), "2026-11-29", null, { formulasThen: [], past: log, closed: null })!);
  const [logged, bare] = [plan(past), plan(NO_PAST)];
  expect(logged.yieldHabits["bay-shortcrust"]!.rollings).toBeGreaterThanOrEqual(LOTS_LOOKED_AT);
  expect(bare.yieldHabits["bay-shortcrust"]!.rollings).toBe(0);
  expect(logged.tally.ordered).toBe(bare.tally.ordered);
});
