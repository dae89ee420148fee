"use client";

import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical } from "lucide-react";
import { tellStep, type Piece, type PiecePlan } from "@/core/plan";
import { formatClock, formatDuration } from "@/core/units";
import { factsOf, type WayStep } from "@/core/way";
import { useBench, usePicked } from "../bench/BenchProvider";
import type { StepTime } from "./wayClock";

interface Props {
  readonly step: WayStep;
  readonly time: StepTime;
  readonly piece: Piece;
  readonly line: PiecePlan | null;
  readonly isPicked: boolean;
  /** Done in one go with the step before: the same minute is not said twice. */
  readonly isSameMinute: boolean;
  readonly onPick: () => void;
}

/** What of the way a step is: hands, cold, heat, or told for later. */
function findTone({ kind }: WayStep): string {
  const { pass } = factsOf(kind);
  if (pass === "heat" || pass === "door") return "border-accent rounded-md";
  if (kind === "chill" || kind === "freeze" || kind === "restFlat" || kind === "takeOut")
    return "border-info rounded-full";
  if (pass === "told") return "border-base-300 rounded-full";
  return "border-base-content rounded-full";
}

/** One step of the way: its minute, what is done with which figures, how long; and before it what may not wait. */
export function StepRow({ step, time, piece, line, isPicked, isSameMinute, onPick }: Props) {
  const { book } = usePicked("book");
  const shaped = useBench((state) => state.plan.shaped[piece.id]) ?? null;
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: step.id,
  });
  const told = tellStep(step, piece, line?.shaped ?? shaped, line, book);
  const { pass } = factsOf(step.kind);
  const isHands = pass === "hands" || pass === "dough" || pass === "door" || pass === "side";
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={isDragging ? "relative z-10 opacity-80" : ""}
    >
      {step.mostWaitMin !== null && (
        <p className="ml-[7.1rem] text-sm text-accent">
          {pass === "heat" ? "straight before the heat, " : ""}
          {formatDuration(step.mostWaitMin)} at most
        </p>
      )}
      <div
        className={`flex items-center rounded-xl border-2 ${isPicked ? "border-primary bg-base-100" : "border-transparent"}`}
      >
        <button
          type="button"
          aria-pressed={isPicked}
          className="flex min-h-11 min-w-0 flex-1 cursor-pointer items-center gap-3 px-2 text-left"
          onClick={onPick}
        >
          <span className="figure w-14 shrink-0 text-right text-lg">
            {time.atMin === null || isSameMinute ? "" : formatClock(time.atMin)}
          </span>
          <span aria-hidden className="relative flex self-stretch">
            {/* The thread from step to step. */}
            <span className="absolute -inset-y-2 left-1/2 w-1 -translate-x-1/2 bg-base-300" />
            <span className={`relative my-auto size-5 shrink-0 border-4 bg-base-100 ${findTone(step)}`} />
          </span>
          <span className="min-w-0 flex-1">
            <span className="figure text-xl font-medium">{told.name}</span>{" "}
            <span className="quiet">{told.detail}</span>
          </span>
          <span className="quiet shrink-0 text-right text-sm">
            {time.handsMin !== null && isHands
              ? formatHands(time.handsMin)
              : pass === "stand" || pass === "cool" || pass === "heat"
                ? "by itself"
                : ""}
          </span>
        </button>
        <button
          type="button"
          className="touch cursor-grab touch-none px-3"
          {...attributes}
          {...listeners}
          aria-label={`Move ${told.name}`}
        >
          <GripVertical size={18} aria-hidden className="quiet" />
        </button>
      </div>
    </li>
  );
}

const formatHands = (minutes: number): string =>
  minutes === 0
    ? ""
    : minutes < 1
      ? `${Math.max(Math.round(minutes * 60), 1)} s`
      : formatDuration(Math.round(minutes));
