import { formatHeat } from "../units";
import type { DayPlan } from "./dayPlan";
import { listLights } from "./ovenSetting";

/** A line of the day's sheet: a job, or something to light. */
export interface ClockRow {
  readonly id: string;
  readonly startMin: number;
  /** Null for what takes a moment. */
  readonly endMin: number | null;
  readonly label: string;
  /** 0 the baker, 1 the helper. */
  readonly person: number;
}

/** All that is done on a day in the order of the clock; whoever is there first lights. */
export function listClockRows(plan: DayPlan): ClockRow[] {
  const lights = listLights(plan).map(({ machineId, name, heatC, lightMin }) => ({
    id: `light-${machineId}`,
    startMin: lightMin,
    endMin: null,
    label: `Light ${name.toLowerCase()} to ${formatHeat(heatC, plan.ovenScale)}`,
    person: 0,
  }));
  const jobs = plan.tasks.map(({ id, placed, label, person }) => ({
    id,
    startMin: placed.startMin,
    endMin: placed.endMin,
    label,
    person,
  }));
  return [...lights, ...jobs].sort((a, b) => a.startMin - b.startMin);
}
