import type Database from "better-sqlite3";
import type { MakeAhead } from "@/schemas/model";
import { createVersionedTable, eachRow, type Repository } from "./versionedTable";

type MakeAheadRow = {
  id: string;
  day_id: string;
  date: string;
  for_date: string;
  kind: MakeAhead["kind"];
  ref_id: string;
  mass_g: number;
  count: number;
};

/** All SQL about what one day makes for another. */
export function createMakeAheadRepository(db: Database.Database): Repository<MakeAhead> {
  return createVersionedTable<MakeAhead, MakeAheadRow>(db, {
    table: "make_ahead",
    columns: ["id", "day_id", "date", "for_date", "kind", "ref_id", "mass_g", "count"],
    toRow: ({ id, dayId, date, forDate, kind, refId, massG, count }) => ({
      id,
      day_id: dayId,
      date,
      for_date: forDate,
      kind,
      ref_id: refId,
      mass_g: massG,
      count,
    }),
    fromRows: eachRow((row) => ({
      id: row.id,
      dayId: row.day_id,
      date: row.date,
      forDate: row.for_date,
      kind: row.kind,
      refId: row.ref_id,
      massG: row.mass_g,
      count: row.count,
    })),
  });
}
