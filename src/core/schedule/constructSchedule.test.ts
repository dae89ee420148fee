import fc from "fast-check";
import {
  checkSchedule,
  constructSchedule,
  findCriticalChain,
  type ScheduleHold,
  type ScheduleProblem,
  type ScheduleTask,
  type TaskEdge,
} from ".";
import { bake, hands, oven, wait, work } from "./testDay";

test("one chain is laid back from the promise, oven lit in time", () => {
  const schedule = constructSchedule({
    holds: [],
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
  expect(constructSchedule({ holds: [], resources: [hands, oven], openMin: 60, tasks }).late).toEqual([
    { taskId: "bake", dueMin: 100, lateMin: 29 },
  ]);
});

test("a cold oven that opens the day is heated before its first load", () => {
  const { placed } = constructSchedule({
    holds: [],
    resources: [hands, oven],
    openMin: 60,
    tasks: [bake("bake", 20, 200, [], 62)],
  });
  expect(placed[0]?.startMin).toBe(60 + 18);
});

test("heating up and cooling down each take their own time, whichever way the day is laid", () => {
  for (const openMin of [0, 590]) {
    const tasks = [bake("hot", 20, 220, [], 600), bake("mild", 20, 180, [wait("hot")], 700)];
    const { placed } = constructSchedule({ holds: [], resources: [hands, oven], openMin, tasks });
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
  const mended = constructSchedule({ holds: [], resources: [hands], openMin: 0, tasks: cutThenFill });
  expect(mended.brokenWaits).toEqual([]);
  expect(checkSchedule({ holds: [], resources: [hands], openMin: 0, tasks: cutThenFill }, mended)).toEqual(
    [],
  );
  // Two loads of 40 minutes share the oven; both were cut in one go and may wait 15.
  const tasks = [
    work("cut", 10),
    bake("first", 40, 200, [wait("cut", 0, 15)], 300),
    bake("second", 40, 200, [wait("cut", 0, 15)], 300),
  ];
  expect(constructSchedule({ holds: [], resources: [hands, oven], openMin: 0, tasks }).brokenWaits).toEqual([
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
      const problem = { holds: [], resources: [hands, oven], openMin, tasks };
      const schedule = constructSchedule(problem);
      expect(checkSchedule(problem, schedule)).toEqual([]);
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
  { ...hands, id: "moulds", capacity: 12, isHands: false },
  { ...hands, id: "shelf", capacity: 2, isHands: false },
];
const lots = fc.array(
  fc.record({
    workMin: fc.integer({ min: 1, max: 30 }),
    bakeMin: fc.integer({ min: 5, max: 45 }),
    heatC: fc.constantFrom(170, 190, 210),
    trays: fc.integer({ min: 1, max: 3 }),
    where: fc.constantFrom("oven", "either", "fryer"),
    longestMin: fc.constantFrom(null, 0, 25),
    moulds: fc.integer({ min: 0, max: 12 }),
    isChilled: fc.boolean(),
    dueMin: fc.integer({ min: 500, max: 900 }),
  }),
  { minLength: 1, maxLength: 10 },
);

const hold = (
  resourceId: string,
  amount: number,
  fromId: string,
  fromEdge: TaskEdge["edge"],
  untilId: string,
  untilEdge: TaskEdge["edge"],
): ScheduleHold => ({
  resourceId,
  amount,
  from: { taskId: fromId, edge: fromEdge },
  until: { taskId: untilId, edge: untilEdge },
});

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
      // Moulds are taken from the work to the end of finishing, a shelf only between work and bake.
      const holds = each.flatMap((lot, i): ScheduleHold[] => [
        ...(lot.moulds > 0 ? [hold("moulds", lot.moulds, `work${i}`, "start", `finish${i}`, "end")] : []),
        ...(lot.isChilled ? [hold("shelf", 1, `work${i}`, "end", `bake${i}`, "start")] : []),
      ]);
      const problem = { holds, resources: kitchen, openMin: 240, tasks };
      const schedule = constructSchedule(problem);
      expect(checkSchedule(problem, schedule)).toEqual([]);
      expect(schedule.cost.brokenMin).toBe(0);
    }),
    { numRuns: 150, seed: 5 },
  );
});

test("trays of one heat share the oven, of two heats they do not", () => {
  const trays = (otherC: number) => {
    const tasks = [200, otherC].map((heatC, i) => bake(`bake${i}`, 30, heatC, [], 600));
    const { placed } = constructSchedule({
      holds: [],
      resources: [hands, { ...oven, capacity: 2 }],
      openMin: 0,
      tasks,
    });
    return Math.abs(placed[0]!.startMin - placed[1]!.startMin);
  };
  expect(trays(200)).toBeLessThan(30);
  expect(trays(210)).toBeGreaterThanOrEqual(31);
});

test("a pinned task stays where it is and the others go round it", () => {
  const pinned = { ...work("pinned", 20), pinnedMin: 560 };
  const tasks = [work("before", 10, [], 600), pinned, work("after", 10, [wait("pinned")], 640)];
  const problem = { holds: [], resources: [hands], openMin: 500, tasks };
  const schedule = constructSchedule(problem);
  expect(schedule.placed.find(({ taskId }) => taskId === "pinned")?.startMin).toBe(560);
  expect(checkSchedule(problem, schedule)).toEqual([]);
  expect(schedule.late).toEqual([]);
});

test("twelve moulds make thirty tarts in three rounds, each lined when the one before it is emptied", () => {
  const rounds = [12, 12, 6].map((moulds, i) => ({ moulds, id: String(i) }));
  const tasks = rounds.flatMap(({ id }) => [
    work(`line${id}`, 10),
    bake(`bake${id}`, 30, 180, [wait(`line${id}`)]),
    work(`empty${id}`, 5, [wait(`bake${id}`, 15)], 720),
  ]);
  const problem = {
    resources: [hands, { ...oven, capacity: 3 }, { ...hands, id: "moulds", capacity: 12, isHands: false }],
    holds: rounds.map(({ id, moulds }) => hold("moulds", moulds, `line${id}`, "start", `empty${id}`, "end")),
    openMin: 240,
    tasks,
  };
  const schedule = constructSchedule(problem);
  expect(checkSchedule(problem, schedule)).toEqual([]);
  // A round takes 60 min from lining to emptying, and no two fit into twelve moulds at once.
  expect(schedule.placed[0]?.startMin).toBe(720 - 3 * 60);
  expect(schedule.cost).toMatchObject({ brokenMin: 0, latenessMin: 0 });
  const last = schedule.placed.at(-1)!.taskId;
  expect(findCriticalChain(problem, schedule, last)).toHaveLength(9);
});

test("holds that stand in each other's way are laid all the same and said to be overfull", () => {
  const tasks = [work("one", 10), work("other", 10), work("both", 10, [wait("one"), wait("other")], 600)];
  const problem = {
    resources: [hands, { ...hands, id: "shelf", isHands: false }],
    holds: ["one", "other"].map((id) => hold("shelf", 1, id, "end", "both", "start")),
    openMin: 0,
    tasks,
  };
  const schedule = constructSchedule(problem);
  expect(schedule.placed).toHaveLength(3);
  expect(schedule.overfull).toEqual([]);
  const wider = {
    ...problem,
    holds: problem.holds.map((each) => ({ ...each, until: { taskId: "both", edge: "end" as const } })),
  };
  expect(constructSchedule(wider).overfull).toEqual([
    { resourceId: "shelf", fromMin: 590, toMin: 600, over: 1 },
  ]);
});
