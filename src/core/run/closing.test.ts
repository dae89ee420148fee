import fc from "fast-check";
import { closeLarder, planDay, type DayBook, type LarderItem } from "../plan";
import { listDemoWorld } from "@/demo";
import { toTable } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { validateRecord } from "@/schemas/validate";
import { validateRunEvent } from "@/schemas/runEvents";
import {
  foldRun,
  freezeRun,
  listClosingEvents,
  listDayFigures,
  listDemands,
  readClosing,
  toLog,
  type RunEvent,
} from ".";

const demo = toDayBook(toTable(listDemoWorld()), "2026-11-28", null)!;
const tub: LarderItem = {
  id: "tub",
  kind: "dough",
  refId: "bay-shortcrust",
  massG: 900,
  count: 0,
  madeOn: "2026-11-27",
  useBy: "2026-12-01",
  fromDayId: null,
  takenByDayId: null,
};
const book: DayBook = { ...demo, larder: [...demo.larder, tub] };
const plan = planDay(book);
const sheet = freezeRun(plan, book)!;
let count = 0;
const stamp = { createId: () => `c${count++}`, atMin: 900, deviceId: "closing" };
const told = { atMin: 600, person: 0, deviceId: "wall" };
const closed: RunEvent = { ...told, id: "closed", kind: "closed", atMin: 901 };
const closingOf = (events: readonly RunEvent[]) => readClosing(sheet, foldRun(events));
const putOf = (events: readonly RunEvent[]) => toLog(sheet, events).larder.put;
const nothingSaid = { sold: {}, left: {}, thrown: [], areDone: false };

test("a day that went as planned leaves what the plan leaves, and nothing before it is closed", () => {
  expect(toLog(sheet, []).larder).toEqual({ uses: [], put: [] });
  const { put, uses } = toLog(sheet, [closed]).larder;
  const byPlan = closeLarder(plan, book);
  expect(put).toEqual(byPlan.filter(({ fromDayId }) => fromDayId === book.day.id));
  expect(put.length).toBeGreaterThan(2);
  expect(uses.map(({ item }) => item.id)).toContain("tub");
  for (const item of put) expect(validateRecord("larder", item).ok).toBe(true);
});

test("what is said to be left counts, the later of two, and nothing kept is nothing put in", () => {
  const [first] = closingOf([]).left.filter(({ massG }) => massG > 0);
  const { kind: larderKind, refId } = first!;
  const left = (id: string, massG: number, atMin: number): RunEvent => ({
    ...told,
    ...{ id, kind: "left", larderKind, refId, massG, count: 0, useBy: "2026-11-29", atMin },
  });
  const found = (events: readonly RunEvent[]) => putOf(events).find((item) => item.refId === refId);
  expect(found([closed, left("b", 77, 700), left("a", 500, 650)])).toMatchObject({
    massG: 77,
    useBy: "2026-11-29",
  });
  // Little as it is, somebody keeps it.
  expect(found([closed, left("a", 5, 650)])?.massG).toBe(5);
  expect(found([closed, left("a", 0, 650)])).toBeUndefined();
  expect(closingOf([left("a", 0, 650)]).left.find((each) => each.refId === refId)?.isSaid).toBe(true);
});

test("blanks cut beyond the plan are over, and of a filling that ran out nothing is", () => {
  const [found] = sheet.jobs.flatMap((job) => {
    if (job.drawing?.kind !== "sheet") return [];
    const [demandId, ...others] = listDemands(job.drawing.sheet.parts);
    const piece = sheet.pieces.find(({ roles }) => roles.length === 1 && roles[0]!.demandId === demandId);
    return piece && others.length === 0 ? [{ roll: job, piece, planned: job.drawing.sheet.count }] : [];
  });
  const { roll, piece, planned } = found!;
  const blanks = (events: readonly RunEvent[]) =>
    closingOf(events).left.find(({ kind, refId }) => kind === "blanks" && refId === piece.id)!.count;
  const filled = piece.fillings[0]!.formulaId;
  const fill = sheet.jobs.find(({ kind, lot }) => kind === "fill" && lot?.takes.includes(filled))!;
  const ranOut: RunEvent = {
    ...told,
    ...{ id: "out", kind: "ranOut", taskId: fill.taskId, formulaId: filled, made: 1 },
  };
  expect(closingOf([ranOut]).left.find(({ refId }) => refId === filled)!.massG).toBe(0);
  const more = 500;
  const counted: RunEvent = {
    ...told,
    ...{ id: "n", kind: "measured", measure: "cutCount", taskId: roll.taskId, value: planned + more },
  };
  expect(blanks([counted])).toBeGreaterThan(blanks([]));
  expect(blanks([counted])).toBeLessThanOrEqual(blanks([]) + more);
});

