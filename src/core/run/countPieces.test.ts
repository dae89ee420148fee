import fc from "fast-check";
import { planDay } from "../plan";
import { checkSchedule } from "../schedule";
import { listDemoWorld } from "@/demo";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { adjustRun, foldRun, freezeRun, openSheet, retimeRun, type RunEvent, type RunSheet } from ".";
import { countPieces } from "./countPieces";

const table = toTable(listDemoWorld());
const sheets = ["2026-11-28", "2026-12-05"].map((date) => {
  const book = toDayBook(table, date, null)!;
  return freezeRun(planDay(book), book)!;
});
const [saturday, market] = sheets as [RunSheet, RunSheet];

let said = 0;
const happens = (atMin: number, event: Record<string, unknown>): RunEvent =>
  ({ id: `h${said++}`, person: 0, deviceId: "tablet", atMin, word: "", ...event }) as RunEvent;
const begun = (taskId: string) => happens(400, { kind: "begun", taskId });
const lost = (taskId: string, count: number) =>
  happens(420, { kind: "wrong", mishap: "dropped", isLost: true, taskId, count });
const cut = (taskId: string, value: number, part?: string) =>
  happens(410, { kind: "measured", measure: "cutCount", taskId, value, ...(part && { part }) });
const count = (sheet: RunSheet, ...events: RunEvent[]) => countPieces(sheet, foldRun(events));
/** Over by so many grams more than planned. */
const withOver = (sheet: RunSheet, formulaId: string, overG: number): RunSheet => ({
  ...sheet,
  fillings: sheet.fillings.map((each) => (each.id === formulaId ? { ...each, overG } : each)),
});

const half = "quince-half-moon";
const planned = (sheet: RunSheet) =>
  Object.fromEntries(sheet.jobs.flatMap(({ taskId, lot, pieces }) => (lot ? [[taskId, pieces]] : [])));

test("nothing happened: every job of a lot has its planned pieces, and every promise is there in full", () => {
  for (const sheet of sheets) {
    const { pieces, short, blanksOver } = count(sheet);
    expect(pieces).toEqual(planned(sheet));
    expect(short).toEqual([]);
    expect(Object.values(blanksOver).every((over) => over === 0)).toBe(true);
    expect(adjustRun(sheet, foldRun([])).sheet).toBe(sheet);
  }
  // 42 crescents of which 8 are frozen ones: so many are fried and the others filled.
  expect(saturday.pieces.find(({ id }) => id === "rhubarb-crescent")).toMatchObject({
    needBlanks: 34,
    lots: [{ pieces: 28 }, { pieces: 14 }],
  });
});

test("three shells broke as they were filled: what comes after in that lot has three fewer, and nothing else", () => {
  const { pieces, made, short } = count(saturday, begun(`fill:${half}:1`), lost(`fill:${half}:1`, 3));
  expect(pieces).toEqual({
    ...planned(saturday),
    [`seal:${half}:1`]: 37,
    [`bake:${half}:1`]: 37,
    [`finish:${half}:1`]: 37,
  });
  // 74 with two spares for 48 and 24: one is missing, of what is promised last.
  expect(made[half]).toBe(71);
  expect(short).toEqual([{ pieceId: half, dueMin: 630, promised: 24, made: 23 }]);
});

test("the filling ran out: that job keeps what it made, and what has not begun of the same filling gets none", () => {
  const { sheet, counts } = adjustRun(
    saturday,
    foldRun([
      begun(`fill:${half}:1`),
      happens(430, { kind: "ranOut", taskId: `fill:${half}:1`, formulaId: "quince-and-bay", made: 31 }),
    ]),
  );
  expect([1, 2].map((lot) => counts.pieces[`bake:${half}:${lot}`])).toEqual([31, 0]);
  expect(counts.short).toEqual([
    { pieceId: half, dueMin: 540, promised: 48, made: 31 },
    { pieceId: half, dueMin: 630, promised: 24, made: 0 },
  ]);
  expect(counts.overG["quince-and-bay"]).toBe(0);
  // The second lot has no jobs any more; the leek's triangles have all of theirs.
  expect(sheet.jobs.filter(({ lot }) => lot?.key === `${half}:2`)).toEqual([]);
  const leek = ({ jobs }: RunSheet) => jobs.filter(({ pieceId }) => pieceId === "leek-triangle");
  expect(leek(sheet)).toEqual(leek(saturday));
  const bake = sheet.jobs.find(({ taskId }) => taskId === `bake:${half}:1`)!;
  expect(bake).toMatchObject({ pieces: 31, about: "31 × Quince half-moon" });
  expect(bake.figures.at(-1)).toEqual({ value: "31", what: "pieces" });
});

