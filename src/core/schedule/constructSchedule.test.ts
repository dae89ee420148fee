import fc from "fast-check";
import { constructSchedule, type ScheduleProblem, type ScheduleTask } from ".";
import { bake, findFaults, hands, oven, wait, work } from "./testDay";

test("one chain is laid back from the promise, oven lit in time", () => {
  const schedule = constructSchedule({
    resources: [hands, oven],
    openMin: 0,
    tasks: [
      work("mix", 15),
      work("roll", 10, [wait("mix", 30)]),
      bake("bake", 24, 200, [wait("roll", 20)]),
      work("finish", 5, [wait("bake", 15)], 540),
    ],
  });
  expect(schedule.placed.map(({ taskId, startMin }) => [taskId, startMin])).toEqual([
    ["mix", 540 - 5 - 15 - 24 - 20 - 10 - 30 - 15],
    ["roll", 540 - 5 - 15 - 24 - 20 - 10],
    ["bake", 540 - 5 - 15 - 24],
    ["finish", 535],
  ]);
  expect(schedule.heaterStarts).toEqual([
    { resourceId: "oven", lightMin: 496 - 18, firstUseMin: 496, heatC: 200 },
  ]);
  expect(schedule).toMatchObject({ late: [], brokenWaits: [], startMin: 421 });
});

test("a day that opens too late says by how many minutes it misses the promise", () => {
  const tasks = [work("mix", 15), bake("bake", 24, 200, [wait("mix", 30)], 100)];
  // Chain 69 min; opening at 60 ends at 129.
  expect(constructSchedule({ resources: [hands, oven], openMin: 60, tasks }).late).toEqual([
    { taskId: "bake", dueMin: 100, lateMin: 29 },
  ]);
});

test("a cold oven that opens the day is heated before its first load", () => {
  const { placed } = constructSchedule({
    resources: [hands, oven],
    openMin: 60,
    tasks: [bake("bake", 20, 200, [], 62)],
  });
  expect(placed[0]?.startMin).toBe(60 + 18);
});

test("heating up and cooling down each take their own time, whichever way the day is laid", () => {
  for (const openMin of [0, 590]) {
    const tasks = [bake("hot", 20, 220, [], 600), bake("mild", 20, 180, [wait("hot")], 700)];
    const { placed } = constructSchedule({ resources: [hands, oven], openMin, tasks });
    const [hot, mild] = ["hot", "mild"].map((id) => placed.find(({ taskId }) => taskId === id)!);
    expect(mild!.startMin - hot!.endMin).toBeGreaterThanOrEqual(10);
  }
});

test("a wait that came out too long is mended by working later; one that cannot be is reported", () => {
  const cutThenFill = [
    work("cut", 10),
    work("fill", 10, [wait("cut", 0, 15)], 200),
    work("other", 30, [], 190),
  ];
  const mended = constructSchedule({ resources: [hands], openMin: 0, tasks: cutThenFill });
  expect(mended.brokenWaits).toEqual([]);
  expect(findFaults({ resources: [hands], openMin: 0, tasks: cutThenFill }, mended)).toEqual([]);
  // Two loads of 40 minutes share the oven; both were cut in one go and may wait 15.
  const tasks = [
    work("cut", 10),
    bake("first", 40, 200, [wait("cut", 0, 15)], 300),
    bake("second", 40, 200, [wait("cut", 0, 15)], 300),
  ];
  expect(constructSchedule({ resources: [hands, oven], openMin: 0, tasks }).brokenWaits).toEqual([
    { taskId: expect.stringMatching(/first|second/), afterTaskId: "cut", overMin: 25 },
  ]);
});

test("random days keep every resource, wait and change of temperature, and promises they can keep", () => {
  const days = fc.record({
    openMin: fc.integer({ min: 0, max: 500 }),
    lots: fc.array(
      fc.record({
        workMin: fc.integer({ min: 1, max: 30 }),
        bakeMin: fc.integer({ min: 5, max: 45 }),
        heatC: fc.constantFrom(170, 190, 210),
        loweredC: fc.constantFrom(0, 20),
        restMin: fc.integer({ min: 0, max: 60 }),
        dueMin: fc.integer({ min: 400, max: 800 }),
      }),
      { minLength: 1, maxLength: 8 },
    ),
  });
  fc.assert(
    fc.property(days, ({ openMin, lots }) => {
      const tasks = lots.flatMap((lot, i) => [
        work(`work${i}`, lot.workMin),
        bake(`bake${i}`, lot.bakeMin, lot.heatC, [wait(`work${i}`, lot.restMin)], null, lot.loweredC),
        work(`finish${i}`, 3, [wait(`bake${i}`, 10)], lot.dueMin),
      ]);
      const problem = { resources: [hands, oven], openMin, tasks };
      const schedule = constructSchedule(problem);
      expect(findFaults(problem, schedule)).toEqual([]);
      expect(schedule.placed).toHaveLength(tasks.length);
      expect(schedule.startMin).toBeGreaterThanOrEqual(openMin);
      for (const { taskId, lateMin, dueMin } of schedule.late) {
        expect(schedule.placed.find((placed) => placed.taskId === taskId)!.endMin).toBe(dueMin + lateMin);
      }
    }),
    { numRuns: 150, seed: 21 },
  );
});

