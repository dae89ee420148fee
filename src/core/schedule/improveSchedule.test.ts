import fc from "fast-check";
import { createRandom } from "../seededRandom";
import {
  boundSchedule,
  checkSchedule,
  compareCosts,
  constructSchedule,
  findGap,
  improveSchedule,
  type ScheduleProblem,
  type ScheduleTask,
} from ".";
import { bake, hands, oven, takeApart, wait, work } from "./testDay";

const improve = (problem: ScheduleProblem, tries: number, seed = 1) =>
  improveSchedule(problem, { random: createRandom(seed), isOver: (done) => done >= tries });

/** The best of every order of the tasks on one pair of hands without waits: total lateness, knowing nothing of the search. */
function bestLateness(
  tasks: readonly { durationMin: number; dueMin: number; weight: number }[],
  atMin: number,
): number {
  if (tasks.length === 0) return 0;
  return Math.min(
    ...tasks.map((first, i) => {
      const endMin = atMin + first.durationMin;
      const late = Math.max(endMin - first.dueMin, 0) * first.weight;
      return (
        late +
        bestLateness(
          tasks.filter((_, j) => j !== i),
          endMin,
        )
      );
    }),
  );
}

test("on small days the lateness found is the least there is, and never below the bound", () => {
  const jobs = fc.array(
    fc.record({
      durationMin: fc.integer({ min: 3, max: 40 }),
      dueMin: fc.integer({ min: 10, max: 160 }),
      weight: fc.integer({ min: 1, max: 3 }),
    }),
    { minLength: 2, maxLength: 7 },
  );
  fc.assert(
    fc.property(jobs, (each) => {
      const tasks = each.map(({ durationMin, dueMin, weight }, i): ScheduleTask => ({
        ...work(`w${i}`, durationMin, [], dueMin),
        weight,
      }));
      const problem = { holds: [], resources: [hands], openMin: 0, tasks };
      const { schedule, bound } = improve(problem, 400);
      expect(schedule.cost.latenessMin).toBe(bestLateness(each, 0));
      expect(bound.latenessMin).toBeLessThanOrEqual(schedule.cost.latenessMin + 1e-9);
      expect(checkSchedule(problem, schedule)).toEqual([]);
    }),
    { numRuns: 25, seed: 3 },
  );
});

test("days whose best is known: the median gap is at most 2 %, none is above 10 %", () => {
  const gaps = [12, 20, 30, 40].map((count) => {
    const { problem, dayMin } = takeApart(count, 100 + count);
    const { schedule } = improve(problem, 500);
    expect(checkSchedule(problem, schedule)).toEqual([]);
    expect(schedule.cost.brokenMin).toBe(0);
    // Of lateness nothing is allowed: the day was taken apart from one that had none.
    const { latenessMin, dayMin: found } = schedule.cost;
    return (latenessMin > 0 ? latenessMin : found - dayMin) / dayMin;
  });
  const sorted = gaps.toSorted((one, other) => one - other);
  expect(sorted[1]).toBeLessThanOrEqual(0.02);
  expect(sorted.at(-1)).toBeLessThanOrEqual(0.1);
});

test("the search never gives back less than it began with, and the same for the same seed", () => {
  const tasks = Array.from({ length: 8 }, (_, i) => [
    work(`work${i}`, 4 + i),
    bake(`bake${i}`, 15 + (i % 3) * 6, 180 + (i % 2) * 20, [wait(`work${i}`, 10, 60)]),
    work(`finish${i}`, 3, [wait(`bake${i}`, 10)], 500 + i * 12),
  ]).flat();
  const problem = { holds: [], resources: [hands, oven], openMin: 240, tasks };
  const begun = constructSchedule(problem);
  const [one, again] = [improve(problem, 150), improve(problem, 150)];
  expect(compareCosts(one.schedule.cost, begun.cost)).toBeLessThanOrEqual(0);
  expect(one.schedule).toEqual(again.schedule);
  expect(checkSchedule(problem, one.schedule)).toEqual([]);
  expect(one.gap).toBe(findGap(one.schedule, boundSchedule(problem)));
});
