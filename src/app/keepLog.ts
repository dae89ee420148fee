import { toLog, type RunEvent, type RunLog } from "@/core/run";
import type { Weighing } from "@/core/plan";
import { getStore } from "@/data/getStore";
import { toChange, type Change } from "@/schemas/change";
import { findRecord, fromLists } from "@/schemas/recordTable";
import { readClock } from "./clock";
import type { LoadedRun } from "./loadRun";

/** What of a run's log was kept; null where another wrote into it meanwhile. */
export interface KeptLog {
  readonly lots: number;
  readonly rollings: number;
  readonly changed: number;
}

/**
 * Keeps what a run says of minutes, leaks and yields in the baker's log, where plans learn from it. What stood there
 * before the run knew of it stays, unless it is what the run itself said until now.
 * @param before - The events until now, where some came since: what they said and do not say any more is taken out.
 */
export function keepLog(run: LoadedRun, before: readonly RunEvent[] | null): KeptLog | null {
  const log = toLog(run.sheet, run.events);
  const was: RunLog = before ? toLog(run.sheet, before) : { lots: [], cuts: [], poured: [] };
  const kept = { lots: log.lots.length, rollings: log.cuts.length, changed: 0 };
  if (before && isSame(log, was)) return kept;
  const store = getStore();
  const day = store.readDay(run.sheet.date);
  if (!day) return kept;
  const table = fromLists(day.lists);
  const changes = [
    ...listLotChanges(log, was, table),
    ...listCutChanges(log, was, table),
    ...listPouredChanges(run, log, was, table),
  ].filter((change): change is Change => change !== null);
  if (changes.length > 0) {
    const nowIso = readClock().toISOString();
    const group = { id: `log-${run.id}-${run.events.length}-${nowIso}`, changes };
    const [answer] = store.applyGroups([group], nowIso).answers;
    if (answer?.kind !== "written") return null;
  }
  return { ...kept, changed: changes.length };
}

type Table = ReturnType<typeof fromLists>;

function listLotChanges({ lots }: RunLog, was: RunLog, table: Table): (Change | null)[] {
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

function listCutChanges({ cuts }: RunLog, was: RunLog, table: Table): (Change | null)[] {
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
  { sheet: { date, dayId } }: LoadedRun,
  { poured }: RunLog,
  was: RunLog,
  table: Table,
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

const isSame = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other);
