import fc from "fast-check";
import { createRandom } from "../seededRandom";
import {
  checkSchedule,
  compareCosts,
  constructSchedule,
  improveSchedule,
  type ScheduleProblem,
  type ScheduleTask,
} from ".";
import { layRigid } from "./layRigid";
import { FULL_EFFORT, laySchedule } from "./laySchedule";
import { pushLater } from "./pushLater";
import { FREE_ORDER } from "./order";
import { describeSchedule } from "./describeSchedule";
import { bake, hands, oven, wait, work } from "./testDay";

/** Small legal days: several hands, a helper for a while, parallel work in one chain, waits from starts and ends. */
const days: fc.Arbitrary<ScheduleProblem> = fc
  .record({
    capacity: fc.integer({ min: 1, max: 3 }),
    helperFrom: fc.integer({ min: 240, max: 420 }),
    trays: fc.integer({ min: 1, max: 3 }),
    seed: fc.integer({ min: 0, max: 1e6 }),
    count: fc.integer({ min: 3, max: 9 }),
  })
  .map(({ capacity, helperFrom, trays, seed, count }) => {
    const random = createRandom(seed);
    const pick = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
    const tasks = Array.from({ length: count }, (_, i): ScheduleTask => {
      const after =
        i === 0
          ? []
          : [...new Set(Array.from({ length: pick(0, 2) }, () => pick(0, i - 1)))].map((j) => {
              const from = random() < 0.3 ? ("start" as const) : ("end" as const);
              const least = pick(0, 20);
              const most = random() < 0.4 ? least + pick(0, 25) : null;
              return { ...wait(`t${j}`, least, most), from };
            });
      const dueMin = random() < 0.5 ? pick(320, 700) : null;
      return random() < 0.3
        ? bake(`t${i}`, pick(8, 40), [170, 190, 210][pick(0, 2)]!, after, dueMin)
        : work(`t${i}`, pick(2, 25), after, dueMin);
    });
    const resources = [
      {
        ...hands,
        capacity,
        away:
          capacity > 1
            ? [
                { fromMin: -10_000, toMin: helperFrom, amount: 1 },
                { fromMin: helperFrom + 180, toMin: 10_000, amount: 1 },
              ]
            : [],
      },
      { ...oven, capacity: trays },
    ];
    return { tasks, resources, holds: [], openMin: 240 };
  });

test("on three thousand small legal days a rigid chain breaks nothing without saying it", () => {
  fc.assert(
    fc.property(days, (problem) => {
      const rigid = describeSchedule(problem, layRigid(problem, FREE_ORDER).placing);
      expect(checkSchedule(problem, rigid)).toEqual([]);
    }),
    { numRuns: 3000, seed: 4 },
  );
});

test("nor does the day that is constructed", () => {
  fc.assert(
    fc.property(days, (problem) => {
      expect(checkSchedule(problem, constructSchedule(problem))).toEqual([]);
    }),
    { numRuns: 600, seed: 4 },
  );
});

test("a search breaks nothing either", () => {
  fc.assert(
    fc.property(days, (problem) => {
      const { schedule } = improveSchedule(problem, {
        random: createRandom(1),
        isOver: (tries) => tries >= 40,
      });
      expect(checkSchedule(problem, schedule)).toEqual([]);
    }),
    { numRuns: 150, seed: 9 },
  );
});

test("a rigid chain whose own tasks run side by side waits until there are hands for all of them", () => {
  // Two jobs that must begin together, and two hands of which one is gone until eight.
  const together = { ...wait("mix", 0, 5) };
  const tasks = [work("mix", 10), work("roll", 12, [together]), work("cut", 12, [together])];
  const resources = [{ ...hands, capacity: 2, away: [{ fromMin: -10_000, toMin: 480, amount: 1 }] }];
  const problem = { tasks, resources, holds: [], openMin: 240 };
  const rigid = describeSchedule(problem, layRigid(problem, FREE_ORDER).placing);
  expect(rigid.cost.brokenMin).toBe(0);
  expect(checkSchedule(problem, rigid)).toEqual([]);
  const startOf = (id: string) => rigid.placed.find(({ taskId }) => taskId === id)!.startMin;
  expect(Math.max(startOf("roll"), startOf("cut"))).toBeGreaterThanOrEqual(480);
});

