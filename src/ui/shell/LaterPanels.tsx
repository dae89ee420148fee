"use client";

import { lazy, Suspense, useEffect, useState, type ComponentType } from "react";
import { useBenchShell } from "../bench/BenchProvider";
import { Dialog } from "./Dialog";
import { untilThere } from "./untilThere";

interface PanelProps {
  readonly open: boolean;
  readonly onClose: () => void;
  readonly begunWith?: string;
}

const loads = {
  find: untilThere(() => import("./CommandList").then(({ CommandList }) => ({ default: CommandList }))),
  keys: untilThere(() => import("./KeysDialog").then(({ KeysDialog }) => ({ default: KeysDialog }))),
  book: untilThere(() => import("./BookDrawer").then(({ BookDrawer }) => ({ default: BookDrawer }))),
  conflict: untilThere(() =>
    import("./ConflictDialog").then(({ ConflictDialog }) => ({ default: ConflictDialog })),
  ),
};
export type PanelName = "find" | "keys" | "book";
const panels: Readonly<Record<PanelName, ComponentType<PanelProps>>> = {
  find: lazy(loads.find),
  keys: lazy(loads.keys),
  book: lazy(loads.book),
};
const Conflict = lazy(loads.conflict);

/** The page is seldom without anything to do for so long, ms. */
const FETCH_WITHIN_MS = 500;

/**
 * What opens over the bench. Its programme is not in the page's way: it is fetched when the page has nothing else to do,
 * so that it is there before it is asked for, and with no server too; lost on its way it is asked for again.
 */
export function LaterPanels({
  open,
  onClose,
}: {
  readonly open: PanelName | null;
  readonly onClose: () => void;
}) {
  const [opened, setOpened] = useState<readonly PanelName[]>([]);
  const hasConflict = useBenchShell((state) => state.conflict !== null);
  const isPlanned = useBenchShell((state) => state.plan !== null);
  // Whoever types before the list is there is not to type twice.
  const [typed, setTyped] = useState("");
  const waiting = (
    <input
      data-first
      className="input w-full"
      aria-label="Find"
      value={typed}
      onChange={({ target }) => setTyped(target.value)}
    />
  );
  const [hadConflict, setHadConflict] = useState(false);
  // Once opened they stay, closed: what had the focus before gets it back.
  if (open && !opened.includes(open)) setOpened([...opened, open]);
  if (hasConflict && !hadConflict) setHadConflict(true);
  useEffect(() => {
    if (!isPlanned) return;
    const fetchAll = () => Object.values(loads).forEach((load) => void load());
    const idle = requestIdleCallback(fetchAll, { timeout: FETCH_WITHIN_MS });
    return () => cancelIdleCallback(idle);
  }, [isPlanned]);
  return (
    <Suspense
      fallback={
        <Dialog open={open === "find"} onClose={onClose} title="Find">
          {waiting}
        </Dialog>
      }
    >
      {opened.map((name) => {
        const Panel = panels[name];
        return <Panel key={name} open={open === name} onClose={onClose} begunWith={typed} />;
      })}
      {hadConflict && <Conflict />}
    </Suspense>
  );
}
