import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { listShopping, type DayBook } from "@/core/plan";
import { getStore } from "@/data/getStore";
import { PLAN_END_MS, runJob } from "@/jobs/pool";
import { fromLists, pickRecords } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { findEndIso, findPhase } from "@/time/wallClock";
import { ShoppingPage } from "@/ui/larder/ShoppingPage";
import { guardFile } from "../../../fileGuard";
import { readKitchenClock } from "../../../kitchenClock";

export const metadata: Metadata = { title: "Shopping list" };

interface Props {
  readonly params: Promise<{ date: string }>;
  readonly searchParams: Promise<{ to?: string | string[] }>;
}

/** Most days one list is made for. */
const MOST_DAYS = 31;

export default async function Page({ params, searchParams }: Props) {
  const { date } = await params;
  const { to } = await searchParams;
  const last = typeof to === "string" && /^\d{4}-\d{2}-\d{2}$/.test(to) && to >= date ? to : date;
  return guardFile(async () => {
    const books = readBooks(date, last);
    if (books.length === 0) notFound();
    const weighed = await runJob("weighDays", books, PLAN_END_MS);
    return (
      <ShoppingPage
        from={date}
        to={last}
        days={books.map(({ day }) => ({ date: day.date, name: day.name }))}
        lines={weighed.ok ? listShopping(weighed.value, books[0]?.ingredients ?? []) : null}
      />
    );
  });
}

/** What each day of a span is planned from, read once for all of them. */
function readBooks(from: string, to: string): DayBook[] {
  const { lists, past } = getStore().readSpan(from, to, MOST_DAYS);
  const { timeZone, wall } = readKitchenClock();
  const table = fromLists(lists);
  return pickRecords(table, "day").flatMap(({ date }) => {
    const isOver = findPhase(date, wall) === "over";
    const formulasThen = isOver ? getStore().listFormulasAsOf(findEndIso(date, timeZone)) : [];
    return toDayBook(table, date, null, { formulasThen, past }) ?? [];
  });
}
