import isSame from "fast-deep-equal";
import { listDayFigures, summariseRun, toLog, type RunEvent, type RunLog, type RunSheet } from "@/core/run";
import { fromLists } from "@/schemas/recordTable";
import { listLogChanges } from "./listLogChanges";
import type { Store } from "./store";

/** A run with all that happened. */
export interface StoredDay {
  readonly id: string;
  readonly sheet: RunSheet;
  readonly events: readonly RunEvent[];
}

/** What of a run's log was kept; null where another wrote into it meanwhile. */
export interface KeptLog {
  readonly lots: number;
  readonly rollings: number;
  readonly changed: number;
}

const NOTHING: RunLog = { lots: [], cuts: [], poured: [], larder: { uses: [], put: [] } };

/**
 * Keeps what a run says of minutes, leaks, yields, leftovers and habits in the baker's log, where plans learn from it.
 * What stood there before the run knew of it stays, unless it is what the run itself said until now.
 * @param before - The events until now, where some came since: what they said and do not say any more is taken out.
 * @param nowIso - UTC, ISO 8601.
 */
export function keepRunLog(
  store: Store,
  run: StoredDay,
  before: readonly RunEvent[] | null,
  nowIso: string,
): KeptLog | null {
  const log = toLog(run.sheet, run.events);
  keepFigures(store, run, nowIso);
  store.runs.keepSummary(summariseRun(run.sheet, run.events));
  const was = before ? toLog(run.sheet, before) : NOTHING;
  const kept = { lots: log.lots.length, rollings: log.cuts.length, changed: 0 };
  if (before && isSame(log, was)) return kept;
  const day = store.readDay(run.sheet.date);
  if (!day) return kept;
  const changes = listLogChanges(run.sheet, log, was, fromLists(day.lists));
  if (changes.length > 0) {
    const group = { id: `log-${run.id}-${run.events.length}-${nowIso}`, changes };
    const [answer] = store.applyGroups([group], nowIso).answers;
    if (answer?.kind !== "written") return null;
  }
  return { ...kept, changed: changes.length };
}

/** What a run says of its habits, with what was expected of it. */
function keepFigures(
  { habits, raiseRevision }: Store,
  { id, sheet, events }: StoredDay,
  nowIso: string,
): void {
  const figures = listDayFigures(sheet, events).map(({ habit, source, name, value }) => ({
    habit,
    source,
    name,
    value,
    expected: sheet.expected[habit] ?? null,
  }));
  if (habits.keepDay(sheet.date, figures)) raiseRevision(`figures-${id}-${events.length}-${nowIso}`, nowIso);
}
