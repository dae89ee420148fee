import type Database from "better-sqlite3";
import type { Day, Order } from "@/schemas/model";
import { createChildTable } from "./childTable";
import { createVersionedTable, eachRow, type Repository } from "./versionedTable";

type DayRow = {
  id: string;
  date: string;
  name: string;
  open_min: number;
  helper_from_min: number | null;
  helper_to_min: number | null;
  keeps_reserve: number;
};

type LaidRow = { task_id: string; start_min: number; mode: number };

const laidColumns = ["task_id", "start_min", "mode"] as const;
const fromLaidRow = ({ task_id: taskId, start_min: startMin, mode }: LaidRow) => ({ taskId, startMin, mode });
const toLaidRow = ({ taskId, startMin, mode }: Day["laid"][number]): LaidRow => ({
  task_id: taskId,
  start_min: startMin,
  mode,
});

/** All SQL about days. */
export function createDayRepository(db: Database.Database): Repository<Day> {
  const laid = createChildTable<LaidRow>(db, "day_laid", "day_id", laidColumns);
  const pinned = createChildTable<LaidRow>(db, "day_pin", "day_id", laidColumns);
  return createVersionedTable<Day, DayRow>(db, {
    table: "day",
    isArchiving: true,
    columns: ["id", "date", "name", "open_min", "helper_from_min", "helper_to_min", "keeps_reserve"],
    toRow: ({ id, date, name, openMin, helper, keepsReserve }) => ({
      id,
      date,
      name,
      open_min: openMin,
      helper_from_min: helper?.fromMin ?? null,
      helper_to_min: helper?.toMin ?? null,
      keeps_reserve: keepsReserve ? 1 : 0,
    }),
    afterPut(day) {
      laid.replace(day.id, day.laid.map(toLaidRow));
      pinned.replace(day.id, day.pinned.map(toLaidRow));
    },
    fromRows(rows) {
      const ids = rows.map(({ id }) => id);
      const [laidOf, pinnedOf] = [laid.readFor(ids), pinned.readFor(ids)];
      return rows.map(
        ({ id, date, name, open_min, helper_from_min: fromMin, helper_to_min: toMin, ...row }) => ({
          id,
          date,
          name,
          openMin: open_min,
          keepsReserve: row.keeps_reserve === 1,
          helper: fromMin !== null && toMin !== null ? { fromMin, toMin } : null,
          laid: (laidOf.get(id) ?? []).map(fromLaidRow),
          pinned: (pinnedOf.get(id) ?? []).map(fromLaidRow),
        }),
      );
    },
  });
}

type OrderRow = {
  id: string;
  day_id: string;
  piece_id: string;
  count: number;
  due_min: number;
  customer: string;
  customer_id: string | null;
  standing_id: string | null;
  handed_min: number | null;
};

/** All SQL about orders. */
export function createOrderRepository(db: Database.Database): Repository<Order> {
  return createVersionedTable<Order, OrderRow>(db, {
    table: "day_order",
    columns: [
      ...(["id", "day_id", "piece_id", "count", "due_min", "customer"] as const),
      ...(["customer_id", "standing_id", "handed_min"] as const),
    ],
    toRow: ({ id, dayId, pieceId, count, dueMin, customer, customerId, standingId, handedMin }) => ({
      id,
      day_id: dayId,
      piece_id: pieceId,
      count,
      due_min: dueMin,
      customer,
      customer_id: customerId,
      standing_id: standingId,
      handed_min: handedMin,
    }),
    fromRows: eachRow((row) => ({
      id: row.id,
      dayId: row.day_id,
      pieceId: row.piece_id,
      count: row.count,
      dueMin: row.due_min,
      customer: row.customer,
      customerId: row.customer_id,
      standingId: row.standing_id,
      handedMin: row.handed_min,
    })),
  });
}
