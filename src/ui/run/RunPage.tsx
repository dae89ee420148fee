"use client";

import { useEffect, useState } from "react";
import { useStore } from "zustand";
import { readDayMin, type DayClock } from "@/time/dayClock";
import { namePage, readPageId, readPlace } from "../live/neighbours";
import { openLine } from "../live/openLine";
import { keepPage } from "./keepPage";
import { NotRun, Waiting } from "./NotRun";
import { openRun } from "./openRun";
import { RunFace } from "./RunFace";
import type { RunStore } from "./runStore";
import { readSinceTold } from "./sinceTold";

/** How often the clock, and what others did, is looked at, ms. */
const TICK_MS = 2000;

interface Props {
  readonly date: string;
  readonly clock: DayClock;
}

/** A running day: opened in the browser, since all it knows is there or on its way. */
export function RunPage({ date, clock }: Props) {
  const [opened, setOpened] = useState<Opened | null>(null);
  useEffect(() => {
    const [sinceMs, openedMs] = [readSinceTold(clock, Date.now()), performance.now()];
    const nowMin = () => readDayMin(date, clock, sinceMs + performance.now() - openedMs);
    const store = openRun(date, nowMin);
    // Opened by an effect, as the device's box and worker are the browser's own.
    queueMicrotask(() => setOpened({ store, nowMin }));
    void store.getState().start().then(keepPage);
    const tick = () => void store.getState().tick();
    const timer = setInterval(tick, TICK_MS);
    const closeLine = openLine(
      { deviceId: readPageId(), name: namePage(), at: readPlace },
      // What happens has marks of its own: the store asks by them.
      { readMark: () => ({ epoch: "", revision: 0 }), onNews: tick, onHappened: tick },
    );
    const askBeforeLeaving = (event: BeforeUnloadEvent) => {
      const { isKeptHere, waiting } = store.getState();
      if (!isKeptHere && waiting > 0) event.preventDefault();
    };
    window.addEventListener("beforeunload", askBeforeLeaving);
    window.addEventListener("online", tick);
    document.addEventListener("visibilitychange", tick);
    return () => {
      clearInterval(timer);
      closeLine();
      window.removeEventListener("beforeunload", askBeforeLeaving);
      window.removeEventListener("online", tick);
      document.removeEventListener("visibilitychange", tick);
    };
  }, [date, clock]);
  return opened ? <Phases date={date} {...opened} /> : <Waiting text="The day is being opened…" />;
}

interface Opened {
  readonly store: RunStore;
  readonly nowMin: () => number;
}

function Phases({ date, store, nowMin }: Opened & { readonly date: string }) {
  const phase = useStore(store, (state) => state.phase);
  if (phase === "running") return <RunFace store={store} nowMin={nowMin} />;
  if (phase === "failed")
    return <Waiting text="Tezgah does not answer. It is asked again every 2 seconds." />;
  if (phase === "notRun") return <NotRun date={date} />;
  return <Waiting text="The day is being opened…" />;
}
