import { convertBake } from "../../heat";
import type { HeaterStart } from "../../schedule";
import type { Heat } from "../../way";
import type { Fryer, Oven } from "../book";
import type { DayMachine, DayPlan } from "../result";
import type { KitRoom } from "./kitRoom";

/** What an oven is set to for a stage written for still air, and how long it takes there. */
export function setFor(stage: Heat, oven: Oven): { ovenC: number; minutes: number } {
  const { ovenC, minutes } = convertBake(stage, "still", oven.kind);
  return { ovenC: Math.round(ovenC - meanOffsetC(oven)), minutes };
}

/** One setting serves all decks: it is corrected by the mean of what they are off. */
const meanOffsetC = ({ deckOffsetsC }: Oven): number =>
  deckOffsetsC.reduce((sum, each) => sum + each, 0) / deckOffsetsC.length;

/** One deck while the oven is set as the plan says. */
export interface DeckHeat {
  /** From 1 at the top. */
  readonly deck: number;
  /** Its air against what the stage asks for. */
  readonly offC: number;
  /** Minutes that the bake takes there. */
  readonly minutes: number;
}

/** A baking surface stays near the boiling point until it browns: heat flows in with what the air is above that, °C. */
const SURFACE_C = 100;

/** How long the bake takes on each deck of an oven: on a hotter one less, as the air is further above the surface. */
export function listDecks(stages: readonly Heat[], oven: Oven): DeckHeat[] {
  const mean = meanOffsetC(oven);
  return oven.deckOffsetsC.map((offsetC, i) => {
    const offC = offsetC - mean;
    const minutes = stages.reduce((sum, stage) => {
      const { ovenC, minutes: planned } = convertBake(stage, "still", oven.kind);
      const aboveC = Math.max(ovenC - SURFACE_C, 1);
      return sum + (planned * aboveC) / Math.max(aboveC + offC, 1);
    }, 0);
    return { deck: i + 1, offC, minutes };
  });
}

/** Every oven and fryer of the kit as the schedule knows it. */
export const listMachines = ({ ovens, fryers }: Pick<KitRoom, "ovens" | "fryers">): DayMachine[] => [
  ...ovens.map((oven) => ({ ...pickMachine(oven), resourceId: toOvenId(oven), isFryer: false })),
  ...fryers.map((fryer) => ({ ...pickMachine(fryer), resourceId: toFryerId(fryer), isFryer: true })),
];

const pickMachine = ({ id, name, maxC }: Oven | Fryer) => ({ id, name, maxC });

/** An oven or a fryer of the day: what it is lit to and when. */
export interface Light extends HeaterStart {
  readonly machineId: string;
  readonly name: string;
  readonly isFryer: boolean;
}

/** Every oven and fryer that the day uses, with when it is lit for its first load; the first lit first. */
export const listLights = ({ schedule, machines }: Pick<DayPlan, "schedule" | "machines">): Light[] =>
  machines
    .flatMap(({ id, resourceId, name, isFryer }) => {
      const start = schedule?.heaterStarts.find((each) => each.resourceId === resourceId);
      return start ? [{ ...start, machineId: id, name, isFryer }] : [];
    })
    .sort((a, b) => a.lightMin - b.lightMin);

/** Resource ids of ovens and fryers in the schedule. */
export const toOvenId = ({ id }: { readonly id: string }): string => `oven:${id}`;
/** Of a fryer likewise. */
export const toFryerId = ({ id }: { readonly id: string }): string => `fryer:${id}`;
