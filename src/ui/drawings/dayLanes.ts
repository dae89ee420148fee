import type { DayPlan, DayTask } from "@/core/plan";
import { stackTogether, type Stacked } from "@/core/schedule";

/** Drawing units are about a pixel on a tablet: the whole day across WIDTH, the lanes these high. */
export const CLOCK_WIDTH = 880;
export const LANE = { axis: 26, hands: 52, gap: 12 } as const;
/** How high a machine's temperature and its loads are drawn; lower where there are many, so that the hands stay in view. */
const HIGH = { heat: 118, load: 74 } as const;
const LOW = { heat: 66, load: 46 } as const;
const MANY_MACHINES = 3;
const LEFT = 8;
const HALF_HOUR = 30;
/** Room left of the first and right of the last thing, min. */
const ROOM_MIN = 5;

/** Anything that heats: its name, how hot it gets, and what is in it. */
export interface MachineLane {
  readonly id: string;
  readonly name: string;
  readonly maxC: number;
  /** Loads that are in it together stand one over the other. */
  readonly loads: readonly Stacked<DayTask>[];
  readonly top: number;
}

/** Where everything of a day stands in its drawing. */
export interface DayLanes {
  readonly fromMin: number;
  readonly toMin: number;
  readonly perMin: number;
  readonly height: number;
  readonly machines: readonly MachineLane[];
  readonly heatHeight: number;
  readonly loadHeight: number;
  readonly handsTop: (person: number) => number;
  readonly people: number;
  readonly x: (minute: number) => number;
}

/** A lane for each oven and fryer that is used, and for each pair of hands; null for a day without a schedule. */
export function layLanes({ schedule, tasks, machines: all }: DayPlan): DayLanes | null {
  if (!schedule) return null;
  const fromMin = Math.floor((schedule.startMin - ROOM_MIN) / HALF_HOUR) * HALF_HOUR;
  const toMin = Math.ceil((schedule.endMin + ROOM_MIN) / HALF_HOUR) * HALF_HOUR;
  const perMin = (CLOCK_WIDTH - 2 * LEFT) / (toMin - fromMin);
  const used = all
    .map((machine) => ({
      id: machine.id,
      name: machine.name,
      maxC: machine.maxC,
      loads: stackTogether(
        tasks.filter(({ machineId }) => machineId === machine.id),
        ({ placed }) => placed,
      ),
    }))
    .filter(({ loads }) => loads.length > 0);
  const { heat, load } = used.length < MANY_MACHINES ? HIGH : LOW;
  const machines = used.map((machine, i) => ({ ...machine, top: LANE.axis + 4 + i * (heat + LANE.gap) }));
  const people = Math.max(0, ...tasks.map(({ person }) => person)) + 1;
  const handsTop = (person: number) =>
    LANE.axis + 4 + machines.length * (heat + LANE.gap) + person * (LANE.hands + 6);
  return {
    fromMin,
    toMin,
    perMin,
    height: handsTop(people) + 40,
    machines,
    heatHeight: heat,
    loadHeight: load,
    handsTop,
    people,
    x: (minute) => LEFT + (minute - fromMin) * perMin,
  };
}
