import type Database from "better-sqlite3";
import type { Day, Order } from "@/schemas/model";
import { createVersionedTable, type Repository } from "./versionedTable";

type DayRow = {
  id: string;
  date: string;
  name: string;
  open_min: number;
  helper_from_min: number | null;
  helper_to_min: number | null;
};

type LaidRow = { task_id: string; start_min: number; mode: number };

/** Tasks of a day at their minutes. @param table - One of the two tables that hold such. */
function createLaidTable(db: Database.Database, table: "day_laid" | "day_pin") {
  const select = db.prepare<[string], LaidRow>(
    `SELECT task_id, start_min, mode FROM ${table} WHERE day_id = ? ORDER BY rowid`,
  );
  const clear = db.prepare<[string]>(`DELETE FROM ${table} WHERE day_id = ?`);
  const insert = db.prepare<[LaidRow & { day_id: string }]>(
    `INSERT INTO ${table} (day_id, task_id, start_min, mode) VALUES (@day_id, @task_id, @start_min, @mode)`,
  );
  return {
    list: (dayId: string) =>
      select.all(dayId).map(({ task_id: taskId, start_min: startMin, mode }) => ({ taskId, startMin, mode })),
    replace(dayId: string, tasks: Day["laid"]) {
      clear.run(dayId);
      for (const { taskId, startMin, mode } of tasks)
        insert.run({ day_id: dayId, task_id: taskId, start_min: startMin, mode });
    },
  };
}

/** All SQL about days. */
export function createDayRepository(db: Database.Database): Repository<Day> {
  const laid = createLaidTable(db, "day_laid");
  const pinned = createLaidTable(db, "day_pin");
  return createVersionedTable<Day, DayRow>(db, {
    table: "day",
    columns: ["id", "date", "name", "open_min", "helper_from_min", "helper_to_min"],
    toRow: ({ id, date, name, openMin, helper }) => ({
      id,
      date,
      name,
      open_min: openMin,
      helper_from_min: helper?.fromMin ?? null,
      helper_to_min: helper?.toMin ?? null,
    }),
    afterPut(day) {
      laid.replace(day.id, day.laid);
      pinned.replace(day.id, day.pinned);
    },
    fromRow: ({ id, date, name, open_min, helper_from_min: fromMin, helper_to_min: toMin }) => ({
      id,
      date,
      name,
      openMin: open_min,
      helper: fromMin !== null && toMin !== null ? { fromMin, toMin } : null,
      laid: laid.list(id),
      pinned: pinned.list(id),
    }),
  });
}

type OrderRow = {
  id: string;
  day_id: string;
  piece_id: string;
  count: number;
  due_min: number;
  customer: string;
};

/** All SQL about orders. */
export function createOrderRepository(db: Database.Database): Repository<Order> {
  return createVersionedTable<Order, OrderRow>(db, {
    table: "day_order",
    columns: ["id", "day_id", "piece_id", "count", "due_min", "customer"],
    toRow: ({ id, dayId, pieceId, count, dueMin, customer }) => ({
      id,
      day_id: dayId,
      piece_id: pieceId,
      count,
      due_min: dueMin,
      customer,
    }),
    fromRow: (row) => ({
      id: row.id,
      dayId: row.day_id,
      pieceId: row.piece_id,
      count: row.count,
      dueMin: row.due_min,
      customer: row.customer,
    }),
  });
}
