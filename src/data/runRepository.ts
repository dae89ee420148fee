import type Database from "better-sqlite3";
import { gunzipSync } from "node:zlib";
import { openSheet, type DaySummary, type RunEvent } from "@/core/run";
import type { ClosedDay } from "@/schemas/toDayBook";

/** A run as it is stored; its sheet is deflated JSON. */
export interface StoredRun {
  readonly id: string;
  readonly date: string;
  readonly edition: number;
  readonly sheet: Uint8Array;
  /** UTC, ISO 8601. */
  readonly frozenAt: string;
}

/** Events of a run in the order in which they arrived, and the mark after which to ask next. */
export interface EventPage {
  readonly events: readonly RunEvent[];
  readonly seq: number;
}

export interface Runs {
  /** The run of a date with its newest sheet; null if that day was never run. */
  find(date: string): StoredRun | null;
  /** Whether a date was ever run. */
  has(date: string): boolean;
  /** Dates of the runs up to a date, the latest first; at most `most`. */
  listDates(until: string, most: number): readonly string[];
  /** A day at a glance, in place of what stood there. */
  keepSummary(summary: DaySummary): void;
  /** Days that were run at a glance, the latest first; both ends included. */
  listSummaries(from: string, to: string, most: number): readonly DaySummary[];
  /** Runs of which nothing is kept at a glance: of a file that did not keep it yet. */
  listUnsummarised(most: number): readonly string[];
  /** How many events of a run, in their order of arrival, its log was made from. */
  countKept(runId: string): number;
  markKept(runId: string, events: number): void;
  /** Runs with events that are not in the log yet, the latest first. */
  listBehind(most: number): readonly string[];
  /** How a day that was run and closed had been laid; null while it is not closed. */
  findClosed(date: string): ClosedDay | null;
  /** Keeps a sheet as the newest of its day's run. */
  freeze(day: { readonly id: string; readonly date: string }, sheet: Uint8Array, nowIso: string): StoredRun;
  /** Adds what is not there yet, all or nothing; an id that is there counts once. @returns The newest mark. */
  append(runId: string, events: readonly RunEvent[], nowIso: string): number;
  /** What arrived after a mark; at most `most`. */
  listEvents(runId: string, afterSeq: number, most: number): EventPage;
}

type RunRow = {
  readonly id: string;
  readonly date: string;
  readonly edition: number;
  readonly sheet: Buffer;
  readonly frozen_at: string;
};
type EventRow = {
  readonly seq: number;
  readonly id: string;
  readonly kind: string;
  readonly at_min: number;
  readonly person: number;
  readonly device_id: string;
  readonly body: string;
};

