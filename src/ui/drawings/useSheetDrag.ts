"use client";

import { useDrag } from "@use-gesture/react";
import { useState, type KeyboardEvent } from "react";
import type { BoxMm } from "@/core/shape";
import { BY_POINTER, scaleOf } from "./byPointer";

interface DragInput {
  readonly sheet: BoxMm;
  readonly limit: BoxMm;
  readonly onDrag: (sheet: BoxMm) => void;
}

/** Sheets are rolled to the whole centimetre at best by hand: the handle moves in steps of 5 mm. */
const STEP_MM = 5;
const LEAST_MM = 100;

/** What was taken hold of. */
interface Held {
  readonly sheet: BoxMm;
  readonly pxPerMm: number;
}

/** Pulling a sheet's corner: pointer and arrow keys, in mm of the drawing. */
export function useSheetDrag({ sheet, limit, onDrag }: DragInput) {
  const [dragging, setDragging] = useState(false);
  const set = (widthMm: number, heightMm: number) => {
    const next = { widthMm: toStep(widthMm, limit.widthMm), heightMm: toStep(heightMm, limit.heightMm) };
    if (next.widthMm !== sheet.widthMm || next.heightMm !== sheet.heightMm) onDrag(next);
  };
  const bind = useDrag(({ movement: [movedX, movedY], first, last, event, memo }) => {
    const held: Held = first ? { sheet, pxPerMm: scaleOf(event) } : (memo as Held);
    setDragging(!last);
    // Cancelled, as by a second finger, it is as it was taken hold of.
    if (event.type === "pointercancel") onDrag(held.sheet);
    else set(held.sheet.widthMm + movedX / held.pxPerMm, held.sheet.heightMm + movedY / held.pxPerMm);
    return held;
  }, BY_POINTER);
  return {
    dragging,
    handlers: {
      ...bind(),
      onKeyDown(event: KeyboardEvent<SVGElement>) {
        const steps: Record<string, readonly [number, number]> = {
          ArrowLeft: [-STEP_MM, 0],
          ArrowRight: [STEP_MM, 0],
          ArrowUp: [0, -STEP_MM],
          ArrowDown: [0, STEP_MM],
        };
        const step = steps[event.key];
        if (!step) return;
        event.preventDefault();
        set(sheet.widthMm + step[0], sheet.heightMm + step[1]);
      },
    },
  };
}

function toStep(lengthMm: number, mostMm: number): number {
  const stepped = Math.round(lengthMm / STEP_MM) * STEP_MM;
  return Math.min(Math.max(stepped, LEAST_MM), Math.floor(mostMm / STEP_MM) * STEP_MM);
}
