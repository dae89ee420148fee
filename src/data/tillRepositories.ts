import type Database from "better-sqlite3";
import type { Price, Till } from "@/schemas/model";
import { createVersionedTable, eachRow, type Repository } from "./versionedTable";

type TillRow = { id: string; hour_minor: number; kwh_minor: number; hides_from_bench: number };

/** All SQL about what the house pays for hands and heat. */
export const createTillRepository = (db: Database.Database): Repository<Till> =>
  createVersionedTable<Till, TillRow>(db, {
    table: "till",
    columns: ["id", "hour_minor", "kwh_minor", "hides_from_bench"],
    toRow: ({ id, hourMinor, kwhMinor, hidesFromBench }) => ({
      ...{ id, hour_minor: hourMinor, kwh_minor: kwhMinor },
      hides_from_bench: Number(hidesFromBench),
    }),
    fromRows: eachRow((row) => ({
      ...{ id: row.id, hourMinor: row.hour_minor, kwhMinor: row.kwh_minor },
      hidesFromBench: row.hides_from_bench === 1,
    })),
  });

type PriceRow = { id: string; price_minor: number };

/** All SQL about what pieces are sold for. */
export const createPriceRepository = (db: Database.Database): Repository<Price> =>
  createVersionedTable<Price, PriceRow>(db, {
    table: "price",
    columns: ["id", "price_minor"],
    toRow: ({ id, priceMinor }) => ({ id, price_minor: priceMinor }),
    fromRows: eachRow(({ id, price_minor: priceMinor }) => ({ id, priceMinor })),
  });
