import type Database from "better-sqlite3";
import {
  findWidening,
  knowByCraft,
  learnLog,
  LOTS_LOOKED_AT,
  readHabitId,
  type HabitId,
  type HabitKindId,
  type KeptForecast,
  type KnownFigure,
} from "@/core/habits";

/** One figure of a habit. */
export interface HabitFigure {
  readonly date: string;
  /** The record or the job that it is of. */
  readonly source: string;
  readonly value: number;
  /** Why it is left out of the learning; null if it is not. */
  readonly leftOut: string | null;
}

/** Which figure of a habit is left out, and why; with the word null it is taken in again. */
export interface LotLeft extends Pick<HabitFigure, "date" | "source"> {
  readonly habit: HabitId;
  readonly word: string | null;
}

/** A figure that a run gives, with what was expected of it; null where nothing was. */
export interface RunFigure {
  readonly habit: HabitId;
  readonly source: string;
  readonly name: string;
  readonly value: number;
  readonly expected: {
    readonly mean: number;
    readonly low: number;
    readonly high: number;
    readonly widened: number;
  } | null;
}

/** A habit as the baker set it: to a value, or with null back to the craft's, so that only what comes after counts. */
export interface HabitWord {
  readonly habit: HabitId;
  readonly value: number | null;
  /** A date: figures up to it do not count any more. */
  readonly since: string;
}

export interface Habits {
  /**
   * What is known of every habit with figures or a word, from what came before a date.
   * @param isWanted - Of others nothing is worked out.
   */
  know(before: string, isWanted?: (habit: HabitId) => boolean): Readonly<Record<HabitId, KnownFigure>>;
  /** Figures of a habit before a date, the newest first; at most `most`. */
  list(habit: HabitId, before: string, most: number): readonly HabitFigure[];
  /** @returns Whether there is such a figure. */
  leaveOut(lot: LotLeft): boolean;
  /** What a day's run says, in place of what it said until now. @returns Whether anything changed. */
  keepDay(date: string, figures: readonly RunFigure[]): boolean;
  /** What runs said of the days before a date, the latest first. */
  listRunFigures(before: string, most: number): readonly (RunFigure & { readonly date: string })[];
  /** Adds figures brought from elsewhere. @returns How many of them were not there yet. */
  bring(
    figures: readonly { readonly habit: HabitId; readonly date: string; readonly value: number }[],
  ): number;
  /** Pieces, doughs, ovens and fryers by their ids, those taken away too. */
  listNames(): ReadonlyMap<string, string>;
  listWords(): readonly HabitWord[];
  /** @param word - null takes a word back: the whole log counts again. */
  setWord(habit: HabitId, word: Omit<HabitWord, "habit"> | null): void;
}

/** Of records these are written by triggers; what a run says of them is in its record already. */
const fromRecords = (habit: HabitId): boolean =>
  ["hands:fill:", "hands:close:", "blanks:"].some((start) => habit.startsWith(start));

/** Forecasts by which ranges are judged: a year of market days. */
const MOST_KEPT = 1000;

/** A word holds like so many lots: nothing that is logged afterwards moves it. */
const WORD_LOTS = 1e6;

/** A figure that counts. */
interface LearnedFigure {
  readonly habit: HabitId;
  readonly date: string;
  readonly value: number;
}

type RunFigureRow = {
  date: string;
  habit: HabitId;
  source: string;
  name: string;
  value: number;
  mean: number | null;
  low: number | null;
  high: number | null;
  widened: number | null;
};

