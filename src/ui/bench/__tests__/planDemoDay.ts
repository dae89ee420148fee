import { planDay, type DayPlan } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";

/** A day of the demo's book as it is planned. @throws {Error} If it has no such day. */
export function planDemoDay(date: string): DayPlan {
  const book = toDayBook(listDemoRecords(), date, null);
  if (!book) throw new Error(`The demo has no day on ${date}`);
  return planDay(book);
}
