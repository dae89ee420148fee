import { pastOf } from "@/core/habits/__tests__/pastOf";
import { NO_PAST, planDay, type DayBook, type PastLog } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { weighDays } from "./weighDays";

const days = ["2026-11-28", "2026-11-30", "2026-12-05"];
const logOf = (shares: Readonly<Record<string, number>>) =>
  pastOf(Object.fromEntries(Object.entries(shares).map(([id, share]) => [id, Math.log(share)])));
const taught = logOf({
  ...{ "portion:quince-half-moon": 1.08, "measure:spoon": 1.05, "thickness:bay-shortcrust": 1.07 },
  ...{ "relaxed:bay-shortcrust": 0.97, "liquid:bay-shortcrust": 1.06, "hands:roll": 1.5 },
});
const bookOf = (date: string, past: PastLog): DayBook => ({
  ...toDayBook(listDemoRecords(), date, null)!,
  past,
});
const massesOf = (batches: ReturnType<typeof weighDays>[number]["batches"]) =>
  Object.fromEntries(batches.map(({ formula, batch }) => [formula.id, batch?.usableG ?? 0]));

test.each([
  ["by the craft", NO_PAST],
  ["by a log of heavy and thick hands", taught],
])("what is weighed of several days is what each day's own plan weighs, %s", (_, past) => {
  const weighed = weighDays(days.map((date) => bookOf(date, past)));
  expect(weighed.map(({ date }) => date)).toEqual(days);
  for (const { date, batches } of weighed) {
    const { doughs, fillings } = planDay(bookOf(date, past));
    expect(massesOf(batches)).toEqual(massesOf([...doughs, ...fillings]));
  }
});

test("a day is weighed once, and anew for a log that changes masses; one that changes minutes alone is the same", () => {
  const [first] = weighDays([bookOf(days[0]!, NO_PAST)]);
  expect(weighDays([bookOf(days[0]!, NO_PAST)])[0]).toBe(first);
  expect(weighDays([bookOf(days[0]!, logOf({ "hands:roll": 1.5 }))])[0]).toBe(first);
  const [heavy] = weighDays([bookOf(days[0]!, taught)]);
  expect(massesOf(heavy!.batches)["bay-shortcrust"]!).toBeGreaterThan(
    massesOf(first!.batches)["bay-shortcrust"]!,
  );
});
