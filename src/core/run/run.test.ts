import fc from "fast-check";
import { checkSchedule, constructSchedule, type ScheduleProblem } from "../schedule";
import { bake, hands, oven, wait, work } from "../schedule/testDay";
import { foldRun, measures, mishaps, retimeRun, toRunProblem, type Retimed, type RunEvent } from ".";
import { UNTOUCHED } from "./foldRun";

/** Three kinds of pieces: made, chilled, baked, set out; promised at noon, at half past and at one. */
const problem: ScheduleProblem = {
  tasks: ["a", "b", "c"].flatMap((piece, i) => [
    work(`make ${piece}`, 20),
    bake(`bake ${piece}`, 25, 180 + 20 * (i % 2), [wait(`make ${piece}`, 15, 90)]),
    work(`set ${piece}`, 5, [wait(`bake ${piece}`, 10)], 720 + 30 * i),
  ]),
  resources: [hands, oven],
  holds: [],
  openMin: 480,
};
const frozen = constructSchedule(problem);
const placed = frozen.placed.map(({ taskId, startMin, mode }) => ({ taskId, startMin, mode }));
const plan = { problem, placed };
const ids = problem.tasks.map(({ id }) => id);

let count = 0;
const happens = (event: Record<string, unknown>): RunEvent =>
  ({ id: `h${count++}`, person: 0, deviceId: "tablet", ...event }) as RunEvent;

/** Whatever may be told, of whichever task, undoings of what was told before among it. */
const histories: fc.Arbitrary<RunEvent[]> = fc
  .array(
    fc.record({
      atMin: fc.double({ min: 480, max: 800, noNaN: true }),
      taskId: fc.constantFrom(...ids),
      kind: fc.constantFrom(
        "begun",
        "done",
        "more",
        "wrong",
        "measured",
        "poured",
        "moved",
        "note",
        "sold",
        "left",
        "closed",
        "leftOut",
        "undone",
      ),
      minutes: fc.integer({ min: 1, max: 20 }),
      mishap: fc.constantFrom(...mishaps),
      measure: fc.constantFrom(...measures),
      number: fc.integer({ min: 0, max: 40 }),
      person: fc.integer({ min: 0, max: 1 }),
      back: fc.nat(),
    }),
    { maxLength: 40 },
  )
  .map(
    (told) =>
      told.map(({ back, number, minutes, ...event }, i) => ({
        ...event,
        id: `e${i}`,
        deviceId: "tablet",
        minutes,
        count: number,
        value: number,
        massG: number,
        word: "soft",
        ...{ pieceId: "moon", larderKind: "dough", refId: "crust", useBy: "2026-11-30" },
        ...(i > 0 ? { eventId: `e${back % i}` } : { kind: "note" }),
      })) as RunEvent[],
  );

