import isSame from "fast-deep-equal";
import { giveBack, takeUse, type Fryer, type LarderItem, type LarderUse, type Weighing } from "@/core/plan";
import type { RunLog, RunSheet } from "@/core/run";
import { toChange, type Change } from "@/schemas/change";
import { fryerLimits } from "@/schemas/limits";
import { findRecord, type RecordTable } from "@/schemas/recordTable";

type RunDay = Pick<RunSheet, "date" | "dayId">;

/**
 * What brings a log to what a run says now: what the run says is written, what it said until now and says no more goes,
 * and what somebody typed before it knew of it stays.
 */
export function listLogChanges(day: RunDay, log: RunLog, was: RunLog, table: RecordTable): Change[] {
  return [
    ...listLotChanges(log, was, table),
    ...listCutChanges(log, was, table),
    ...listPouredChanges(day, log, was, table),
    ...listLarderChanges(day, log.larder, was.larder, table),
    ...listOilChanges(log.fried, was.fried, table),
  ].filter((change): change is Change => change !== null);
}

function listLotChanges({ lots }: RunLog, was: RunLog, table: RecordTable): (Change | null)[] {
  const byId = new Map([...was.lots, ...lots].map((lot) => [lot.id, lot]));
  return [...byId.values()].map((known) => {
    const stored = findRecord(table, "lotRecord", known.id);
    const [now, then] = [lots, was.lots].map((list) => list.find(({ id }) => id === known.id));
    // What this run said and says no more goes; what somebody typed before it knew stays.
    const pick = <F extends "fill" | "close" | "leaked">(field: F) =>
      now?.[field] ??
      (isSame(then?.[field] ?? null, stored?.[field] ?? null) ? null : (stored?.[field] ?? null));
    const after = { ...stored, ...known, fill: pick("fill"), close: pick("close"), leaked: pick("leaked") };
    const isEmpty = after.fill === null && after.close === null && after.leaked === null;
    return toChange({ kind: "lotRecord", id: known.id }, stored, isEmpty ? null : after);
  });
}

function listCutChanges({ cuts }: RunLog, was: RunLog, table: RecordTable): (Change | null)[] {
  const gone = was.cuts.filter(({ id }) => !cuts.some((cut) => cut.id === id));
  return [
    ...cuts.map((cut) =>
      toChange({ kind: "cutRecord", id: cut.id }, findRecord(table, "cutRecord", cut.id), cut),
    ),
    ...gone.map((cut) => {
      const stored = findRecord(table, "cutRecord", cut.id);
      return stored?.got === cut.got ? toChange({ kind: "cutRecord", id: cut.id }, stored, null) : null;
    }),
  ];
}

function listPouredChanges(
  { date, dayId }: RunDay,
  { poured }: RunLog,
  was: RunLog,
  table: RecordTable,
): (Change | null)[] {
  const change = (formulaId: string, took: Weighing["took"]) => {
    const id = `weigh-${date}-${formulaId}`;
    const stored = findRecord(table, "weighing", id);
    const after = { ...(stored ?? { id, dayId, date, formulaId, tickedLineIds: [], mixG: null }), took };
    return took === null && !stored ? null : toChange({ kind: "weighing", id }, stored, after);
  };
  return [
    ...poured.map(({ formulaId, massG, scale }) => change(formulaId, { massG, scale })),
    ...was.poured.flatMap(({ formulaId, massG }) => {
      const took = findRecord(table, "weighing", `weigh-${date}-${formulaId}`)?.took;
      const isOwn = took?.massG === massG && !poured.some((each) => each.formulaId === formulaId);
      return isOwn ? [change(formulaId, null)] : [];
    }),
  ];
}

/**
 * Oil gets the loads that came since and loses those that were taken back. Loads the file knew of before are not put in
 * once more: the oil may have been changed since.
 */
function listOilChanges(fried: RunLog["fried"], was: RunLog["fried"], table: RecordTable): (Change | null)[] {
  const isAmong = (loads: RunLog["fried"], { id }: { readonly id: string }) =>
    loads.some((load) => load.id === id);
  const [come, gone] = [
    fried.filter((load) => !isAmong(was, load)),
    was.filter((load) => !isAmong(fried, load)),
  ];
  return [...new Set([...come, ...gone].map(({ fryerId }) => fryerId))].map((fryerId) => {
    const stored = findRecord(table, "fryer", fryerId);
    if (!stored) return null;
    const kept = stored.fried.filter((load) => !isAmong(gone, load));
    const added = come
      .filter((load) => load.fryerId === fryerId && !stored.fried.some(({ id }) => id === load.id))
      .map(({ id, name, baskets, allergens, unknown }) => ({ id, name, baskets, allergens, unknown }));
    const count = (loads: Fryer["fried"]) => loads.reduce((sum, { baskets }) => sum + baskets, 0);
    const usedLoads = stored.usedLoads + count(kept) + count(added) - count(stored.fried);
    const after = {
      ...stored,
      fried: [...kept, ...added].slice(-fryerLimits.usedLoads.max),
      usedLoads: Math.min(Math.max(usedLoads, 0), fryerLimits.usedLoads.max),
    };
    return toChange({ kind: "fryer", id: fryerId }, stored, after);
  });
}

/** A portion that is gone from the larder, or was used by another day meanwhile, is left as it is. */
function listLarderChanges(
  { date, dayId }: RunDay,
  now: RunLog["larder"],
  was: RunLog["larder"],
  table: RecordTable,
): (Change | null)[] {
  const find = (id: string): LarderItem | null => findRecord(table, "larder", id);
  const write = (item: LarderItem) => toChange({ kind: "larder", id: item.id }, find(item.id), item);
  const takeOut = (id: string) => {
    const stored = find(id);
    return stored ? toChange({ kind: "larder", id }, stored, null) : null;
  };
  const takenId = (id: string) => `${id}-${date}`;
  const use = ({ item, massG, count }: LarderUse) => {
    const stored = find(item.id);
    if (!stored || stored.takenByDayId !== null || find(takenId(item.id))) return [];
    const most = { massG: Math.min(massG, stored.massG), count: Math.min(count, stored.count) };
    return takeUse({ item: stored, ...most }, { id: dayId, date }).map(write);
  };
  const undo = ({ item }: LarderUse) => {
    const [stored, taken] = [find(item.id), find(takenId(item.id))];
    if (taken)
      return stored?.takenByDayId === null ? [write(giveBack(stored, taken)), takeOut(taken.id)] : [];
    return stored?.takenByDayId === dayId ? [write(giveBack(stored, null))] : [];
  };
  const isGone = ({ id }: LarderItem) => !now.put.some((item) => item.id === id);
  return [
    ...now.uses.flatMap(use),
    ...was.uses.filter(({ item }) => !now.uses.some((each) => each.item.id === item.id)).flatMap(undo),
    ...now.put.flatMap((item) => ((find(item.id)?.takenByDayId ?? null) === null ? [write(item)] : [])),
    ...was.put.filter(isGone).map(({ id }) => (find(id)?.takenByDayId === null ? takeOut(id) : null)),
  ];
}
