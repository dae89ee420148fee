import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { gzipSync } from "node:zlib";
import { FRESH_OIL, planDay } from "@/core/plan";
import { freezeRun, type RunEvent, type RunSheet } from "@/core/run";
import { listDemoWorld } from "@/demo";
import { toChange } from "@/schemas/change";
import { fromLists, pickRecords } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { keepRunLog, type StoredDay } from "./keepRunLog";
import { openDatabase } from "./openDatabase";
import { createStore, type Store } from "./store";

const DATE = "2026-11-28";
const NOW = "2026-11-28T18:00:00.000Z";
const half = "quince-half-moon";
let folder: string;
let store: Store;
let sheet: RunSheet;
let run: StoredDay;

beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "tezgah-kept-"));
  store = createStore(openDatabase(path.join(folder, "t.db"), "src/data/migrations"));
  const changes = listDemoWorld().flatMap(
    ({ kind, record }) => toChange({ kind, id: record.id }, null, record) ?? [],
  );
  store.applyGroups([{ id: "world", changes }], NOW);
  const { lists, past } = store.readDay(DATE)!;
  const book = toDayBook(fromLists(lists), DATE, null, { formulasThen: [], past, closed: null })!;
  sheet = freezeRun(planDay(book), book)!;
  const { id } = store.runs.freeze(book.day, gzipSync(JSON.stringify(sheet)), NOW);
  run = { id, sheet, events: [] };
});
afterEach(() => {
  store.close();
  rmSync(folder, { recursive: true });
});

let said = 0;
const tell = (atMin: number, event: object): RunEvent =>
  ({ id: `k${said++}`, person: 0, deviceId: "wall", atMin, ...event }) as RunEvent;
const work = (factor: number): RunEvent[] =>
  sheet.jobs.flatMap(({ taskId, plannedMin }) => [
    tell(100, { kind: "begun", taskId }),
    tell(100 + plannedMin * factor, { kind: "done", taskId }),
  ]);
/** Events so far and those that come, kept as a server keeps them. */
function keep(...news: readonly RunEvent[]) {
  run = { ...run, events: [...run.events, ...news] };
  const kept = keepRunLog(store, run, NOW);
  if (!kept.ok) throw new Error(kept.failure);
  return kept.value;
}
const larder = () => pickRecords(fromLists(store.readDay("2026-11-30")!.lists), "larder");
const known = (habit: `${"hands" | "heat"}:${string}`) => store.habits.know("2026-12-01")[habit];

test("what a run says stands in the log, the habits and the book of days; taken back all is as before", () => {
  const untouched = larder();
  const events = work(1.2);
  const sold = tell(900, { kind: "sold", pieceId: half, count: 60 });
  expect(keep(...events, sold)).toMatchObject({ lots: 3, changed: 4 });
  expect(known("hands:fill:spoon")!.lots).toBe(3);
  expect(known("hands:fill:spoon")!.mean).toBeGreaterThan(0.05);
  const [summary] = store.runs.listSummaries("2026-11-01", "2026-11-30", 9);
  expect(summary!.pieces.find(({ pieceId }) => pieceId === half)!.sold).toBe(60);
  expect(store.habits.listRunFigures("2026-12-01", 99).every(({ expected }) => expected !== null)).toBe(true);

  const closed = tell(901, { kind: "closed" });
  keep(closed);
  const left = larder().filter(({ fromDayId }) => fromDayId === sheet.dayId);
  expect(left.length).toBeGreaterThan(2);
  expect(left.every(({ madeOn }) => madeOn === DATE)).toBe(true);
  keep(...[closed, sold, ...events].map(({ id }) => tell(902, { kind: "undone", eventId: id })));
  expect(
    larder()
      .map(({ id }) => id)
      .sort(),
  ).toEqual(untouched.map(({ id }) => id).sort());
  expect(known("hands:fill:spoon")).toBeUndefined();
  expect(store.habits.listRunFigures("2026-12-01", 99)).toEqual([]);
});

test("said once more nothing is written; the revision rises only where something changed", () => {
  keep(...work(1.1));
  const { revision } = store.readDay(DATE)!;
  expect(keep(tell(950, { kind: "note", taskId: null, word: "rain" }))).toMatchObject({ changed: 0 });
  expect(store.readDay(DATE)!.revision).toBe(revision);
  keep(tell(951, { kind: "leftOut", taskId: null, word: "an odd day" }));
  expect(store.readDay(DATE)!.revision).toBeGreaterThan(revision);
  expect(known("hands:fill:spoon")).toBeUndefined();
  expect(store.runs.listSummaries(DATE, DATE, 1)[0]!.isLeftOut).toBe(true);
});

test("a run of which nothing is kept at a glance yet is found, and read once", () => {
  store.runs.append(run.id, work(1), NOW);
  expect(store.runs.listUnsummarised(9)).toEqual([DATE]);
  keep(...work(1));
  expect(store.runs.listUnsummarised(9)).toEqual([]);
});