/** All SQL about running days. */
export function createRuns(db: Database.Database): Runs {
  const selectRun = db.prepare<[string], RunRow>(
    `SELECT run.id, run.date, edition, sheet, frozen_at FROM run JOIN run_sheet ON run_id = run.id
     WHERE date = ? ORDER BY edition DESC LIMIT 1`,
  );
  const selectDates = db.prepare<[string, number], { date: string }>(
    "SELECT date FROM run WHERE date <= ? ORDER BY date DESC LIMIT ?",
  );
  const putSummary = db.prepare("INSERT OR REPLACE INTO run_summary (date, summary) VALUES (?, ?)");
  const selectSummaries = db.prepare<[string, string, number], { summary: string }>(
    "SELECT summary FROM run_summary WHERE date BETWEEN ? AND ? ORDER BY date DESC LIMIT ?",
  );
  const selectUnsummarised = db.prepare<[number], { date: string }>(
    `SELECT DISTINCT run.date FROM run JOIN run_event ON run_event.run_id = run.id
     WHERE run.date NOT IN (SELECT date FROM run_summary) ORDER BY run.date DESC LIMIT ?`,
  );
  const selectKept = db.prepare<[string], { events: number }>("SELECT events FROM run_kept WHERE run_id = ?");
  const putKept = db.prepare("INSERT OR REPLACE INTO run_kept (run_id, events) VALUES (?, ?)");
  const selectBehind = db.prepare<[number], { date: string }>(
    `SELECT run.date FROM run LEFT JOIN run_kept ON run_kept.run_id = run.id
     WHERE (SELECT count(*) FROM run_event WHERE run_event.run_id = run.id) > coalesce(run_kept.events, 0)
     ORDER BY run.date DESC LIMIT ?`,
  );
  const selectIsRun = db.prepare<[string], { id: string }>("SELECT id FROM run WHERE date = ? LIMIT 1");
  const insertRun = db.prepare("INSERT OR IGNORE INTO run (id, day_id, date) VALUES (?, ?, ?)");
  const insertSheet = db.prepare(
    "INSERT INTO run_sheet (run_id, edition, sheet, frozen_at) VALUES (?, ?, ?, ?)",
  );
  const insertEvent = db.prepare(
    `INSERT OR IGNORE INTO run_event (id, run_id, kind, at_min, person, device_id, body, taken_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
  );
  const selectEvents = db.prepare<[string, number, number], EventRow>(
    `SELECT seq, id, kind, at_min, person, device_id, body FROM run_event
     WHERE run_id = ? AND seq > ? ORDER BY seq LIMIT ?`,
  );
  const selectMark = db.prepare<[string], { seq: number | null }>(
    "SELECT max(seq) AS seq FROM run_event WHERE run_id = ?",
  );

  const find = (date: string): StoredRun | null => {
    const row = selectRun.get(date);
    return row
      ? { id: row.id, date: row.date, edition: row.edition, sheet: row.sheet, frozenAt: row.frozen_at }
      : null;
  };
  const freeze = db.transaction(
    (day: { readonly id: string; readonly date: string }, sheet: Uint8Array, nowIso: string): StoredRun => {
      const before = find(day.date);
      const id = before?.id ?? `run-${day.date}`;
      const edition = (before?.edition ?? 0) + 1;
      insertRun.run(id, day.id, day.date);
      insertSheet.run(id, edition, Buffer.from(sheet), nowIso);
      return { id, date: day.date, edition, sheet, frozenAt: nowIso };
    },
  );
  const append = db.transaction((runId: string, events: readonly RunEvent[], nowIso: string): number => {
    for (const { id, kind, atMin, person, deviceId, ...body } of events)
      insertEvent.run(id, runId, kind, atMin, person, deviceId, JSON.stringify(body), nowIso);
    return selectMark.get(runId)?.seq ?? 0;
  });
  return {
    find,
    listDates: (until, most) => selectDates.all(until, most).map(({ date }) => date),
    keepSummary: (summary) => void putSummary.run(summary.date, JSON.stringify(summary)),
    listSummaries: (from, to, most) =>
      selectSummaries.all(from, to, most).map(({ summary }) => JSON.parse(summary) as DaySummary),
    listUnsummarised: (most) => selectUnsummarised.all(most).map(({ date }) => date),
    countKept: (runId) => selectKept.get(runId)?.events ?? 0,
    markKept: (runId, events) => void putKept.run(runId, events),
    listBehind: (most) => selectBehind.all(most).map(({ date }) => date),
    findClosed(date) {
      const [row] = selectSummaries.all(date, date, 1);
      const run = row && (JSON.parse(row.summary) as DaySummary).isClosed ? find(date) : null;
      return run && { laid: openSheet(gunzipSync(run.sheet).toString()).placed };
    },
    has: (date) => selectIsRun.get(date) !== undefined,
    freeze: (day, sheet, nowIso) => freeze.immediate(day, sheet, nowIso),
    append: (runId, events, nowIso) => append.immediate(runId, events, nowIso),
    listEvents(runId, afterSeq, most) {
      const rows = selectEvents.all(runId, afterSeq, most);
      return { events: rows.map(toEvent), seq: rows.at(-1)?.seq ?? afterSeq };
    },
  };
}

const toEvent = ({ id, kind, at_min, person, device_id, body }: EventRow): RunEvent =>
  ({ ...(JSON.parse(body) as object), id, kind, atMin: at_min, person, deviceId: device_id }) as RunEvent;