test("a sheet gave two fewer, then the next two more: the last lot that has not begun has them", () => {
  const [first, second] = saturday.jobs
    .filter(({ taskId }) => taskId.startsWith("roll:bay-shortcrust"))
    .map(({ taskId }) => taskId) as [string, string];
  const [one, other] = [`fill:${half}:1`, `fill:${half}:2`];
  const fewer = count(saturday, cut(first, 13));
  expect([fewer.pieces[one], fewer.pieces[other], fewer.made[half]]).toEqual([40, 32, 72]);
  // Told in steps, corrected, evened out: only the last count of each sheet counts.
  const evened = count(saturday, cut(first, 14), cut(first, 13), cut(second, 16), cut(second, 17));
  expect(evened.pieces).toEqual(planned(saturday));
  // Two more blanks want filling and room: here there is none over, so they lie there.
  const more = count(saturday, cut(first, 17));
  expect([more.made[half], more.blanksOver[half]]).toEqual([74, 2]);
  const roomy: RunSheet = {
    ...withOver(saturday, "quince-and-bay", 60),
    pieces: saturday.pieces.map((piece) => ({
      ...piece,
      lots: piece.lots.map((lot) => ({ ...lot, mostPieces: 40 })),
    })),
  };
  const filled = count(roomy, cut(first, 18));
  expect([filled.pieces[one], filled.pieces[other], filled.blanksOver[half]]).toEqual([40, 36, 1]);
  expect(filled.overG["quince-and-bay"]).toBeCloseTo(60 - 2 * 24.4548, 3);
  // What broke before it was filled leaves filling for another.
  const [line] = market.jobs.filter(({ taskId }) => taskId === "line:custard-cup:1");
  const broke = count(market, begun(line!.taskId), lost(line!.taskId, 3));
  expect(broke.overG["saffron-custard"]).toBeCloseTo(3 * 54.6832, 3);
  expect(broke.pieces["fill:custard-cup:1"]).toBe(21);
});

test("blanks found again go to a lot only as far as its trays hold those that join it frozen too", () => {
  const roll = "roll:pier-lard-crust:2.5:sensible:1";
  const { pieces } = count(
    saturday,
    cut(roll, 0),
    happens(410, { kind: "begun", taskId: "fry:rhubarb-crescent:2" }),
    cut(roll, 8),
  );
  const { lots } = saturday.pieces.find(({ id }) => id === "rhubarb-crescent")!;
  for (const { key, mostPieces } of lots) expect(pieces[`fry:${key}`]).toBeLessThanOrEqual(mostPieces);
  expect(pieces["fry:rhubarb-crescent:1"]).toBe(32);
});

test("of a sheet with rings and bases each is counted by itself, and the scarcer decides", () => {
  const sheet = "roll:lantern-rough-puff:4:sensible:1";
  const made = (...events: RunEvent[]) => count(market, ...events).made["blossom-case"];
  expect(made(cut(sheet, 24, "blossom-case:ring"))).toBe(24);
  expect(made(cut(sheet, 24, "blossom-case:ring"), cut(sheet, 5, "blossom-case:base"))).toBe(22);
  // Of 35 that are two kinds a sum says nothing.
  expect(made(cut(sheet, 20))).toBe(26);
});

test("with fewer pieces the earlier promise moves on to the next lot, and hands take as much less long", () => {
  const events = [begun(`fill:${half}:1`), lost(`fill:${half}:1`, 10)];
  const { sheet } = adjustRun(saturday, foldRun(events));
  const task = (id: string) => sheet.problem.tasks.find((each) => each.id === id)!;
  // 30 of the 48 for nine o'clock are in the first lot, and the next 18 in the second, as without the loss it was 8.
  expect(task(`finish:${half}:2`).dueMin).toBe(540);
  const sealed = saturday.jobs.find(({ taskId }) => taskId === `seal:${half}:1`)!;
  expect(task(`seal:${half}:1`).modes[0]!.durationMin).toBe(
    Math.ceil(sealed.handsMin - 10 * sealed.lot!.eachMin),
  );
  // A basket holds 14: of 28 none of 15 lost is one basket.
  const fried = adjustRun(
    saturday,
    foldRun([begun("fill:rhubarb-crescent:1"), lost("seal:rhubarb-crescent:1", 15)]),
  );
  const fry = fried.sheet.problem.tasks.find(({ id }) => id === "fry:rhubarb-crescent:1")!;
  expect(fry.modes[0]!.durationMin).toBe(6);
});

test("a sheet that was kept before lots were counted opens, and nothing of it is counted anew", () => {
  const old = JSON.parse(JSON.stringify(saturday), (key, value: unknown) =>
    ["lot", "lots", "roles", "promises", "fillings", "needBlanks", "blanksTaken"].includes(key)
      ? undefined
      : value,
  ) as object;
  const opened = openSheet(JSON.stringify(old));
  expect(count(opened, begun(`fill:${half}:1`), lost(`fill:${half}:1`, 3))).toEqual({
    pieces: {},
    made: Object.fromEntries(opened.pieces.map(({ id }) => [id, 0])),
    blanksOver: Object.fromEntries(opened.pieces.map(({ id }) => [id, 0])),
    short: [],
    overG: {},
  });
  expect(openSheet(JSON.stringify(saturday))).toEqual(saturday);
});

