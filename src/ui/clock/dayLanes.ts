import { listLights, type DayPlan, type DayTask } from "@/core/plan";
import { stackTogether, type Schedule, type Stacked } from "@/core/schedule";
import type { ClockWindow } from "./clockWindow";
import { joinLots, layBars, type DrawnJobs } from "./joinJobs";

/** As wide as the clock is drawn until its place is measured, px. */
export const CLOCK_WIDTH = 868;
/** Free at either end, px. */
export const CLOCK_PAD = 8;
/** So high are the axis, a pair of hands, and what is between two lanes, px. */
export const LANE = { axis: 26, name: 18, hands: 50, gap: 6 } as const;
/** How high a machine's temperature and its loads are drawn; lower where there are many, so that the hands stay in view. */
const HIGH = { heat: 82, load: 50 } as const;
const LOW = { heat: 62, load: 46 } as const;
const MANY_MACHINES = 3;
const HALF_HOUR = 30;
/** Room left of the first and right of the last thing, min. */
const ROOM_MIN = 5;
/** No bar is narrower, px: a finger hits it, and its first word stands in it upright. */
export const LEAST_BAR_PX = 24;

/** Anything that heats: its name, how hot it gets, and what is in it. */
export interface MachineLane {
  readonly id: string;
  readonly name: string;
  readonly maxC: number;
  /** Loads that are in it together stand one over the other. */
  readonly loads: readonly Stacked<DayTask>[];
  /** Neither heating nor loaded in the window: its name alone stands there. */
  readonly isCold: boolean;
  readonly top: number;
}

/** A pair of hands and what they do, joined where it would be too narrow. */
export interface HandsLane {
  readonly person: number;
  readonly top: number;
  readonly bars: readonly DrawnJobs[];
}

/** Where everything of a window of the day stands in its drawing, px. */
export interface DayLanes extends ClockWindow {
  readonly perMin: number;
  readonly width: number;
  readonly height: number;
  readonly machines: readonly MachineLane[];
  readonly heatHeight: number;
  readonly loadHeight: number;
  readonly hands: readonly HandsLane[];
  readonly x: (minute: number) => number;
}

/** The whole of a day in half hours. */
export const findDaySpan = ({ startMin, endMin }: Pick<Schedule, "startMin" | "endMin">): ClockWindow => ({
  fromMin: Math.floor((startMin - ROOM_MIN) / HALF_HOUR) * HALF_HOUR,
  toMin: Math.ceil((endMin + ROOM_MIN) / HALF_HOUR) * HALF_HOUR,
});

/** Ovens and fryers that are used, and pairs of hands: as many lanes, whatever window is looked through. */
export const findLaneOwners = ({ tasks, machines }: Pick<DayPlan, "tasks" | "machines">) => ({
  machines: machines.filter(({ id }) => tasks.some(({ machineId }) => machineId === id)),
  people: Math.max(0, ...tasks.map(({ person }) => person)) + 1,
});

/** A lane for each oven and fryer that is used, and for each pair of hands. */
export function layLanes(plan: DayPlan, { fromMin, toMin }: ClockWindow, width: number): DayLanes {
  const { tasks } = plan;
  const { machines: used, people } = findLaneOwners(plan);
  const perMin = (width - 2 * CLOCK_PAD) / (toMin - fromMin);
  const { heat, load } = used.length < MANY_MACHINES ? HIGH : LOW;
  const lights = listLights(plan);
  let handsTop: number = LANE.axis;
  const machines = used.map((machine) => {
    const own = tasks.filter(({ machineId }) => machineId === machine.id);
    const top = handsTop + LANE.name;
    const litMin = lights.find(({ machineId }) => machineId === machine.id)?.lightMin ?? Infinity;
    const lastMin = Math.max(...own.map(({ placed }) => placed.endMin));
    // What is cold for the whole window takes no more room than its name.
    const isCold = litMin >= toMin || lastMin <= fromMin;
    handsTop = top + (isCold ? 0 : heat) + LANE.gap;
    return {
      ...{ id: machine.id, name: machine.name, maxC: machine.maxC, top, isCold },
      loads: stackTogether(own, ({ placed }) => placed),
    };
  });
  const handsStep = LANE.name + LANE.hands + LANE.gap;
  const hands = Array.from({ length: people }, (_, person) => ({
    person,
    top: handsTop + person * handsStep + LANE.name,
    bars: layBars(
      joinLots(tasks.filter((task) => task.machineId === null && task.person === person)),
      LEAST_BAR_PX / perMin,
    ),
  }));
  return {
    ...{ fromMin, toMin, perMin, width, machines, hands },
    height: handsTop + people * handsStep,
    heatHeight: heat,
    loadHeight: load,
    x: (minute) => CLOCK_PAD + (minute - fromMin) * perMin,
  };
}