test("waits from the start of another are kept both ways, least and most", () => {
  const from = "start" as const;
  const tasks = [
    work("long", 40),
    { ...work("beside", 10, [{ ...wait("long", 15, 20), from }]), dueMin: 600 },
  ];
  const problem = { tasks, resources: [{ ...hands, capacity: 2 }], holds: [], openMin: 240 };
  const schedule = constructSchedule(problem);
  expect(checkSchedule(problem, schedule)).toEqual([]);
  const [long, beside] = ["long", "beside"].map((id) => schedule.placed.find(({ taskId }) => taskId === id)!);
  expect(beside!.startMin - long!.startMin).toBeGreaterThanOrEqual(15);
  expect(beside!.startMin - long!.startMin).toBeLessThanOrEqual(20);
});

describe("a day is as short as its work allows", () => {
  test("with nothing late: an early promise and a late one do not keep hands idle between them", () => {
    const tasks = [work("early", 20, [], 400), work("late", 20, [], 700), work("middle", 20)];
    const schedule = constructSchedule({ tasks, resources: [hands], holds: [], openMin: 240 });
    expect(schedule.late).toEqual([]);
    expect(schedule.cost.dayMin).toBe(60);
  });

  test("with a promise that cannot be kept: the rest is not stretched by it", () => {
    const tasks = [work("hopeless", 20, [], 250), ...["a", "b", "c"].map((id) => work(id, 10, [], 800))];
    const schedule = constructSchedule({ tasks, resources: [hands], holds: [], openMin: 240 });
    expect(schedule.cost).toMatchObject({ latenessMin: 10, dayMin: 50 });
  });

  test("and nobody gets up sooner for that: pressed, it begins no sooner than it had to", () => {
    let shorter = 0;
    fc.assert(
      fc.property(days, (problem) => {
        const plain = pushLater(problem, laySchedule(problem, FREE_ORDER, { ...FULL_EFFORT, pressings: 0 }));
        const pressed = pushLater(problem, laySchedule(problem));
        if (plain.cost.brokenMin > 0 || pressed.cost.brokenMin > 0) return;
        expect(compareCosts(pressed.cost, plain.cost)).toBeLessThanOrEqual(0);
        expect(Math.min(...pressed.placing.starts)).toBeGreaterThanOrEqual(Math.min(...plain.placing.starts));
        if (pressed.cost.dayMin < plain.cost.dayMin) shorter++;
      }),
      { numRuns: 600, seed: 12 },
    );
    expect(shorter).toBeGreaterThan(20);
  });

  test("against the best of all orders on small days without waits", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ minutes: fc.integer({ min: 2, max: 30 }), dueMin: fc.integer({ min: 300, max: 500 }) }),
          {
            minLength: 2,
            maxLength: 6,
          },
        ),
        (jobs) => {
          const tasks = jobs.map(({ minutes, dueMin }, i) => work(`w${i}`, minutes, [], dueMin));
          const { schedule } = improveSchedule(
            { tasks, resources: [hands], holds: [], openMin: 240 },
            { random: createRandom(1), isOver: (tries) => tries >= 200 },
          );
          // In the order of the promises nothing is late if anything can be so; without idle minutes the day is its work.
          const total = jobs.reduce((sum, { minutes }) => sum + minutes, 0);
          if (schedule.cost.latenessMin === 0) expect(schedule.cost.dayMin).toBe(total);
        },
      ),
      { numRuns: 60, seed: 2 },
    );
  });
});

describe("the checker sees", () => {
  const tasks = [work("mix", 10), bake("bake", 30, 200, [wait("mix", 5, 60)], 400)];
  const problem = { tasks, resources: [hands, oven], holds: [], openMin: 240 };
  const good = constructSchedule(problem);
  const moved = (taskId: string, byMin: number) => ({
    ...good,
    placed: good.placed.map((each) =>
      each.taskId === taskId
        ? { ...each, startMin: each.startMin + byMin, endMin: each.endMin + byMin }
        : each,
    ),
  });
  const see = (schedule: typeof good) => checkSchedule(problem, schedule).map(({ code }) => code);

  test.each([
    ["what waits too little", moved("mix", 6), "tooSoon"],
    ["what waits too long unsaid", moved("mix", -90), "waitUnsaid"],
    ["what is late unsaid", moved("bake", 1), "lateUnsaid"],
    ["what begins before the day", moved("mix", -2000), "tooEarly"],
    ["hands in two places", moved("mix", 8), "overfull"],
    ["a task that is not there", { ...good, placed: good.placed.slice(1) }, "notPlaced"],
    [
      "a task cut short",
      { ...good, placed: good.placed.map((each) => ({ ...each, endMin: each.endMin - 1 })) },
      "wrongLength",
    ],
  ])("%s", (_, schedule, code) => {
    expect(see(good)).toEqual([]);
    expect(see(schedule)).toContain(code);
  });
});
