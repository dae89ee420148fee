"use client";

import { memo, useEffect, useId, useMemo, useRef, type KeyboardEvent } from "react";
import type { DayPlan, DayTask } from "@/core/plan";
import { findCriticalChain } from "@/core/schedule";
import { formatClock } from "@/core/units";
import { DayBar } from "./DayBar";
import { LANE, layLanes, type DayLanes } from "./dayLanes";
import { HeatLine } from "./HeatLine";
import { sayJobs, type JobWords } from "./joinJobs";
import { useFreeMinutes } from "./useFreeMinutes";
import type { ClockView } from "./useClockWindow";
import { useWidth } from "./useWidth";

interface Props {
  readonly plan: DayPlan;
  readonly view: ClockView;
  /** Minutes after midnight, while it is the day; else null. */
  readonly nowMin: number | null;
  readonly nameOf: (pieceOrFormulaId: string) => string;
  readonly sayLoad: (task: DayTask) => JobWords;
  readonly pinnedIds: ReadonlySet<string>;
  readonly selectedId: string | null;
  readonly hoveredId: string | null;
  readonly onSelect: (taskId: string) => void;
  readonly onHover: (taskId: string | null) => void;
  readonly onPin: (task: DayTask, startMin: number) => void;
  readonly onShift: (task: DayTask, byMin: number) => void;
}

/** A bar as it is drawn and walked to. */
interface Bar {
  readonly jobs: readonly [DayTask, ...DayTask[]];
  readonly startMin: number;
  readonly endMin: number;
  readonly fromMin: number;
  readonly toMin: number;
  readonly y: number;
  readonly height: number;
  readonly fill: string;
  readonly words: JobWords;
}

/**
 * A window of the day as lanes against the clock: every oven and fryer with its heat behind its loads, and every pair of
 * hands. Bars are read and touched at any zoom: what would be too narrow is joined.
 */
