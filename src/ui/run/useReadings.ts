import { useEffect, useRef, useState } from "react";
import type { HeatAt, PlacedReading } from "@/core/readings";

/** How often devices are asked for, ms; and how seldom while there are none. */
const ASK_MS = 1000;
const ASK_SELDOM_MS = 15_000;
/** So much of each thermometer's past is kept for its curve, min. */
const PAST_MIN = 12;

export interface Readings {
  readonly placed: readonly PlacedReading[];
  /** By source: what it said lately. */
  readonly past: ReadonlyMap<string, readonly HeatAt[]>;
}

const NONE: Readings = { placed: [], past: new Map() };

/** What the kitchen's devices say, asked again and again while the page is seen. A server that is away says nothing. */
export function useReadings(nowMin: () => number): Readings {
  const [readings, setReadings] = useState(NONE);
  const read = useRef(nowMin);
  useEffect(() => {
    read.current = nowMin;
  });
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    let isOver = false;
    const ask = async () => {
      const placed = document.visibilityState === "visible" ? await fetchPlaced() : [];
      if (isOver) return;
      const atMin = read.current();
      setReadings((before) => ({ placed, past: remember(before.past, placed, atMin) }));
      timer = setTimeout(() => void ask(), placed.length > 0 ? ASK_MS : ASK_SELDOM_MS);
    };
    void ask();
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, []);
  return readings;
}

async function fetchPlaced(): Promise<readonly PlacedReading[]> {
  try {
    const answer = await fetch("/api/v1/readings");
    return answer.ok ? ((await answer.json()) as { placed: PlacedReading[] }).placed : [];
  } catch {
    // What is not heard is not used: the taps go on without it.
    return [];
  }
}

function remember(
  past: Readings["past"],
  placed: readonly PlacedReading[],
  atMin: number,
): Map<string, readonly HeatAt[]> {
  const next = new Map(past);
  for (const reading of placed) {
    if (reading.state !== "fresh") continue;
    const { source } = reading.device;
    const kept = (next.get(source) ?? []).filter(
      (each) => atMin - each.atMin <= PAST_MIN && each.atMin < atMin,
    );
    next.set(source, [...kept, { atMin, heatC: reading.value }]);
  }
  return next;
}
