import { createMaking, type Dough, type Filling, type Formula } from "../../formula";

/** A short pastry as most kitchens make it, in g/ml. */
const DOUGH_G_PER_ML = 1.2;
/** Rubbed in and brought together by hand, min. */
const MIX_MIN = 12;
/** Cold enough not to smear, warm enough not to crack: a butter dough, °C. */
const WINDOW = { lowC: 10, highC: 16 } as const;
/** In the fridge before it is rolled, and again before its trim is, min. */
const REST_MIN = 30;
const REROLL_REST_MIN = 15;
/** On a bench of 20 °C until it smears, min. */
const BENCH_LIMIT_MIN = 60;
/** Length that a rested sheet draws back when it is cut, and more of it each time it is rolled again. */
const SPRING_BACK_SHARE = 0.03;
const REROLL_SHRINK_SHARE = 0.01;
/** Trim is rolled together twice and no more: after that it bakes tough. */
const REROLL_LIMIT = 2;
/** Of trim, what stays on the bench and the pin each time. */
const REROLL_LOSS_SHARE = 0.02;
/** Wrapped in the fridge: flour and fat, days. */
const DOUGH_KEEPS_DAYS = 3;
/** Covered in the fridge: cooked fruit or vegetables, days. */
const FILLING_KEEPS_DAYS = 2;
/** Cooked fruit or vegetables as they are spooned, g/ml. */
const FILLING_G_PER_ML = 1.05;

/** An empty dough or filling with the craft's usual figures, to be corrected. */
export const createFormula = (kind: Formula["kind"], id: string): Formula =>
  kind === "dough" ? createDough(id) : createFilling(id);

function createDough(id: string): Dough {
  return {
    kind: "dough",
    ...{ id, name: "New dough", lines: [], steps: [] },
    method: "rubbed",
    fatParticle: "pea",
    liquidSchool: "justHolds",
    window: WINDOW,
    restWay: "minutes",
    dividedInto: "disc",
    dividedCount: null,
    boughtSheet: null,
    keepsDays: DOUGH_KEEPS_DAYS,
    densityGPerMl: DOUGH_G_PER_ML,
    mixMin: MIX_MIN,
    springBackShare: SPRING_BACK_SHARE,
    rerollLimit: REROLL_LIMIT,
    rerollLossShare: REROLL_LOSS_SHARE,
    rerollShrinkShare: REROLL_SHRINK_SHARE,
    trimEnd: "larder",
    decorationCutterId: null,
    restMin: REST_MIN,
    rerollRestMin: REROLL_REST_MIN,
    benchLimitMin: BENCH_LIMIT_MIN,
  };
}

function createFilling(id: string): Filling {
  return {
    kind: "filling",
    ...{ id, name: "New filling", lines: [], steps: [] },
    family: "filling",
    keepsDays: FILLING_KEEPS_DAYS,
    densityGPerMl: FILLING_G_PER_ML,
    makingLossShare: 0,
    making: createMaking([["make"], ["cool"]]),
    wetness: "moist",
    shrinkShare: 0,
    measure: "spoon",
    fruit: null,
  };
}
