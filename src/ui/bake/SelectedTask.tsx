"use client";

import {
  listDecks,
  nameHeld,
  signNames,
  type DayPlan,
  type DayTask,
  type PiecePlan,
  type Vessel,
} from "@/core/plan";
import { explainStart } from "@/core/schedule";
import { listHeats } from "@/core/way";
import { formatClock, formatCount, formatDuration, formatHeat, formatNumber } from "@/core/units";
import { useBench } from "../bench/BenchProvider";
import { PIN_STEP_MIN } from "../clock/DayBar";
import { describeStages } from "../piece/describePiece";

interface Props {
  readonly task: DayTask;
  readonly plan: DayPlan;
  readonly isPinned: boolean;
  readonly onPin: (task: DayTask, startMin: number) => void;
  readonly onShift: (task: DayTask, byMin: number) => void;
  readonly onUnpin: (taskId: string) => void;
}

/** The chosen job: its minutes, what holds it, and its pin. */
export function SelectedTask({ task, plan, isPinned, onPin, onShift, onUnpin }: Props) {
  const vessels = useBench((state) => state.book.vessels);
  const scale = useBench((state) => state.book.kitchen.ovenScale);
  const line = plan.lines.find(({ piece }) => piece.id === task.pieceId);
  const machine = plan.machines.find(({ id }) => id === task.machineId);
  const { startMin, endMin } = task.placed;
  return (
    <div className="flex min-w-0 flex-wrap items-start gap-x-4 gap-y-2">
      <p className="min-w-0 flex-1 basis-80" aria-live="polite">
        <strong>{task.label}</strong>: {formatClock(startMin)} to {formatClock(endMin)}
        {isPinned && ", pinned"}
        {machine && line && (
          <>
            , {formatCount(task.pieces, "piece")}, {machine.name.toLowerCase()} set to{" "}
            {formatHeat(task.heat?.startC ?? 0, task.kind === "fry" ? "celsius" : scale)}
            {task.kind === "bake" && ` (${describeStages(line.piece, scale)})`}
          </>
        )}
        {line && task.kind === "bake" && task.slackMin > 0 && (
          <span className="quiet block text-sm">{describeDoneness(line, task)}</span>
        )}
        {line && <DeckNote plan={plan} line={line} task={task} />}
        <span className="quiet block text-sm">{describeHold(plan, task, vessels)}</span>
      </p>
      <div className="flex gap-2" role="group" aria-label={`Pin ${task.label}`}>
        <button
          type="button"
          className="btn touch"
          aria-label={`${PIN_STEP_MIN} minutes earlier`}
          onClick={() => onShift(task, -PIN_STEP_MIN)}
        >
          −{PIN_STEP_MIN}
        </button>
        <button
          type="button"
          className="btn touch"
          onClick={() => (isPinned ? onUnpin(task.id) : onPin(task, startMin))}
        >
          {isPinned ? "Unpin" : "Pin here"}
        </button>
        <button
          type="button"
          className="btn touch"
          aria-label={`${PIN_STEP_MIN} minutes later`}
          onClick={() => onShift(task, PIN_STEP_MIN)}
        >
          +{PIN_STEP_MIN}
        </button>
      </div>
    </div>
  );
}

/** `Done when golden all over; if not yet, 2 min more, at most twice: kept in the plan.` */
function describeDoneness({ piece: { doneness } }: PiecePlan, task: DayTask): string {
  const lookMin = task.placed.endMin - task.slackMin;
  return (
    `Look about ${formatClock(lookMin)}: ${signNames[doneness.sign]}. If not yet, ${doneness.moreMin} min more, ` +
    `at most ${doneness.atMost} ×; the plan keeps ${task.slackMin} min for it.`
  );
}

/** Decks that differ enough to be seen on the clock. */
function DeckNote({
  plan,
  line,
  task,
}: {
  readonly plan: DayPlan;
  readonly line: PiecePlan;
  readonly task: DayTask;
}) {
  const oven = plan.ovens.find(({ id }) => id === task.machineId);
  if (!oven) return null;
  const decks = listDecks(listHeats(line.piece.way), oven).filter(({ offC }) => Math.abs(offC) >= 1);
  if (decks.length === 0) return null;
  return (
    <span className="quiet block text-sm">
      {decks
        .map(
          ({ deck, offC, minutes }) =>
            `Deck ${deck} from the top runs ${formatNumber(Math.abs(offC))} °C ${offC > 0 ? "hotter" : "cooler"}: ` +
            `${formatNumber(minutes)} min there`,
        )
        .join(". ")}
      .
    </span>
  );
}

/** Why not earlier? What holds the task, with the minutes. */
function describeHold(plan: DayPlan, task: DayTask, vessels: readonly Vessel[]): string | null {
  const { problem, schedule } = plan;
  const reason = problem && schedule ? explainStart(problem, schedule, task.id) : null;
  if (!reason) return null;
  const { hold, freeMin } = reason;
  const other = plan.tasks.find(({ id }) => id === hold.taskId)?.label ?? "";
  const held =
    hold.kind === "opening"
      ? `nobody is there before ${formatClock(hold.notBeforeMin)}`
      : hold.kind === "wait"
        ? `it follows “${other}” and its wait`
        : `“${other}” has ${nameResource(plan, hold.resourceId ?? "", vessels)} before it`;
  return freeMin > 0
    ? `It could be ${formatDuration(freeMin)} earlier (then ${held}); it is as late as its promise allows.`
    : `Not earlier: ${held}.`;
}

function nameResource(plan: DayPlan, resourceId: string, vessels: readonly Vessel[]): string {
  if (resourceId === "hands") return "the hands";
  const machine = plan.machines.find((each) => each.resourceId === resourceId);
  return machine ? machine.name.toLowerCase() : nameHeld(resourceId, vessels);
}
