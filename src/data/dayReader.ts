import type Database from "better-sqlite3";
import { addDays } from "@/core/plan";
import { NO_PAST, takeOutLeaks, type PastLog } from "@/core/habits";
import type { CutRecord, Day, LotRecord } from "@/schemas/model";
import type { AnyRecord, KindedRecord, RecordKind, RecordTypes } from "@/schemas/recordKinds";
import { toLists, toTable, type RecordLists } from "@/schemas/recordTable";
import { isOfBook, type Habits } from "./habitRepository";
import { readCauses } from "./lotRecordRepository";
import type { Repositories } from "./repositories";

/** Everything one day is planned from and its screens show. */
export interface DayRecords {
  readonly lists: RecordLists;
  /** What is known from the log before the day. */
  readonly past: PastLog;
}

/** What is read whole: a kitchen has only so much of it, however long it has worked. */
const WHOLE_KINDS = [
  "bench",
  "oven",
  "cutter",
  "vessel",
  "shelf",
  "fryer",
  "device",
  "customer",
  "standing",
  "kitchen",
  "till",
  "price",
  "ingredient",
] as const satisfies readonly RecordKind[];

/** Ways of making a piece whose leaks are weighed, those made last first: a figure moved by hand every day makes many. */
const MOST_HOLDS = 150;

/**
 * Reads days by index: the days, their orders and weighings, the larder as far as it concerns them, the book as it is
 * now with what these days name beyond it, and the log as sums. The number of queries does not depend on the file.
 */
