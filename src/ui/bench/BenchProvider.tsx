"use client";

import { createContext, useContext, useEffect, useState, type ReactNode } from "react";
import { useStore } from "zustand";
import type { DayPlan } from "@/core/plan";
import type { Formula } from "@/schemas/model";
import type { StoredRecord } from "@/schemas/recordKinds";
import { createPlanClient, type PlanClient } from "@/workers/createPlanClient";
import { createBenchStore, type BenchState, type SaveChanges } from "./benchStore";

type BenchStore = ReturnType<typeof createBenchStore>;

const BenchContext = createContext<BenchStore | null>(null);

interface Props {
  readonly date: string;
  readonly records: readonly StoredRecord[];
  readonly formulasThen: readonly Formula[];
  readonly plan: DayPlan;
  readonly nowMin: number | null;
  readonly saveChanges: SaveChanges;
  readonly children: ReactNode;
}

/** Holds the open day for every screen below, and its planner's worker. */
export function BenchProvider({ children, ...input }: Props) {
  const [store] = useState(() => {
    let client: PlanClient | null = null;
    return createBenchStore({
      ...input,
      planBook: (book) => {
        client ??= createPlanClient();
        return client.run(book);
      },
      clock: () => new Date(),
    });
  });

  useEffect(() => {
    // What waits is sent when the page is put away; what cannot be sent is warned about.
    const saveNow = () => void store.getState().flush();
    const warn = (event: BeforeUnloadEvent) => {
      if (store.getState().save.kind !== "saved") {
        saveNow();
        event.preventDefault();
      }
    };
    // A page brought back by the browser's memory shows what was then: load it anew.
    const reloadIfRestored = (event: PageTransitionEvent) => event.persisted && window.location.reload();
    window.addEventListener("pageshow", reloadIfRestored);
    document.addEventListener("visibilitychange", saveNow);
    window.addEventListener("beforeunload", warn);
    return () => {
      window.removeEventListener("pageshow", reloadIfRestored);
      document.removeEventListener("visibilitychange", saveNow);
      window.removeEventListener("beforeunload", warn);
    };
  }, [store]);

  return <BenchContext value={store}>{children}</BenchContext>;
}

/** A part of the open day; the component draws anew when that part changes. */
export function useBench<T>(select: (state: BenchState) => T): T {
  const store = useContext(BenchContext);
  if (!store) throw new Error("useBench stands outside a BenchProvider");
  return useStore(store, select);
}
