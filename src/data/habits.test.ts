import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import type Database from "better-sqlite3";
import fc from "fast-check";
import { knowByCraft, learnDays, type HabitId } from "@/core/habits";
import { createHabits, isOfBook, type Habits, type RunFigure } from "./habitRepository";
import { openDatabase } from "./openDatabase";

let folder: string;
let habits: Habits;
let db: Database.Database;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-habits-"));
  db = openDatabase(path.join(folder, "t.db"), "src/data/migrations");
  habits = createHabits(db);
});
afterEach(() => {
  db.close();
  rmSync(folder, { recursive: true });
});

const OVEN: HabitId = "oven:stone";
const figure = (value: number, source = "bake:1", expected: RunFigure["expected"] = null): RunFigure => ({
  ...{ habit: OVEN, source, name: "Stone oven", value, expected },
});
const values = (habit: HabitId) => habits.list(habit, "2027-01-01", 99).map(({ value }) => value);

test("what a run says stands in the log, said anew in place of what it said, and gone when it says nothing", () => {
  expect(habits.keepDay("2026-11-28", [figure(4), figure(6, "bake:2")])).toBe(true);
  expect(values(OVEN)).toEqual([6, 4]);
  expect(habits.keepDay("2026-11-28", [figure(6, "bake:2"), figure(4)])).toBe(false);
  expect(habits.keepDay("2026-11-28", [figure(5)])).toBe(true);
  expect(values(OVEN)).toEqual([5]);
  habits.keepDay("2026-11-28", []);
  expect(values(OVEN)).toEqual([]);
  expect(habits.know("2027-01-01")).toEqual({});
});

test("a day is known by what came before it only, the newest counting most", () => {
  habits.keepDay("2026-11-14", [figure(20)]);
  habits.keepDay("2026-11-21", [figure(2)]);
  expect(habits.know("2026-11-22")[OVEN]).toEqual(learnDays(knowByCraft(OVEN), [[20], [2]]));
  expect(habits.know("2026-11-21")[OVEN]!.lots).toBe(1);
  expect(habits.know("2026-11-14")).toEqual({});
});

test("a lot left out stays in the log and teaches nothing; taken in again all is as before", () => {
  habits.keepDay("2026-11-14", [figure(9), figure(60, "bake:2")]);
  const known = habits.know("2027-01-01");
  const lot = { habit: OVEN, date: "2026-11-14", source: "bake:2" };
  expect(habits.leaveOut({ ...lot, word: "door stood open" })).toBe(true);
  expect(habits.know("2027-01-01")[OVEN]).toEqual(learnDays(knowByCraft(OVEN), [[9]]));
  expect(habits.list(OVEN, "2027-01-01", 9).map(({ value, leftOut }) => [value, leftOut])).toEqual([
    [60, "door stood open"],
    [9, null],
  ]);
  // What the run says anew is left out still.
  habits.keepDay("2026-11-14", [figure(9), figure(61, "bake:2")]);
  expect(habits.know("2027-01-01")[OVEN]!.lots).toBe(1);
  habits.keepDay("2026-11-14", [figure(9), figure(60, "bake:2")]);
  expect(habits.leaveOut({ ...lot, word: null })).toBe(true);
  expect(habits.know("2027-01-01")).toEqual(known);
  expect(habits.leaveOut({ ...lot, source: "none", word: "" })).toBe(false);
});

test("hands of other work than filling and closing stand in no record: their figures are the run's", () => {
  habits.keepDay("2026-11-14", [{ ...figure(0.2), habit: "hands:mix:crust", name: "Mixing, crust" }]);
  expect(values("hands:mix:crust")).toEqual([0.2]);
});

test("hands and blanks that a run says are in its records: their figures are kept beside, not twice in the log", () => {
  const hands: RunFigure = { ...figure(0.2), habit: "hands:fill:spoon", name: "Filling, spoon" };
  habits.keepDay("2026-11-28", [hands]);
  expect(values("hands:fill:spoon")).toEqual([]);
  expect(habits.listRunFigures("2026-11-29", 9)).toEqual([{ ...hands, date: "2026-11-28" }]);
  expect(habits.listRunFigures("2026-11-28", 9)).toEqual([]);
});

