"use client";

import { useRouter } from "next/navigation";
import { Suspense, useRef, useState, type ReactNode } from "react";
import { stations, type Station } from "@/core/plan";
import { useBenchShell } from "../bench/BenchProvider";
import { useTellLoad } from "../live/useTellLoad";
import { BenchStrip } from "./BenchStrip";
import { Guide } from "./Guide";
import { Header } from "./Header";
import { LaterPanels, type PanelName } from "./LaterPanels";
import { Notices } from "./Notices";
import { Tally } from "./Tally";
import { useBenchKeys } from "./useBenchKeys";
import { useIsBehind } from "./useIsBehind";
import { useKeptFocus } from "./useKeptFocus";

interface Props {
  /** It is the first day of a demonstration. */
  readonly guide?: boolean;
  readonly children: ReactNode;
}

/** The bench: strip and ribbon above, the station's surface, the tally below. */
export function BenchShell({ guide, children }: Props) {
  const [panel, setPanel] = useState<PanelName | null>(null);
  const router = useRouter();
  const date = useBenchShell((state) => state.date);
  const undo = useBenchShell((state) => state.undo);
  const redo = useBenchShell((state) => state.redo);
  const isPlanned = useBenchShell((state) => state.plan !== null);
  useTellLoad(isPlanned);
  const isBehind = useIsBehind() && isPlanned;
  const close = () => setPanel(null);
  const surface = useRef<HTMLElement>(null);
  useKeptFocus(surface);

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
    <div className="flex min-h-dvh flex-col lg:h-dvh" data-behind={isBehind || undefined}>
      <a href="#surface" className="btn btn-primary absolute -top-20 left-2 z-50 focus:top-2">
        To the work surface
      </a>
      <Header
        onFind={() => setPanel("find")}
        onKeys={() => setPanel("keys")}
        onBook={() => setPanel("book")}
      />
      <Notices />
      {guide && <Guide />}
      {isPlanned ? (
        <Suspense>
          <BenchStrip />
        </Suspense>
      ) : (
        <EmptyStrip />
      )}
      <main
        ref={surface}
        id="surface"
        className="board min-h-0 flex-1 lg:overflow-hidden"
        aria-busy={!isPlanned}
      >
        {isPlanned ? (
          <Suspense>{children}</Suspense>
        ) : (
          <p className="quiet p-6">The day is being worked out…</p>
        )}
      </main>
      {isPlanned && (
        <div className="sticky bottom-0 z-10">
          <Tally />
        </div>
      )}
      <LaterPanels open={panel === "find" && !isPlanned ? null : panel} onClose={close} />
    </div>
  );
}

/** The strip's place while the first plan is worked out: nothing jumps when it comes. */
function EmptyStrip() {
  return (
    <div className="overflow-hidden bg-(--steel)" aria-hidden>
      <div className="grid min-w-[1060px] grid-cols-7">
        {stations.map((station) => (
          <div key={station} className="h-[88px] border-l border-base-300 first:border-l-0" />
        ))}
      </div>
    </div>
  );
}
