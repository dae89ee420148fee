import { planDay } from "../plan";
import { listDemoWorld } from "@/demo";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import {
  foldRun,
  freezeRun,
  listBells,
  retimeRun,
  tellMoved,
  viewRun,
  type JobSheet,
  type RunEvent,
} from ".";

/** A Monday with bakes that turn, bake on at a lower heat and may want more. */
const book = toDayBook(toTable(listDemoWorld()), "2026-11-30", null)!;
const plan = planDay(book);
const sheet = freezeRun(plan, book)!;
const startOf = (taskId: string) => sheet.placed.find((each) => each.taskId === taskId)!.startMin;
const bakeId = "bake:apple-envelope:1";
const at = startOf(bakeId);

let count = 0;
const happens = (over: object): RunEvent =>
  ({ id: `h${count++}`, atMin: at, person: 0, deviceId: "wall", ...over }) as RunEvent;
function bells(events: readonly RunEvent[], nowMin: number) {
  const state = foldRun(events);
  const retimed = retimeRun(sheet, null, state, nowMin);
  return listBells(
    sheet,
    retimed,
    state,
    viewRun(sheet, retimed, state, nowMin, () => true),
  );
}
const ofBake = (events: readonly RunEvent[], nowMin: number) =>
  bells(events, nowMin).filter(({ taskId }) => taskId === bakeId);
const begun = happens({ kind: "begun", taskId: bakeId });

test("a bake rings for its steps at their minutes and for the look, where the plan keeps hands for it", () => {
  expect(bells([], at)).toEqual([]);
  const [turn, lower, look] = ofBake([begun], at + 3);
  const task = plan.tasks.find(({ id }) => id === bakeId)!;
  const minuteOf = (stepId: string) => task.steps.find((step) => step.stepId === stepId)!.atMin!;
  expect(turn).toMatchObject({ kind: "step", dueMin: minuteOf("s7"), part: "s7" });
  expect(lower).toMatchObject({ kind: "step", dueMin: minuteOf("s8"), part: "s8" });
  expect(look).toMatchObject({ kind: "look", more: { minutes: expect.any(Number) } });
  // The last heat's own minutes lie between its step and the look.
  expect(look!.dueMin - lower!.dueMin).toBeGreaterThanOrEqual(11);
  expect(look!.dueMin).toBeLessThan(task.placed.endMin);
});

test("what is answered rings no more: a step ticked off, a load taken out", () => {
  const turned = happens({ kind: "done", taskId: bakeId, part: "s7", atMin: at + 14 });
  expect(ofBake([begun, turned], at + 15).map(({ part }) => part)).not.toContain("s7");
  expect(ofBake([begun, happens({ kind: "done", taskId: bakeId, atMin: at + 30 })], at + 31)).toEqual([]);
});

test("not yet: it rings again as much later, as often as the sign allows, and the plan's reserve takes it first", () => {
  const look = ofBake([begun], at + 3).at(-1)!;
  const { minutes, left } = look.more!;
  const job = sheet.jobs.find(({ taskId }) => taskId === bakeId)!;
  expect(job.slackMin).toBe(minutes * left);
  const more = Array.from({ length: left }, (_, i) =>
    happens({ kind: "more", taskId: bakeId, minutes, atMin: look.dueMin + i * minutes }),
  );
  const again = ofBake([begun, more[0]!], look.dueMin).at(-1)!;
  expect(again.dueMin).toBe(look.dueMin + minutes);
  expect(again.id).not.toBe(look.id);
  expect(ofBake([begun, ...more], look.dueMin).at(-1)!.more).toBeNull();
  const ends = (events: readonly RunEvent[]) =>
    retimeRun(sheet, null, foldRun(events), look.dueMin).schedule.placed.find(
      ({ taskId }) => taskId === bakeId,
    )!.endMin;
  expect(ends([begun, ...more])).toBe(ends([begun]));
  expect(ends([begun, ...more, happens({ kind: "more", taskId: bakeId, minutes: 5 })])).toBe(
    ends([begun]) + 5,
  );
});

test("what chills rings once when the next job may begin", () => {
  const sealId = plan
    .problem!.tasks.find(({ id }) => id === bakeId)!
    .after.find(({ taskId }) => taskId.startsWith("seal"))!.taskId;
  const done = [
    happens({ kind: "begun", taskId: sealId, atMin: at - 60 }),
    happens({ kind: "done", taskId: sealId, atMin: at - 40 }),
  ];
  const wait = plan
    .problem!.tasks.find(({ id }) => id === bakeId)!
    .after.find(({ taskId }) => taskId === sealId)!;
  const [ready] = bells(done, at - 39);
  expect(ready).toMatchObject({ kind: "ready", taskId: bakeId, dueMin: at - 40 + wait.minWaitMin });
  expect(ready!.text).toMatch(/^Chill is over: /);
});

test("what moved is said in one line: the promise in danger first, with its minutes", () => {
  const jobs = [
    { taskId: "a", title: "Bake A" },
    { taskId: "b", title: "Set out B" },
  ] as unknown as JobSheet[];
  const schedule = { placed: [{ taskId: "a", startMin: 431 }] };
  const tell = (moved: object[], endangered: object[] = []) =>
    tellMoved({ moved, endangered, schedule } as unknown as Parameters<typeof tellMoved>[0], jobs);
  expect(tell([])).toBeNull();
  expect(tell([{ taskId: "a", byMin: 6 }])).toBe("Bake A is now at 07:11.");
  expect(
    tell([
      { taskId: "a", byMin: 6 },
      { taskId: "b", byMin: 2 },
    ]),
  ).toBe("2 jobs later, by at most 6 min.");
  expect(
    tell([
      { taskId: "a", byMin: -6 },
      { taskId: "b", byMin: 2 },
    ]),
  ).toBe("2 jobs moved, by at most 6 min.");
  expect(tell([{ taskId: "a", byMin: 6 }], [{ taskId: "b", lateMin: 9, moreMin: 4 }])).toBe(
    "Set out B will be 9 min late.",
  );
});