test("a habit set by hand holds whatever is logged; put back it learns anew; given back the whole log counts", () => {
  habits.keepDay("2026-11-14", [figure(9)]);
  const mean = () => habits.know("2027-01-01")[OVEN]!.mean;
  const learned = mean();
  habits.setWord(OVEN, { value: -7, since: "2026-11-20" });
  habits.keepDay("2026-11-21", [figure(12)]);
  expect(mean()).toBeCloseTo(-7, 3);
  habits.setWord(OVEN, { value: null, since: "2026-11-20" });
  expect(mean()).toBeCloseTo(learnDays(knowByCraft(OVEN), [[12]]).mean, 12);
  expect(habits.listWords()).toEqual([{ habit: OVEN, value: null, since: "2026-11-20" }]);
  habits.setWord(OVEN, null);
  habits.keepDay("2026-11-21", []);
  expect(mean()).toBe(learned);
  // Of something that was never logged a word stands alone.
  habits.setWord("oven:new", { value: 3, since: "2026-11-20" });
  expect(habits.know("2026-11-01")["oven:new"]!.mean).toBeCloseTo(3, 6);
});

test("forecasts that were too narrow widen the next of their kind, and no other kind", () => {
  const narrow = { mean: 0, low: -1, high: 1, widened: 1 };
  const day = (n: number) => `2026-10-${String(n).padStart(2, "0")}`;
  for (let n = 1; n <= 28; n++)
    habits.keepDay(day(n), [
      figure(n % 2 ? 3 : -3, "bake:1", narrow),
      { ...figure(0.01, "fill:1", { ...narrow, low: -0.1, high: 0.1 }), habit: "portion:moon" },
    ]);
  const known = habits.know("2026-11-01");
  expect(known[OVEN]!.widened).toBeCloseTo(3, 1);
  expect(known["portion:moon"]!.widened).toBe(1);
});

test("a log that is brought twice is there once", () => {
  const rows = [
    { habit: OVEN, date: "2026-01-03", value: 4 },
    { habit: OVEN, date: "2026-01-10", value: 5 },
  ];
  expect([habits.bring(rows), habits.bring(rows)]).toEqual([2, 0]);
  expect(values(OVEN)).toEqual([5, 4]);
});

test("of pieces and doughs that are not looked at nothing is worked out; of hands and ovens it always is", () => {
  const figures = (
    ["heat:moon@stone", "portion:moon", "blanks:crust", "liquid:crust#sep-nov", "oven:stone"] as const
  ).map((habit) => ({ habit, date: "2026-11-21", value: 0.1 }));
  habits.bring([...figures, { habit: "hands:fill:spoon", date: "2026-11-21", value: 0.1 }]);
  const known = (...book: readonly string[]) =>
    Object.keys(habits.know("2027-01-01", (habit) => isOfBook(habit, new Set(book)))).sort();
  expect(known()).toEqual(["hands:fill:spoon", "oven:stone"]);
  expect(known("moon")).toEqual(["hands:fill:spoon", "heat:moon@stone", "oven:stone", "portion:moon"]);
  expect(known("crust")).toContain("liquid:crust#sep-nov");
  expect(Object.keys(habits.know("2027-01-01"))).toHaveLength(6);
});

test("what is remembered of habits is what one who remembers nothing learns, whatever was written between", () => {
  const dates = ["2026-11-14", "2026-11-21", "2026-11-28"] as const;
  const step = fc.record({
    act: fc.constantFrom("run", "leave", "take", "word", "noWord"),
    on: fc.constantFrom(...dates),
    before: fc.constantFrom("2026-11-15", "2026-11-22", "2027-01-01"),
    reading: fc.integer({ min: 1, max: 4 }),
  });
  fc.assert(
    fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
      for (const { act, on, before, reading } of steps) {
        const lot = { habit: OVEN, date: on, source: "bake:1" };
        if (act === "run") habits.keepDay(on, [figure(reading), figure(2 * reading, "bake:2")]);
        else if (act === "leave") habits.leaveOut({ ...lot, word: "door open" });
        else if (act === "take") habits.leaveOut({ ...lot, word: null });
        else habits.setWord(OVEN, act === "word" ? { value: reading, since: on } : null);
        expect(habits.know(before)).toEqual(createHabits(db).know(before));
      }
    }),
    { numRuns: 60, seed: 2 },
  );
});
