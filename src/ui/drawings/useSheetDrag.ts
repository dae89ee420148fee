"use client";

import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import type { BoxMm } from "@/core/shape";

interface DragInput {
  readonly sheet: BoxMm;
  readonly limit: BoxMm;
  readonly onDrag: (sheet: BoxMm) => void;
}

/** Sheets are rolled to the whole centimetre at best by hand: the handle moves in steps of 5 mm. */
const STEP_MM = 5;
const LEAST_MM = 100;

/** Pulling a sheet's corner: pointer and arrow keys, in mm of the drawing. */
export function useSheetDrag({ sheet, limit, onDrag }: DragInput) {
  const start = useRef<{ x: number; y: number; sheet: BoxMm; mmPerPx: number } | null>(null);
  const [dragging, setDragging] = useState(false);
  const set = (widthMm: number, heightMm: number) => {
    const next = { widthMm: toStep(widthMm, limit.widthMm), heightMm: toStep(heightMm, limit.heightMm) };
    if (next.widthMm !== sheet.widthMm || next.heightMm !== sheet.heightMm) onDrag(next);
  };
  return {
    dragging,
    handlers: {
      onPointerDown(event: PointerEvent<SVGElement>) {
        const svg = event.currentTarget.ownerSVGElement;
        const scale = svg?.getScreenCTM()?.a;
        if (!scale) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        start.current = { x: event.clientX, y: event.clientY, sheet, mmPerPx: 1 / scale };
        setDragging(true);
      },
      onPointerMove(event: PointerEvent<SVGElement>) {
        const from = start.current;
        if (!from) return;
        set(
          from.sheet.widthMm + (event.clientX - from.x) * from.mmPerPx,
          from.sheet.heightMm + (event.clientY - from.y) * from.mmPerPx,
        );
      },
      onPointerUp() {
        start.current = null;
        setDragging(false);
      },
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
