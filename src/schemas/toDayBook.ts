import { firstKitchen } from "./firstKitchen";
import type { DayBook, Formula } from "./model";
import type { RecordKind, RecordTypes, StoredRecord } from "./recordKinds";

/** Records of one kind, in the order given. */
export function pickRecords<K extends RecordKind>(
  records: readonly StoredRecord[],
  kind: K,
): RecordTypes[K][] {
  return records.flatMap((stored) => (stored.kind === kind ? [stored.record as RecordTypes[K]] : []));
}

/**
 * The document a day is planned from.
 * @param date - YYYY-MM-DD. @param nowMin - Minutes after that date's midnight, null when planning ahead.
 * @param formulasThen - For a day that is over, the formulas as they stood then; they stand before today's.
 * @returns null if the date has no day or no bench is set up.
 */
export function toDayBook(
  records: readonly StoredRecord[],
  date: string,
  nowMin: number | null,
  formulasThen: readonly Formula[] = [],
): DayBook | null {
  const day = pickRecords(records, "day").find((candidate) => candidate.date === date);
  const [bench] = pickRecords(records, "bench");
  if (!day || !bench) return null;
  return {
    day,
    orders: pickRecords(records, "order").filter(({ dayId }) => dayId === day.id),
    pieces: pickRecords(records, "piece"),
    formulas: pickRecords(records, "formula").map(
      (formula) => formulasThen.find(({ id }) => id === formula.id) ?? formula,
    ),
    bench,
    ovens: pickRecords(records, "oven"),
    cutters: pickRecords(records, "cutter"),
    vessels: pickRecords(records, "vessel"),
    shelves: pickRecords(records, "shelf"),
    fryers: pickRecords(records, "fryer"),
    kitchen: pickRecords(records, "kitchen")[0] ?? firstKitchen,
    ingredients: pickRecords(records, "ingredient"),
    larder: pickRecords(records, "larder"),
    ahead: pickRecords(records, "ahead").filter(({ dayId, forDate }) => dayId === day.id || forDate === date),
    weighings: pickRecords(records, "weighing"),
    cutRecords: pickRecords(records, "cutRecord"),
    lotRecords: pickRecords(records, "lotRecord"),
    nowMin,
  };
}
