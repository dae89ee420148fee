import { knowHabit, NO_PAST, tellFigure, type HabitId, type PastLog } from "@/core/habits";
import { planDay } from "@/core/plan";
import { findTaught, foldRun, freezeRun, listDayFigures, toLog, toRecord, type RunSheet } from "@/core/run";
import { createRandom } from "@/core/seededRandom";
import { listDemoWorld } from "@/demo";
import { validateRunEvent } from "@/schemas/runEvents";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { simulateBaker, type BakerMishap, type BakerTruth } from "./baker";

const book = toDayBook(toTable(listDemoWorld()), "2026-11-28", null)!;
const truth: BakerTruth = {
  ...{ thickness: 1.06, relaxed: 0.98, film: 0.7, bench: 1.3 },
  ...{ fill: 1.2, close: 0.8, hands: 1.25, heat: 1.1, ovenOffC: 9, portion: 1.05, blanks: 0.97, sold: 0.9 },
  ...{ strayShare: 0.1, strayC: 3 },
};
const freeze = (past: PastLog): RunSheet => freezeRun(planDay({ ...book, past }), { ...book, past })!;

test("a simulated day is whole, valid, closed, and nothing begins before what it waits for", () => {
  const sheet = freeze(NO_PAST);
  const events = simulateBaker(sheet, truth, [], createRandom(1));
  for (const event of events) expect(validateRunEvent(event)).toMatchObject({ ok: true });
  const record = toRecord(sheet, events);
  expect([record.doneCount, record.isClosed]).toEqual([sheet.jobs.length, true]);
  const { tasks } = foldRun(events);
  for (const { id, after } of sheet.problem.tasks)
    for (const { taskId, minWaitMin } of after)
      expect(tasks[id]!.begunMin!).toBeGreaterThanOrEqual(tasks[taskId]!.doneMin! + minWaitMin - 1e-9);
  expect(simulateBaker(sheet, truth, [], createRandom(1))).toEqual(events);
});

test("a mishap is told once, and what is left out is not in the log", () => {
  const dead: BakerMishap = {
    ...{
      jobKind: "bake",
      pieceId: "quince-half-moon",
      mishap: "pale",
      count: 12,
      word: "the breaker tripped",
    },
    ...{ isLost: false, slower: 2.5, isLeftOut: true },
  };
  const sheet = freeze(NO_PAST);
  const events = simulateBaker(sheet, truth, [dead], createRandom(2));
  expect(toRecord(sheet, events).faults).toEqual({ pale: 12 });
  const loads = sheet.jobs.filter(({ kind, pieceId }) => kind === "bake" && pieceId === dead.pieceId);
  const heat = listDayFigures(sheet, events).filter(({ habit }) => habit.startsWith(`heat:${dead.pieceId}`));
  expect(heat).toHaveLength(loads.length - 1);
  expect(toLog(sheet, events).lots.find(({ pieceId }) => pieceId === dead.pieceId)!.leaked).toBeNull();
});

/** What is known after one more day of the habits that it has figures of. */
const learn = (past: PastLog, figures: ReturnType<typeof listDayFigures>): PastLog["habits"] =>
  Object.fromEntries(
    [...new Set(figures.map(({ habit }) => habit))].map((id) => {
      const own = figures.flatMap(({ habit, value }) => (habit === id ? [value] : []));
      return [id, knowHabit(past, id, own)];
    }),
  );

test("bakers of their own, planned by what was learned until then: habits come to what is hidden, ranges hold", () => {
  const random = createRandom(3);
  const DAYS = 5;
  let [held, lots] = [0, 0];
  const errors: number[] = [];
  for (let baker = 0; baker < 3; baker++) {
    let past = NO_PAST;
    let known: PastLog["habits"] = {};
    for (let day = 0; day < DAYS; day++) {
      const sheet = freeze(past);
      const figures = listDayFigures(sheet, simulateBaker(sheet, truth, [], random));
      if (day >= 2)
        for (const habit of findTaught(past, figures)) {
          held += habit.held;
          lots += habit.points.length;
        }
      known = { ...known, ...learn(past, figures) };
      past = { ...NO_PAST, habits: known };
    }
    const mean = (habit: HabitId) => tellFigure(past.habits[habit]!).mean;
    expect(Math.abs(mean("oven:two-deck") - truth.ovenOffC)).toBeLessThan(3.5);
    errors.push(mean("hands:fill:spoon") - Math.log(truth.fill));
    errors.push(mean("heat:quince-half-moon@two-deck") - Math.log(truth.heat));
    expect(Math.abs(mean("portion:quince-half-moon") - Math.log(truth.portion))).toBeLessThan(0.03);
    expect(Math.abs(mean("thickness:bay-shortcrust") - Math.log(truth.thickness))).toBeLessThan(0.03);
    expect(Math.abs(mean("relaxed:bay-shortcrust") - Math.log(truth.relaxed))).toBeLessThan(0.008);
    expect(Math.abs(mean("hands:roll") - Math.log(truth.hands))).toBeLessThan(0.1);
  }
  // Each nearer the truth than the craft was, and no drift: what was learned is not learned once more.
  const average = errors.reduce((sum, each) => sum + each, 0) / errors.length;
  expect(Math.abs(average)).toBeLessThan(0.06);
  expect(held / lots).toBeGreaterThan(0.85);
});
