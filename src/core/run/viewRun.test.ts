import { constructSchedule, type ScheduleProblem } from "../schedule";
import { bake, hands, oven, wait, work } from "../schedule/testDay";
import { foldRun, retimeRun, viewRun, type RunEvent } from ".";

/** One tray made, rested a quarter of an hour, baked from a cold oven and set out by ten; then another thing to do. */
const problem: ScheduleProblem = {
  tasks: [
    work("make", 20),
    bake("bake", 25, 180, [wait("make", 15, 90)]),
    work("set out", 5, [wait("bake", 10)], 600),
    work("sweep", 10, [wait("set out")], 612),
  ],
  resources: [hands, oven],
  holds: [],
  openMin: 480,
};
const { placed } = constructSchedule(problem);
const plan = { problem, placed: placed.map(({ taskId, startMin, mode }) => ({ taskId, startMin, mode })) };
const startOf = (taskId: string) => placed.find((each) => each.taskId === taskId)!.startMin;

const event = (kind: "begun" | "done", taskId: string, atMin: number): RunEvent => ({
  id: `${kind} ${taskId}`,
  kind,
  taskId,
  atMin,
  person: 0,
  deviceId: "tablet",
});

/** The face after these, at a minute. */
function look(events: readonly RunEvent[], nowMin: number, isOurs: (taskId: string) => boolean = () => true) {
  const state = foldRun(events);
  return viewRun(plan, retimeRun(plan, null, state, nowMin), state, nowMin, isOurs);
}

test("before anything is begun: the first job, the others after it, nothing by itself", () => {
  const view = look([], startOf("make"));
  expect(view.now).toMatchObject({ taskId: "make", hasBegun: false, startMin: startOf("make") });
  expect(view.next.map(({ taskId }) => taskId)).toEqual(["bake", "set out", "sweep"]);
  expect([view.byItself, view.doneCount, view.taskCount, view.aheadMin]).toEqual([[], 0, 4, 0]);
  expect(view.lastPromise).toEqual({ endMin: startOf("sweep") + 10, dueMin: 612 });
});

test("of two jobs in hand the one that ends first is the job, whichever was begun first and however far apart", () => {
  const at = startOf("make");
  for (const [long, short] of [
    [at, at + 0.2],
    [at, at + 6],
    [at + 3, at],
  ] as const) {
    const view = look([event("begun", "make", long), event("begun", "sweep", short)], at + 7);
    expect([view.now?.taskId, view.next[0]?.taskId]).toEqual(["sweep", "make"]);
  }
  // Begun when the other is nearly over, it ends after it.
  const late = look([event("begun", "make", at), event("begun", "sweep", at + 15)], at + 16);
  expect(late.now?.taskId).toBe("make");
});

test("a load in the oven goes on by itself until hands take it out, and then it is the job", () => {
  const at = startOf("bake");
  const events = [
    event("begun", "make", at - 35),
    event("done", "make", at - 15),
    event("begun", "bake", at),
  ];
  // Two minutes to put it in, then nothing to do before the last two.
  expect(look(events, at + 1).now).toMatchObject({ taskId: "bake", hasBegun: true });
  const alone = look(events, at + 10);
  expect(alone.byItself).toEqual([
    { taskId: "bake", startMin: at, endMin: at + 25, hasBegun: true, leftMin: 13 },
  ]);
  expect(alone.now?.taskId).toBe("set out");
  const ready = look(events, at + 23.5);
  expect([ready.now?.taskId, ready.byItself]).toEqual(["bake", []]);
});

test("an oven that is lit for a load to come is on its way; once the load is in, it is not", () => {
  const at = startOf("bake");
  const made = [event("begun", "make", at - 35), event("done", "make", at - 15)];
  // From 20 to 180 °C at ten degrees a minute.
  expect(look(made, at - 5).heating).toEqual([{ resourceId: "oven", toC: 180, hotMin: at, taskId: "bake" }]);
  expect(look(made, at - 17).heating).toEqual([]);
  expect(look([...made, event("begun", "bake", at)], at + 3).heating).toEqual([]);
});

