import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { listShopping } from "@/core/plan";
import { getStore } from "@/data/getStore";
import { pickRecords } from "@/schemas/toDayBook";
import { ShoppingPage } from "@/ui/larder/ShoppingPage";
import { loadDay } from "../../../loadDay";

export const metadata: Metadata = { title: "Shopping list" };

interface Props {
  readonly params: Promise<{ date: string }>;
  readonly searchParams: Promise<{ to?: string | string[] }>;
}

/** Most days one list is made for: a plan each. */
const MOST_DAYS = 31;

export default async function Page({ params, searchParams }: Props) {
  const { date } = await params;
  const { to } = await searchParams;
  const last = typeof to === "string" && /^\d{4}-\d{2}-\d{2}$/.test(to) && to >= date ? to : date;
  const records = getStore().listRecords();
  const days = pickRecords(records, "day")
    .filter((day) => day.date >= date && day.date <= last)
    .toSorted((a, b) => (a.date < b.date ? -1 : 1))
    .slice(0, MOST_DAYS);
  const plans = days.flatMap((day) => {
    const loaded = loadDay(day.date);
    return loaded ? [{ date: day.date, plan: loaded.plan }] : [];
  });
  if (days.length === 0) notFound();
  return (
    <ShoppingPage
      from={date}
      to={last}
      days={days.map(({ date: of, name }) => ({ date: of, name }))}
      lines={listShopping(plans, pickRecords(records, "ingredient"))}
    />
  );
}
