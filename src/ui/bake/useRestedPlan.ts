"use client";

import { startTransition, useCallback, useEffect, useRef, useState } from "react";
import type { DayPlan } from "@/core/plan";

/** A plan that another follows within so long, as a dial is turned, is not drawn, ms. */
export const DRAWN_AFTER_MS = 200;

interface Rested {
  /** What is to be drawn: the newest plan once the dials rest, and the one before until then. */
  readonly drawnPlan: DayPlan;
  /** The next plan is an answer to the drawing itself: it is drawn without waiting. */
  readonly drawNext: () => void;
}

/**
 * The plan for a drawing of hundreds of parts, which takes longer than a frame however little of it changes. While a
 * dial is turned the figures follow it, and the drawing stands until the dial rests.
 */
export function useRestedPlan(plan: DayPlan): Rested {
  const [drawnPlan, setDrawnPlan] = useState(plan);
  const isAwaited = useRef(false);
  useEffect(() => {
    const draw = () => {
      isAwaited.current = false;
      startTransition(() => setDrawnPlan(plan));
    };
    const timer = setTimeout(draw, isAwaited.current ? 0 : DRAWN_AFTER_MS);
    return () => clearTimeout(timer);
  }, [plan]);
  const drawNext = useCallback(() => {
    isAwaited.current = true;
  }, []);
  return { drawnPlan, drawNext };
}
