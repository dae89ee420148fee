import { planDay } from "../plan";
import { createRandom } from "../seededRandom";
import { listDemoWorld } from "@/demo";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { foldRun, freezeRun, listBells, retimeRun, toRecord, viewRun, type Retimed, type RunEvent } from ".";

/** The great market's Saturday with a helper all day. */
const market = toDayBook(toTable(listDemoWorld()), "2026-12-05", null)!;
const book = { ...market, day: { ...market.day, helper: { fromMin: market.day.openMin, toMin: 1439 } } };
const plan = planDay(book);
const sheet = freezeRun(plan, book)!;
const modeOf = (taskId: string) => {
  const mode = sheet.placed.find((each) => each.taskId === taskId)!.mode;
  return sheet.problem.tasks.find(({ id }) => id === taskId)!.modes[mode]!;
};

/**
 * The day played through as two people would who do what the face says: each job is begun at its minute, and done when it
 * is really done, which is `extraMin` after it should have been.
 */
function play(extraMin: (taskId: string) => number, mishaps: readonly string[]) {
  const events: RunEvent[] = [];
  const running = new Map<string, number>();
  let before: Retimed | null = null;
  let nowMin = Math.min(...sheet.placed.map(({ startMin }) => startMin));
  let breaches = 0;
  const happen = (event: Partial<RunEvent>) => {
    events.push({
      id: `e${events.length}`,
      person: events.length % 2,
      deviceId: "play",
      atMin: nowMin,
      ...event,
    } as RunEvent);
    const state = foldRun(events);
    before = retimeRun(sheet, before, state, nowMin);
    breaches = before.breached.length;
    const view = viewRun(sheet, before, state, nowMin, () => true);
    // Whatever happens, the face has something to show and every bell is of something that is going on.
    for (const { taskId } of listBells(sheet, before, state, view))
      expect(state.tasks[taskId]?.doneMin ?? null).toBeNull();
  };
  const done = new Set<string>();
  // What it is made of has to be there, whatever the clock says.
  const isFree = (taskId: string) =>
    sheet.problem.tasks
      .find(({ id }) => id === taskId)!
      .after.every((wait) => done.has(wait.taskId) || (wait.from === "start" && running.has(wait.taskId)));
  for (let turns = 0; done.size < sheet.jobs.length && turns < 5000; turns++) {
    const laid: Retimed["laid"] = (before as Retimed | null)?.laid ?? sheet.placed;
    const next = laid
      .filter(({ taskId }) => !running.has(taskId) && !done.has(taskId) && isFree(taskId))
      .reduce<Retimed["laid"][number] | null>(
        (soonest, each) => (soonest && soonest.startMin <= each.startMin ? soonest : each),
        null,
      );
    const ending = [...running].reduce<[string, number] | null>(
      (soonest, each) => (soonest && soonest[1] <= each[1] ? soonest : each),
      null,
    );
    if (ending && (!next || ending[1] <= next.startMin)) {
      const [taskId, endMin] = ending;
      nowMin = Math.max(nowMin, endMin);
      running.delete(taskId);
      done.add(taskId);
      if (mishaps.includes(taskId)) happen({ kind: "wrong", taskId, mishap: "torn", count: 2, word: "" });
      happen({ kind: "done", taskId });
    } else if (next) {
      nowMin = Math.max(nowMin, next.startMin);
      const extra = extraMin(next.taskId);
      running.set(next.taskId, nowMin + modeOf(next.taskId).durationMin + extra);
      happen({ kind: "begun", taskId: next.taskId });
      if (extra >= 60) happen({ kind: "more", taskId: next.taskId, minutes: extra });
    }
  }
  return { events, breaches, last: before as Retimed | null };
}

test("as planned: nothing moves, nothing is late, and the record is whole", () => {
  const { events, breaches, last } = play(() => 0, []);
  const record = toRecord(sheet, events);
  expect([record.doneCount, breaches, last!.schedule.late]).toEqual([
    sheet.jobs.length,
    0,
    plan.schedule!.late,
  ]);
  for (const { plannedStartMin, begunMin, tookMin, job } of record.rows)
    expect([job.taskId, begunMin, tookMin]).toEqual([job.taskId, plannedStartMin, job.plannedMin]);
}, 120_000);

test("three mishaps, slow hands and an oven that is dead for an hour: the day ends, and no promise is later than what was lost", () => {
  const random = createRandom(8);
  const bake = sheet.jobs.find(({ kind }) => kind === "bake")!.taskId;
  const torn = sheet.jobs
    .filter(({ kind }) => kind === "fill")
    .slice(0, 3)
    .map(({ taskId }) => taskId);
  const extras = new Map<string, number>();
  const extraOf = (taskId: string) => {
    const known = extras.get(taskId) ?? (taskId === bake ? 60 : random() < 0.2 ? Math.ceil(random() * 6) : 0);
    extras.set(taskId, known);
    return known;
  };
  const { events, breaches, last } = play(extraOf, torn);
  const record = toRecord(sheet, events);
  expect(record.doneCount).toBe(sheet.jobs.length);
  expect(record.faults).toEqual({ torn: 6 });
  expect(breaches).toBe(0);
  // No promise is later than all the time that was lost.
  const lostMin = [...extras.values()].reduce((sum, each) => sum + each, 0);
  const lateMin = (late: Retimed["schedule"]["late"]) =>
    late.reduce((most, each) => Math.max(most, each.lateMin), 0);
  expect(lateMin(last!.schedule.late)).toBeLessThanOrEqual(lateMin(plan.schedule!.late) + lostMin);
  // What was not touched by it is as early as it was: its minutes are the craft's.
  for (const { job, tookMin } of record.rows) expect(tookMin).toBe(job.plannedMin + extras.get(job.taskId)!);
}, 120_000);