const lotJobs = saturday.jobs.filter(({ lot }) => lot !== null);
const rolls = saturday.jobs.filter(({ drawing }) => drawing?.kind === "sheet");
/** Whatever may be told of a day's numbers, in whatever order. */
const histories: fc.Arbitrary<RunEvent[]> = fc
  .array(
    fc.record({
      atMin: fc.integer({ min: 300, max: 700 }),
      kind: fc.constantFrom("begun", "done", "wrong", "ranOut", "measured", "undone"),
      job: fc.constantFrom(...lotJobs),
      roll: fc.constantFrom(...rolls),
      n: fc.integer({ min: 0, max: 20 }),
      back: fc.nat(),
    }),
    { maxLength: 25 },
  )
  .map((told) =>
    told.map(({ atMin, kind, job, roll, n, back }, i) => ({
      ...(kind === "measured"
        ? cut(roll.taskId, n)
        : kind === "undone"
          ? happens(0, { kind, eventId: `e${back % Math.max(i, 1)}` })
          : happens(0, {
              kind,
              taskId: job.taskId,
              mishap: "torn",
              isLost: true,
              count: n,
              made: n,
              formulaId: job.lot!.takes[0] ?? saturday.fillings[n % saturday.fillings.length]!.id,
            })),
      atMin,
      id: `e${i}`,
    })),
  );

test("whatever is told: no job has fewer than none, a lot never grows on its way, no more is filled than there are blanks and filling", () => {
  fc.assert(
    fc.property(histories, (events) => {
      const state = foldRun(events);
      const { pieces, made, overG } = countPieces(saturday, state);
      const filled: Record<string, number> = {};
      for (const piece of saturday.pieces) {
        for (const { key, mostPieces } of piece.lots) {
          const jobs = lotJobs
            .filter(({ lot }) => lot!.key === key)
            .sort((a, b) => startOf(a.taskId) - startOf(b.taskId));
          let change = Infinity;
          for (const { taskId, pieces: was, lot } of jobs) {
            expect(pieces[taskId]).toBeGreaterThanOrEqual(0);
            expect(pieces[taskId]).toBeLessThanOrEqual(mostPieces);
            // From one job to the next what changes can only be a loss; a job that was empty stays so.
            if (pieces[taskId]! > 0) expect(pieces[taskId]! - was).toBeLessThanOrEqual(change);
            change = Math.min(change, pieces[taskId]! - was);
            for (const id of lot!.takes) filled[id] = (filled[id] ?? 0) + pieces[taskId]!;
          }
        }
        expect(made[piece.id]).toBeLessThanOrEqual(piece.lots.reduce((sum, lot) => sum + lot.mostPieces, 0));
      }
      // Mass: what is filled and what is over are what was planned to be filled, unless it ran out.
      const isOut = new Set(state.counted.flatMap((e) => (e.kind === "ranOut" ? [e.formulaId] : [])));
      for (const { id } of saturday.fillings) {
        const piece = saturday.pieces.find(({ fillings }) => fillings.some((f) => f.formulaId === id))!;
        const { eachG } = piece.fillings.find((f) => f.formulaId === id)!;
        const plannedG = lotJobs.reduce(
          (sum, { lot, pieces: n }) => sum + (lot!.takes.includes(id) ? n * eachG : 0),
          0,
        );
        if (isOut.has(id)) expect(overG[id]).toBe(0);
        else expect((filled[id] ?? 0) * eachG + overG[id]!).toBeCloseTo(plannedG, 6);
      }
    }),
    { numRuns: 300 },
  );
});
const startOf = (taskId: string) => saturday.placed.find((each) => each.taskId === taskId)!.startMin;

test("whatever is told: the day as it then stands is a whole problem, and is timed without a fault that is not said", () => {
  fc.assert(
    fc.property(histories, (events) => {
      const state = foldRun(events);
      const { sheet } = adjustRun(saturday, state);
      const ids = new Set(sheet.problem.tasks.map(({ id }) => id));
      expect(new Set(sheet.jobs.map(({ taskId }) => taskId))).toEqual(ids);
      expect(new Set(sheet.placed.map(({ taskId }) => taskId))).toEqual(ids);
      for (const { after } of sheet.problem.tasks)
        for (const { taskId } of after) expect(ids.has(taskId)).toBe(true);
      // What was done is never dropped.
      for (const [taskId, { begunMin }] of Object.entries(state.tasks))
        if (begunMin !== null) expect(ids.has(taskId)).toBe(true);
      const { problem, schedule } = retimeRun(sheet, null, state, 500);
      expect(checkSchedule(problem, schedule)).toEqual([]);
    }),
    { numRuns: 40 },
  );
}, 60_000);
