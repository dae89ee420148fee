import type Database from "better-sqlite3";
import type { Customer, StandingOrder } from "@/schemas/model";
import { createVersionedTable, eachRow, type Repository } from "./versionedTable";

type CustomerRow = { id: string; name: string; contact: string; usual_min: number | null };

/** All SQL about customers. */
export const createCustomerRepository = (db: Database.Database): Repository<Customer> =>
  createVersionedTable<Customer, CustomerRow>(db, {
    table: "customer",
    isArchiving: true,
    columns: ["id", "name", "contact", "usual_min"],
    toRow: ({ id, name, contact, usualMin }) => ({ id, name, contact, usual_min: usualMin }),
    fromRows: eachRow(({ id, name, contact, usual_min: usualMin }) => ({ id, name, contact, usualMin })),
  });

type StandingRow = {
  id: string;
  customer_id: string;
  piece_id: string;
  count: number;
  holiday_count: number | null;
  due_min: number;
  weekdays: string;
};

const WEEK = [1, 2, 3, 4, 5, 6, 7];

/** All SQL about standing orders. */
export const createStandingRepository = (db: Database.Database): Repository<StandingOrder> =>
  createVersionedTable<StandingOrder, StandingRow>(db, {
    table: "standing_order",
    columns: ["id", "customer_id", "piece_id", "count", "holiday_count", "due_min", "weekdays"],
    toRow: ({ id, customerId, pieceId, count, holidayCount, dueMin, weekdays }) => ({
      ...{ id, count, customer_id: customerId, piece_id: pieceId, holiday_count: holidayCount },
      due_min: dueMin,
      weekdays: WEEK.map((weekday) => (weekdays.includes(weekday) ? "x" : "-")).join(""),
    }),
    fromRows: eachRow((row) => ({
      ...{ id: row.id, customerId: row.customer_id, pieceId: row.piece_id, count: row.count },
      holidayCount: row.holiday_count,
      dueMin: row.due_min,
      weekdays: WEEK.filter((weekday) => row.weekdays[weekday - 1] === "x"),
    })),
  });
