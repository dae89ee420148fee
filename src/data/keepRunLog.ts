import isSame from "fast-deep-equal";
import { listDayFigures, summariseRun, toLog, type RunEvent, type RunLog, type RunSheet } from "@/core/run";
import { fail, ok, type Result } from "@/core/result";
import { fromLists } from "@/schemas/recordTable";
import { listLogChanges } from "./listLogChanges";
import type { Store } from "./store";

/** A run with all that happened. */
export interface StoredDay {
  readonly id: string;
  readonly sheet: RunSheet;
  readonly events: readonly RunEvent[];
}

/** What of a run's log was kept. */
export interface KeptLog {
  readonly lots: number;
  readonly rollings: number;
  readonly changed: number;
}

const NOTHING: RunLog = { lots: [], cuts: [], poured: [], larder: { uses: [], put: [] }, fried: [] };

/** Another writer may change a record between reading the day and writing the log: then both are done again. */
const MOST_TRIES = 3;

/**
 * Keeps what a run says of minutes, leaks, yields, leftovers, oil and habits in the baker's log, where plans learn from
 * it. What stood there before the run knew of it stays, unless it is what the run itself said until now. The file
 * remembers how many events its log was made from, so a log that could not be kept is made whole by the next call.
 * @param isWhole - Writes all of it again, not only what came since.
 * @param nowIso - UTC, ISO 8601.
 * @returns What was kept, or why the file refused it, in words.
 */
export function keepRunLog(
  store: Store,
  run: StoredDay,
  nowIso: string,
  isWhole = false,
): Result<KeptLog, string> {
  const before = run.events.slice(0, store.runs.countKept(run.id));
  const log = toLog(run.sheet, run.events);
  const kept = toLog(run.sheet, before);
  const was = isWhole || before.length === 0 ? { ...NOTHING, fried: kept.fried } : kept;
  keepFigures(store, run, nowIso);
  store.runs.keepSummary(summariseRun(run.sheet, run.events));
  const said = { lots: log.lots.length, rollings: log.cuts.length, changed: 0 };
  const finish = (changed: number): Result<KeptLog, string> => {
    store.runs.markKept(run.id, run.events.length);
    return ok({ ...said, changed });
  };
  if (before.length > 0 && isSame(log, was)) return finish(0);
  let refusal = "";
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const day = store.readDay(run.sheet.date);
    if (!day) return finish(0);
    const changes = listLogChanges(run.sheet, log, was, fromLists(day.lists));
    if (changes.length === 0) return finish(0);
    const group = { id: `log-${run.id}-${run.events.length}-${nowIso}-${tries}`, changes };
    const [answer] = store.applyGroups([group], nowIso).answers;
    if (answer?.kind === "written") return finish(changes.length);
    refusal =
      answer?.kind === "refused" ? answer.message : "Another device changed the log at the same moment.";
  }
  return fail(refusal);
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
