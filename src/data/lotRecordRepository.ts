import type Database from "better-sqlite3";
import type { LotRecord } from "@/schemas/model";
import { createVersionedTable, eachRow, type Repository } from "./versionedTable";

type LotRecordRow = {
  id: string;
  day_id: string;
  date: string;
  piece_id: string;
  pieces: number;
  fill_style: string | null;
  fill_min: number | null;
  fill_craft_min: number | null;
  close_style: string | null;
  close_min: number | null;
  close_craft_min: number | null;
  leaked: number | null;
  craft_leak_share: number;
  craft_causes: string;
};

type Causes = LotRecord["craftCauses"];

/** Keys in order, so that lots that are alike have the same text. */
function writeCauses(causes: Causes): string {
  const keys = Object.keys(causes).sort();
  return keys.length === 0 ? "" : JSON.stringify(Object.fromEntries(keys.map((key) => [key, causes[key]])));
}

export const readCauses = (text: string): Causes => (text === "" ? {} : (JSON.parse(text) as Causes));

/** All SQL about what lots of pieces took and how many leaked. */
export function createLotRecordRepository(db: Database.Database): Repository<LotRecord> {
  return createVersionedTable<LotRecord, LotRecordRow>(db, {
    table: "lot_record",
    columns: [
      "id",
      "day_id",
      "date",
      "piece_id",
      "pieces",
      "fill_style",
      "fill_min",
      "fill_craft_min",
      "close_style",
      "close_min",
      "close_craft_min",
      "leaked",
      "craft_leak_share",
      "craft_causes",
    ],
    toRow: ({ id, dayId, date, pieceId, pieces, fill, close, leaked, craftLeakShare, craftCauses }) => ({
      id,
      day_id: dayId,
      date,
      piece_id: pieceId,
      pieces,
      fill_style: fill?.style ?? null,
      fill_min: fill?.minutes ?? null,
      fill_craft_min: fill?.craftMinutes ?? null,
      close_style: close?.style ?? null,
      close_min: close?.minutes ?? null,
      close_craft_min: close?.craftMinutes ?? null,
      leaked,
      craft_leak_share: craftLeakShare,
      craft_causes: writeCauses(craftCauses),
    }),
    fromRows: eachRow((row) => ({
      id: row.id,
      dayId: row.day_id,
      date: row.date,
      pieceId: row.piece_id,
      pieces: row.pieces,
      fill: toTimed(row.fill_style, row.fill_min, row.fill_craft_min),
      close: toTimed(row.close_style, row.close_min, row.close_craft_min),
      leaked: row.leaked,
      craftLeakShare: row.craft_leak_share,
      craftCauses: readCauses(row.craft_causes),
    })),
  });
}

function toTimed(
  style: string | null,
  minutes: number | null,
  craftMinutes: number | null,
): LotRecord["fill"] {
  return style !== null && minutes !== null && craftMinutes !== null
    ? { style, minutes, craftMinutes }
    : null;
}
