import type Database from "better-sqlite3";
import type { CutRecord } from "@/schemas/model";
import { createVersionedTable, eachRow, type Repository } from "./versionedTable";

type CutRecordRow = {
  id: string;
  day_id: string;
  date: string;
  dough_id: string;
  planned: number;
  got: number;
};

/** All SQL about what rollings really gave. */
export function createCutRecordRepository(db: Database.Database): Repository<CutRecord> {
  return createVersionedTable<CutRecord, CutRecordRow>(db, {
    table: "cut_record",
    columns: ["id", "day_id", "date", "dough_id", "planned", "got"],
    toRow: ({ id, dayId, date, doughId, planned, got }) => ({
      id,
      day_id: dayId,
      date,
      dough_id: doughId,
      planned,
      got,
    }),
    fromRows: eachRow(({ id, day_id, date, dough_id, planned, got }) => ({
      id,
      dayId: day_id,
      date,
      doughId: dough_id,
      planned,
      got,
    })),
  });
}
