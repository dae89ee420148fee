import { checkDay, NO_PAST, planDay, type PastLog } from "..";
import { toHabitId } from "../../habits";
import { pastOf } from "../../habits/__tests__/pastOf";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { findPortionFactor, tellHand, toHandKey, toMeasureHabit } from "./learnedPortion";

const book = toDayBook(listDemoRecords(), "2026-11-28", null)!;
const half = "quince-half-moon";
const id = toHabitId("portion", half);
const hand = (share: number) => pastOf({ [id]: Math.log(share) });
const plan = (past: PastLog) => planDay({ ...book, past });
const fillingOf = (past: PastLog) => {
  const day = plan(past);
  const { fillingId } = day.lines.find(({ piece }) => piece.id === half)!.piece;
  return day.fillings.find(({ formula }) => formula.id === fillingId)!;
};

test("for a heavy hand more of its filling is mixed, by as much as it gives; portions are planned as before", () => {
  const [plain, heavy] = [fillingOf(NO_PAST), fillingOf(hand(1.06))];
  const factor = findPortionFactor(hand(1.06), half, "spoon");
  expect(factor).toBeGreaterThan(1.05);
  expect(factor).toBeLessThanOrEqual(1.06);
  expect(heavy.neededG / plain.neededG).toBeCloseTo(factor, 9);
  const portions = (past: PastLog) => plan(past).lines.map(({ shaped: { portion } }) => portion.massG);
  expect(portions(hand(1.06))).toEqual(portions(NO_PAST));
  // What other pieces are filled with is left alone, and nothing is lost on the way.
  const others = (past: PastLog) =>
    plan(past).fillings.flatMap(({ formula, neededG }) => (formula.id === plain.formula.id ? [] : [neededG]));
  expect(others(hand(1.06))).toEqual(others(NO_PAST));
  expect(checkDay(plan(hand(1.06)))).toEqual([]);
});

test("a light hand, or one that nobody weighed, changes nothing", () => {
  expect([hand(0.93), hand(1.004), NO_PAST].map((past) => findPortionFactor(past, half, "spoon"))).toEqual([
    1, 1, 1,
  ]);
  expect(findPortionFactor(hand(1.06), "leek-triangle", "spoon")).toBe(1);
});

test("a piece that nobody weighed gets what its measure gives elsewhere; its own log goes before", () => {
  const measure = toMeasureHabit("spoon");
  const own = hand(1.06);
  const past: PastLog = { ...own, habits: { ...own.habits, [measure]: own.habits[id]! } };
  const heavier: PastLog = { ...past, habits: { ...past.habits, [measure]: hand(1.2).habits[id]! } };
  expect(findPortionFactor(past, "leek-triangle", "spoon")).toBe(findPortionFactor(past, half, "spoon"));
  expect(findPortionFactor(past, "leek-triangle", "bag")).toBe(1);
  expect(findPortionFactor(heavier, half, "spoon")).toBe(findPortionFactor(own, half, "spoon"));
  expect([toHandKey("spoon", 0), toHandKey("spoon", 1)].map(tellHand)).toEqual([
    "Filling, spoon",
    "Filling, spoon; helper",
  ]);
});
