"use client";

import { memo, useMemo, type KeyboardEvent } from "react";
import type { DayPlan, DayTask, TaskKind } from "@/core/plan";
import { findCriticalChain } from "@/core/schedule";
import { formatClock, formatHeat, type OvenScale } from "@/core/units";
import { useFreeMinutes } from "./useFreeMinutes";
import { DayBar } from "./DayBar";
import { CLOCK_WIDTH, LANE, layLanes, type DayLanes } from "./dayLanes";
import { HeatLine } from "./HeatLine";

interface Props {
  readonly plan: DayPlan;
  /** How the kitchen reads its ovens. */
  readonly ovenScale: OvenScale;
  readonly pinnedIds: ReadonlySet<string>;
  readonly selectedId: string | null;
  readonly onSelect: (taskId: string) => void;
  readonly onPin: (task: DayTask, startMin: number) => void;
}

const handLetters: Record<TaskKind, string> = {
  mix: "M",
  precook: "M",
  make: "M",
  takeOut: "R",
  roll: "R",
  sugar: "J",
  line: "L",
  fill: "F",
  warm: "W",
  pour: "P",
  seal: "S",
  bake: "",
  fry: "",
  unmould: "U",
  glaze: "G",
  finish: "C",
  store: "B",
};

/** The day as lanes against the clock: every oven and fryer with its heat behind its loads, and every pair of hands. */
export const DayClock = memo(function DayClock({
  plan,
  ovenScale,
  pinnedIds,
  selectedId,
  onSelect,
  onPin,
}: Props) {
  const lanes = useMemo(() => layLanes(plan), [plan]);
  const chain = useMemo(
    () =>
      plan.problem && plan.schedule && selectedId !== null
        ? findCriticalChain(plan.problem, plan.schedule, selectedId)
        : [],
    [plan, selectedId],
  );
  const freeOf = useFreeMinutes(plan);
  const { schedule, tasks } = plan;
  if (!schedule || !lanes) return null;
  const { x, perMin, height, machines, heatHeight, loadHeight, handsTop, people } = lanes;
  const handTasks = tasks.filter(({ machineId }) => machineId === null);
  const loads = tasks.length - handTasks.length;
  const byTime = tasks.toSorted((a, b) => a.placed.startMin - b.placed.startMin);
  const stopId = byTime.some(({ id }) => id === selectedId) ? selectedId : (byTime[0]?.id ?? null);
  /** Up and down go from job to job by the clock; left and right are the job's own. */
  const goTo = (event: KeyboardEvent<SVGSVGElement>) => {
    const from = byTime.findIndex(({ id }) => id === findJob(event.target));
    const to = { ArrowUp: from - 1, ArrowDown: from + 1, Home: 0, End: byTime.length - 1 }[event.key];
    const next = to === undefined ? undefined : byTime[to];
    if (from < 0 || !next) return;
    event.preventDefault();
    event.currentTarget.querySelector<SVGGElement>(`[data-job="${CSS.escape(next.id)}"]`)?.focus();
    onSelect(next.id);
  };
  const label = `Day from ${formatClock(schedule.startMin)} to ${formatClock(schedule.endMin)}: ${loads} loads in the heat, ${handTasks.length} jobs by hand`;
  const bar = (task: DayTask, y: number, barHeight: number, fill: string, text: string, note: string) => (
    <DayBar
      key={task.id}
      task={task}
      x={x(task.placed.startMin)}
      y={y}
      width={(task.placed.endMin - task.placed.startMin) * perMin}
      height={barHeight}
      perMin={perMin}
      fill={fill}
      text={text}
      note={note}
      isSelected={task.id === selectedId}
      isStop={task.id === stopId}
      isPinned={pinnedIds.has(task.id)}
      isCritical={chain.includes(task.id)}
      freeMin={freeOf.get(task.id) ?? 0}
      onSelect={onSelect}
      onPin={onPin}
    />
  );
  return (
    <div className="overflow-x-auto">
      <svg
        viewBox={`0 0 ${CLOCK_WIDTH} ${height}`}
        className="min-w-[620px] w-full"
        role="group"
        aria-label={label}
        onKeyDown={goTo}
      >
        <defs>
          <pattern id="not-yet" width="6" height="6" patternUnits="userSpaceOnUse">
            <path d="M0,6 L6,0" stroke="var(--dough-line)" strokeWidth="1.5" />
          </pattern>
        </defs>
        <HourLines lanes={lanes} />
        {machines.map((machine) => (
          <g key={machine.id}>
            <HeatLine plan={plan} machine={machine} lanes={lanes} />
            {machine.loads.map(({ value: task, level, levels }) =>
              bar(
                task,
                machine.top + heatHeight - loadHeight + (level * loadHeight) / levels,
                loadHeight / levels - 4,
                "var(--dough-deep)",
                `${task.pieces}`,
                levels > 1 ? "" : describeHeat(task, ovenScale),
              ),
            )}
            <text x={x(lanes.fromMin) + 3} y={machine.top + 12} fontSize="14" fontWeight="700">
              {machine.name}
            </text>
          </g>
        ))}
        {handTasks.map((task) =>
          bar(task, handsTop(task.person), LANE.hands, findFill(task), handLetters[task.kind], ""),
        )}
        <ChainLine plan={plan} lanes={lanes} chain={chain} />
        <text x={x(lanes.fromMin)} y={height - 22} fontSize="13">
          Hands: M mix or make · R roll and cut · J sugar · L line · F fill · W boil · P pour · S close · U
          unmould · G glaze · C set out
          {people > 1 && " · below, the helper"}
        </text>
        <text x={x(lanes.fromMin)} y={height - 5} fontSize="13">
          Teal: the chain that decides the chosen job. Dots: could be so much earlier. Hatched: kept for “not
          yet”. Drag or ← → to pin, ↑ ↓ from job to job.
        </text>
      </svg>
    </div>
  );
});

