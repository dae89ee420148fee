"use client";

import { findLight, type DayPlan, type DayTask, type Oven, type TaskKind } from "@/core/plan";
import { formatClock } from "@/core/units";

interface Props {
  readonly plan: DayPlan;
  readonly selectedId: string | null;
  readonly onSelect: (taskId: string) => void;
}

/** Drawing units are about a pixel on a tablet: the whole day across WIDTH, the lanes these high. */
const WIDTH = 880;
const LANE = { axis: 26, heat: 118, oven: 74, hands: 52, gap: 12 };
const LEFT = 8;
/** A bar this wide holds a letter; each letter of a note is so wide. */
const LETTER_FROM = 11;
const NOTE_LETTER = 7.6;

const HANDS_LEGEND =
  "Hands: M mix or make · R roll and cut · J sugar · F fill · S close the seam · C set out. Touch a bar for its figures.";

const handLetters: Record<TaskKind, string> = {
  mix: "M",
  precook: "M",
  make: "M",
  roll: "R",
  sugar: "J",
  fill: "F",
  seal: "S",
  bake: "",
  finish: "C",
};

/** The day as lanes against the clock: every oven with its heat behind its loads, and every pair of hands. */
export function DayClock({ plan, selectedId, onSelect }: Props) {
  const { schedule, tasks } = plan;
  if (!schedule) return null;
  const ovens = plan.ovens.filter(({ id }) => tasks.some(({ ovenId }) => ovenId === id));
  const people = Math.max(0, ...tasks.map(({ person }) => person)) + 1;
  const fromMin = Math.floor((schedule.startMin - 5) / 30) * 30;
  const toMin = Math.ceil((schedule.endMin + 5) / 30) * 30;
  const span = toMin - fromMin;
  const perMin = (WIDTH - 2 * LEFT) / span;
  const x = (minute: number) => LEFT + (minute - fromMin) * perMin;
  const ovenTop = (index: number) => LANE.axis + 4 + index * (LANE.heat + LANE.gap);
  const handsTop = (person: number) => ovenTop(ovens.length) + person * (LANE.hands + 6);
  const height = handsTop(people) + 22;
  const loads = tasks.filter(({ kind }) => kind === "bake");
  const handTasks = tasks.filter(({ kind }) => kind !== "bake");
  const label = `Day from ${formatClock(schedule.startMin)} to ${formatClock(schedule.endMin)}: ${loads.length} oven loads, ${handTasks.length} jobs by hand`;
  return (
    <div className="overflow-x-auto">
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        className="min-w-[620px] w-full"
        role="group"
        aria-label={label}
      >
        {Array.from({ length: span / 30 + 1 }, (_, i) => fromMin + i * 30).map((minute) => (
          <g key={minute} aria-hidden>
            <line
              x1={x(minute)}
              x2={x(minute)}
              y1={LANE.axis - 6}
              y2={height - 18}
              stroke="var(--color-base-300)"
              strokeWidth={minute % 60 === 0 ? 1 : 0.5}
            />
            {minute % 60 === 0 && (
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
        ))}
        {ovens.map((oven, i) => (
          <g key={oven.id}>
            <HeatLine plan={plan} oven={oven} x={x} top={ovenTop(i)} floor={ovenTop(i) + LANE.heat} />
            {layTrays(loads.filter(({ ovenId }) => ovenId === oven.id)).map(({ task, level, levels }) => (
              <Bar
                key={task.id}
                task={task}
                x={x(task.placed.startMin)}
                width={(task.placed.endMin - task.placed.startMin) * perMin}
                y={ovenTop(i) + LANE.heat - LANE.oven + (level * LANE.oven) / levels}
                height={LANE.oven / levels - 4}
                fill="var(--dough-deep)"
                text={`${task.pieces}`}
                note={levels > 1 ? "" : describeHeat(task)}
                selected={task.id === selectedId}
                onSelect={onSelect}
              />
            ))}
            <text x={LEFT + 3} y={ovenTop(i) + 12} fontSize="14" fontWeight="700">
              {oven.name}
            </text>
          </g>
        ))}
        {handTasks.map((task) => (
          <Bar
            key={task.id}
            task={task}
            x={x(task.placed.startMin)}
            width={(task.placed.endMin - task.placed.startMin) * perMin}
            y={handsTop(task.person)}
            height={LANE.hands}
            fill={
              task.station === "mix"
                ? "var(--steel)"
                : task.station === "roll"
                  ? "var(--dough)"
                  : task.station === "cool"
                    ? "var(--color-base-100)"
                    : "var(--filling-soft)"
            }
            text={handLetters[task.kind]}
            note=""
            selected={task.id === selectedId}
            onSelect={onSelect}
          />
        ))}
        <text x={LEFT} y={height - 5} fontSize="13">
          {HANDS_LEGEND}
          {people > 1 && " Below, the helper."}
        </text>
      </svg>
    </div>
  );
}

/** `205 °C`, or `205–175 °C` where the heat is lowered on the way. */
const describeHeat = ({ heat }: DayTask): string =>
  heat ? (heat.startC === heat.endC ? `${heat.startC} °C` : `${heat.startC}–${heat.endC} °C`) : "";

interface BarProps {
  readonly task: DayTask;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly fill: string;
  readonly text: string;
  readonly note: string;
  readonly selected: boolean;
  readonly onSelect: (taskId: string) => void;
}

function Bar({ task, x, y, width, height, fill, text, note, selected, onSelect }: BarProps) {
  const { startMin, endMin } = task.placed;
  // A note that does not fit leaves its room to the figure.
  const fits = note !== "" && width >= note.length * NOTE_LETTER;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={selected}
      aria-label={`${task.label}, ${formatClock(startMin)} to ${formatClock(endMin)}`}
      className="cursor-pointer"
      onClick={() => onSelect(task.id)}
      onKeyDown={(event) => (event.key === "Enter" || event.key === " ") && onSelect(task.id)}
    >
      <rect
        x={x + 0.5}
        y={y}
        width={Math.max(width - 1, 1.5)}
        height={height}
        rx="2.5"
        fill={fill}
        stroke={selected ? "var(--color-primary)" : "var(--dough-line)"}
        strokeWidth={selected ? 3 : 1}
      />
      {width >= LETTER_FROM * Math.max(text.length, 1) && (
        <text
          className="figure"
          x={x + width / 2}
          y={y + height / 2 - (fits ? 8 : 0)}
          fontSize={note ? 20 : 13}
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
    </g>
  );
}

/** Loads that are in an oven together stand one over the other. */
function layTrays(loads: readonly DayTask[]): { task: DayTask; level: number; levels: number }[] {
  return loads.map((task) => {
    const together = loads.filter(
      ({ placed }) => placed.startMin < task.placed.endMin && task.placed.startMin < placed.endMin,
    );
    return { task, level: together.indexOf(task), levels: together.length };
  });
}

interface HeatProps {
  readonly plan: DayPlan;
  readonly oven: Oven;
  readonly x: (minute: number) => number;
  readonly top: number;
  readonly floor: number;
}

/** The oven's temperature behind its loads: lit, held, and brought to the next load's heat in time. */
function HeatLine({ plan, oven, x, top, floor }: HeatProps) {
  const light = findLight(plan, oven);
  if (!light) return null;
  const heatY = (heatC: number) => floor - (heatC / oven.maxC) * (floor - top);
  const loads = plan.tasks.flatMap(({ heat, placed, ovenId }) =>
    heat && ovenId === oven.id ? [{ ...placed, ...heat }] : [],
  );
  const points: (readonly [number, number])[] = [[light.lightMin, 0]];
  let beforeC = 0;
  for (const { startMin, endMin, startC, endC } of loads) {
    const rate = startC > beforeC ? oven.heatUpCPerMin : oven.coolDownCPerMin;
    if (points.length > 1) points.push([startMin - Math.abs(startC - beforeC) / rate, beforeC]);
    points.push([startMin, startC], [endMin, endC]);
    beforeC = endC;
  }
  const line = points.map(([minute, heatC]) => `${x(minute)},${heatY(heatC)}`).join(" L");
  const end = points.at(-1)?.[0] ?? light.lightMin;
  return (
    <g>
      <path d={`M${line} L${x(end)},${floor} Z`} fill="var(--heat-soft)" opacity="0.55" />
      <path d={`M${line}`} fill="none" stroke="var(--heat)" strokeWidth="2" />
      <line
        x1={x(light.lightMin)}
        x2={x(light.lightMin)}
        y1={floor - 88}
        y2={floor}
        stroke="var(--heat)"
        strokeWidth="2"
        strokeDasharray="4 3"
      />
      <text className="figure" x={x(light.lightMin) - 5} y={floor - 78} fontSize="14" textAnchor="end">
        light {formatClock(light.lightMin)}
      </text>
    </g>
  );
}
