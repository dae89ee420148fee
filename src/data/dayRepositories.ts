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

/** All SQL about days. */
export function createDayRepository(db: Database.Database): Repository<Day> {
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
    fromRow: ({ id, date, name, open_min, helper_from_min: fromMin, helper_to_min: toMin }) => ({
      id,
      date,
      name,
      openMin: open_min,
      helper: fromMin !== null && toMin !== null ? { fromMin, toMin } : null,
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
