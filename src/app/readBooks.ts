import { getStore } from "@/data/getStore";
import type { DayBook } from "@/schemas/model";
import { fromLists, pickRecords } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { findEndIso, findPhase } from "@/time/wallClock";
import { readKitchenClock } from "./kitchenClock";

/** Most days one list is made for. */
const MOST_DAYS = 31;

/** What each day of a span is planned from, read once for all of them. */
export function readBooks(from: string, to: string): DayBook[] {
  const { lists, past } = getStore().readSpan(from, to, MOST_DAYS);
  const { timeZone, wall } = readKitchenClock();
  const table = fromLists(lists);
  return pickRecords(table, "day").flatMap(({ date }) => {
    const isOver = findPhase(date, wall) === "over";
    const formulasThen = isOver ? getStore().listFormulasAsOf(findEndIso(date, timeZone)) : [];
    return (
      toDayBook(table, date, null, { formulasThen, past, closed: getStore().runs.findClosed(date) }) ?? []
    );
  });
}
