import { constructSchedule, type ScheduleProblem } from "../schedule";
import { hands, work } from "../schedule/testDay";
import { foldRun, listRunMends, retimeRun, type RunEvent, type RunSheet } from ".";

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
  jobs: ["a", "b", "c"].map((taskId) => ({ taskId, title: `Make ${taskId}` })),
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