export const DayClock = memo(function DayClock(props: Props) {
  const { plan, view, nowMin, nameOf, sayLoad, pinnedIds, selectedId, hoveredId } = props;
  const clip = useId();
  const place = useWidth(view.setWidthPx);
  const lanes = useMemo(() => layLanes(plan, view.window, view.widthPx), [plan, view.window, view.widthPx]);
  const bars = useMemo(() => listBars(lanes, nameOf, sayLoad), [lanes, nameOf, sayLoad]);
  const chain = useMemo(
    () =>
      plan.problem && plan.schedule && selectedId !== null
        ? findCriticalChain(plan.problem, plan.schedule, selectedId)
        : [],
    [plan, selectedId],
  );
  const freeOf = useFreeMinutes(plan);
  const walkedTo = useRef<string | null>(null);
  const drawing = useRef<SVGSVGElement>(null);
  useEffect(() => {
    // What keys have led to may have been out of sight until now.
    const id = walkedTo.current;
    if (id === null || id !== selectedId) return;
    walkedTo.current = null;
    drawing.current?.querySelector<SVGGElement>(`[data-job="${CSS.escape(id)}"]`)?.focus();
  }, [selectedId]);
  const { schedule, tasks } = plan;
  if (!schedule) return null;
  const { x, perMin, width, height, fromMin, toMin } = lanes;
  const loads = tasks.filter(({ machineId }) => machineId !== null).length;
  const holds = (bar: Bar, id: string | null) => id !== null && bar.jobs.some((job) => job.id === id);
  const stop = bars.find((bar) => holds(bar, selectedId)) ?? bars[0];
  /** Up and down go from bar to bar by the clock, left and right are the job's own, plus and minus look closer or farther. */
  const keys = (event: KeyboardEvent<SVGSVGElement>) => {
    const step = { "+": 1, "=": 1, "-": -1 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      return view.zoomBy(step);
    }
    const from = bars.findIndex((bar) => bar.jobs[0].id === findJob(event.target));
    const to = { ArrowUp: from - 1, ArrowDown: from + 1, Home: 0, End: bars.length - 1 }[event.key];
    const next = to === undefined ? undefined : bars[to];
    if (from < 0 || !next) return;
    event.preventDefault();
    view.show(next.startMin, next.endMin);
    walkedTo.current = next.jobs[0].id;
    props.onSelect(next.jobs[0].id);
  };
  return (
    <div ref={place} className="min-w-0">
      {/* oxlint-disable-next-line jsx-a11y/no-noninteractive-element-interactions -- keys come up from the bar that has the focus */}
      <svg
        ref={drawing}
        viewBox={`0 0 ${width} ${height}`}
        width={width}
        height={height}
        className="block max-w-full"
        role="group"
        aria-label={`Day from ${formatClock(schedule.startMin)} to ${formatClock(schedule.endMin)}: ${loads} loads in the heat, ${tasks.length - loads} jobs by hand`}
        onKeyDown={keys}
      >
        <defs>
          <pattern id="not-yet" width="6" height="6" patternUnits="userSpaceOnUse">
            <path d="M0,6 L6,0" stroke="var(--dough-line)" strokeWidth="1.5" />
          </pattern>
          <clipPath id={clip}>
            <rect x="0" y="0" width={width} height={height} />
          </clipPath>
        </defs>
        <HourLines lanes={lanes} />
        <g clipPath={`url(#${clip})`}>
          {lanes.machines
            .filter(({ isCold }) => !isCold)
            .map((machine) => (
              <HeatLine key={machine.id} plan={plan} machine={machine} lanes={lanes} />
            ))}
          {bars.map((bar) => {
            const [task] = bar.jobs;
            // What has the focus or the tabulator's stop stays there, though it is out of sight.
            if ((bar.toMin < fromMin || bar.fromMin > toMin) && bar !== stop) return null;
            return (
              <DayBar
                key={task.id}
                task={task}
                joined={bar.jobs.length}
                startMin={bar.startMin}
                endMin={bar.endMin}
                x={x(bar.fromMin)}
                y={bar.y}
                width={(bar.toMin - bar.fromMin) * perMin}
                height={bar.height}
                perMin={perMin}
                fill={bar.fill}
                words={bar.words}
                isSelected={holds(bar, selectedId)}
                isHovered={holds(bar, hoveredId)}
                isStop={bar === stop}
                isPinned={bar.jobs.some(({ id }) => pinnedIds.has(id))}
                isCritical={bar.jobs.some(({ id }) => chain.includes(id))}
                freeMin={bar.jobs.length > 1 ? 0 : (freeOf.get(task.id) ?? 0)}
                onSelect={props.onSelect}
                onHover={props.onHover}
                onOpen={view.open}
                onPin={props.onPin}
                onShift={props.onShift}
              />
            );
          })}
          <ChainLine bars={bars} x={x} chain={chain} />
          {nowMin !== null && nowMin >= fromMin && nowMin <= toMin && (
            <NowLine at={x(nowMin)} height={height} nowMin={nowMin} />
          )}
        </g>
        <LaneNames lanes={lanes} />
      </svg>
    </div>
  );
});

const findJob = (target: EventTarget): string | null =>
  target instanceof Element ? (target.closest("[data-job]")?.getAttribute("data-job") ?? null) : null;

/** Every bar of the day by the clock, whether it is in the window or not. */
function listBars(
  { machines, hands, heatHeight, loadHeight }: DayLanes,
  nameOf: Props["nameOf"],
  sayLoad: Props["sayLoad"],
): readonly Bar[] {
  const loads = machines.flatMap(({ top, loads: all }) =>
    all.map(({ value: task, level, levels }): Bar => {
      const { startMin, endMin } = task.placed;
      return {
        jobs: [task],
        ...{ startMin, endMin, fromMin: startMin, toMin: endMin },
        y: top + heatHeight - loadHeight + (level * loadHeight) / levels,
        height: loadHeight / levels - 2,
        fill: "var(--dough-deep)",
        words: sayLoad(task),
      };
    }),
  );
  const byHand = hands.flatMap(({ top, bars }) =>
    bars.map((bar): Bar => ({
      ...bar,
      y: top,
      height: LANE.hands,
      fill: findFill(bar.jobs[0]),
      words: sayJobs(bar, nameOf),
    })),
  );
  return [...loads, ...byHand].toSorted((a, b) => a.startMin - b.startMin);
}

