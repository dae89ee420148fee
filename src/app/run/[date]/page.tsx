import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { getStore } from "@/data/getStore";
import { NotRun } from "@/ui/run/NotRun";
import { RunPage } from "@/ui/run/RunPage";
import { readSpeed } from "../../clock";
import { guardFile } from "../../fileGuard";
import { loadSnapshot } from "../../loadDay";

export const metadata: Metadata = { title: "The day runs" };
export const dynamic = "force-dynamic";

/** The face of a running day: no bench round it. */
export default async function Page({ params }: { readonly params: Promise<{ readonly date: string }> }) {
  const { date } = await params;
  return guardFile(() => {
    const snapshot = loadSnapshot(date);
    if (!snapshot) notFound();
    if (!getStore().runs.find(date)) return <NotRun date={date} />;
    return <RunPage key={date} date={date} clock={{ clock: snapshot.clock, speed: readSpeed() }} />;
  });
}
