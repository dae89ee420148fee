"use client";

import { useDrag } from "@use-gesture/react";
import { Minus, Plus } from "lucide-react";
import { memo, useRef, type KeyboardEvent } from "react";
import type { DayPlan } from "@/core/plan";
import { formatClock } from "@/core/units";
import { BY_POINTER } from "../drawings/byPointer";
import { ZOOMS } from "./clockWindow";
import { findLaneOwners } from "./dayLanes";
import type { ClockView } from "./useClockWindow";

/** A row of the strip, and what is above the first, px. */
const ROW = 10;
const AXIS = 16;
/** The drawing's own units across; it is stretched to its place. */
const WIDE = 1000;
/** An arrow key moves the window by so much, min. */
const STEP_MIN = 15;

interface Props {
  readonly plan: DayPlan;
  readonly view: ClockView;
}

/** The whole day as a thin strip: what is seen below is a window in it, drawn along, moved by arrows, wider or narrower. */
export const DayStrip = memo(function DayStrip({ plan, view }: Props) {
  const { day, window, zoom, moveTo, zoomBy } = view;
  const strip = useRef<HTMLDivElement>(null);
  const { machines, people } = findLaneOwners(plan);
  const [span, seen] = [day.toMin - day.fromMin, window.toMin - window.fromMin];
  const share = (minutes: number) => `${(100 * minutes) / span}%`;
  const height = AXIS + (machines.length + people) * ROW + 4;
  const bind = useDrag(({ xy: [px], first, event, memo: held }) => {
    const box = strip.current?.getBoundingClientRect();
    if (!box || box.width === 0) return held as number | undefined;
    const minute = day.fromMin + ((px - box.left) / box.width) * span;
    // Taken hold of outside it, the window comes to the finger.
    const isIn = minute >= window.fromMin && minute <= window.toMin;
    const offset = first || typeof held !== "number" ? (isIn ? minute - window.fromMin : seen / 2) : held;
    moveTo(Math.round(minute - offset));
    event.preventDefault();
    return offset;
  }, BY_POINTER);
  const keys = (event: KeyboardEvent) => {
    const to = {
      ArrowLeft: window.fromMin - STEP_MIN,
      ArrowRight: window.fromMin + STEP_MIN,
      PageUp: window.fromMin - seen,
      PageDown: window.fromMin + seen,
      Home: day.fromMin,
      End: day.toMin,
    }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    moveTo(to);
  };
  const hours = Array.from(
    { length: Math.ceil(span / 60) + 1 },
    (_, i) => Math.ceil(day.fromMin / 60) * 60 + i * 60,
  );
  return (
    <div className="flex items-center gap-2">
      <div ref={strip} className="relative min-w-0 flex-1 cursor-pointer touch-pan-y select-none" {...bind()}>
        <svg
          viewBox={`0 0 ${WIDE} ${height}`}
          preserveAspectRatio="none"
          className="block w-full"
          style={{ height }}
          aria-hidden
        >
          {plan.tasks.map(({ id, machineId, person, placed }) => {
            const row =
              machineId === null
                ? machines.length + person
                : machines.findIndex((each) => each.id === machineId);
            return (
              <rect
                key={id}
                x={((placed.startMin - day.fromMin) / span) * WIDE}
                y={AXIS + row * ROW}
                width={Math.max(((placed.endMin - placed.startMin) / span) * WIDE - 1, 1)}
                height={ROW - 3}
                fill={machineId === null ? "var(--filling)" : "var(--heat)"}
                opacity="0.75"
              />
            );
          })}
        </svg>
        {hours
          .filter((minute) => minute < day.toMin)
          .map((minute) => (
            <span
              key={minute}
              aria-hidden
              className="figure absolute top-0 border-l border-base-300 pl-1 text-xs"
              style={{ left: share(minute - day.fromMin), height }}
            >
              {span > MOST_HOURS_MIN && (minute / 60) % 2 === 1 ? "" : formatClock(minute).slice(0, 2)}
            </span>
          ))}
        <div
          role="slider"
          tabIndex={0}
          aria-label="Seen of the day"
          aria-valuemin={day.fromMin}
          aria-valuemax={Math.round(day.toMin - seen)}
          aria-valuenow={Math.round(window.fromMin)}
          aria-valuetext={`${formatClock(window.fromMin)} to ${formatClock(window.toMin)}`}
          className="absolute -bottom-0.5 top-0 rounded-md border-3 border-primary bg-primary/10"
          style={{ left: share(window.fromMin - day.fromMin), width: share(seen), minWidth: 44 }}
          onKeyDown={keys}
        />
      </div>
      <button
        type="button"
        className="btn touch px-3"
        aria-label="See more of the day"
        disabled={zoom === 0}
        onClick={() => zoomBy(-1)}
      >
        <Minus size={20} aria-hidden />
      </button>
      <button
        type="button"
        className="btn touch px-3"
        aria-label="Look closer"
        disabled={zoom === ZOOMS.length - 1}
        onClick={() => zoomBy(1)}
      >
        <Plus size={20} aria-hidden />
      </button>
    </div>
  );
});

/** A longer day has every second hour written, min. */
const MOST_HOURS_MIN = 14 * 60;