test("what rests between two jobs is told with what is left, until it is over or the next job has begun", () => {
  const at = startOf("bake");
  const made = [event("begun", "make", at - 35), event("done", "make", at - 15)];
  expect(look(made, at - 5).standing).toEqual([
    { taskId: "bake", afterTaskId: "make", readyMin: at, leftMin: 5 },
  ]);
  expect(look([], at - 5).standing).toEqual([]);
  expect(look(made, at).standing).toEqual([]);
  const baked = [...made, event("begun", "bake", at), event("done", "bake", at + 24.5)];
  expect(look(baked, at + 27).standing).toEqual([
    { taskId: "set out", afterTaskId: "bake", readyMin: at + 35, leftMin: 8 },
  ]);
});

test("a part that is done begins its job and counts once; the job itself is not done by it", () => {
  const part = (id: string, name: string, atMin: number): RunEvent =>
    ({
      ...event("done", "make", atMin),
      id,
      part: name,
    }) as RunEvent;
  const { tasks } = foldRun([part("c", "salt", 490), part("a", "flour", 488), part("b", "flour", 489)]);
  expect(tasks.make).toMatchObject({ begunMin: 488, doneMin: null, parts: ["flour", "salt"], person: 0 });
});

test("a job of hands that takes longer than planned stays the job in hand; a load that is not yet comes back later", () => {
  const first = startOf("make");
  const begun = [event("begun", "make", first)];
  for (const late of [0, 1, 45])
    expect(look(begun, first + 20 + late)).toMatchObject({ now: { taskId: "make" }, byItself: [] });
  const at = startOf("bake");
  const baking = [...begun, event("done", "make", at - 15), event("begun", "bake", at)];
  const more = { ...event("done", "bake", at + 23), kind: "more", minutes: 4, id: "more" } as RunEvent;
  expect(look(baking, at + 24).now?.taskId).toBe("bake");
  expect(look([...baking, more], at + 24).byItself).toMatchObject([{ taskId: "bake", leftMin: 3 }]);
});

test("done goes on to the next job only where nothing stands between: no rest, no heat to look at first", () => {
  const at = startOf("bake");
  const made = [event("begun", "make", at - 35), event("done", "make", at - 15)];
  // After the rest, a hot oven is looked at before the load goes in.
  expect(look([event("begun", "make", at - 35)], at - 20).following).toBeNull();
  const baked = [...made, event("begun", "bake", at), event("done", "bake", at + 25)];
  expect(look(baked, at + 36).following).toBe("sweep");
  expect(look(baked, at + 36)).toMatchObject({ now: { taskId: "set out" } });
  expect(
    look([...baked, event("begun", "set out", at + 36), event("begun", "sweep", at + 37)], at + 38).following,
  ).toBeNull();
});

test("behind: what is made later makes the last promise later by as much; a helper sees the helper's jobs", () => {
  const first = startOf("make");
  const events = [event("begun", "make", first), event("done", "make", first + 50)];
  const view = look(events, first + 50);
  expect(view.aheadMin).toBeLessThanOrEqual(-20);
  expect(view.lastPromise!.endMin).toBeGreaterThan(view.lastPromise!.dueMin);
  expect(view.doneCount).toBe(1);
  expect(look(events, first + 50, (taskId) => taskId === "sweep").now?.taskId).toBe("sweep");
  expect(look(events, first + 50, () => false).now).toBeNull();
});

test("all done: nothing is left to show", () => {
  const events = placed.flatMap(({ taskId, startMin, endMin }) => [
    event("begun", taskId, startMin),
    event("done", taskId, endMin),
  ]);
  expect(look(events, 620)).toMatchObject({
    now: null,
    next: [],
    byItself: [],
    heating: [],
    doneCount: 4,
    aheadMin: 0,
  });
});
