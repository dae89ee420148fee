import isSame from "fast-deep-equal";
import { toLog, type RunEvent, type RunLog } from "@/core/run";
import { getStore } from "@/data/getStore";
import { fromLists } from "@/schemas/recordTable";
import { readClock } from "./clock";
import { listLogChanges } from "./listLogChanges";
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
  const changes = listLogChanges(run.sheet, log, was, fromLists(day.lists));
  if (changes.length > 0) {
    const nowIso = readClock().toISOString();
    const group = { id: `log-${run.id}-${run.events.length}-${nowIso}`, changes };
    const [answer] = store.applyGroups([group], nowIso).answers;
    if (answer?.kind !== "written") return null;
  }
  return { ...kept, changed: changes.length };
}