describe("a run is folded from what happened", () => {
  test("in whatever order it arrives and however often it is told: one state", () => {
    fc.assert(
      fc.property(histories, fc.infiniteStream(fc.nat()), (events, draws) => {
        const state = foldRun(events);
        const shuffled = events
          .map((event) => ({ event, at: draws.next().value as number }))
          .sort((a, b) => a.at - b.at)
          .map(({ event }) => event);
        expect(foldRun(shuffled)).toEqual(state);
        expect(foldRun([...shuffled, ...events])).toEqual(state);
      }),
    );
  });

  test("taking back everything, the last first, is the beginning; taking that back brings it again", () => {
    fc.assert(
      fc.property(histories, (events) => {
        const before = foldRun(events);
        const all = [...events];
        const undoings: RunEvent[] = [];
        for (let left = before; left.lastId !== null; left = foldRun(all)) {
          const undoing = happens({ kind: "undone", atMin: 900, eventId: left.lastId });
          undoings.push(undoing);
          all.push(undoing);
        }
        expect(foldRun(all)).toEqual(foldRun([]));
        // A tablet whose clock is behind takes back all the same.
        const slow = undoings.map((undoing) => ({ ...undoing, atMin: 0 }));
        expect(foldRun([...events, ...slow])).toEqual(foldRun([]));
        const again = undoings.map(({ id }) => happens({ kind: "undone", atMin: 901, eventId: id }));
        expect(foldRun([...all, ...again]).tasks).toEqual(before.tasks);
      }),
    );
  });

  test("what is known of the day's end: the later of two words counts, and what is left out says why", () => {
    const left = (id: string, atMin: number, massG: number) =>
      happens({
        id,
        kind: "left",
        atMin,
        larderKind: "dough",
        refId: "crust",
        massG,
        count: 0,
        useBy: "2026-12-01",
      });
    const sold = (atMin: number, count: number) => happens({ kind: "sold", atMin, pieceId: "moon", count });
    const odd = happens({ kind: "leftOut", atMin: 905, taskId: "bake a", word: "the door" });
    const events = [left("two", 902, 120), left("one", 901, 400), sold(903, 30), sold(902, 40), odd];
    const state = foldRun([...events, happens({ kind: "closed", atMin: 910 })]);
    expect(state).toMatchObject({ isClosed: true, sold: { moon: 30 }, leftOut: null });
    expect(state.left).toEqual({ "dough:crust": { massG: 120, count: 0, useBy: "2026-12-01" } });
    expect(state.tasks["bake a"]).toEqual({ ...UNTOUCHED, leftOut: "the door" });
    expect(foldRun([happens({ kind: "leftOut", atMin: 1, taskId: null, word: "" })]).leftOut).toBe("");
    const earlier = foldRun([...events, happens({ kind: "undone", atMin: 911, eventId: "two" })]);
    expect([earlier.isClosed, earlier.left["dough:crust"]!.massG]).toEqual([false, 400]);
  });

  test("what is known of a task: when, by whom, how much and what went wrong", () => {
    const { tasks, measured, notes } = foldRun([
      happens({ kind: "begun", atMin: 500, taskId: "make a" }),
      happens({ kind: "begun", atMin: 501, taskId: "make a", person: 1 }),
      happens({ kind: "poured", atMin: 502, taskId: "make a", massG: 180 }),
      happens({ kind: "poured", atMin: 503, taskId: "make a", massG: 12.5 }),
      happens({ kind: "more", atMin: 504, taskId: "make a", minutes: 4 }),
      happens({ kind: "wrong", atMin: 505, taskId: "make a", mishap: "torn", count: 3, word: "" }),
      happens({ kind: "done", atMin: 524.5, taskId: "make a" }),
      happens({ kind: "measured", atMin: 525, taskId: null, measure: "roomC", value: 24 }),
      happens({ kind: "note", atMin: 526, taskId: null, word: "flour changed" }),
      happens({ kind: "moved", atMin: 527, taskId: "make b", person: 1 }),
    ]);
    expect(tasks["make a"]).toEqual({
      ...UNTOUCHED,
      begunMin: 500,
      doneMin: 524.5,
      moreMin: 4,
      person: 0,
      pouredG: 192.5,
      mishaps: [{ mishap: "torn", count: 3, word: "", isLost: false }],
    });
    expect(tasks["make b"]).toEqual({ ...UNTOUCHED, person: 1 });
    expect([measured, notes]).toEqual([
      [{ measure: "roomC", value: 24, atMin: 525, part: null }],
      ["flour changed"],
    ]);
  });
});

