import fc from "fast-check";
import { computeChangeoverMin, scheduleDay, type Schedule, type ScheduleProblem, type ScheduleTask } from ".";

const oven = { id: "oven", heater: { restC: 20, heatUpCPerMin: 10, coolDownCPerMin: 4 } };
const hands = { id: "hands", heater: null };
const work = (
  id: string,
  durationMin: number,
  after: ScheduleTask["after"] = [],
  dueMin: number | null = null,
): ScheduleTask => ({
  id,
  durationMin,
  after,
  dueMin,
  heat: null,
  uses: [{ resourceId: "hands", fromMin: 0, toMin: durationMin }],
});
const bake = (
  id: string,
  durationMin: number,
  heatC: number,
  after: ScheduleTask["after"] = [],
  dueMin: number | null = null,
  loweredC = 0,
): ScheduleTask => ({
  id,
  durationMin,
  after,
  dueMin,
  heat: { startC: heatC, endC: heatC - loweredC },
  uses: [
    { resourceId: "oven", fromMin: 0, toMin: durationMin },
    { resourceId: "hands", fromMin: 0, toMin: 2 },
    { resourceId: "hands", fromMin: durationMin - 2, toMin: durationMin },
  ],
});
const wait = (taskId: string, minWaitMin = 0, maxWaitMin: number | null = null) => ({
  taskId,
  minWaitMin,
  maxWaitMin,
});

/** Everything a schedule must keep whatever happens, checked minute by minute, knowing nothing of how it was made. */
function findFaults(problem: ScheduleProblem, schedule: Schedule): string[] {
  const at = new Map(schedule.placed.map((placed) => [placed.taskId, placed]));
  const faults: string[] = [];
  for (const task of problem.tasks) {
    for (const { taskId, minWaitMin } of task.after) {
      if (at.get(task.id)!.startMin < at.get(taskId)!.endMin + minWaitMin)
        faults.push(`${task.id} too soon after ${taskId}`);
    }
  }
  for (const { id, heater } of problem.resources) {
    const blocks = problem.tasks
      .flatMap((task) =>
        task.uses
          .filter((use) => use.resourceId === id)
          .map((use) => ({
            task,
            from: at.get(task.id)!.startMin + use.fromMin,
            to: at.get(task.id)!.startMin + use.toMin,
          })),
      )
      .sort((a, b) => a.from - b.from);
    blocks.slice(1).forEach((block, i) => {
      const before = blocks[i]!;
      const gap =
        heater && before.task.heat && block.task.heat
          ? computeChangeoverMin(heater, before.task.heat.endC, block.task.heat.startC)
          : 0;
      if (block.from < before.to + gap) faults.push(`${id}: ${block.task.id} overlaps ${before.task.id}`);
    });
  }
  return faults;
}

test("one chain is laid back from the promise, oven lit in time", () => {
  const schedule = scheduleDay({
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
  expect(scheduleDay({ resources: [hands, oven], openMin: 60, tasks }).late).toEqual([
    { taskId: "bake", dueMin: 100, lateMin: 29 },
  ]);
});

test("a cold oven that opens the day is heated before its first load", () => {
  const { placed } = scheduleDay({
    resources: [hands, oven],
    openMin: 60,
    tasks: [bake("bake", 20, 200, [], 62)],
  });
  expect(placed[0]?.startMin).toBe(60 + 18);
});

test("heating up and cooling down each take their own time, whichever way the day is laid", () => {
  for (const openMin of [0, 590]) {
    const tasks = [bake("hot", 20, 220, [], 600), bake("mild", 20, 180, [wait("hot")], 700)];
    const { placed } = scheduleDay({ resources: [hands, oven], openMin, tasks });
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
  const mended = scheduleDay({ resources: [hands], openMin: 0, tasks: cutThenFill });
  expect(mended.brokenWaits).toEqual([]);
  expect(findFaults({ resources: [hands], openMin: 0, tasks: cutThenFill }, mended)).toEqual([]);
  // Two loads of 40 minutes share the oven; both were cut in one go and may wait 15.
  const tasks = [
    work("cut", 10),
    bake("first", 40, 200, [wait("cut", 0, 15)], 300),
    bake("second", 40, 200, [wait("cut", 0, 15)], 300),
  ];
  expect(scheduleDay({ resources: [hands, oven], openMin: 0, tasks }).brokenWaits).toEqual([
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
      const schedule = scheduleDay(problem);
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
