"use client";

import { useDrag } from "@use-gesture/react";
import { memo, useState } from "react";
import type { DayTask } from "@/core/plan";
import { formatClock } from "@/core/units";
import { fitWords } from "./fitWords";
import { BY_POINTER, scaleOf } from "../drawings/byPointer";
import type { JobWords } from "./joinJobs";

/** From this width on a bar is written across, px; a narrower one upwards. */
const ACROSS_FROM = 58;
/** A note stands in a bar of this height, px. */
const NOTE_FROM = 40;
/** A job is dragged by whole steps of this, min. */
export const PIN_STEP_MIN = 5;
/** A finger that moves less than this only touches, drawing units. */
const TOUCH_SLIP = 6;

interface Props {
  /** The first of those that the bar stands for. */
  readonly task: DayTask;
  /** As many are drawn as one: it is opened, not dragged. */
  readonly joined: number;
  readonly startMin: number;
  readonly endMin: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly perMin: number;
  readonly fill: string;
  readonly words: JobWords;
  readonly isSelected: boolean;
  /** It is pointed at, here or in the list. */
  readonly isHovered: boolean;
  readonly isPinned: boolean;
  /** It decides when the chosen job is ready. */
  readonly isCritical: boolean;
  /** So many minutes earlier it could be. */
  readonly freeMin: number;
  /** The one that the tabulator key comes to; from it the arrows lead to the others. */
  readonly isStop: boolean;
  readonly onSelect: (taskId: string) => void;
  readonly onHover: (taskId: string | null) => void;
  readonly onOpen: (fromMin: number, untilMin: number) => void;
  readonly onPin: (task: DayTask, startMin: number) => void;
  /** By so much from where it is, or where it is pinned. */
  readonly onShift: (task: DayTask, byMin: number) => void;
}

/**
 * One job in its lane, or several in one: touch it for its figures, drag it or turn it by the arrows to pin it to another
 * minute; a chosen one that stands for several is opened by another touch.
 */
export const DayBar = memo(function DayBar(props: Props) {
  const { task, joined, startMin, endMin, x, y, width, height, perMin, fill, words } = props;
  const { isSelected, isHovered, isPinned, isCritical, freeMin } = props;
  const drag = useJobDrag(props);
  const moved = drag.byMin * perMin;
  const slack = joined > 1 ? 0 : task.slackMin * perMin;
  const keys = (event: React.KeyboardEvent) => {
    if (event.key === "Enter" || event.key === " ") act(props);
    const step = event.key === "ArrowLeft" ? -PIN_STEP_MIN : event.key === "ArrowRight" ? PIN_STEP_MIN : 0;
    if (step === 0 || joined > 1) return;
    event.preventDefault();
    props.onSelect(task.id);
    props.onShift(task, step);
  };
  const what = joined > 1 ? `${words.title} ${words.note}, ${joined} jobs` : task.label;
  return (
    <g
      role="button"
      tabIndex={props.isStop ? 0 : -1}
      data-job={task.id}
      aria-pressed={isSelected}
      aria-label={`${what}, ${formatClock(startMin)} to ${formatClock(endMin)}${isPinned ? ", pinned" : ""}`}
      className={joined > 1 ? "cursor-pointer touch-none" : "cursor-grab touch-none"}
      onKeyDown={keys}
      onPointerEnter={() => props.onHover(task.id)}
      onPointerLeave={() => props.onHover(null)}
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
          x={x + 1}
          y={y}
          width={Math.max(width - 2, 1.5)}
          height={height}
          rx="5"
          fill={fill}
          stroke={isSelected || isCritical || isHovered ? "var(--color-primary)" : "var(--dough-line)"}
          strokeWidth={isSelected ? 3.5 : isHovered ? 3 : isCritical ? 2.5 : 1}
        />
        {slack > 0 && (
          <rect
            x={x + width - slack}
            y={y + 1}
            width={Math.max(slack - 1.5, 0)}
            height={height - 2}
            fill="url(#not-yet)"
          />
        )}
        <BarText {...props} />
        {isPinned && (
          <circle
            cx={x + Math.min(width / 2, 9)}
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

/** Height of its letters, px. */
const [TITLE_PX, NOTE_PX, SHORT_PX] = [15, 13, 12];
/** Beside its words, px. */
const MARGIN_PX = 6;

/** As many of its words as it has room for: across, or upwards where it is no wider than a finger. */
function BarText({ x, y, width, height, words: { title, short, note } }: Props) {
  const isAcross = width >= ACROSS_FROM;
  const hasNote = isAcross && note !== "" && height >= NOTE_FROM;
  const room = width - 4 - 1.5 * MARGIN_PX;
  return (
    <svg x={x + 2} y={y} width={Math.max(width - 4, 0)} height={height} aria-hidden>
      {isAcross ? (
        <>
          <text
            x={MARGIN_PX}
            y={hasNote ? height / 2 - 4 : height / 2 + 5}
            fontSize={TITLE_PX}
            fontWeight="700"
          >
            {fitWords(title, room, TITLE_PX)}
          </text>
          {hasNote && (
            <text x={MARGIN_PX} y={height / 2 + 14} fontSize={NOTE_PX}>
              {fitWords(note, room, NOTE_PX)}
            </text>
          )}
        </>
      ) : (
        <text
          transform={`translate(${(width - 4) / 2 + 4} ${height - 5}) rotate(-90)`}
          fontSize={SHORT_PX}
          fontWeight="700"
        >
          {fitWords(short, height - 2 * MARGIN_PX, SHORT_PX)}
        </text>
      )}
    </svg>
  );
}

function act({ task, joined, startMin, endMin, isSelected, onSelect, onOpen }: Props): void {
  if (joined > 1 && isSelected) onOpen(startMin, endMin);
  onSelect(task.id);
}

/** Dragging along the clock, in whole steps; a touch that hardly moves selects, one that is cancelled lets go. */
function useJobDrag(props: Props) {
  const { task, joined, perMin, onSelect, onPin } = props;
  const [byMin, setByMin] = useState(0);
  const toStep = (units: number) =>
    joined > 1 || Math.abs(units) < TOUCH_SLIP ? 0 : Math.round(units / perMin / PIN_STEP_MIN) * PIN_STEP_MIN;
  const bind = useDrag(({ movement: [movedPx], last, event, memo: scale = scaleOf(event) }) => {
    const step = toStep(movedPx / scale);
    setByMin(last ? 0 : step);
    if (last && event.type !== "pointercancel") {
      if (step === 0) act(props);
      else {
        onSelect(task.id);
        onPin(task, roundToStep(task.placed.startMin + step));
      }
    }
    return scale;
  }, BY_POINTER);
  return { byMin, handlers: bind() };
}

const roundToStep = (minute: number) => Math.round(minute / PIN_STEP_MIN) * PIN_STEP_MIN;
