"use client";

import { useRouter } from "next/navigation";
import { Suspense, useState, type ReactNode } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { stations } from "@/core/plan";
import { useBench } from "../bench/BenchProvider";
import { BenchStrip } from "./BenchStrip";
import { BookDrawer } from "./BookDrawer";
import { CommandList } from "./CommandList";
import { ConflictDialog } from "./ConflictDialog";
import { Header } from "./Header";
import { KeysDialog } from "./KeysDialog";
import { Tally } from "./Tally";

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

  useHotkeys("1,2,3,4,5,6,7", (_, { keys }) => {
    const station = stations[Number(keys?.[0]) - 1];
    if (station) router.push(`/day/${date}/${station}${window.location.search}`);
  });
  useHotkeys("slash,mod+k", () => setPanel("find"), { preventDefault: true });
  useHotkeys("shift+slash,?", () => setPanel("keys"), { useKey: true });
  useHotkeys("b", () => setPanel("book"));
  useHotkeys("mod+z", undo, { preventDefault: true });
  useHotkeys("mod+shift+z,mod+y", redo, { preventDefault: true });

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
