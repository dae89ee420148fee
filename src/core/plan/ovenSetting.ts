import { convertBake } from "../heat";
import type { HeaterStart } from "../schedule";
import type { BakeStage, Oven } from "./book";
import type { DayPlan } from "./dayPlan";

/** What an oven is set to for a stage written for still air, and how long it takes there. */
export function setFor(stage: BakeStage, { kind, offsetC }: Oven): { ovenC: number; minutes: number } {
  const { ovenC, minutes } = convertBake(stage, "still", kind);
  return { ovenC: ovenC - offsetC, minutes };
}

/** When an oven is lit for its first load; null if it has none. */
export function findLight({ schedule }: Pick<DayPlan, "schedule">, oven: Oven): HeaterStart | null {
  return schedule?.heaterStarts.find(({ resourceId }) => resourceId === toOvenId(oven)) ?? null;
}

/** Resource id of an oven in the schedule. */
export const toOvenId = (oven: Oven): string => `oven:${oven.id}`;
