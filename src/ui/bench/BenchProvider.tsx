"use client";

import { createContext, useContext, useEffect, useState, type ReactNode } from "react";
import { useStore } from "zustand";
import { useShallow } from "zustand/react/shallow";
import type { DayPlan } from "@/core/plan";
import type { BenchState, DaySnapshot } from "./benchState";
import type { BenchStore } from "./benchStore";
import { keepOpenDay } from "../away/keepOpenDay";
import { namePage, neighbours, readPageId, readPlace } from "../live/neighbours";
import { openLine } from "../live/openLine";
import { openBench, renderBench } from "./openBench";
import { pickState } from "./pickState";
import { InHouse } from "../shell/InHouse";
import { commitTyped } from "./typedFields";

/** Where the screens below find the open day. */
export const BenchContext = createContext<BenchStore | null>(null);

/** How often the clock is looked at, ms. */
const TICK_MS = 10_000;

/** Gives the open day to every screen below. The day itself lives outside the page and outlasts it. */
export function BenchProvider({
  snapshot,
  children,
}: {
  readonly snapshot: DaySnapshot;
  readonly children: ReactNode;
}) {
  const [store] = useState(() =>
    typeof window === "undefined" ? renderBench(snapshot) : openBench(snapshot),
  );

  useEffect(() => {
    // What the router remembers may be older than what this page knows: it says so itself, and is passed over.
    store.getState().adopt(snapshot);
  }, [store, snapshot]);

  useEffect(() => {
    const { flush, refresh, tick, keepNow } = store.getState();
    const keepAll = () => {
      const untold = commitTyped();
      keepNow();
      return untold;
    };
    const onVisibility = () => {
      if (document.visibilityState === "hidden") {
        keepAll();
        void flush();
      } else {
        tick();
        void refresh();
      }
    };
    const onLeave = (event: BeforeUnloadEvent) => {
      // What is not saved is kept on the device, if it keeps anything; what breaks a rule would be lost.
      const untold = keepAll();
      const { isKeptHere, listWaiting } = store.getState();
      if (untold.length > 0 || (!isKeptHere && listWaiting().length > 0)) event.preventDefault();
      void flush();
    };
    const onShow = (event: PageTransitionEvent) => {
      if (event.persisted) void refresh();
    };
    const onOnline = () => void flush();
    const timer = setInterval(tick, TICK_MS);
    window.addEventListener("pageshow", onShow);
    window.addEventListener("pagehide", keepAll);
    window.addEventListener("beforeunload", onLeave);
    window.addEventListener("online", onOnline);
    document.addEventListener("visibilitychange", onVisibility);
    return () => {
      clearInterval(timer);
      window.removeEventListener("pageshow", onShow);
      window.removeEventListener("pagehide", keepAll);
      window.removeEventListener("beforeunload", onLeave);
      window.removeEventListener("online", onOnline);
      document.removeEventListener("visibilitychange", onVisibility);
    };
  }, [store]);

  useEffect(
    () =>
      openLine(
        { deviceId: readPageId(), name: namePage(), at: readPlace },
        {
          readMark: () => store.getState().readMark(),
          onNews: (news) => store.getState().hear(news),
          onNeighbours: (others) => neighbours.setState({ others }),
          onLink: (isLinked) => {
            // A server that is back is told at once what waits, however long the next try would take.
            if (isLinked && store.getState().save.kind === "offline") void store.getState().flush();
            neighbours.setState({ isLinked });
          },
        },
      ),
    [store],
  );

  useEffect(() => keepOpenDay(store), [store]);

  const kitchen = useStore(store, ({ book }) => book.kitchen);
  return (
    <BenchContext value={store}>
      <InHouse measures={kitchen}>{children}</InHouse>
    </BenchContext>
  );
}

/** The open day below the shell, where it is planned. */
export type PlannedState = BenchState & { readonly plan: DayPlan };

/** The open day itself, for what has to be asked or done outside of drawing. */
export function useBenchStore(): BenchStore {
  const store = useContext(BenchContext);
  if (!store) throw new Error("useBenchStore stands outside a BenchProvider");
  return store;
}

/** A part of the open day, also while its first plan is being worked out. */
export const useBenchShell = <T,>(select: (state: BenchState) => T): T => useStore(useBenchStore(), select);

/** A part of the open day; the component draws anew when that part changes. Stands only where the day is planned. */
export const useBench = <T,>(select: (state: PlannedState) => T): T =>
  useStore(useBenchStore(), (state) => select(state as PlannedState));

/** Several parts of the open day by name; the component draws anew when one of these changes, and for nothing else. */
export const usePicked = <K extends keyof PlannedState>(...names: readonly K[]): Pick<PlannedState, K> =>
  useStore(
    useBenchStore(),
    useShallow((state) => pickState<PlannedState, K>(names)(state as PlannedState)),
  );
