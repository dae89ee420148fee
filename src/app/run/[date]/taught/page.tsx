import type { Metadata } from "next";
import { findTaught, listDayFigures, toRecord } from "@/core/run";
import { getStore } from "@/data/getStore";
import { NotRun } from "@/ui/run/NotRun";
import { TaughtPage } from "@/ui/taught/TaughtPage";
import { guardFile } from "../../../fileGuard";
import { loadRun } from "../../../loadRun";

export const metadata: Metadata = { title: "What the day taught" };
export const dynamic = "force-dynamic";

/** Days before it that are looked at: beyond these a lot weighs next to nothing. */
const DAYS_BEFORE = 12;

/** Which habits a day moved, whether what was expected held, and why what went wrong did. */
export default async function Page({ params }: { readonly params: Promise<{ readonly date: string }> }) {
  const { date } = await params;
  return guardFile(() => {
    const run = loadRun(date);
    if (!run) return <NotRun date={date} />;
    const dates = getStore()
      .runs.listDates(date, DAYS_BEFORE + 1)
      .filter((each) => each !== date);
    const earlier = dates.toReversed().flatMap((each) => loadRun(each) ?? []);
    const figuresOf = ({ sheet, events }: typeof run) => listDayFigures(sheet, events);
    return (
      <TaughtPage
        record={toRecord(run.sheet, run.events)}
        taught={findTaught(earlier.map(figuresOf), figuresOf(run))}
        daysBefore={earlier.length}
      />
    );
  });
}