/** Two ovens of which the second is slower, three trays each, a helper from eight to ten, a fryer with a gap. */
const kitchen: ScheduleProblem["resources"] = [
  {
    ...hands,
    capacity: 2,
    away: [
      { fromMin: -10_000, toMin: 480, amount: 1 },
      { fromMin: 600, toMin: 10_000, amount: 1 },
    ],
  },
  { ...oven, capacity: 3 },
  { ...oven, id: "small", capacity: 1 },
  { ...oven, id: "fryer", capacity: 1, gapMin: 6 },
];
const lots = fc.array(
  fc.record({
    workMin: fc.integer({ min: 1, max: 30 }),
    bakeMin: fc.integer({ min: 5, max: 45 }),
    heatC: fc.constantFrom(170, 190, 210),
    trays: fc.integer({ min: 1, max: 3 }),
    where: fc.constantFrom("oven", "either", "fryer"),
    longestMin: fc.constantFrom(null, 0, 25),
    dueMin: fc.integer({ min: 500, max: 900 }),
  }),
  { minLength: 1, maxLength: 10 },
);

test("whatever the kitchen, nothing is overfull, no longest wait is broken, and a fryer has its gap", () => {
  fc.assert(
    fc.property(lots, (each) => {
      const tasks = each.flatMap((lot, i): ScheduleTask[] => {
        const inOven = bake(`bake${i}`, lot.bakeMin, lot.heatC, [wait(`work${i}`, 0, lot.longestMin)]);
        const at = (resourceId: string, amount: number, slower: number) => ({
          durationMin: lot.bakeMin + slower,
          heat: { startC: lot.heatC, endC: lot.heatC },
          uses: [
            { resourceId, fromMin: 0, toMin: lot.bakeMin + slower, amount },
            { resourceId: "hands", fromMin: 0, toMin: 2, amount: 1 },
          ],
        });
        const modes =
          lot.where === "fryer"
            ? [at("fryer", 1, 0)]
            : lot.where === "either"
              ? [at("oven", lot.trays, 0), at("small", 1, 8)]
              : [at("oven", lot.trays, 0)];
        return [
          work(`work${i}`, lot.workMin),
          { ...inOven, modes },
          work(`finish${i}`, 3, [wait(`bake${i}`, 10)], lot.dueMin),
        ];
      });
      const problem = { resources: kitchen, openMin: 240, tasks };
      const schedule = constructSchedule(problem);
      expect(findFaults(problem, schedule)).toEqual([]);
      expect(schedule.cost.brokenMin).toBe(0);
    }),
    { numRuns: 150, seed: 5 },
  );
});

test("trays of one heat share the oven, of two heats they do not", () => {
  const trays = (otherC: number) => {
    const tasks = [200, otherC].map((heatC, i) => bake(`bake${i}`, 30, heatC, [], 600));
    const { placed } = constructSchedule({ resources: [hands, { ...oven, capacity: 2 }], openMin: 0, tasks });
    return Math.abs(placed[0]!.startMin - placed[1]!.startMin);
  };
  expect(trays(200)).toBeLessThan(30);
  expect(trays(210)).toBeGreaterThanOrEqual(31);
});

test("a pinned task stays where it is and the others go round it", () => {
  const pinned = { ...work("pinned", 20), pinnedMin: 560 };
  const tasks = [work("before", 10, [], 600), pinned, work("after", 10, [wait("pinned")], 640)];
  const problem = { resources: [hands], openMin: 500, tasks };
  const schedule = constructSchedule(problem);
  expect(schedule.placed.find(({ taskId }) => taskId === "pinned")?.startMin).toBe(560);
  expect(findFaults(problem, schedule)).toEqual([]);
  expect(schedule.late).toEqual([]);
});