/** All SQL about habits. */
export function createHabits(db: Database.Database): Habits {
  const selectFigures = db.prepare<[string, string, number], HabitFigure>(
    `SELECT date, source, value, word AS leftOut
     FROM habit_figure LEFT JOIN habit_left_out USING (habit, date, source)
     WHERE habit = ? AND date < ? ORDER BY date DESC, source DESC LIMIT ?`,
  );
  const selectIds = db.prepare<[], { habit: HabitId }>(
    // A walk from key to key: one step of the index a habit, however many figures it has.
    `WITH RECURSIVE walk (habit) AS (
       SELECT (SELECT min(habit) FROM habit_figure)
       UNION ALL
       SELECT (SELECT min(habit) FROM habit_figure WHERE habit > walk.habit) FROM walk WHERE walk.habit IS NOT NULL
     )
     SELECT habit FROM walk WHERE habit IS NOT NULL`,
  );
  // As many of each habit as are looked at, and what shares the last one's date.
  const selectNewest = db.prepare<[{ habits: string; before: string; offset: number }], LearnedFigure>(
    // From which date is worked out once a habit, not once a figure.
    `WITH newest AS MATERIALIZED (
       SELECT wanted.value AS habit, ifnull((
         SELECT date FROM habit_figure WHERE habit = wanted.value AND date < @before
         ORDER BY date DESC LIMIT 1 OFFSET @offset
       ), '') AS since
       FROM json_each(@habits) AS wanted
     )
     SELECT habit_figure.habit, date, value
     -- In this order: the other way round every figure would be looked at.
     FROM newest CROSS JOIN habit_figure
       ON habit_figure.habit = newest.habit AND date >= newest.since AND date < @before
     WHERE NOT EXISTS (
       SELECT 1 FROM habit_left_out AS out
       WHERE out.habit = habit_figure.habit AND out.date = habit_figure.date AND out.source = habit_figure.source
     )`,
  );
  const selectOne = db.prepare<[string, string, string], unknown>(
    "SELECT 1 FROM habit_figure WHERE habit = ? AND date = ? AND source = ?",
  );
  const putLeft = db.prepare("INSERT OR REPLACE INTO habit_left_out VALUES (?, ?, ?, ?)");
  const dropLeft = db.prepare("DELETE FROM habit_left_out WHERE habit = ? AND date = ? AND source = ?");
  const selectWords = db.prepare<[], HabitWord>("SELECT habit, value, since FROM habit_word ORDER BY habit");
  const putWord = db.prepare("INSERT OR REPLACE INTO habit_word (habit, value, since) VALUES (?, ?, ?)");
  const dropWord = db.prepare("DELETE FROM habit_word WHERE habit = ?");
  const selectNames = db.prepare<[], { id: string; name: string }>(
    `SELECT id, name FROM piece UNION ALL SELECT id, name FROM formula
     UNION ALL SELECT id, name FROM oven UNION ALL SELECT id, name FROM fryer`,
  );
  const selectDay = db.prepare<[string], RunFigureRow>("SELECT * FROM run_figure WHERE date = ?");
  const selectBefore = db.prepare<[string, number], RunFigureRow>(
    "SELECT * FROM run_figure WHERE date < ? ORDER BY date DESC, habit, source LIMIT ?",
  );
  const selectKept = db.prepare<[string, number], KeptForecast & { habit: HabitId }>(
    `SELECT habit, value, mean, low, high, widened FROM run_figure
     WHERE date < ? AND mean IS NOT NULL ORDER BY date DESC LIMIT ?`,
  );
  const dropDay = db.prepare("DELETE FROM run_figure WHERE date = ?");
  const dropFigure = db.prepare("DELETE FROM habit_figure WHERE habit = ? AND date = ? AND source = ?");
  const insertRun = db.prepare("INSERT INTO run_figure VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)");
  const insertFigure = db.prepare("INSERT OR REPLACE INTO habit_figure VALUES (?, ?, ?, ?)");

  const addFigure = db.prepare("INSERT OR IGNORE INTO habit_figure VALUES (?, ?, ?, ?)");
  const bring = db.transaction((figures: Parameters<Habits["bring"]>[0]) =>
    figures.reduce(
      // Named by what it says: brought twice it is there once.
      (sum, { habit, date, value }) => sum + addFigure.run(habit, date, `brought ${value}`, value).changes,
      0,
    ),
  );
  const keepDay = db.transaction((date: string, figures: readonly RunFigure[]): boolean => {
    const was = selectDay.all(date);
    const now = figures.map((figure) => toRow(date, figure));
    const order = (rows: readonly RunFigureRow[]) =>
      JSON.stringify(
        rows
          .map(({ habit, source, name, value, mean, low, high, widened }) =>
            [habit, source, name, value, mean, low, high, widened].join(" "),
          )
          .sort(),
      );
    if (order(was) === order(now)) return false;
    for (const { habit, source } of was) if (!fromRecords(habit)) dropFigure.run(habit, date, source);
    dropDay.run(date);
    for (const row of now) {
      const { habit, source, name, value, mean, low, high, widened } = row;
      insertRun.run(date, habit, source, name, value, mean, low, high, widened);
      if (!fromRecords(habit)) insertFigure.run(habit, date, source, value);
    }
    return true;
  });
  const learnOnce = rememberLearned();
  return {
    know(before, isWanted = () => true) {
      const words = new Map(selectWords.all().map((word) => [word.habit, word]));
      const figuresOf = new Map<HabitId, LearnedFigure[]>(
        [...words.keys(), ...selectIds.all().map(({ habit }) => habit)]
          .filter((habit) => readHabitId(habit) !== null && isWanted(habit))
          .map((habit) => [habit, []]),
      );
      const habits = JSON.stringify([...figuresOf.keys()]);
      for (const row of selectNewest.all({ habits, before, offset: LOTS_LOOKED_AT - 1 }))
        figuresOf.get(row.habit)?.push(row);
      const kept = selectKept.all(before, MOST_KEPT);
      const kindOf = (habit: HabitId) => readHabitId(habit)?.kind;
      const widened = new Map(
        [...new Set(kept.map(({ habit }) => kindOf(habit)))].map((kind) => [
          kind,
          findWidening(kept.filter(({ habit }) => kindOf(habit) === kind)),
        ]),
      );
      return Object.fromEntries(
        [...figuresOf].flatMap(([habit, all]) => {
          const word = words.get(habit) ?? null;
          if (all.length === 0 && !word) return [];
          const figures = all.filter(({ date }) => date > (word?.since ?? ""));
          const known = learnOnce(habit, figures, word);
          return [[habit, { ...known, widened: widened.get(kindOf(habit)) ?? 1 }]];
        }),
      );
    },
    leaveOut({ habit, date, source, word }) {
      if (!selectOne.get(habit, date, source)) return false;
      if (word === null) dropLeft.run(habit, date, source);
      else putLeft.run(habit, date, source, word);
      return true;
    },
    list: (habit, before, most) => selectFigures.all(habit, before, most),
    keepDay: (date, figures) => keepDay.immediate(date, figures),
    listRunFigures: (before, most) => selectBefore.all(before, most).map(fromRow),
    bring: (figures) => bring.immediate(figures),
    listNames: () => new Map(selectNames.all().map(({ id, name }) => [id, name])),
    listWords: () => selectWords.all(),
    setWord(habit, word) {
      if (word) putWord.run(habit, word.value, word.since);
      else dropWord.run(habit);
    },
  };
}

