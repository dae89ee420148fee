import type { ScheduleProblem } from "../../schedule";
import type { Day } from "../book";
import { HANDS, type DraftTask } from "./draftTask";
import { listFryerResources } from "./fryTask";
import { listHeldResources } from "./kitHolds";
import { type KitRoom, toOvenId } from "../kit";

/** Loads whose heats differ by no more than this go into one oven together, °C: less than a dial holds to. */
export const SHARED_HEAT_C = 5;
/** Before and after every day. */
const EVER_MIN = 7 * 24 * 60;

/** The scheduling problem of these tasks: the baker, a helper for a while, every oven and fryer, and what is held. */
export function toScheduleProblem(
  tasks: readonly DraftTask[],
  kit: KitRoom,
  { helper }: Day,
  roomC: number,
  openMin: number,
): ScheduleProblem {
  return {
    tasks: tasks.map(({ schedule }) => schedule),
    resources: [
      {
        id: HANDS,
        capacity: helper ? 2 : 1,
        gapMin: 0,
        heater: null,
        isHands: true,
        away: helper
          ? [
              { fromMin: -EVER_MIN, toMin: helper.fromMin, amount: 1 },
              { fromMin: helper.toMin, toMin: EVER_MIN, amount: 1 },
            ]
          : [],
      },
      ...kit.ovens.map((oven) => ({
        id: toOvenId(oven),
        capacity: oven.traysAtOnce,
        gapMin: 0,
        heater: {
          restC: roomC,
          heatUpCPerMin: oven.heatUpCPerMin,
          coolDownCPerMin: oven.coolDownCPerMin,
          toleranceC: SHARED_HEAT_C,
        },
        isHands: false,
        away: [],
      })),
      ...listFryerResources(kit, roomC),
      ...listHeldResources(kit),
    ],
    holds: tasks.flatMap(({ holds }) => holds),
    openMin,
  };
}
