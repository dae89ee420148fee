import type Database from "better-sqlite3";
import type { PastLog } from "@/core/plan";
import type { ChangeGroup } from "@/schemas/change";
import type {
  Customer,
  Device,
  Formula,
  Ingredient,
  Kitchen,
  Piece,
  StandingOrder,
  Till,
} from "@/schemas/model";
import type { RecordLists } from "@/schemas/recordTable";
import type { ClosedDay } from "@/schemas/toDayBook";
import { createDayList, type DayList } from "./dayList";
import { createDayReader, type DayRecords } from "./dayReader";
import { createFormulaEditions, type FormulaEdition } from "./formulaEditions";
import { createHabits, type Habits } from "./habitRepository";
import { createChangeFeed, type ChangeFeed } from "./changeFeed";
import { createGroupWriter, type AppliedGroups } from "./groupWriter";
import { rememberReads } from "./rememberReads";
import { createRepositories } from "./repositories";
import { createRuns, type Runs } from "./runRepository";

/** A day as it stood at a revision. */
export interface DaySnapshot {
  /** Which file it is: revisions of one say nothing about those of another. */
  readonly epoch: string;
  readonly revision: number;
  readonly lists: RecordLists;
  readonly past: PastLog;
  /** What happens on the day is told at its run, and stands in the log from there. */
  readonly hasRun: boolean;
  /** Null while it is not closed. */
  readonly closed: ClosedDay | null;
}

export interface Store {
  /** The day of a date with all it needs, and the one before it; null if the date has none. */
  readDay(date: string): DaySnapshot | null;
  /** All days of a span, `most` at the most, with what they need; the log only as sums. */
  readSpan(from: string, to: string, most: number): DayRecords;
  readonly days: DayList;
  /** What is written, as it is written, by whom ever. */
  readonly feed: ChangeFeed;
  /** Which file it is: revisions of one say nothing about those of another. */
  readEpoch(): string;
  readonly runs: Runs;
  readonly habits: Habits;
  /** What was written beside the records changes plans too: whoever has one asks for it anew. */
  raiseRevision(why: string, nowIso: string): void;
  /** Every channel of a device that has a place. */
  listDevices(): readonly Device[];
  /** What the house pays for hands and heat, and who is told; null where nobody has said. */
  readTill(): Till | null;
  /** How the kitchen measures, and its own ingredients. */
  readKitchen(): { readonly kitchen: Kitchen | null; readonly ingredients: readonly Ingredient[] };
  /** Who orders, what stands for them, and what there is to order, whatever the day. */
  listSelling(): {
    readonly customers: readonly Customer[];
    readonly standing: readonly StandingOrder[];
    readonly pieces: readonly Piece[];
  };
  findFormula(id: string): Formula | null;
  /** Is there a piece, formula … of this id, in the book or kept for the past? */
  holds(kind: "piece" | "formula", id: string): boolean;
  /** Every edition of a formula, oldest first. */
  listEditions(formulaId: string): FormulaEdition[];
  /** Every formula as it stood at an instant, UTC, ISO 8601. */
  listFormulasAsOf(untilIso: string): Formula[];
  /**
   * Makes each group of changes whole or not at all, each by itself; one that was made before counts once.
   * @param writtenAtIso - Now, UTC, ISO 8601: formulas keep their editions by it.
   */
  applyGroups(
    groups: readonly ChangeGroup[],
    writtenAtIso: string,
  ): AppliedGroups & { readonly epoch: string };
  /** Forgets which groups were written so long ago that nobody sends them again. */
  forgetGroups(nowIso: string): void;
  close(): void;
}

/** Days that screens look at side by side; a day with what it is planned from is some hundred kilobytes. */
const MOST_DAYS = 8;

/** The one way to what is stored. @param db - Opened and migrated. */
export function createStore(db: Database.Database): Store {
  const repositories = createRepositories(db);
  const editions = createFormulaEditions(db);
  const habits = createHabits(db);
  const reader = createDayReader(db, repositories, habits);
  const writer = createGroupWriter(db, repositories, editions);
  const selectEpoch = db.prepare<[], { epoch: string }>("SELECT epoch FROM file_mark");
  const readEpoch = () => selectEpoch.get()?.epoch ?? "";
  const runs = createRuns(db);
  const readDay = (date: string): DaySnapshot | null => {
    const records = reader.readDay(date);
    return (
      records && {
        epoch: readEpoch(),
        revision: writer.readRevision(),
        hasRun: runs.has(date),
        closed: runs.findClosed(date),
        ...records,
      }
    );
  };
  return {
    readDay: rememberReads(db, readDay, MOST_DAYS),
    readSpan: (from, to, most) => reader.readSpan(from, to, most),
    days: createDayList(db),
    feed: createChangeFeed(db, repositories),
    readEpoch,
    runs,
    habits,
    raiseRevision: (why, nowIso) => writer.raiseRevision(why, nowIso),
    readTill: () => repositories.till.list()[0] ?? null,
    listDevices: () => repositories.device.list(),
    readKitchen: () => ({
      kitchen: repositories.kitchen.list()[0] ?? null,
      ingredients: repositories.ingredient.list(),
    }),
    listSelling: () => ({
      customers: repositories.customer.list(),
      standing: repositories.standing.list(),
      pieces: repositories.piece.list(),
    }),
    findFormula: (id) => repositories.formula.find(id)?.record ?? null,
    holds: (kind, id) => repositories[kind].find(id) !== null,
    listEditions: (formulaId) => editions.list(formulaId),
    listFormulasAsOf: (untilIso) => editions.listAsOf(untilIso),
    applyGroups: (groups, writtenAtIso) => ({
      epoch: readEpoch(),
      ...writer.applyGroups(groups, writtenAtIso),
    }),
    forgetGroups: (nowIso) => writer.forgetGroups(nowIso),
    close: () => db.close(),
  };
}
