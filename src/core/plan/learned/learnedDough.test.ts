import { checkDay, NO_PAST, planDay, type PastLog } from "..";
import type { HabitId } from "../../habits";
import { pastOf } from "../../habits/__tests__/pastOf";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { findFilmFactors, findThicknessFactor, learnFormula } from "./learnedDough";

const book = toDayBook(listDemoRecords(), "2026-11-28", null)!;
const dough = "bay-shortcrust";
const logOf = (id: HabitId, share: number) => pastOf({ [id]: Math.log(share) });
const plan = (past: PastLog) => planDay({ ...book, past });
const doughOf = (past: PastLog) => plan(past).doughs.find(({ formula }) => formula.id === dough)!;
const crust = book.formulas.find(({ id }) => id === dough)!;
const springBack = (past: PastLog) => {
  const learned = learnFormula(crust, past);
  return learned.kind === "dough" ? learned.springBackShare : NaN;
};

test("a sheet rolled thicker takes more dough, by as much; one rolled thinner leaves what was planned", () => {
  const thick = logOf(`thickness:${dough}`, 1.08);
  const factor = findThicknessFactor(thick, dough);
  expect(factor).toBeCloseTo(1.08, 2);
  expect(doughOf(thick).neededG / doughOf(NO_PAST).neededG).toBeCloseTo(factor, 9);
  expect(checkDay(plan(thick))).toEqual([]);
  expect(findThicknessFactor(logOf(`thickness:${dough}`, 0.9), dough)).toBe(1);
  expect(findThicknessFactor(thick, "other")).toBe(1);
});

test("a dough that pulls back more than it says is planned with what its blanks came to; one that grew keeps its length", () => {
  const written = springBack(NO_PAST);
  expect(learnFormula(crust, NO_PAST)).toBe(crust);
  const more = logOf(`relaxed:${dough}`, 0.96);
  expect(1 - springBack(more)).toBeCloseTo(
    (1 - written) * Math.exp(more.habits[`relaxed:${dough}`]!.mean),
    12,
  );
  expect(springBack(more)).toBeGreaterThan(written + 0.03);
  expect(springBack(logOf(`relaxed:${dough}`, 1.25))).toBe(0);
  // The same log gives the same record, so that nothing is shaped twice.
  expect(learnFormula(crust, more)).toBe(learnFormula(crust, more));
  // A smaller piece holds less.
  const portion = (past: PastLog) =>
    plan(past).lines.find(({ piece }) => piece.id === "quince-half-moon")!.shaped.portion.massG;
  expect(portion(more)).toBeLessThan(portion(NO_PAST));
  expect(checkDay(plan(more))).toEqual([]);
  const filling = book.formulas.find(({ kind }) => kind === "filling")!;
  expect(learnFormula(filling, more)).toBe(filling);
});

test("a fridge that chills weakly rests its doughs longer, and says so", () => {
  const weak = logOf("film:fridge", 0.5);
  expect(findFilmFactors(weak).fridge).toBeCloseTo(0.5, 1);
  expect(findFilmFactors(weak).freezer).toBe(1);
  const [even, longer] = [doughOf(NO_PAST).rest!, doughOf(weak).rest!];
  expect(even.model!.place).toBe("fridge");
  expect(longer.minutes).toBeGreaterThan(even.minutes);
  expect(longer.why.some(({ text }) => text.includes("cores that were read"))).toBe(true);
  expect(even.why.some(({ text }) => text.includes("cores that were read"))).toBe(false);
});
