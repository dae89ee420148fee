import type { Metadata } from "next";
import { WeighSheet } from "@/ui/print/WeighSheet";
import { printDay } from "../../printDay";

export const metadata: Metadata = { title: "Weigh-out list" };
export const dynamic = "force-dynamic";

export default async function PrintWeighPage({ params }: { readonly params: Promise<{ date: string }> }) {
  const { date } = await params;
  return printDay(date, ({ book, plan }) => <WeighSheet book={book} plan={plan} />);
}
