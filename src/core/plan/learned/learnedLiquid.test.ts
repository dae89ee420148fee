import { NO_PAST, planDay, type PastLog } from "..";
import { computeTargetG } from "../../formula";
import { knowByCraft } from "../../habits";
import { pastOf } from "../../habits/__tests__/pastOf";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { findSeason } from "../book/calendar";
import { findLiquidAim, listLiquidAims, toLiquidHabit } from "./learnedLiquid";

const book = { ...toDayBook(listDemoRecords(), "2026-11-28", null)!, weighings: [] };
const dough = book.formulas.find(
  ({ kind, lines }) => kind === "dough" && lines.some(({ mostG }) => mostG !== null),
)!;
const middleG = computeTargetG(
  dough,
  dough.lines.find(({ mostG }) => mostG !== null)!,
  null,
);
/** So many days that took so many times what is written, at all times of the year and at that of the day. */
const took = (days: number, share: number, inSeason: { days: number; share: number } | null): PastLog => ({
  ...NO_PAST,
  habits: {
    ...pastOf({ [toLiquidHabit(dough.id)]: Math.log(share) }, days).habits,
    ...(inSeason
      ? pastOf({ [toLiquidHabit(dough.id, "sep-nov")]: Math.log(inSeason.share) }, inSeason.days).habits
      : {}),
  },
});
const aim = (past: PastLog) => findLiquidAim({ ...book, past }, dough);

test("every date has its season", () => {
  const months = ["01", "02", "03", "05", "06", "08", "09", "11", "12"];
  expect(months.map((month) => findSeason(`2026-${month}-15`))).toEqual([
    ...["dec-feb", "dec-feb", "mar-may", "mar-may", "jun-aug", "jun-aug", "sep-nov", "sep-nov", "dec-feb"],
  ]);
});

test("nothing kept is aimed at nothing; few lots as the last one took; more by their mean, less what the craft doubts", () => {
  expect(aim(NO_PAST)).toBeNull();
  const few = aim({ ...took(2, 1.1, null), tookLastG: { [dough.id]: 150 } });
  expect(few).toEqual({ massG: 150, lots: 1, isSeasonal: false });
  const many = aim(took(40, 1.1, null))!;
  expect(many).toMatchObject({ lots: 40, isSeasonal: false });
  expect(many.massG / middleG).toBeGreaterThan(1.08);
  expect(many.massG / middleG).toBeLessThanOrEqual(1.1);
});

test("its own time of the year pulls the aim its way, the more the more lots it has, and never beyond it", () => {
  const shares = [1, 4, 16].map((days) => aim(took(40, 1, { days, share: 0.94 }))!.massG / middleG);
  expect(shares[0]).toBeLessThan(1);
  expect(shares[1]).toBeLessThan(shares[0]!);
  expect(shares[2]).toBeLessThan(shares[1]!);
  expect(shares[2]).toBeGreaterThan(0.94);
  // Lots of another time of the year say nothing of this one.
  const spring = { ...book, past: took(40, 1, { days: 16, share: 0.94 }) };
  const inMay = { ...spring, day: { ...spring.day, date: "2026-05-09" } };
  expect(findLiquidAim(inMay, dough)!.isSeasonal).toBe(false);
});

test("the day's batch is weighed as its dough takes, and every formula page knows", () => {
  const past = took(40, 1.1, null);
  const plan = planDay({ ...book, past });
  const batch = plan.doughs.find(({ formula }) => formula.id === dough.id)!;
  expect(batch.liquidAim).toEqual(aim(past));
  const line = batch.batch!.lines.find(({ range }) => range !== null)!;
  expect(line.massG).toBeCloseTo(aim(past)!.massG * batch.batch!.scale, 9);
  expect(listLiquidAims({ ...book, past })[dough.id]).toEqual(aim(past));
});

test("what is set by hand is aimed at at once, and no time of the year moves it", () => {
  const id = toLiquidHabit(dough.id);
  const set = { ...knowByCraft(id), mean: Math.log(1.2), worthLots: 1e6 };
  const seasons = took(0, 1, { days: 16, share: 0.94 });
  const past: PastLog = { ...seasons, habits: { ...seasons.habits, [id]: set } };
  expect(aim(past)).toMatchObject({ lots: 0, isSeasonal: false });
  expect(aim(past)!.massG / middleG).toBeCloseTo(1.2, 9);
});
