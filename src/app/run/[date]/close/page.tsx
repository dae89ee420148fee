import type { Metadata } from "next";
import { foldRun, readClosing } from "@/core/run";
import { ClosePage } from "@/ui/closing/ClosePage";
import { NotRun } from "@/ui/run/NotRun";
import { guardFile } from "../../../fileGuard";
import { findAfterMin, loadRun } from "../../../loadRun";

export const metadata: Metadata = { title: "Close the day" };
export const dynamic = "force-dynamic";

/** The end of a day: what is not known yet, and nothing else. */
export default async function Page({ params }: { readonly params: Promise<{ readonly date: string }> }) {
  const { date } = await params;
  return guardFile(() => {
    const run = loadRun(date);
    if (!run) return <NotRun date={date} />;
    return (
      <ClosePage
        key={run.events.length}
        day={{ date, name: run.sheet.dayName }}
        closing={readClosing(run.sheet, foldRun(run.events))}
        atMin={findAfterMin(run)}
      />
    );
  });
}
