"use client";

import { useEffect, useState } from "react";
import { useStore } from "zustand";
import { readDayMin, type DayClock } from "@/time/dayClock";
import { NotRun, Waiting } from "./NotRun";
import { openRun } from "./openRun";
import { RunFace } from "./RunFace";
import type { RunStore } from "./runStore";

/** How often the clock, and what others did, is looked at, ms. */
const TICK_MS = 2000;

interface Props {
  readonly date: string;
  readonly clock: DayClock;
}

/** A running day: opened in the browser, since all it knows is there or on its way. */
export function RunPage({ date, clock }: Props) {
  const [store, setStore] = useState<RunStore | null>(null);
  useEffect(() => {
    const opened = openRun(date, clock);
    // Opened by an effect, as the device's box and worker are the browser's own.
    queueMicrotask(() => setStore(opened));
    void opened.getState().start();
    const tick = () => void opened.getState().tick();
    const timer = setInterval(tick, TICK_MS);
    window.addEventListener("online", tick);
    document.addEventListener("visibilitychange", tick);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", tick);
      document.removeEventListener("visibilitychange", tick);
    };
  }, [date, clock]);
  return store ? (
    <Phases date={date} clock={clock} store={store} />
  ) : (
    <Waiting text="The day is being opened…" />
  );
}

function Phases({ date, clock, store }: Props & { readonly store: RunStore }) {
  const phase = useStore(store, (state) => state.phase);
  const [openedMs] = useState(() => performance.now());
  if (phase === "running")
    return <RunFace store={store} nowMin={() => readDayMin(date, clock, performance.now() - openedMs)} />;
  if (phase === "failed")
    return <Waiting text="Tezgah does not answer. It is asked again every 2 seconds." />;
  if (phase === "notRun") return <NotRun date={date} />;
  return <Waiting text="The day is being opened…" />;
}