describe("after each event the rest is timed anew", () => {
  /** A day worked off: each job begun when its turn comes, and taking so many minutes more or less. */
  function workOff(offs: readonly number[], stopAfter: number) {
    const events: RunEvent[] = [];
    let before: Retimed | null = null;
    let nowMin = 480;
    for (let i = 0; i < stopAfter; i++) {
      const state = foldRun(events);
      const next = [...(before?.laid ?? plan.placed)]
        .filter(({ taskId }) => (state.tasks[taskId] ?? UNTOUCHED).doneMin === null)
        .sort((a, b) => a.startMin - b.startMin)[0];
      if (!next) break;
      const lengthMin = problem.tasks.find(({ id }) => id === next.taskId)!.modes[0]!.durationMin;
      const begunMin: number = Math.max(next.startMin, nowMin);
      nowMin = begunMin + Math.max(lengthMin + (offs[i % offs.length] ?? 0), 1);
      events.push(
        happens({ kind: "begun", atMin: begunMin, taskId: next.taskId }),
        happens({ kind: "done", atMin: nowMin, taskId: next.taskId }),
      );
      before = retimeRun(plan, before, foldRun(events), nowMin);
    }
    return { events, before, nowMin };
  }

  test("as planned, nothing moves and nothing is in danger", () => {
    const state = foldRun([]);
    const retimed = retimeRun(plan, null, state, 480);
    expect([retimed.moved, retimed.endangered, retimed.laid]).toEqual([[], [], placed]);
  });

  test("whatever takes longer or less: what is done stays where it was, the rest is after now, and every rule is kept or its breach said", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -8, max: 25 }), { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 1, max: 9 }),
        (offs, stopAfter) => {
          const { events, before, nowMin } = workOff(offs, stopAfter);
          const state = foldRun(events);
          const { schedule, laid } = before!;
          expect(checkSchedule(toRunProblem({ problem, placed: laid }, state, nowMin), schedule)).toEqual([]);
          for (const { taskId, startMin, endMin } of schedule.placed) {
            const { begunMin, doneMin } = state.tasks[taskId] ?? UNTOUCHED;
            if (begunMin === null) expect(startMin).toBeGreaterThanOrEqual(nowMin);
            else expect([startMin, endMin]).toEqual([begunMin, doneMin]);
          }
        },
      ),
      { numRuns: 60, seed: 5 },
    );
  });

  test("a job that runs over pushes what needs its hands, by no more than it must, and says which promise suffers", () => {
    const first = [...plan.placed].sort((a, b) => a.startMin - b.startMin)[0]!;
    const begun = foldRun([happens({ kind: "begun", atMin: first.startMin, taskId: first.taskId })]);
    const onTime = retimeRun(plan, null, begun, first.startMin + 5);
    expect(onTime.moved).toEqual([]);
    // Twenty minutes' work is not over after two hours.
    const late = retimeRun(plan, onTime, begun, first.startMin + 120);
    expect(late.moved.every(({ byMin }) => byMin > 0)).toBe(true);
    expect(late.endangered.length).toBeGreaterThan(0);
    for (const { lateMin, moreMin } of late.endangered) expect(moreMin).toBe(lateMin);
    const still = retimeRun(plan, late, begun, first.startMin + 120);
    expect([still.moved, still.endangered]).toEqual([[], []]);
  });

  test("whatever is begun, in whatever order, stands where it was begun; what came before it stays to be done", () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(ids, { minLength: 1, maxLength: 4 }), (begun) => {
        const events = begun.map((taskId, i) => happens({ kind: "begun", atMin: 500 + i, taskId }));
        const { schedule } = retimeRun(plan, null, foldRun(events), 510);
        expect(schedule.placed).toHaveLength(ids.length);
        for (const { taskId, startMin } of schedule.placed) {
          const at = begun.indexOf(taskId);
          if (at >= 0) expect(startMin).toBe(500 + at);
          else expect(startMin).toBeGreaterThanOrEqual(510);
        }
      }),
      { numRuns: 60 },
    );
  });

  test("a wait that was not kept is told with its minutes, whichever way it was broken", () => {
    const breaches = (madeMin: number, bakedMin: number) =>
      retimeRun(
        plan,
        null,
        foldRun([
          happens({ kind: "done", atMin: madeMin, taskId: "make a" }),
          happens({ kind: "begun", atMin: bakedMin, taskId: "bake a" }),
        ]),
        bakedMin,
      ).breached;
    const wait = { taskId: "bake a", afterTaskId: "make a" };
    expect(breaches(500, 515)).toEqual([]);
    expect(breaches(500, 514.5)).toEqual([]);
    expect(breaches(500, 508)).toEqual([{ ...wait, kind: "tooSoon", byMin: 7 }]);
    expect(breaches(500, 596)).toEqual([{ ...wait, kind: "tooLate", byMin: 6 }]);
    expect(breaches(500, 590)).toEqual([]);
  });

  test("of a load that needs more, hands are wanted again when it comes out, not when it should have", () => {
    const state = foldRun([
      happens({ kind: "begun", atMin: 600, taskId: "bake a" }),
      happens({ kind: "more", atMin: 620, taskId: "bake a", minutes: 6 }),
    ]);
    const baking = toRunProblem(plan, state, 621).tasks.find(({ id }) => id === "bake a")!;
    expect(baking).toMatchObject({ pinnedMin: 600, modes: [{ durationMin: 31 }] });
    expect(baking.modes[0]!.uses).toEqual([
      { resourceId: "oven", fromMin: 0, toMin: 31, amount: 1 },
      { resourceId: "hands", fromMin: 29, toMin: 31, amount: 1 },
    ]);
  });

  test("an oven keeps the heat of its last load: the next of the same heat need not wait", () => {
    const done = foldRun([
      happens({ kind: "begun", atMin: 600, taskId: "bake a" }),
      happens({ kind: "done", atMin: 625, taskId: "bake a" }),
    ]);
    const tasks = toRunProblem(plan, done, 626).tasks;
    const load = tasks.find(({ id }) => id === "bake a")!;
    expect(load.modes[0]!.uses.map(({ resourceId }) => resourceId)).toEqual(["oven"]);
  });
});