/** Hands, ovens and cold places belong to every day. */
const ofAllBooks: ReadonlySet<HabitKindId> = new Set([
  ...(["hands", "measure", "spread", "person"] as const),
  ...(["oven", "heatUp", "heater", "film"] as const),
]);

/** Whether a habit says anything of a day. @param book - Ids of its pieces and formulas. */
export function isOfBook(habit: HabitId, book: ReadonlySet<string>): boolean {
  const { kind, key } = readHabitId(habit) ?? {};
  if (kind === undefined || key === undefined || ofAllBooks.has(kind)) return true;
  // Of a piece in an oven, of a dough at one time of the year.
  return book.has(key.split(/[@#]/)[0] ?? "");
}

/**
 * {@link knowFrom} that learns a habit's figures once: a page of a house of ten years asks for thousands, mostly the same
 * as the page before, and to look whether they are costs little beside learning them.
 */
function rememberLearned(): typeof knowFrom {
  const learned = new Map<
    HabitId,
    { readonly figures: readonly LearnedFigure[]; readonly value: number | null; readonly known: KnownFigure }
  >();
  return (habit, figures, word) => {
    const last = learned.get(habit);
    const value = word?.value ?? null;
    if (last && last.value === value && areSame(last.figures, figures)) return last.known;
    const known = knowFrom(habit, figures, word);
    learned.set(habit, { figures, value, known });
    return known;
  };
}

const areSame = (one: readonly LearnedFigure[], other: readonly LearnedFigure[]): boolean =>
  one.length === other.length &&
  one.every(({ date, value }, i) => date === other[i]!.date && value === other[i]!.value);

function knowFrom(habit: HabitId, figures: readonly LearnedFigure[], word: HabitWord | null): KnownFigure {
  const craft = knowByCraft(habit);
  const value = word?.value ?? null;
  const prior = value === null ? craft : { ...craft, mean: value, worthLots: WORD_LOTS };
  return learnLog(prior, figures);
}

const toRow = (date: string, { habit, source, name, value, expected }: RunFigure): RunFigureRow => ({
  date,
  habit,
  source,
  name,
  value,
  mean: expected?.mean ?? null,
  low: expected?.low ?? null,
  high: expected?.high ?? null,
  widened: expected?.widened ?? null,
});

const fromRow = ({ date, habit, source, name, value, mean, low, high, widened }: RunFigureRow) => ({
  date,
  habit,
  source,
  name,
  value,
  expected:
    mean !== null && low !== null && high !== null && widened !== null ? { mean, low, high, widened } : null,
});
