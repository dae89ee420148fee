import type { Metadata } from "next";
import { addDays } from "@/core/plan";
import { findTaught, listDayFigures, listLeftOut, readPieceNow, toRecord } from "@/core/run";
import { getStore } from "@/data/getStore";
import { fromLists, pickRecords } from "@/schemas/recordTable";
import { NotRun } from "@/ui/run/NotRun";
import { TaughtPage } from "@/ui/taught/TaughtPage";
import { guardFile } from "../../../fileGuard";
import { knowBefore } from "../../../knowBefore";
import { findAfterMin, loadRun } from "../../../loadRun";
import { readScores } from "../../../readHabits";

export const metadata: Metadata = { title: "What the day taught" };
export const dynamic = "force-dynamic";

/** Which habits a day moved, whether what was expected held, and why what went wrong did. */
export default async function Page({ params }: { readonly params: Promise<{ readonly date: string }> }) {
  const { date } = await params;
  return guardFile(() => {
    const run = loadRun(date);
    if (!run) return <NotRun date={date} />;
    const figures = listDayFigures(run.sheet, run.events);
    const past = knowBefore(run);
    const record = toRecord(run.sheet, run.events);
    // Of a day on which nothing went wrong nobody asks what its pieces are made by.
    const hasTroubles = record.rows.some(({ causes }) => causes.length > 0);
    const lists = hasTroubles ? getStore().readDay(date)?.lists : null;
    const pieces = lists ? pickRecords(fromLists(lists), "piece") : [];
    return (
      <TaughtPage
        record={record}
        taught={findTaught(past, figures)}
        leftOut={listLeftOut(run.sheet, run.events, past)}
        piecesNow={Object.fromEntries(pieces.map((piece) => [piece.id, readPieceNow(piece)]))}
        scores={readScores(addDays(date, 1))}
        atMin={findAfterMin(run)}
      />
    );
  });
}
