import type { ScheduleProblem } from "../schedule";
import type { Day, Oven } from "./book";
import { HANDS, type DraftTask } from "./draftTask";
import { toOvenId } from "./ovenSetting";

/** A room's temperature, from which an oven starts: a mild kitchen before dawn. */
const ROOM_C = 20;

/** Loads whose heats differ by no more than this go into one oven together, °C: less than a dial holds to. */
const SHARED_HEAT_C = 5;
/** Before and after every day. */
const EVER_MIN = 7 * 24 * 60;

/** The scheduling problem of these tasks: the baker, a helper for a while, and every oven. */
export function toScheduleProblem(
  tasks: readonly DraftTask[],
  ovens: readonly Oven[],
  helper: Day["helper"],
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
      ...ovens.map((oven) => ({
        id: toOvenId(oven),
        capacity: oven.traysAtOnce,
        gapMin: 0,
        heater: {
          restC: ROOM_C,
          heatUpCPerMin: oven.heatUpCPerMin,
          coolDownCPerMin: oven.coolDownCPerMin,
          toleranceC: SHARED_HEAT_C,
        },
        isHands: false,
        away: [],
      })),
    ],
    holds: [],
    openMin,
  };
}
