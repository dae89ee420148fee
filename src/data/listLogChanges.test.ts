import fc from "fast-check";
import type { CutRecord, LarderItem, LotRecord, Weighing } from "@/core/plan";
import type { RunLog } from "@/core/run";
import { applyChanges } from "@/schemas/change";
import { findRecord, toTable } from "@/schemas/recordTable";
import { listDemoWorld } from "@/demo";
import { listLogChanges } from "./listLogChanges";

const day = { date: "2026-11-28", dayId: "day-2026-11-28" };
const nothing: RunLog = { lots: [], cuts: [], poured: [], larder: { uses: [], put: [] }, fried: [] };
const work = (minutes: number) => ({ style: "spoon", minutes, craftMinutes: 12 });
const lot = (over: Partial<LotRecord>): LotRecord => ({
  id: "lot-2026-11-28-quince-half-moon",
  ...day,
  pieceId: "quince-half-moon",
  pieces: 74,
  fill: null,
  close: null,
  leaked: null,
  craftLeakShare: 0.03,
  craftCauses: {},
  ...over,
});
const cut: CutRecord = { id: "cut-2026-11-28-bay", ...day, doughId: "bay-shortcrust", planned: 74, got: 72 };
const poured = { formulaId: "bay-shortcrust", massG: 142, scale: 2 };
const said = (over: Partial<RunLog>): RunLog => ({ ...nothing, ...over });
const table = toTable(listDemoWorld());
const after = (log: RunLog, was: RunLog, from = table) =>
  applyChanges(from, listLogChanges(day, log, was, from));
const lotOf = (from: typeof table) => findRecord(from, "lotRecord", lot({}).id);
const tookOf = (from: typeof table) => findRecord(from, "weighing", "weigh-2026-11-28-bay-shortcrust")?.took;

test("what a run says is written; said again nothing changes; taken back it is gone as if it had never been", () => {
  const log = said({ lots: [lot({ fill: work(14), leaked: 2 })], cuts: [cut], poured: [poured] });
  const written = after(log, nothing);
  expect(lotOf(written)).toMatchObject({ fill: work(14), leaked: 2, close: null });
  expect(findRecord(written, "cutRecord", cut.id)).toEqual(cut);
  expect(tookOf(written)).toEqual({ massG: 142, scale: 2 });
  expect(listLogChanges(day, log, log, written)).toEqual([]);
  const undone = after(nothing, log, written);
  expect(lotOf(undone)).toBeNull();
  expect(findRecord(undone, "cutRecord", cut.id)).toBeNull();
  expect(tookOf(undone)).toBeNull();
});

test("what was typed before the run knew of it stays, field by field, and what somebody corrected since is not taken out", () => {
  const typed = applyChanges(
    table,
    listLogChanges(day, said({ lots: [lot({ close: work(33) })] }), nothing, table),
  );
  const log = said({ lots: [lot({ fill: work(14) })] });
  const both = after(log, nothing, typed);
  expect(lotOf(both)).toMatchObject({ fill: work(14), close: work(33) });
  expect(lotOf(after(nothing, log, both))).toMatchObject({ fill: null, close: work(33) });
  // The same minutes from another hand are another's.
  const corrected = after(said({ lots: [lot({ fill: work(20) })] }), log, both);
  expect(lotOf(after(nothing, log, corrected))).toMatchObject({ fill: work(20), close: work(33) });
});

test("a count or a liquid that is told anew takes the place of the former one; ticks of the weigh-out are left alone", () => {
  const log = said({ cuts: [cut], poured: [poured] });
  const ticked: Weighing = {
    id: "weigh-2026-11-28-bay-shortcrust",
    ...day,
    formulaId: "bay-shortcrust",
    tickedLineIds: ["l1"],
    took: null,
    mixG: null,
  };
  const from = applyChanges(table, [
    { kind: "weighing", id: ticked.id, set: ticked as unknown as Record<string, unknown>, was: null },
  ] as never);
  const news = said({ cuts: [{ ...cut, got: 70 }], poured: [{ ...poured, massG: 150 }] });
  const now = after(news, log, after(log, nothing, from));
  expect(findRecord(now, "cutRecord", cut.id)).toMatchObject({ got: 70 });
  expect(findRecord(now, "weighing", ticked.id)).toMatchObject({
    tickedLineIds: ["l1"],
    took: { massG: 150, scale: 2 },
  });
});

const item = (over: Partial<LarderItem>): LarderItem => ({
  ...{ id: "tub", kind: "dough", refId: "bay-shortcrust", massG: 900, count: 0 },
  ...{ madeOn: "2026-11-27", useBy: "2026-12-01", fromDayId: null, takenByDayId: null },
  ...over,
});
const larderOf = (from: typeof table) => [...(from.get("larder")?.values() ?? [])] as LarderItem[];

test("a closed day takes from the larder and puts into it; opened again the larder is as it was", () => {
  fc.assert(
    fc.property(fc.integer({ min: 25, max: 900 }), fc.integer({ min: 1, max: 4000 }), (takenG, leftG) => {
      const from = toTable([...listDemoWorld(), { kind: "larder", record: item({}) }]);
      const put = item({ id: "left-2026-11-28-dough-rye", massG: leftG, fromDayId: day.dayId });
      const closed = said({ larder: { uses: [{ item: item({}), massG: takenG, count: 0 }], put: [put] } });
      const written = after(closed, nothing, from);
      const sum = (items: readonly LarderItem[]) => items.reduce((total, { massG }) => total + massG, 0);
      expect(sum(larderOf(written))).toBeCloseTo(sum(larderOf(from)) + leftG, 6);
      const taken = larderOf(written).filter(({ takenByDayId }) => takenByDayId === day.dayId);
      // Less than a lick is not kept: it counts as taken.
      expect(Math.abs(sum(taken) - takenG)).toBeLessThan(20);
      expect(listLogChanges(day, closed, closed, written)).toEqual([]);
      const byId = (a: LarderItem, b: LarderItem) => (a.id < b.id ? -1 : 1);
      const opened = larderOf(after(nothing, closed, written)).toSorted(byId);
      expect(opened).toEqual(larderOf(from).toSorted(byId));
    }),
    { numRuns: 40, seed: 3 },
  );
});

test("what another day used meanwhile is neither taken nor put in anew", () => {
  const used = item({ takenByDayId: "day-2026-12-05" });
  const from = toTable([...listDemoWorld(), { kind: "larder", record: used }]);
  const closed = said({
    larder: { uses: [{ item: item({}), massG: 300, count: 0 }], put: [item({ massG: 1 })] },
  });
  expect(listLogChanges(day, closed, nothing, from)).toEqual([]);
  expect(listLogChanges(day, nothing, closed, from)).toEqual([]);
});
