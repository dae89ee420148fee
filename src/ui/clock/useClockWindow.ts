"use client";

import { useCallback, useMemo, useState } from "react";
import type { DayPlan } from "@/core/plan";
import { placeWindow, reveal, WORKING_ZOOM, ZOOMS, zoomTo, type ClockWindow } from "./clockWindow";
import { CLOCK_PAD, CLOCK_WIDTH, findDaySpan } from "./dayLanes";

/** What is seen of the day's clock, and how it is moved. */
export interface ClockView {
  readonly day: ClockWindow;
  readonly window: ClockWindow;
  readonly zoom: number;
  readonly widthPx: number;
  readonly setWidthPx: (widthPx: number) => void;
  readonly zoomBy: (steps: number) => void;
  /** To another beginning, as wide as it is. */
  readonly moveTo: (fromMin: number) => void;
  /** Until these minutes are in it. */
  readonly show: (fromMin: number, untilMin: number) => void;
  /** As close as these minutes allow: what is joined there comes apart. */
  readonly open: (fromMin: number, untilMin: number) => void;
}

/**
 * The window over the clock of a day. It begins at `firstMin`; the day may grow and shrink under it.
 * @param firstMin - What is worth seeing first: now, or the first light.
 */
export function useClockWindow({ schedule }: DayPlan, firstMin: number): ClockView | null {
  const [widthPx, setWidthPx] = useState(CLOCK_WIDTH);
  const [zoom, setZoom] = useState<number>(WORKING_ZOOM);
  const [fromMin, setFromMin] = useState(firstMin);
  const day = useMemo(() => schedule && findDaySpan(schedule), [schedule]);
  const spanAt = useCallback(
    (level: number) => (widthPx - 2 * CLOCK_PAD) / (ZOOMS[level] ?? ZOOMS[WORKING_ZOOM]),
    [widthPx],
  );
  const window = useMemo(() => day && placeWindow(day, fromMin, spanAt(zoom)), [day, fromMin, spanAt, zoom]);
  return useMemo(() => {
    if (!day || !window) return null;
    const zoomAt = (level: number, about: ClockWindow) => {
      setZoom(level);
      setFromMin(zoomTo(day, about, spanAt(level)).fromMin);
    };
    return {
      ...{ day, window, zoom, widthPx, setWidthPx },
      zoomBy: (steps: number) => zoomAt(Math.max(0, Math.min(zoom + steps, ZOOMS.length - 1)), window),
      moveTo: setFromMin,
      show: (from: number, until: number) => setFromMin(reveal(day, window, from, until).fromMin),
      open(from: number, until: number) {
        const fits = ZOOMS.findLastIndex((_, level) => spanAt(level) >= until - from);
        zoomAt(Math.max(fits, Math.min(zoom + 1, ZOOMS.length - 1)), { fromMin: from, toMin: until });
      },
    };
  }, [day, window, zoom, widthPx, spanAt]);
}
