import type Database from "better-sqlite3";
import { addDays } from "@/core/plan";
import { createRandom } from "@/core/seededRandom";
import { createStore } from "@/data/store";
import { openDatabase } from "@/data/openDatabase";
import { listDemoWorld } from "@/demo";
import { seedWorld } from "./seedWorld";

export interface YearsAsked {
  readonly years: number;
  readonly seed: number;
}

/** What a year of the invented bakery's work leaves: ten make 3,650 days, 30,000 orders, 100,000 of each kind of record. */
const DAYS_A_YEAR = 365;
const ORDERS_A_DAY = 30_000 / 3650;
const RECORDS_A_DAY = 100_000 / 3650;
const LARDER_ITEMS_A_DAY = 4;
const EDITIONS_A_YEAR = 4;
/** Pieces and formulas that were made once and are no longer in the book, a year. */
const RETIRED_A_YEAR = 6;
/** The day before the demo world begins. */
const LAST_DATE = "2026-11-26";

/**
 * The demo world with so many years of work before it: the same file for the same seed. Written by plain inserts, as a
 * hundred thousand saves would take minutes; what the tables keep by themselves (sums, keys) they keep here too.
 * @param file - Must not hold anything yet.
 */
export function writeYears(file: string, { years, seed }: YearsAsked): void {
  const db = openDatabase(file, "src/data/migrations");
  seedWorld(createStore(db));
  // A file for tests may be lost in a power cut.
  db.pragma("synchronous = OFF");
  db.transaction(() => writeAll(db, years, createRandom(seed)))();
  db.exec("ANALYZE");
  db.close();
}

function writeAll(db: Database.Database, years: number, random: () => number): void {
  const world = listDemoWorld();
  const [pieceIds, formulaIds] = [
    retire(db, "piece", years, idsOf(world, "piece")),
    retire(db, "formula", years, idsOf(world, "formula")),
  ];
  const below = (most: number) => Math.floor(random() * most);
  const pick = <T>(from: readonly T[]): T => from[below(from.length)]!;
  const insertDay = db.prepare(
    "INSERT INTO day (id, date, name, open_min, version) VALUES (?, ?, ?, 240, 1)",
  );
  const insertOrder = db.prepare(
    "INSERT INTO day_order (id, day_id, piece_id, count, due_min, customer, version) VALUES (?, ?, ?, ?, ?, ?, 1)",
  );
  const insertCut = db.prepare(
    "INSERT INTO cut_record (id, day_id, date, dough_id, planned, got, version) VALUES (?, ?, ?, ?, ?, ?, 1)",
  );
  const insertWeighing = db.prepare(
    `INSERT INTO weighing (id, day_id, date, formula_id, ticked_line_ids, took_g, took_scale, mix_g, version)
     VALUES (?, ?, ?, ?, '[]', ?, ?, NULL, 1)`,
  );
  const insertLot = db.prepare(
    `INSERT INTO lot_record (id, day_id, date, piece_id, pieces, fill_style, fill_min, fill_craft_min, close_style,
       close_min, close_craft_min, leaked, craft_leak_share, craft_causes, version)
     VALUES (?, ?, ?, ?, ?, 'spoon', ?, ?, 'halfMoon-forked', ?, ?, ?, 0.02, ?, 1)`,
  );
  const insertLarder = db.prepare(
    `INSERT INTO larder_item (id, kind, ref_id, mass_g, count, made_on, use_by, from_day_id, taken_by_day_id, version)
     VALUES (?, 'dough', ?, ?, 0, ?, ?, ?, ?, 1)`,
  );
  const insertAhead = db.prepare(
    `INSERT INTO make_ahead (id, day_id, date, for_date, kind, ref_id, mass_g, count, version)
     VALUES (?, ?, ?, ?, 'dough', ?, ?, 0, 1)`,
  );
  const days = Math.round(years * DAYS_A_YEAR);
  /** So many of something by the end of a day, that none is lost to rounding. */
  const countUntil = (day: number, perDay: number) => Math.round((day + 1) * perDay);
  for (let i = 0; i < days; i++) {
    const date = addDays(LAST_DATE, i - days + 1);
    const dayId = `day-${date}`;
    insertDay.run(dayId, date, `Day ${i + 1}`);
    for (let n = countUntil(i - 1, ORDERS_A_DAY); n < countUntil(i, ORDERS_A_DAY); n++)
      insertOrder.run(
        `order-y-${n}`,
        dayId,
        pick(pieceIds),
        6 + below(40),
        540 + 30 * below(16),
        "The hatch",
      );
    for (let n = countUntil(i - 1, RECORDS_A_DAY); n < countUntil(i, RECORDS_A_DAY); n++) {
      const planned = 20 + below(60);
      insertCut.run(`cut-y-${n}`, dayId, date, pick(formulaIds), planned, planned - below(4));
      const pieces = 10 + below(60);
      const [fillMin, closeMin] = [4 + random() * 10, 3 + random() * 8];
      const timed = [fillMin, fillMin * (0.8 + random() * 0.4), closeMin, closeMin * (0.8 + random() * 0.4)];
      insertLot.run(`lot-y-${n}`, dayId, date, pick(pieceIds), pieces, ...timed, below(3), causesOf(n));
      const formulaId = formulaIds[n % formulaIds.length];
      insertWeighing.run(`weigh-y-${n}`, dayId, date, formulaId, 100 + below(60), 1);
    }
    insertAhead.run(`ahead-y-${i}`, dayId, date, addDays(date, 1), pick(formulaIds), 500 + below(900));
    for (let n = 0; n < LARDER_ITEMS_A_DAY; n++) {
      const next = `day-${addDays(date, 1)}`;
      const left = [`larder-y-${i}-${n}`, pick(formulaIds), 100 + below(900), date, addDays(date, 3), dayId];
      insertLarder.run(...left, i < days - 1 ? next : null);
    }
  }
  const insertEdition = db.prepare(
    `INSERT INTO formula_edition (formula_id, edition, written_at, body)
     SELECT formula_id, edition + ?, ?, body FROM formula_edition WHERE formula_id = ? AND edition = 1`,
  );
  for (const id of idsOf(world, "formula")) {
    for (let n = 1; n <= years * EDITIONS_A_YEAR; n++)
      insertEdition.run(n, `${addDays(LAST_DATE, n - 1)}T03:00:00.000Z`, id);
  }
}

