import type { Metadata } from "next";
import { foldRun, toRecord } from "@/core/run";
import { NotRun } from "@/ui/run/NotRun";
import { RecordPage } from "@/ui/run/RecordPage";
import { guardFile } from "../../../fileGuard";
import { loadRun } from "../../../loadRun";

export const metadata: Metadata = { title: "Record of the day" };
export const dynamic = "force-dynamic";

/** What was planned and what happened, to read, correct, print and keep. */
export default async function Page({ params }: { readonly params: Promise<{ readonly date: string }> }) {
  const { date } = await params;
  return guardFile(() => {
    const run = loadRun(date);
    return run ? (
      <RecordPage record={toRecord(run.sheet, run.events)} events={foldRun(run.events).counted} />
    ) : (
      <NotRun date={date} />
    );
  });
}
