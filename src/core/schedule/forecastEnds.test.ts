import fc from "fast-check";
import { createRandom } from "../seededRandom";
import { forecastEnds, type TaskSpread } from "./forecastEnds";
import type { PlacedTask, ScheduleProblem, ScheduleTask } from "./problem";

const normals = (seed: number) => {
  const random = createRandom(seed);
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
};
const task = (id: string, durationMin: number, after: readonly string[] = []): ScheduleTask => ({
  id,
  after: after.map((taskId) => ({ taskId, minWaitMin: 0, maxWaitMin: null })),
  modes: [
    { durationMin, uses: [{ resourceId: "hands", fromMin: 0, toMin: durationMin, amount: 1 }], heat: null },
  ],
  ...{ releaseMin: null, dueMin: null, weight: 1, pinnedMin: null },
});
const hands = { id: "hands", capacity: 1, gapMin: 0, heater: null, isHands: true, away: [] };
const problemOf = (tasks: readonly ScheduleTask[], capacity = 1): ScheduleProblem => ({
  ...{ tasks, holds: [], openMin: 0 },
  resources: [{ ...hands, capacity }],
});
/** One after the other, each with so long a wait before it. */
const inLine = (tasks: readonly ScheduleTask[], waitMin: number): PlacedTask[] => {
  let atMin = 0;
  return tasks.map(({ id, modes }) => {
    const startMin = atMin;
    atMin += modes[0]!.durationMin + waitMin;
    return { taskId: id, startMin, endMin: startMin + modes[0]!.durationMin, mode: 0 };
  });
};
const strays = (ids: readonly string[], groupSd: number, ownSd: number) =>
  new Map<string, TaskSpread>(ids.map((id) => [id, { group: "hand", groupSd, ownSd }]));
const ids = ["a", "b", "c", "d"];

test("what does not stray ends as planned", () => {
  const tasks = ids.map((id) => task(id, 30));
  const found = forecastEnds(problemOf(tasks), inLine(tasks, 5), new Map(), normals(1))!;
  expect(found.last).toEqual({ likelyMin: 135, mostMin: 135 });
  expect(found.find("b")).toEqual({ likelyMin: 65, mostMin: 65 });
  expect(forecastEnds(problemOf([]), [], new Map(), normals(1))).toBeNull();
});

test("one task alone ends by the log-normal's own quantiles", () => {
  const tasks = [task("a", 100)];
  const { last } = forecastEnds(problemOf(tasks), inLine(tasks, 0), strays(["a"], 0, 0.2), normals(2))!;
  expect(last.likelyMin).toBeGreaterThan(97);
  expect(last.likelyMin).toBeLessThan(103);
  // 100 · e^(0.2 · 1.2816)
  expect(Math.abs(last.mostMin - 129.2)).toBeLessThan(8);
});

test("in a row without waits strays add up; together they go further than each for itself; a wait takes them up", () => {
  const tasks = ids.map((id) => task(id, 60));
  const most = (waitMin: number, groupSd: number, ownSd: number) =>
    forecastEnds(problemOf(tasks), inLine(tasks, waitMin), strays(ids, groupSd, ownSd), normals(3))!.last
      .mostMin;
  const [together, apart] = [most(0, 0.2, 0), most(0, 0, 0.2)];
  expect(Math.abs(together - 240 * Math.exp(0.2 * 1.2816))).toBeLessThan(12);
  expect(apart).toBeLessThan(together);
  expect(apart).toBeGreaterThan(255);
  // Half an hour between each: the last alone decides.
  expect(most(30, 0, 0.2) - (240 + 90)).toBeLessThan(20);
});

test("two pairs of hands do not wait for each other", () => {
  const tasks = [task("a", 60), task("b", 60), task("c", 30, ["a"])];
  const placed: PlacedTask[] = [
    { taskId: "a", startMin: 0, endMin: 60, mode: 0 },
    { taskId: "b", startMin: 0, endMin: 60, mode: 0 },
    { taskId: "c", startMin: 60, endMin: 90, mode: 0 },
  ];
  const onlyB = strays(["b"], 0, 0.5);
  const ends = (capacity: number) => forecastEnds(problemOf(tasks, capacity), placed, onlyB, normals(4))!;
  expect(ends(2).find("c")!.mostMin).toBeLessThan(150);
  expect(ends(2).find("b")!.mostMin).toBeGreaterThan(90);
});

test("whatever strays: nothing ends before its beginning, likelier is not later than most, and more stray is not sooner", () => {
  const days = fc.record({
    minutes: fc.array(fc.integer({ min: 1, max: 90 }), { minLength: 1, maxLength: 12 }),
    waitMin: fc.integer({ min: 0, max: 20 }),
    sd: fc.double({ min: 0, max: 0.5, noNaN: true }),
  });
  fc.assert(
    fc.property(days, ({ minutes, waitMin, sd }) => {
      const tasks = minutes.map((each, i) => task(`t${i}`, each));
      const placed = inLine(tasks, waitMin);
      const run = (own: number) =>
        forecastEnds(
          problemOf(tasks),
          placed,
          strays(
            tasks.map(({ id }) => id),
            0,
            own,
          ),
          normals(5),
        )!;
      const found = run(sd);
      for (const { taskId, startMin } of placed) {
        const { likelyMin, mostMin } = found.find(taskId)!;
        expect(likelyMin).toBeGreaterThanOrEqual(startMin);
        expect(mostMin).toBeGreaterThanOrEqual(likelyMin);
      }
      expect(run(sd + 0.2).last.mostMin).toBeGreaterThanOrEqual(found.last.mostMin - 1);
    }),
    { numRuns: 40, seed: 6 },
  );
});