test("only what was not known is told; a closing that is told again tells nothing new", () => {
  const before = closingOf([]);
  const answers = {
    sold: Object.fromEntries(before.sales.map(({ pieceId, made }) => [pieceId, made - 1])),
    left: { [`dough:bay-shortcrust`]: { massG: 310, count: 0, useBy: "2026-11-30" } },
    thrown: [],
    areDone: true,
  };
  const events = listClosingEvents(before, answers, stamp);
  for (const event of events) expect(validateRunEvent(event)).toMatchObject({ ok: true });
  const after = closingOf(events);
  expect(after.isClosed).toBe(true);
  expect(after.undone).toEqual([]);
  expect(after.sales.every(({ sold, made }) => sold === made - 1)).toBe(true);
  expect(listClosingEvents(after, answers, stamp)).toEqual([]);
  // Nobody timed what is said to be done afterwards, so that nothing is learned of minutes.
  expect(toLog(sheet, events).lots.every(({ fill, close }) => fill === null && close === null)).toBe(true);
  expect(listClosingEvents(before, nothingSaid, stamp).map(({ kind }) => kind)).toEqual(["closed"]);
});

test("what is left out of the learning is on record and not in the log; taken in again all is as before", () => {
  const worked = sheet.jobs.flatMap(({ taskId, plannedMin }, i): RunEvent[] => [
    { ...told, id: `b${i}`, kind: "begun", taskId, atMin: 100 },
    { ...told, id: `d${i}`, kind: "done", taskId, atMin: 100 + plannedMin * 1.1 + 1 },
  ]);
  const whole = toLog(sheet, worked);
  const leave = (taskId: string | null, id = "out"): RunEvent => ({
    ...told,
    ...{ id, kind: "leftOut", taskId, word: "a power cut" },
  });
  expect(toLog(sheet, [...worked, leave(null)])).toMatchObject({ lots: [], cuts: [], poured: [] });
  expect(foldRun([leave(null)]).leftOut).toBe("a power cut");
  fc.assert(
    fc.property(fc.constantFrom(...sheet.jobs), ({ taskId, pieceId, kind }) => {
      const without = toLog(sheet, [...worked, leave(taskId)]);
      const field = ({ fill: "fill", seal: "close", bake: "leaked", fry: "leaked" } as const)[kind as "fill"];
      const of = ({ lots }: typeof whole) => lots.find((lot) => lot.pieceId === pieceId)?.[field];
      if (field && of(whole) !== undefined && of(whole) !== null) expect(of(without) ?? null).toBeNull();
      const back: RunEvent = { ...told, id: "in", kind: "undone", eventId: "out", atMin: 700 };
      expect(toLog(sheet, [...worked, leave(taskId), back])).toEqual(whole);
    }),
    { numRuns: 40, seed: 7 },
  );
});

test("what is past its date is asked about; thrown out it leaves the larder whole, and is learned beside what was used", () => {
  const old: LarderItem = { ...tub, id: "old", massG: 300, madeOn: "2026-11-20", useBy: "2026-11-24" };
  const withOld: DayBook = { ...book, larder: [...book.larder, old] };
  const frozen = freezeRun(planDay(withOld), withOld)!;
  const read = (events: readonly RunEvent[]) => readClosing(frozen, foldRun(events));
  expect(read([]).stale.find(({ item }) => item.id === "old")).toEqual({
    ...{ item: old, label: "Bay shortcrust", isThrown: false },
  });
  expect(read([]).stale.map(({ item }) => item.id)).not.toContain("tub");
  const said = listClosingEvents(read([]), { ...nothingSaid, thrown: ["old"] }, stamp);
  expect(said.map(({ kind }) => kind)).toEqual(["thrown", "closed"]);
  for (const event of said) expect(validateRunEvent(event)).toMatchObject({ ok: true });
  expect(listClosingEvents(read(said), { ...nothingSaid, thrown: ["old"] }, stamp)).toEqual([]);
  const usesOf = (events: readonly RunEvent[]) =>
    toLog(frozen, events).larder.uses.map(({ item }) => item.id);
  expect(usesOf(said)).toContain("old");
  expect(usesOf([closed])).not.toContain("old");
  const spoiled = (events: readonly RunEvent[]) =>
    listDayFigures(frozen, events).find(({ habit }) => habit === "spoiled:bay-shortcrust");
  const usedG = frozen.larder.uses.reduce(
    (sum, { item, massG }) => sum + (item.refId === "bay-shortcrust" ? massG : 0),
    0,
  );
  expect(spoiled(said)!.value).toBeCloseTo(Math.log(300 / (300 + usedG)), 9);
  expect(spoiled([closed])!.value).toBeCloseTo(Math.log(0.01), 9);
  expect(spoiled([])).toBeUndefined();
});
