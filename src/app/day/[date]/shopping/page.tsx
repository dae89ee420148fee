import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { listShopping } from "@/core/plan";
import { PLAN_END_MS, runJob } from "@/jobs/pool";
import { ShoppingPage } from "@/ui/larder/ShoppingPage";
import { guardFile } from "../../../fileGuard";
import { readBooks } from "../../../readBooks";

export const metadata: Metadata = { title: "To buy" };

interface Props {
  readonly params: Promise<{ date: string }>;
  readonly searchParams: Promise<{ to?: string | string[] }>;
}

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
