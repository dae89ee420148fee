"use client";

import { useEffect, useRef, useState } from "react";
import type { PartsRequest, TightProgress } from "@/core/cutting";
import { createTightClient, type TightClient } from "@/workers/createCutClient";

export interface TightSearch {
  /** The best so far; null before the first search. */
  readonly progress: TightProgress | null;
  readonly isRunning: boolean;
  readonly fault: string | null;
  start(request: PartsRequest): void;
  stop(): void;
}

/** How long a search runs unless it is stopped, ms. */
const BUDGET_MS = 12_000;

/** A tight search with its progress; ends with the component. */
export function useTightSearch(): TightSearch {
  const client = useRef<TightClient | null>(null);
  const [progress, setProgress] = useState<TightProgress | null>(null);
  const [isRunning, setRunning] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(
    () => () => {
      client.current?.close();
      client.current = null;
    },
    [],
  );
  const start = (request: PartsRequest) => {
    client.current ??= createTightClient();
    const running = client.current;
    setProgress(null);
    setFault(null);
    setRunning(true);
    running
      .search(request, BUDGET_MS, setProgress)
      .then((best) => {
        if (client.current !== running) return;
        if (best) setProgress(best);
        setRunning(false);
      })
      .catch((error: unknown) => {
        if (client.current !== running) return;
        setFault(error instanceof Error ? error.message : String(error));
        setRunning(false);
      });
  };
  return { progress, isRunning, fault, start, stop: () => client.current?.stop() };
}
