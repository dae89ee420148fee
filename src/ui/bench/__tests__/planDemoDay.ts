import { planDay, type DayPlan } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import type { DayBook } from "@/schemas/model";
import { toDayBook } from "@/schemas/toDayBook";

/** A day of the demo with its plan. @throws {Error} If the demo has no such day. */
export function readDemoDay(date: string): { readonly book: DayBook; readonly plan: DayPlan } {
  const book = toDayBook(listDemoRecords(), date, null);
  if (!book) throw new Error(`The demo has no day on ${date}`);
  return { book, plan: planDay(book) };
}
