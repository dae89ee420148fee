import { planDay } from "../plan";
import { createRandom } from "../seededRandom";
import { listDemoWorld } from "@/demo";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { findTaught, freezeRun, listDayFigures, type DayFigure, type RunEvent } from ".";

const book = toDayBook(toTable(listDemoWorld()), "2026-11-28", null)!;
const sheet = freezeRun(planDay(book), book)!;
let said = 0;
const happens = (atMin: number, taskId: string, event: Record<string, unknown>): RunEvent =>
  ({ id: `h${said++}`, person: 0, deviceId: "wall", atMin, taskId, ...event }) as RunEvent;
const jobOf = (taskId: string) => sheet.jobs.find((job) => job.taskId === taskId)!;
const half = "quince-half-moon";
const bake = `bake:${half}:1`;
const fill = `fill:${half}:1`;
const roll = "roll:bay-shortcrust:3.5:sensible:1";

/** A bake that took so many times its minutes in an oven so far off. */
const baked = (share: number, offC: number, taskId = bake): RunEvent[] => {
  const { plannedMin, slackMin, targets } = jobOf(taskId);
  return [
    happens(450, taskId, { kind: "begun" }),
    happens(470, taskId, { kind: "measured", measure: "ovenC", value: targets.heatC! + offC }),
    happens(450 + (plannedMin - slackMin) * share, taskId, { kind: "done" }),
  ];
};
const find = (figures: readonly DayFigure[], kind: string) => figures.filter((each) => each.kind === kind);

test("of each lot what was timed, weighed, read and counted, as logarithms of shares and as degrees", () => {
  const { portionG } = jobOf(fill).targets;
  const figures = listDayFigures(sheet, [
    ...baked(1.1, 12),
    happens(400, fill, { kind: "measured", measure: "massG", value: portionG! * 1.04 }),
    happens(401, fill, { kind: "measured", measure: "massG", value: portionG! * 1.06 }),
    happens(360, roll, { kind: "measured", measure: "cutCount", value: 12, part: `${half}:blank` }),
  ]);
  expect(find(figures, "heat")).toEqual([
    { kind: "heat", key: half, name: "Quince half-moon", value: expect.closeTo(Math.log(1.1), 9) as number },
  ]);
  expect(find(figures, "oven")).toEqual([expect.objectContaining({ name: "Two-deck oven", value: 12 })]);
  expect(find(figures, "portion")[0]!.value).toBeCloseTo(Math.log(1.05), 9);
  expect(find(figures, "blanks")).toEqual([
    {
      kind: "blanks",
      key: "bay-shortcrust",
      name: "Bay shortcrust",
      value: expect.closeTo(Math.log(12 / 15), 9) as number,
    },
  ]);
  expect(listDayFigures(sheet, [])).toEqual([]);
});

test("hands are timed against what so many pieces take: with fewer pieces the same minutes are slower", () => {
  const seal = jobOf(`seal:${half}:1`);
  const worked = [
    happens(430, seal.taskId, { kind: "begun" }),
    happens(430 + seal.plannedMin, seal.taskId, { kind: "done" }),
  ];
  const even = find(listDayFigures(sheet, worked), "hands");
  expect(even).toEqual([expect.objectContaining({ name: "Closing, half moon, rope", value: 0 })]);
  const lost = happens(420, fill, { kind: "wrong", mishap: "dropped", count: 10, word: "", isLost: true });
  const [slower] = find(
    listDayFigures(sheet, [happens(419, fill, { kind: "begun" }), lost, ...worked]),
    "hands",
  );
  expect(slower!.value).toBeCloseTo(
    Math.log(seal.plannedMin / Math.ceil(seal.handsMin - 10 * seal.lot!.eachMin)),
    9,
  );
});

test("a day that gives what was expected moves nothing; one that does not moves towards it, the more the oftener", () => {
  const day = (offC: number) => listDayFigures(sheet, baked(1, offC));
  const [oven] = findTaught([], day(0)).filter(({ kind }) => kind === "oven");
  expect(oven).toMatchObject({ what: "off its setting", scale: "degrees", points: [0], held: 1 });
  expect(oven!.after.mean).toBeCloseTo(0, 9);
  const after = (days: number) =>
    findTaught(
      Array.from({ length: days }, () => day(14)),
      day(14),
    ).find(({ kind }) => kind === "oven")!;
  expect(after(0).after.mean).toBeGreaterThan(2);
  expect(after(0).after.mean).toBeLessThan(after(3).after.mean);
  expect(after(8).after.mean).toBeGreaterThan(10);
  // What was surprising at first is expected by then.
  expect([after(8).held, findTaught([], day(25)).find(({ kind }) => kind === "oven")!.held]).toEqual([1, 0]);
  // Another day's figures of things that today has none of are not told.
  expect(findTaught([day(14)], find(day(14), "heat")).map(({ kind }) => kind)).toEqual(["heat"]);
});

test("over simulated Saturdays what was expected nine times in ten holds about so often, kind by kind", () => {
  const random = createRandom(2);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  let [held, lots] = [0, 0];
  for (let baker = 0; baker < 60; baker++) {
    // An oven of its own, and a hand that takes its pieces out sooner or later.
    const [offC, share] = [4 * normal(), Math.exp(0.05 * normal())];
    const saturday = () =>
      listDayFigures(
        sheet,
        [1, 2].flatMap((lot) =>
          baked(share * Math.exp(0.06 * normal()), offC + 5 * normal(), `bake:${half}:${lot}`),
        ),
      );
    const days = Array.from({ length: 6 }, saturday);
    for (let day = 2; day < days.length; day++)
      for (const habit of findTaught(days.slice(0, day), days[day]!)) {
        held += habit.held;
        lots += habit.points.length;
      }
  }
  expect(lots).toBe(60 * 4 * 4);
  expect(held / lots).toBeGreaterThan(0.86);
  expect(held / lots).toBeLessThan(0.96);
});
