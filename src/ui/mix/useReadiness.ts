"use client";

import { useEffect, useRef, useState } from "react";
import type { Readiness, ReadinessRequest } from "@/core/heat";
import { createHeatClient, type HeatClient } from "@/workers/createHeatClient";

export interface ReadinessState {
  /** The newest answer; null until the first. */
  readonly readiness: Readiness | null;
  readonly isBusy: boolean;
  readonly fault: string | null;
}

/** When a piece of dough can be rolled, reckoned in a worker whenever the request changes. */
export function useReadiness(request: ReadinessRequest | null): ReadinessState {
  const client = useRef<HeatClient | null>(null);
  const [answer, setAnswer] = useState<{ key: string; readiness: Readiness } | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const key = request ? JSON.stringify(request) : "";
  useEffect(
    () => () => {
      client.current?.close();
      client.current = null;
    },
    [],
  );
  useEffect(() => {
    if (key === "") return;
    let gone = false;
    client.current ??= createHeatClient();
    client.current
      .run(JSON.parse(key) as ReadinessRequest)
      .then((readiness) => {
        if (readiness && !gone) setAnswer({ key, readiness });
      })
      .catch((error: unknown) => {
        if (!gone) setFault(error instanceof Error ? error.message : String(error));
      });
    return () => {
      gone = true;
    };
  }, [key]);
  return {
    readiness: answer?.readiness ?? null,
    isBusy: key !== "" && answer?.key !== key && fault === null,
    fault,
  };
}
