"use client";

import { useEffect, useState } from "react";
import type { DayPlan } from "@/core/plan";
import { explainStart } from "@/core/schedule";

const NOTHING_YET: ReadonlyMap<string, number> = new Map();

/** A plan that another follows at once, as a dial is turned, is not asked about, ms. */
const AFTER_QUIET_MS = 300;

/**
 * Minutes by which each load could be earlier. Of jobs by hand it is said when they are chosen. One load after the
 * other between frames, so that a dial that moves never waits for all of them.
 */
export function useFreeMinutes(plan: DayPlan): ReadonlyMap<string, number> {
  const [found, setFound] = useState({ plan, freeOf: NOTHING_YET });
  useEffect(() => {
    const { problem, schedule, tasks } = plan;
    if (!problem || !schedule) return;
    const loads = tasks.filter(({ machineId }) => machineId !== null);
    const freeOf = new Map<string, number>();
    let timer: ReturnType<typeof setTimeout>;
    const next = () => {
      const load = loads[freeOf.size];
      if (!load) return setFound({ plan, freeOf });
      freeOf.set(load.id, explainStart(problem, schedule, load.id)?.freeMin ?? 0);
      timer = setTimeout(next);
    };
    timer = setTimeout(next, AFTER_QUIET_MS);
    return () => clearTimeout(timer);
  }, [plan]);
  return found.plan === plan ? found.freeOf : NOTHING_YET;
}