const findFill = ({ station }: DayTask): string =>
  station === "mix"
    ? "var(--steel)"
    : station === "roll"
      ? "var(--dough)"
      : station === "cool"
        ? "var(--color-base-100)"
        : "var(--filling-soft)";

/** An hour is written where hours are at least so far apart, px; else every second one. */
const HOUR_FROM_PX = 60;
/** From here on quarters are drawn, and half hours are written, px a minute. */
const QUARTERS_FROM_PX = 4;

function HourLines({ lanes: { fromMin, toMin, perMin, x, height } }: { readonly lanes: DayLanes }) {
  const stepMin = perMin >= QUARTERS_FROM_PX ? 15 : 30;
  const writtenMin = perMin >= QUARTERS_FROM_PX ? 30 : perMin * 60 >= HOUR_FROM_PX ? 60 : 120;
  const first = Math.ceil(fromMin / stepMin) * stepMin;
  const count = Math.max(0, Math.floor((toMin - first) / stepMin) + 1);
  return Array.from({ length: count }, (_, i) => first + i * stepMin).map((minute) => (
    <g key={minute} aria-hidden>
      <line
        x1={x(minute)}
        x2={x(minute)}
        y1={minute % writtenMin === 0 ? 2 : LANE.axis - 4}
        y2={height}
        stroke="var(--color-base-300)"
        strokeWidth={minute % 60 === 0 ? 1.5 : 0.75}
      />
      {minute % writtenMin === 0 && (
        <text className="figure" x={x(minute) + 4} y={16} fontSize="15">
          {formatClock(minute)}
        </text>
      )}
    </g>
  ));
}

function LaneNames({ lanes: { machines, hands } }: { readonly lanes: DayLanes }) {
  return (
    <>
      {machines.map(({ id, name, top, isCold }) => (
        <text key={id} x="2" y={top - 5} fontSize="14" fontWeight="700">
          {isCold ? `${name}: cold` : name}
        </text>
      ))}
      {hands.map(({ person, top }) => (
        <text key={person} x="2" y={top - 5} fontSize="14" fontWeight="700">
          {sayPerson(person, hands.length)}
        </text>
      ))}
    </>
  );
}

/** Whose hands they are. */
export const sayPerson = (person: number, people: number): string =>
  people === 1 ? "Hands" : person === 0 ? "Me" : "Helper";

function NowLine({
  at,
  height,
  nowMin,
}: {
  readonly at: number;
  readonly height: number;
  readonly nowMin: number;
}) {
  return (
    <g role="img" aria-label={`Now: ${formatClock(nowMin)}`}>
      <line x1={at} x2={at} y1={LANE.axis - 6} y2={height} stroke="var(--color-primary)" strokeWidth="3" />
    </g>
  );
}

interface ChainProps {
  readonly bars: readonly Bar[];
  readonly x: (minute: number) => number;
  readonly chain: readonly string[];
}

/** From job to job of the critical chain, end to start. */
function ChainLine({ bars, x, chain }: ChainProps) {
  const places = chain.flatMap((id) => bars.filter(({ jobs }) => jobs.some((job) => job.id === id)));
  const path = places
    .slice(1)
    .flatMap((to, i) => {
      const from = places[i] ?? to;
      if (from === to) return [];
      return `M${x(from.endMin)},${from.y + from.height / 2} L${x(to.startMin)},${to.y + to.height / 2}`;
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
