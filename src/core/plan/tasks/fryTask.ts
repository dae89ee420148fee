import { computeOilRates } from "../../heat";
import type { ScheduleResource, TaskWait } from "../../schedule";
import { draft, HANDS, type DraftTask, type TaskFacts } from "./draftTask";
import { toFryerId, type KitRoom } from "../kit";
import type { FryPlan } from "../piece";

/** Letting one basket down, lifting it out, and setting the pieces to drain. */
const BASKET_HANDLING_MIN = 1;
/** Loads whose oils differ by no more than this follow each other without a wait, °C: less than a thermostat holds to. */
const SHARED_OIL_C = 2;

/** Whole minutes for so many pieces, basket after basket; the oil comes back after each, for whoever is next. */
function computeFryMin({ perBasket, minutes, recoveryMin }: FryPlan, pieces: number, factor: number): number {
  return Math.ceil(Math.ceil(pieces / perBasket) * (minutes * factor + recoveryMin + BASKET_HANDLING_MIN));
}

interface FryFacts {
  readonly fries: readonly FryPlan[];
  /** Minutes in a fryer for each that is written, by the log. */
  readonly factorOf: (fryerId: string) => number;
}

/** A lot fried in any of the fryers; hot oil is never left, so hands stay from its start to its end. */
export function fryTask(
  id: string,
  pieces: number,
  { fries, factorOf }: FryFacts,
  after: readonly TaskWait[],
  facts: TaskFacts,
): DraftTask {
  const modes = fries.map((fry) => {
    const durationMin = computeFryMin(fry, pieces, factorOf(fry.fryer.id));
    const through = { fromMin: 0, toMin: durationMin, amount: 1 };
    return {
      durationMin,
      heat: { startC: fry.oilC, endC: fry.oilC },
      uses: [
        { resourceId: toFryerId(fry.fryer), ...through },
        { resourceId: HANDS, ...through },
      ],
    };
  });
  const [first] = modes;
  if (!first) throw new RangeError(`fryTask: no fryer takes ${id}`);
  return {
    ...draft("fry", facts, first.durationMin, { id, modes, after, dueMin: null }),
    machineIds: fries.map(({ fryer }) => fryer.id),
  };
}

/** Fryers as resources: one lot at a time, heated and cooled as fast as their oil allows. */
export function listFryerResources({ fryers }: KitRoom, roomC: number): ScheduleResource[] {
  return fryers.map((fryer) => {
    const { heatUpCPerMin, coolDownCPerMin } = computeOilRates({ ...fryer, setC: fryer.maxC, roomC });
    return {
      id: toFryerId(fryer),
      capacity: 1,
      gapMin: 0,
      heater: { restC: roomC, heatUpCPerMin, coolDownCPerMin, toleranceC: SHARED_OIL_C },
      isHands: false,
      away: [],
    };
  });
}
