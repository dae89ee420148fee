import type { Standing } from "@/schemas/change";
import type { RecordKind } from "@/schemas/recordKinds";
import { findRecord, withRecord, type RecordTable } from "@/schemas/recordTable";

/** What every day has all of: a record of these stands in it as it is. */
const OF_EVERY_DAY: ReadonlySet<RecordKind> = new Set([
  "formula",
  "vessel",
  "piece",
  "bench",
  "oven",
  "cutter",
  "shelf",
  "fryer",
  "device",
  "customer",
  "standing",
  "kitchen",
  "till",
  "price",
  "ingredient",
] satisfies RecordKind[]);

/** Of these the log knows something as soon as they are there. */
const KNOWN_BY_LOG: ReadonlySet<RecordKind> = new Set(["piece", "formula"] satisfies RecordKind[]);

/**
 * What a day's screen has, with records as they stand at the server now; of orders those of its own days.
 * @returns Null where only the server can tell what of it is this day's: larder, days and the log.
 */
export function takeNews(base: RecordTable, standing: readonly Standing[]): RecordTable | null {
  let table = base;
  for (const { kind, id, record } of standing) {
    const known = findRecord(table, kind, id);
    if (OF_EVERY_DAY.has(kind)) {
      if (!known && KNOWN_BY_LOG.has(kind)) return null;
      table = withRecord(table, { kind, id }, record);
    } else if (kind === "order") {
      const isOfDay = record !== null && "dayId" in record && findRecord(table, "day", String(record.dayId));
      if (isOfDay || known) table = withRecord(table, { kind, id }, isOfDay ? record : null);
    } else return null;
  }
  return table;
}