test("slips move nothing: minutes that cannot be are in the record and not in the log", () => {
  const seal = sheet.jobs.find(({ kind, pieceId }) => kind === "seal" && pieceId === half)!;
  keep(
    ...work(1).filter((event) => !(event.kind === "done" && event.taskId === seal.taskId)),
    tell(100 + seal.plannedMin * 60, { kind: "done", taskId: seal.taskId }),
  );
  const lots = pickRecords(fromLists(store.readDay(DATE)!.lists), "lotRecord");
  expect(lots.find(({ pieceId }) => pieceId === half)).toMatchObject({ close: null });
  expect(lots.find(({ pieceId }) => pieceId === half)!.fill).not.toBeNull();
});

const readFryer = () => pickRecords(fromLists(store.readDay(DATE)!.lists), "fryer")[0]!;

test("what went into the oil stays with it: taken back it goes, changed oil stays fresh, and old sheets leave doubt", () => {
  const renew = () => {
    const fryer = readFryer();
    const change = toChange({ kind: "fryer", id: fryer.id }, fryer, { ...fryer, ...FRESH_OIL })!;
    store.applyGroups([{ id: `renewed-${said++}`, changes: [change] }], NOW);
  };
  renew();
  const fry = sheet.jobs.find(({ kind }) => kind === "fry")!;
  const piece = sheet.pieces.find(({ id }) => id === fry.pieceId)!;
  const begun = tell(400, { kind: "begun", taskId: fry.taskId });
  keep(begun);
  const { fried, usedLoads } = readFryer();
  expect(fried).toEqual([
    {
      ...{ id: `${DATE}/${fry.taskId}`, name: piece.name, unknown: [] },
      baskets: Math.ceil(fry.pieces / piece.oil!.perBasket[fry.targets.machineId!]!),
      allergens: piece.oil!.allergens,
    },
  ]);
  expect([usedLoads, fried[0]!.allergens.includes("gluten")]).toEqual([fried[0]!.baskets, true]);
  const undone = tell(401, { kind: "undone", eventId: begun.id });
  keep(undone);
  expect(readFryer()).toMatchObject(FRESH_OIL);
  keep(tell(402, { kind: "undone", eventId: undone.id }));
  expect(readFryer().fried).toHaveLength(1);
  // New oil in the middle of the day: what the run says again does not come back into it.
  renew();
  keep(tell(403, { kind: "done", taskId: fry.taskId }));
  expect(keepRunLog(store, run, NOW, true).ok).toBe(true);
  expect(readFryer()).toMatchObject(FRESH_OIL);
  run = { ...run, sheet: { ...sheet, pieces: sheet.pieces.map((piece) => ({ ...piece, oil: undefined })) } };
  keep(tell(404, { kind: "undone", eventId: begun.id }), tell(405, { kind: "begun", taskId: fry.taskId }));
  expect(readFryer().fried.every(({ unknown }) => unknown.includes(piece.name))).toBe(true);
});

test("a log that is refused says why, is found as behind, and is whole once it is taken", () => {
  const events = work(1.2);
  store.runs.append(run.id, events, NOW);
  run = { ...run, events };
  let refusals = 0;
  const refusing: Store = {
    ...store,
    applyGroups: (groups, at) => {
      refusals++;
      const answers = groups.map(({ id }) => ({ id, kind: "refused" as const, message: "No room." }));
      return { ...store.applyGroups([], at), answers };
    },
  };
  expect(keepRunLog(refusing, run, NOW)).toEqual({ ok: false, failure: "No room." });
  expect([refusals > 1, store.runs.listBehind(9)]).toEqual([true, [DATE]]);
  expect(keep()).toMatchObject({ lots: 3, changed: 4 });
  expect([store.runs.listBehind(9), readFryer().fried.length > 0]).toEqual([[], true]);
});

test("a closed day opens as it was frozen, whatever the hour, and is planned from now again once it is reopened", () => {
  const evening = 20 * 60;
  const openAt = (nowMin: number) => {
    const { lists, past, closed } = store.readDay(DATE)!;
    return planDay(toDayBook(fromLists(lists), DATE, nowMin, { formulasThen: [], past, closed })!);
  };
  const startsOf = (tasks: readonly { readonly taskId: string; readonly startMin: number }[]) =>
    Object.fromEntries(tasks.map(({ taskId, startMin }) => [taskId, startMin]));
  const frozen = startsOf(sheet.placed);
  const closing = tell(902, { kind: "closed" });
  keep(...work(1), closing);
  const opened = openAt(evening);
  expect(startsOf(opened.tasks.map(({ id, placed }) => ({ taskId: id, startMin: placed.startMin })))).toEqual(
    frozen,
  );
  expect(opened.problems.filter(({ code }) => code === "pastPromise")).toEqual([]);
  keep(tell(903, { kind: "undone", eventId: closing.id }));
  expect(store.readDay(DATE)!.closed).toBeNull();
  expect(openAt(evening).tasks[0]!.placed.startMin).toBeGreaterThanOrEqual(evening);
});
