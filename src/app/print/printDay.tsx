import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { PrintBar } from "@/ui/print/PrintBar";
import { guardFile } from "../fileGuard";
import { loadPlannedDay, type PlannedDay } from "../loadDay";

/** A sheet of a stored day, on paper's white, with a bar above it on the screen. */
export const printDay = (date: string, draw: (day: PlannedDay) => ReactNode): Promise<ReactNode> =>
  guardFile(async () => {
    const loaded = await loadPlannedDay(date);
    if (!loaded) notFound();
    return (
      <main data-theme="tezgah" className="min-h-dvh bg-white">
        <PrintBar date={date} />
        {loaded.ok ? (
          draw(loaded.value)
        ) : (
          <p className="p-6" role="alert">
            Tezgah is working out others first. Load this page again in a moment.
          </p>
        )}
      </main>
    );
  });