export function createDayReader(db: Database.Database, repositories: Repositories, habits: Habits) {
  const { day, order, piece, formula, vessel, larder, ahead, weighing, cutRecord, lotRecord } = repositories;
  const among = (column: string, name: string) => `${column} IN (SELECT value FROM json_each(@${name}))`;
  const dayByDate = day.prepare("date = @date AND is_archived = 0");
  const daysBetween = day.prepare("date BETWEEN @from AND @to AND is_archived = 0");
  const ordersOf = order.prepare(among("day_id", "days"));
  const weighingsOf = weighing.prepare(among("day_id", "days"));
  const cutRecordsOf = cutRecord.prepare(among("day_id", "days"));
  const lotRecordsOf = lotRecord.prepare(among("day_id", "days"));
  const aheadFrom = ahead.prepare(among("day_id", "days"));
  const aheadFor = ahead.prepare(among("for_date", "dates"));
  const larderOpen = larder.prepare("taken_by_day_id IS NULL AND made_on <= @to");
  const larderTaken = larder.prepare(among("taken_by_day_id", "days"));
  const larderFrom = larder.prepare(among("from_day_id", "days"));
  const piecesNamed = piece.prepare(`is_archived = 1 AND ${among("id", "ids")}`);
  const formulasNamed = formula.prepare(`is_archived = 1 AND ${among("id", "ids")}`);
  const vesselsNamed = vessel.prepare(`is_archived = 1 AND ${among("id", "ids")}`);
  const tookLast = db.prepare<{ date: string; ids: string }, { formula_id: string; took_g: number | null }>(
    `SELECT value AS formula_id, (
       SELECT took_g / took_scale FROM weighing
       WHERE formula_id = value AND took_g IS NOT NULL AND date < @date ORDER BY date DESC LIMIT 1
     ) AS took_g
     FROM json_each(@ids)`,
  );
  const leaks = db.prepare<[], { piece_id: string; lots: number; leaked: number; expected: number }>(
    "SELECT piece_id, lots, leaked, expected FROM leak_sum",
  );
  const holds = db.prepare<
    [number],
    {
      piece_id: string;
      craft_leak_share: number;
      craft_causes: string;
      lots: number;
      pieces: number;
      leaked: number;
    }
  >(
    `SELECT piece_id, craft_leak_share, craft_causes, lots, pieces, leaked FROM hold_sum
     WHERE lots > 0 ORDER BY last_date DESC LIMIT ?`,
  );

  /** What the log before a date says; of leaks that of all days, without the lots that are given beside it. */
  function readPast(
    before: string,
    habitsBefore: string,
    formulaIds: readonly string[],
    pieceIds: readonly string[],
    own: readonly LotRecord[],
  ): PastLog {
    const inBook = new Set([...formulaIds, ...pieceIds]);
    const past: PastLog = {
      habits: habits.know(habitsBefore, (habit) => isOfBook(habit, inBook)),
      leaks: Object.fromEntries(
        leaks.all().map(({ piece_id, lots, leaked, expected }) => [piece_id, { lots, leaked, expected }]),
      ),
      holds: holds.all(MOST_HOLDS).map((row) => ({
        pieceId: row.piece_id,
        craftLeakShare: row.craft_leak_share,
        craftCauses: readCauses(row.craft_causes),
        lots: row.lots,
        pieces: row.pieces,
        leaked: row.leaked,
      })),
      tookLastG: Object.fromEntries(
        tookLast
          .all({ date: before, ids: JSON.stringify(formulaIds) })
          .flatMap(({ formula_id, took_g }) => (took_g === null ? [] : [[formula_id, took_g]])),
      ),
    };
    return takeOutLeaks(past, own);
  }

  function readSpan(days: readonly Day[], withLog: Day | null): DayRecords {
    const [first, last] = [days[0], days.at(-1)];
    if (!first || !last) return { lists: {}, past: NO_PAST };
    const ids = JSON.stringify(days.map(({ id }) => id));
    const dates = JSON.stringify(days.map(({ date }) => date));
    const orders = ordersOf({ days: ids });
    const made = [...aheadFrom({ days: ids }), ...aheadFor({ dates })];
    const kept = [
      ...larderOpen({ to: last.date }),
      ...larderTaken({ days: ids }),
      ...larderFrom({ days: ids }),
    ];
    const named = [
      ...orders.map(({ pieceId }) => pieceId),
      ...made.map(({ refId }) => refId),
      ...kept.map(({ refId }) => refId),
    ];
    const pieces = withNamed(piece.list(), (wanted) => piecesNamed({ ids: wanted }), named);
    const formulas = withNamed(formula.list(), (wanted) => formulasNamed({ ids: wanted }), [
      ...named,
      ...pieces.flatMap(({ doughId, fillingId, extras }) => [
        doughId,
        fillingId,
        ...extras.flatMap((extra) => ("fillingId" in extra ? [extra.fillingId] : [])),
      ]),
    ]);
    const vessels = withNamed(
      vessel.list(),
      (wanted) => vesselsNamed({ ids: wanted }),
      pieces.flatMap(({ vesselId }) => vesselId ?? []),
    );
    const logDays = withLog ? JSON.stringify([withLog.id]) : null;
    const own: OwnLog = logDays
      ? { cutRecords: cutRecordsOf({ days: logDays }), lotRecords: lotRecordsOf({ days: logDays }) }
      : NO_LOG;
    const of = <K extends RecordKind>(kind: K, records: readonly RecordTypes[K][]) =>
      records.map((record) => ({ kind, record }) as KindedRecord);
    const table = toTable([
      ...of("formula", formulas),
      ...WHOLE_KINDS.filter((kind) => kind !== "vessel").flatMap((kind) =>
        (repositories[kind].list() as AnyRecord[]).map((record) => ({ kind, record }) as KindedRecord),
      ),
      ...of("vessel", vessels),
      ...of("piece", pieces),
      ...of("day", days),
      ...of("order", orders),
      ...of("larder", kept),
      ...of("ahead", made),
      ...of("weighing", weighingsOf({ days: ids })),
      ...of("cutRecord", own.cutRecords),
      ...of("lotRecord", own.lotRecords),
    ]);
    return {
      lists: toLists(table),
      past: readPast(
        first.date,
        withLog?.date ?? first.date,
        formulas.map(({ id }) => id),
        pieces.map(({ id }) => id),
        own.lotRecords,
      ),
    };
  }

  return {
    /** A day with the one before it, which may make things ahead for it; null if the date has none. */
    readDay(date: string): DayRecords | null {
      const [found] = dayByDate({ date });
      if (!found) return null;
      const eve = dayByDate({ date: addDays(date, -1) });
      return readSpan([...eve, found], found);
    },
    /** All days of a span, both ends included, `most` at the most; the log only as sums. */
    readSpan(from: string, to: string, most: number): DayRecords {
      const days = daysBetween({ from, to }).sort((a, b) => (a.date < b.date ? -1 : 1));
      return readSpan(days.slice(0, most), null);
    },
  };
}

interface OwnLog {
  readonly cutRecords: readonly CutRecord[];
  readonly lotRecords: readonly LotRecord[];
}
const NO_LOG: OwnLog = { cutRecords: [], lotRecords: [] };

/** The living ones, and those among the named ids that only days of the past still name. */
function withNamed<T extends { readonly id: string }>(
  living: readonly T[],
  read: (ids: string) => T[],
  named: readonly string[],
): T[] {
  const known = new Set(living.map(({ id }) => id));
  const missing = [...new Set(named)].filter((id) => !known.has(id));
  return missing.length === 0 ? [...living] : [...living, ...read(JSON.stringify(missing))];
}
