"use client";

import { useDrag } from "@use-gesture/react";
import { memo, useState } from "react";
import type { DayTask } from "@/core/plan";
import { formatClock } from "@/core/units";
import { BY_POINTER, scaleOf } from "./byPointer";

/** A bar this wide holds a letter, or a large figure; each letter of a note is so wide. */
const LETTER_FROM = 11;
const FIGURE_FROM = 14;
const NOTE_LETTER = 7.6;
/** A job is dragged by whole steps of this, min. */
export const PIN_STEP_MIN = 5;
/** A finger that moves less than this only touches, drawing units. */
const TOUCH_SLIP = 6;

interface Props {
  readonly task: DayTask;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly perMin: number;
  readonly fill: string;
  readonly text: string;
  readonly note: string;
  readonly isSelected: boolean;
  readonly isPinned: boolean;
  /** It decides when the chosen job is ready. */
  readonly isCritical: boolean;
  /** So many minutes earlier it could be. */
  readonly freeMin: number;
  /** The one that the tabulator key comes to; from it the arrows lead to the others. */
  readonly isStop: boolean;
  readonly onSelect: (taskId: string) => void;
  readonly onPin: (task: DayTask, startMin: number) => void;
}

/** One job in its lane: touch it for its figures, drag it or turn it by the arrows to pin it to another minute. */
export const DayBar = memo(function DayBar(props: Props) {
  const { task, x, y, width, height, perMin, fill, isSelected, isPinned, isCritical, freeMin } = props;
  const { startMin, endMin } = task.placed;
  const drag = useJobDrag(task, perMin, props.onSelect, props.onPin);
  const moved = drag.byMin * perMin;
  const slack = task.slackMin * perMin;
  const keys = (event: React.KeyboardEvent) => {
    if (event.key === "Enter" || event.key === " ") props.onSelect(task.id);
    const step = event.key === "ArrowLeft" ? -PIN_STEP_MIN : event.key === "ArrowRight" ? PIN_STEP_MIN : 0;
    if (step === 0) return;
    event.preventDefault();
    props.onSelect(task.id);
    props.onPin(task, startMin + step);
  };
  return (
    <g
      role="button"
      tabIndex={props.isStop ? 0 : -1}
      data-job={task.id}
      aria-pressed={isSelected}
      aria-label={`${task.label}, ${formatClock(startMin)} to ${formatClock(endMin)}${isPinned ? ", pinned" : ""}`}
      className="cursor-grab touch-none"
      onKeyDown={keys}
      {...drag.handlers}
    >
      {freeMin > 0 && (
        <line
          x1={x - freeMin * perMin}
          x2={x}
          y1={y + height - 3}
          y2={y + height - 3}
          stroke="var(--color-primary)"
          strokeWidth="3"
          strokeDasharray="2 3"
        />
      )}
      <g transform={moved === 0 ? undefined : `translate(${moved} 0)`} opacity={moved === 0 ? 1 : 0.75}>
        <rect
          x={x + 0.5}
          y={y}
          width={Math.max(width - 1, 1.5)}
          height={height}
          rx="2.5"
          fill={fill}
          stroke={isSelected || isCritical ? "var(--color-primary)" : "var(--dough-line)"}
          strokeWidth={isSelected ? 3 : isCritical ? 2.5 : 1}
        />
        {slack > 0 && (
          <rect
            x={x + width - slack}
            y={y + 1}
            width={Math.max(slack - 1, 0)}
            height={height - 2}
            fill="url(#not-yet)"
          />
        )}
        <BarText {...props} />
        {isPinned && (
          <circle
            cx={x + Math.min(width / 2, 8)}
            cy={y + 7}
            r="5"
            fill="var(--color-primary)"
            stroke="none"
          />
        )}
        {moved !== 0 && (
          <text className="figure" x={x} y={y - 5} fontSize="16" fontWeight="700">
            {formatClock(startMin + drag.byMin)}
          </text>
        )}
      </g>
    </g>
  );
});

function BarText({ x, y, width, height, text, note }: Props) {
  // A note that does not fit leaves its room to the figure.
  const fits = note !== "" && width >= note.length * NOTE_LETTER;
  // Two narrow bars side by side must not read as one figure.
  const isLarge = note !== "" && width >= FIGURE_FROM * text.length;
  return (
    <>
      {width >= LETTER_FROM * Math.max(text.length, 1) && (
        <text
          className="figure"
          x={x + width / 2}
          y={y + height / 2 - (fits ? 8 : 0)}
          fontSize={isLarge ? 20 : 13}
          textAnchor="middle"
          dominantBaseline="central"
        >
          {text}
        </text>
      )}
      {fits && (
        <text x={x + width / 2} y={y + height / 2 + 15} fontSize="13" textAnchor="middle">
          {note}
        </text>
      )}
    </>
  );
}

/** Dragging along the clock, in whole steps; a touch that hardly moves selects, one that is cancelled lets go. */
function useJobDrag(task: DayTask, perMin: number, onSelect: Props["onSelect"], onPin: Props["onPin"]) {
  const [byMin, setByMin] = useState(0);
  const toStep = (units: number) =>
    Math.abs(units) < TOUCH_SLIP ? 0 : Math.round(units / perMin / PIN_STEP_MIN) * PIN_STEP_MIN;
  const bind = useDrag(({ movement: [movedPx], last, event, memo: scale = scaleOf(event) }) => {
    const step = toStep(movedPx / scale);
    setByMin(last ? 0 : step);
    if (last && event.type !== "pointercancel") {
      onSelect(task.id);
      if (step !== 0) onPin(task, roundToStep(task.placed.startMin + step));
    }
    return scale;
  }, BY_POINTER);
  return { byMin, handlers: bind() };
}

const roundToStep = (minute: number) => Math.round(minute / PIN_STEP_MIN) * PIN_STEP_MIN;
