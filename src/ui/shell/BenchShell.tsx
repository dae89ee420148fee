"use client";

import { useRouter } from "next/navigation";
import { Suspense, useState, type ReactNode } from "react";
import { stations, type Station } from "@/core/plan";
import { useBench } from "../bench/BenchProvider";
import { BenchStrip } from "./BenchStrip";
import { BookDrawer } from "./BookDrawer";
import { CommandList } from "./CommandList";
import { ConflictDialog } from "./ConflictDialog";
import { Header } from "./Header";
import { KeysDialog } from "./KeysDialog";
import { Tally } from "./Tally";
import { useBenchKeys } from "./useBenchKeys";

type Panel = "find" | "keys" | "book" | null;

/** The bench: strip and ribbon above, the station's surface, the tally below. */
export function BenchShell({
  dates,
  children,
}: {
  readonly dates: readonly DayName[];
  readonly children: ReactNode;
}) {
  const [panel, setPanel] = useState<Panel>(null);
  const router = useRouter();
  const date = useBench((state) => state.date);
  const { undo, redo } = useBench((state) => state);
  const close = () => setPanel(null);

  const goTo = (station: Station) => () => router.push(`/day/${date}/${station}${window.location.search}`);
  useBenchKeys({
    signs: {
      ...Object.fromEntries(stations.map((station, i) => [String(i + 1), goTo(station)])),
      "/": () => setPanel("find"),
      "?": () => setPanel("keys"),
      b: () => setPanel("book"),
    },
    undo,
    redo,
    find: () => setPanel("find"),
  });

  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      <a href="#surface" className="btn btn-primary absolute -top-20 left-2 z-50 focus:top-2">
        To the work surface
      </a>
      <Header
        onFind={() => setPanel("find")}
        onKeys={() => setPanel("keys")}
        onBook={() => setPanel("book")}
      />
      <Suspense>
        <BenchStrip />
      </Suspense>
      <main id="surface" className="board min-h-0 flex-1 lg:overflow-hidden">
        <Suspense>{children}</Suspense>
      </main>
      <div className="sticky bottom-0 z-10">
        <Tally />
      </div>
      <CommandList open={panel === "find"} onClose={close} />
      <KeysDialog open={panel === "keys"} onClose={close} />
      <BookDrawer open={panel === "book"} onClose={close} dates={dates} />
      <ConflictDialog />
    </div>
  );
}

/** A day there is, for going to it. */
export interface DayName {
  readonly date: string;
  readonly name: string;
}
