import { type DayPlan, listLights } from "@/core/plan";
import { computeChangeoverMin } from "@/core/schedule";
import { formatClock } from "@/core/units";
import { type DayLanes, type MachineLane } from "./dayLanes";

/** The mark of lighting stands so high in its lane. */
const LIGHT_SHARE = 0.75;

interface Props {
  readonly plan: DayPlan;
  readonly machine: MachineLane;
  readonly lanes: DayLanes;
}

/** A machine's temperature behind its loads: lit, held, and brought to the next load's heat in time. */
export function HeatLine({ plan, machine, lanes }: Props) {
  const light = listLights(plan).find(({ machineId }) => machineId === machine.id);
  const heater = plan.problem?.resources.find(({ id }) => id === light?.resourceId)?.heater;
  if (!light || !heater) return null;
  const { x, heatHeight } = lanes;
  const floor = machine.top + heatHeight;
  const heatY = (heatC: number) => floor - (heatC / machine.maxC) * heatHeight;
  const loads = machine.loads.flatMap(({ value: { heat, placed } }) =>
    heat ? [{ ...placed, ...heat }] : [],
  );
  const points: (readonly [number, number])[] = [[light.lightMin, heater.restC]];
  let beforeC = heater.restC;
  for (const { startMin, endMin, startC, endC } of loads) {
    if (points.length > 1) points.push([startMin - computeChangeoverMin(heater, beforeC, startC), beforeC]);
    points.push([startMin, startC], [endMin, endC]);
    beforeC = endC;
  }
  const line = points.map(([minute, heatC]) => `${x(minute)},${heatY(heatC)}`).join(" L");
  const end = points.at(-1)?.[0] ?? light.lightMin;
  // Near the left edge the words stand to the right of their line.
  const isNear = x(light.lightMin) < 100;
  return (
    <g aria-hidden>
      <path
        d={`M${line} L${x(end)},${floor} L${x(light.lightMin)},${floor} Z`}
        fill="var(--heat-soft)"
        opacity="0.55"
      />
      <path d={`M${line}`} fill="none" stroke="var(--heat)" strokeWidth="2" />
      <line
        x1={x(light.lightMin)}
        x2={x(light.lightMin)}
        y1={floor - heatHeight * LIGHT_SHARE}
        y2={floor}
        stroke="var(--heat)"
        strokeWidth="2"
        strokeDasharray="4 3"
      />
      <text
        className="figure"
        x={x(light.lightMin) + (isNear ? 5 : -5)}
        y={floor - heatHeight * LIGHT_SHARE + 10}
        fontSize="14"
        textAnchor={isNear ? "start" : "end"}
      >
        light {formatClock(light.lightMin)}
      </text>
    </g>
  );
}