/** Every other lot says what its leaks were reckoned from, in more ways than a plan reads. */
const causesOf = (n: number): string =>
  n % 2 === 0 ? "" : JSON.stringify({ margin: ((n % 7) - 3) / 10, plumpness: (n % 101) / 100 });

const idsOf = (world: ReturnType<typeof listDemoWorld>, kind: string): string[] =>
  world.flatMap((each) => (each.kind === kind ? [each.record.id] : []));

/** Copies of the book's own that are no longer made, archived; all ids, old and new. */
function retire(
  db: Database.Database,
  table: "piece" | "formula",
  years: number,
  ids: readonly string[],
): string[] {
  const columns = (db.pragma(`table_info(${table})`) as readonly { readonly name: string }[])
    .map(({ name }) => name)
    .filter((name) => !["id", "name", "is_archived"].includes(name));
  const copy = db.prepare(
    `INSERT INTO ${table} (id, name, is_archived, ${columns.join(", ")})
     SELECT ?, name || ?, 1, ${columns.join(", ")} FROM ${table} WHERE id = ?`,
  );
  const retired = Array.from({ length: Math.round(years * RETIRED_A_YEAR) }, (_, i) => {
    const [from, id] = [ids[i % ids.length]!, `old-${table}-${i}`];
    copy.run(id, `, of old ${i + 1}`, from);
    if (table === "piece")
      db.prepare(
        "INSERT INTO piece_step SELECT ?, position, step_key, kind, filling_id, thing, thing_count, thing_each_g, heat_c, minutes, hands_s, most_wait_min, note FROM piece_step WHERE piece_id = ?",
      ).run(id, from);
    else {
      db.prepare(
        `INSERT INTO formula_line (formula_id, position, id, name, amount_text, mass_g, most_g, ingredient_id)
         SELECT ?, position, id, name, amount_text, mass_g, most_g, ingredient_id FROM formula_line WHERE formula_id = ?`,
      ).run(id, from);
      db.prepare(
        `INSERT INTO formula_making (formula_id, position, step_key, kind, name, hands_min, minutes)
         SELECT ?, position, step_key, kind, name, hands_min, minutes FROM formula_making WHERE formula_id = ?`,
      ).run(id, from);
    }
    return id;
  });
  return [...ids, ...retired];
}
