import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { DaySheet } from "@/ui/print/DaySheet";
import { PrintBar } from "@/ui/print/PrintBar";
import { loadDay } from "../../loadDay";

export const metadata: Metadata = { title: "Day sheet" };
export const dynamic = "force-dynamic";

export default async function PrintPage({ params }: { readonly params: Promise<{ date: string }> }) {
  const { date } = await params;
  const loaded = loadDay(date);
  if (!loaded) notFound();
  return (
    <main data-theme="tezgah" className="min-h-dvh bg-white">
      <PrintBar date={date} />
      <DaySheet book={loaded.book} plan={loaded.plan} />
    </main>
  );
}
