import fc from "fast-check";
import { planDay } from "../plan";
import { listDemoWorld } from "@/demo";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { validateRecord } from "@/schemas/validate";
import { correctCount, correctTimes, foldRun, freezeRun, toLog, toRecord, type RunEvent } from ".";

const book = toDayBook(toTable(listDemoWorld()), "2026-11-28", null)!;
const plan = planDay(book);
const sheet = freezeRun(plan, book)!;
let count = 0;
const createId = () => `r${count++}`;
const told = { person: 0, deviceId: "wall" };
const startOf = (taskId: string) => sheet.placed.find((each) => each.taskId === taskId)!.startMin;

/** The whole day done as planned, each job longer by so many minutes. */
const workedOff = (longerMin = 0): RunEvent[] =>
  sheet.jobs.flatMap(({ taskId, plannedMin }) => [
    { ...told, id: createId(), kind: "begun" as const, taskId, atMin: startOf(taskId) },
    {
      ...told,
      id: createId(),
      kind: "done" as const,
      taskId,
      atMin: startOf(taskId) + plannedMin + longerMin,
    },
  ]);
const wrong = (taskId: string, mishap: "leaked" | "burst" | "torn", many: number): RunEvent => ({
  ...told,
  id: createId(),
  kind: "wrong",
  taskId,
  mishap,
  count: many,
  word: "",
  atMin: 500,
});

test("a record holds every job once, planned and real, and adds up", () => {
  const events = [...workedOff(2), wrong("bake:quince-half-moon:1", "leaked", 3), wrong("roll:x", "torn", 1)];
  const record = toRecord(sheet, events);
  expect(record.rows.map(({ job }) => job.taskId).sort()).toEqual(
    sheet.jobs.map(({ taskId }) => taskId).sort(),
  );
  expect(record.doneCount).toBe(sheet.jobs.length);
  expect(record.tookMin).toBeCloseTo(record.plannedMin + 2 * sheet.jobs.length, 9);
  expect(record.faults).toEqual({ leaked: 3 });
  const begun = record.rows.map(({ begunMin }) => begunMin!);
  expect(begun).toEqual(begun.toSorted((a, b) => a - b));
  const half = toRecord(sheet, events.slice(0, 20));
  expect(half.doneCount).toBe(10);
  expect(half.rows.slice(10).every(({ tookMin }) => tookMin === null)).toBe(true);
});

test("a time that is corrected afterwards stands as corrected, and what was told is still on record", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 700 }), fc.integer({ min: 1, max: 90 }), (begunMin, tookMin) => {
      const before = workedOff();
      const taskId = "bake:quince-half-moon:1";
      const stamp = { createId, atMin: 900, ...told };
      const after = [
        ...before,
        ...correctTimes(before, taskId, { begunMin, doneMin: begunMin + tookMin }, stamp),
      ];
      const row = toRecord(sheet, after).rows.find(({ job }) => job.taskId === taskId)!;
      expect([row.begunMin, row.doneMin, row.tookMin]).toEqual([begunMin, begunMin + tookMin, tookMin]);
      expect(toRecord(sheet, after).takenBack).toBe(2);
      const others = (events: readonly RunEvent[]) => ({ ...foldRun(events).tasks, [taskId]: null });
      expect(others(after)).toEqual(others(before));
    }),
    { numRuns: 40 },
  );
});

test("a count that is corrected again and again within one minute is what was said last", () => {
  const taskId = "roll:bay-shortcrust:3.5:sensible:1";
  const lastOf = (events: readonly RunEvent[]) =>
    toRecord(sheet, events)
      .rows.find(({ job }) => job.taskId === taskId)!
      .measured.map(({ value, part }) => [value, part]);
  // Ids as a browser draws them: in no order.
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 30 }), { minLength: 1, maxLength: 5 }),
      fc.nat(),
      (values, seed) => {
        let drawn = seed;
        const stamp = {
          createId: () => `c${(drawn = (drawn * 48271 + 11) % 2147483647)}`,
          atMin: 900,
          ...told,
        };
        const events = values.reduce<RunEvent[]>(
          (before, value) => [...before, ...correctCount(before, taskId, null, value, stamp)],
          workedOff(),
        );
        expect(lastOf(events)).toEqual([[values.at(-1), null]]);
        // Another outline of the sheet is another count.
        expect(
          lastOf([...events, ...correctCount(events, taskId, "moon:base", 3, stamp)]).toSorted(),
        ).toEqual(
          [
            [values.at(-1), null],
            [3, "moon:base"],
          ].toSorted(),
        );
      },
    ),
    { numRuns: 60 },
  );
});

