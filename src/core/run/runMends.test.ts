import { constructSchedule, type ScheduleProblem } from "../schedule";
import { hands, work } from "../schedule/testDay";
import { adjustRun, foldRun, listRunMends, retimeRun, type RunEvent, type RunSheet } from ".";

/** Three pieces of work by one pair of hands, promised one after the other. */
const problem: ScheduleProblem = {
  tasks: [work("a", 30, [], 560), work("b", 30, [], 600), work("c", 30, [], 640)],
  resources: [{ ...hands, capacity: 1 }],
  holds: [],
  openMin: 480,
};
const { placed } = constructSchedule(problem);
const sheet = {
  problem,
  placed: placed.map(({ taskId, startMin, mode }) => ({ taskId, startMin, mode })),
  jobs: ["a", "b", "c"].map((taskId) => ({ taskId, title: `Make ${taskId}`, lot: null })),
} as unknown as RunSheet;
const begun: RunEvent = { id: "e1", kind: "begun", taskId: "c", atMin: 540, person: 0, deviceId: "wall" };

/** What would help at a minute, after the last promised was begun first. */
function look(nowMin: number, events: readonly RunEvent[] = [begun]) {
  const state = foldRun(events);
  const retimed = retimeRun(sheet, null, state, nowMin);
  const worst = Math.max(0, ...retimed.schedule.late.map(({ lateMin }) => lateMin));
  return { worst, mends: listRunMends(sheet, retimed, state, nowMin) };
}

test("a day on which no promise breaks wants no mend", () => {
  expect(look(480, [])).toEqual({ worst: 0, mends: [] });
});

test("each mend is worked out: it helps by what it says, the best first, and the promise told later is the last resort", () => {
  // c takes the hands until 570; a, promised for 560, is ready at 600 by one pair of hands, at 575 by another.
  const { worst, mends } = look(545);
  expect(worst).toBeGreaterThanOrEqual(30);
  expect(mends.length).toBeLessThanOrEqual(3);
  expect(mends.map(({ lateMin }) => lateMin)).toEqual(
    mends.map(({ lateMin }) => lateMin).toSorted((x, y) => x - y),
  );
  const helped = mends.find(({ kind }) => kind === "hands")!;
  expect(helped.lateMin).toBe(15);
  expect(helped.text).toBe(
    `Another pair of hands for an hour from now: 15 min late instead of ${worst} min.`,
  );
  expect(mends.at(-1)).toMatchObject({ kind: "later", lateMin: worst });
  for (const { kind, lateMin } of mends) if (kind !== "later") expect(lateMin).toBeLessThan(worst);
});

test("a mend that is taken gives the day that it told, and taking it back gives the day before", () => {
  const { worst, mends } = look(545);
  for (const { kind, lateMin, events } of mends) {
    const told = events.map((event, i): RunEvent => ({
      ...event,
      id: `m${i}`,
      atMin: 545,
      person: 0,
      deviceId: "wall",
    }));
    const timed = (all: readonly RunEvent[]) => {
      const state = foldRun(all);
      return retimeRun(
        adjustRun({ ...sheet, pieces: [], fillings: [] }, state).sheet,
        retimeRun(sheet, null, foldRun([begun]), 545),
        state,
        545,
      );
    };
    const { late } = timed([begun, ...told]).schedule;
    const after = Math.max(0, ...late.map((each) => each.lateMin));
    // Told later, the promise is kept as it is told now, and another may be late still.
    if (kind === "later") expect(after).toBeLessThan(worst);
    else expect([kind, after]).toEqual([kind, lateMin]);
    const undone = told.map(({ id }, i) => ({
      kind: "undone" as const,
      eventId: id,
      id: `u${i}`,
      atMin: 546,
      person: 0,
      deviceId: "wall",
    }));
    expect(timed([begun, ...told, ...undone]).schedule).toEqual(timed([begun]).schedule);
  }
});
