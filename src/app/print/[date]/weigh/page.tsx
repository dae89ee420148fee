import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { PrintBar } from "@/ui/print/PrintBar";
import { WeighSheet } from "@/ui/print/WeighSheet";
import { loadDay } from "../../../loadDay";

export const metadata: Metadata = { title: "Weigh-out list" };
export const dynamic = "force-dynamic";

export default async function PrintWeighPage({ params }: { readonly params: Promise<{ date: string }> }) {
  const { date } = await params;
  const loaded = loadDay(date);
  if (!loaded) notFound();
  return (
    <main data-theme="tezgah" className="min-h-dvh bg-white">
      <PrintBar date={date} />
      <WeighSheet book={loaded.book} plan={loaded.plan} />
    </main>
  );
}
