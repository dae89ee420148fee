"use client";

import { useEffect, useState } from "react";
import { useBenchShell } from "../bench/BenchProvider";

/** A plan that takes longer than this is said to be on its way, ms: until then the eye takes it for at once. */
export const BEHIND_AFTER_MS = 100;

/** The figures that are shown are not those of what was typed: these are being worked out. */
export function useIsBehind(): boolean {
  // The clock goes on and a worker warms up: a plan of the same records is not of before.
  const isWorking = useBenchShell(
    ({ planner, plannedRecords, records }) => planner.kind === "working" && plannedRecords !== records,
  );
  const [isBehind, setIsBehind] = useState(false);
  if (!isWorking && isBehind) setIsBehind(false);
  useEffect(() => {
    if (!isWorking) return;
    const timer = setTimeout(() => setIsBehind(true), BEHIND_AFTER_MS);
    return () => clearTimeout(timer);
  }, [isWorking]);
  return isWorking && isBehind;
}