const findJob = (target: EventTarget): string | null =>
  target instanceof Element ? (target.closest("[data-job]")?.getAttribute("data-job") ?? null) : null;

const findFill = ({ station }: DayTask): string =>
  station === "mix"
    ? "var(--steel)"
    : station === "roll"
      ? "var(--dough)"
      : station === "cool"
        ? "var(--color-base-100)"
        : "var(--filling-soft)";

/** `205 °C`, or `205–175 °C` where the heat is lowered on the way. */
function describeHeat({ heat }: DayTask, scale: OvenScale): string {
  if (!heat) return "";
  if (heat.startC === heat.endC) return formatHeat(heat.startC, scale);
  return scale === "celsius"
    ? `${heat.startC}–${heat.endC} °C`
    : `${formatHeat(heat.startC, scale)}–${formatHeat(heat.endC, scale)}`;
}

function HourLines({ lanes: { fromMin, toMin, x, height } }: { readonly lanes: DayLanes }) {
  const count = (toMin - fromMin) / 30 + 1;
  // Over a long day every second hour is written.
  const writtenMin = toMin - fromMin > 14 * 60 ? 120 : 60;
  return Array.from({ length: count }, (_, i) => fromMin + i * 30).map((minute) => (
    <g key={minute} aria-hidden>
      <line
        x1={x(minute)}
        x2={x(minute)}
        y1={LANE.axis - 6}
        y2={height - 38}
        stroke="var(--color-base-300)"
        strokeWidth={minute % 60 === 0 ? 1 : 0.5}
      />
      {minute % writtenMin === 0 && (
        <text
          className="figure"
          x={x(minute)}
          y={LANE.axis - 11}
          fontSize="14"
          textAnchor={minute === fromMin ? "start" : minute === toMin ? "end" : "middle"}
        >
          {formatClock(minute)}
        </text>
      )}
    </g>
  ));
}

interface ChainProps {
  readonly plan: DayPlan;
  readonly lanes: DayLanes;
  readonly chain: readonly string[];
}

/** From job to job of the critical chain, end to start. */
function ChainLine({ plan, lanes: { x, machines, heatHeight, loadHeight, handsTop }, chain }: ChainProps) {
  const placeOf = (id: string) => {
    const task = plan.tasks.find((each) => each.id === id);
    if (!task) return [];
    const machine = machines.find((each) => each.id === task.machineId);
    const y = machine ? machine.top + heatHeight - loadHeight / 2 : handsTop(task.person) + LANE.hands / 2;
    return [{ y, from: x(task.placed.startMin), to: x(task.placed.endMin) }];
  };
  const places = chain.flatMap(placeOf);
  const path = places
    .slice(1)
    .map((place, i) => {
      const before = places[i] ?? place;
      return `M${before.to},${before.y} L${place.from},${place.y}`;
    })
    .join(" ");
  return (
    <path
      d={path}
      fill="none"
      stroke="var(--color-primary)"
      strokeWidth="1.5"
      pointerEvents="none"
      aria-hidden
    />
  );
}