test("a day that was run is in the log as the stations would have written it, and by their rules", () => {
  const { lots, cuts } = toLog(sheet, [
    ...workedOff(1),
    wrong("bake:quince-half-moon:1", "leaked", 3),
    wrong("bake:quince-half-moon:2", "burst", 2),
    {
      ...told,
      id: createId(),
      kind: "measured",
      taskId: "roll:bay-shortcrust:3.5:sensible:1",
      measure: "cutCount",
      value: 13,
      atMin: 350,
    },
  ]);
  for (const lot of lots)
    expect(validateRecord("lotRecord", JSON.parse(JSON.stringify(lot)))).toMatchObject({ ok: true });
  for (const cut of cuts)
    expect(validateRecord("cutRecord", JSON.parse(JSON.stringify(cut)))).toMatchObject({ ok: true });
  const line = plan.lines.find(({ piece }) => piece.id === "quince-half-moon")!;
  const fills = sheet.jobs.filter(({ kind, pieceId }) => kind === "fill" && pieceId === "quince-half-moon");
  expect(lots.find(({ pieceId }) => pieceId === "quince-half-moon")).toMatchObject({
    id: "lot-2026-11-28-quince-half-moon",
    // Two blanks fewer were cut: so many fewer were filled, and the craft needs as much less for them.
    pieces: line.counts.toFill - 2,
    leaked: 5,
    craftLeakShare: line.shaped.hold!.craftShare,
    fill: {
      minutes: fills.reduce((sum, { plannedMin }) => sum + plannedMin + 1, 0),
      craftMinutes: expect.closeTo(line.handsMin.fillByCraft * (1 - 2 / line.counts.toFill), 9) as number,
    },
  });
  const planned = plan.cuts
    .find(({ dough }) => dough.id === "bay-shortcrust")!
    .plan.sheets.reduce((sum, each) => sum + each.count, 0);
  expect(cuts).toEqual([expect.objectContaining({ doughId: "bay-shortcrust", planned, got: planned - 2 })]);
});

test("what a dough's liquid took is kept with its batch's multiple, once the dough is mixed", () => {
  const mix = sheet.jobs.find(({ kind, liquid }) => kind === "mix" && liquid)!;
  const poured = (massG: number): RunEvent => ({
    ...told,
    id: createId(),
    kind: "poured",
    taskId: mix.taskId,
    massG,
    atMin: 310,
  });
  expect(toLog(sheet, [poured(120), poured(22.5)]).poured).toEqual([]);
  const { poured: kept } = toLog(sheet, [...workedOff(), poured(120), poured(22.5)]);
  expect(kept).toEqual([{ formulaId: mix.formulaId, massG: 142.5, scale: mix.liquid!.scale }]);
  const batch = plan.doughs.find(({ formula }) => formula.id === mix.formulaId)!.batch!;
  expect(mix.liquid).toMatchObject({
    ...{ lineId: batch.lines.find(({ range }) => range)!.lineId, scale: batch.scale },
  });
});

test("what is not done, or was not counted, is not in the log", () => {
  const events = workedOff().filter(
    (event) => !("taskId" in event) || event.taskId !== "bake:quince-half-moon:2",
  );
  const { lots, cuts } = toLog(sheet, events);
  expect(lots.find(({ pieceId }) => pieceId === "quince-half-moon")).toMatchObject({
    leaked: null,
    fill: expect.anything(),
  });
  expect(lots.find(({ pieceId }) => pieceId === "leek-triangle")).toMatchObject({ leaked: 0 });
  expect(cuts).toEqual([]);
  expect(toLog(sheet, [])).toMatchObject({ lots: [], cuts: [], poured: [] });
});
