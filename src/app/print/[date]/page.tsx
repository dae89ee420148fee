import type { Metadata } from "next";
import { DaySheet } from "@/ui/print/DaySheet";
import { printDay } from "../printDay";

export const metadata: Metadata = { title: "Day sheet" };
export const dynamic = "force-dynamic";

export default async function PrintPage({ params }: { readonly params: Promise<{ date: string }> }) {
  const { date } = await params;
  return printDay(date, ({ book, plan }) => <DaySheet book={book} plan={plan} />);
}
