import { createRandom } from "../seededRandom";
import {
  boundSchedule,
  checkSchedule,
  constructSchedule,
  improveSchedule,
  type ScheduleProblem,
  type ScheduleResource,
  type ScheduleTask,
} from ".";
import { hands, wait } from "./testDay";

/** Everything in these days is a multiple of this, so that a best day begins every task on such a minute too. */
const STEP_MIN = 5;
const oven: ScheduleResource = {
  id: "oven",
  capacity: 1,
  gapMin: 0,
  away: [],
  isHands: false,
  heater: { restC: 20, heatUpCPerMin: 4, coolDownCPerMin: 4, toleranceC: 0 },
};

/** A kitchen's small day: pieces made, chilled, baked one load at a time at their own heats, and set out. */
function drawDay(seed: number): ScheduleProblem {
  const random = createRandom(seed);
  const pick = (from: number, to: number) => STEP_MIN * (from + Math.floor(random() * (to - from + 1)));
  const tasks = ["a", "b", "c"].slice(0, random() < 0.5 ? 2 : 3).flatMap((piece, i): ScheduleTask[] => {
    const free = { releaseMin: null, weight: 1 + (i % 2), pinnedMin: null } as const;
    const [makeMin, bakeMin, setMin] = [pick(2, 4), pick(3, 6), pick(1, 2)];
    const heatC = 180 + 20 * (Math.floor(random() * 3) - 1);
    const byHand = (fromMin: number, toMin: number) => ({ resourceId: "hands", fromMin, toMin, amount: 1 });
    const dueMin = pick(20, 30);
    return [
      {
        ...free,
        id: `make ${piece}`,
        after: [],
        dueMin: null,
        modes: [{ durationMin: makeMin, heat: null, uses: [byHand(0, makeMin)] }],
      },
      {
        ...free,
        id: `bake ${piece}`,
        after: [wait(`make ${piece}`, pick(0, 3), random() < 0.5 ? pick(4, 8) : null)],
        dueMin: null,
        modes: [
          {
            durationMin: bakeMin,
            heat: { startC: heatC, endC: heatC },
            uses: [{ resourceId: "oven", fromMin: 0, toMin: bakeMin, amount: 1 }, byHand(0, STEP_MIN)],
          },
        ],
      },
      {
        ...free,
        id: `set ${piece}`,
        after: [wait(`bake ${piece}`, pick(0, 2))],
        dueMin,
        // Two of the pieces are one customer's: the promise is as late as the later of them.
        ...(i < 2 && seed % 2 === 0 && { promiseId: "market" }),
        modes: [{ durationMin: setMin, heat: null, uses: [byHand(0, setMin)] }],
      },
    ];
  });
  return { tasks, resources: [hands, oven], holds: [], openMin: 0 };
}

interface Cost {
  readonly latenessMin: number;
  readonly dayMin: number;
}

/** No task of a better day begins later than this. */
const LATEST_MIN = 400;

/**
 * The best of all days there are, by trying every start of every task, knowing nothing of the engine.
 * @param known - Only what is better than this is looked for. @returns null if there is none.
 */
function findBetter({ tasks }: ScheduleProblem, known: Cost): Cost | null {
  const at = new Map(tasks.map(({ id }, i) => [id, i]));
  const promises = [...new Set(tasks.map(({ promiseId, id }) => promiseId ?? id))];
  const jobs = tasks.map(({ id, after: [wish], modes: [mode], dueMin, weight, promiseId }) => {
    const use = mode!.uses.find(({ resourceId }) => resourceId === "hands")!;
    return {
      lengthMin: mode!.durationMin,
      before: wish ? at.get(wish.taskId)! : -1,
      leastMin: wish?.minWaitMin ?? 0,
      mostMin: wish?.maxWaitMin ?? LATEST_MIN,
      handsFrom: use.fromMin,
      handsTo: use.toMin,
      heatC: mode!.heat?.startC ?? null,
      dueMin: dueMin ?? Infinity,
      weight,
      promise: promises.indexOf(promiseId ?? id),
    };
  });
  const busy = new Uint8Array((2 * LATEST_MIN) / STEP_MIN);
  const starts = new Array<number>(jobs.length).fill(0);
  const late = new Array<number>(promises.length).fill(0);
  let best: Cost | null = null;
  let { latenessMin: mostLate, dayMin: longest } = known;

  /** Whether the oven is free and at its heat for a load that begins then, beside those before it in the list. */
  const isHot = (own: number, startMin: number, heatC: number): boolean => {
    if (startMin < (heatC - 20) / 4) return false;
    for (let i = 0; i < own; i++) {
      const other = jobs[i]!;
      if (other.heatC === null) continue;
      const changeMin = (other.heatC > heatC ? other.heatC - heatC : heatC - other.heatC) / 4;
      if (
        startMin < starts[i]! + other.lengthMin + changeMin &&
        starts[i]! < startMin + jobs[own]!.lengthMin + changeMin
      )
        return false;
    }
    return true;
  };
  const walk = (i: number, latenessMin: number, firstMin: number, lastMin: number): void => {
    if (i === jobs.length) {
      best = { latenessMin, dayMin: lastMin - firstMin };
      [mostLate, longest] = [latenessMin, lastMin - firstMin];
      return;
    }
    const job = jobs[i]!;
    const doneMin = job.before < 0 ? 0 : starts[job.before]! + jobs[job.before]!.lengthMin;
    const toMin = job.before < 0 ? LATEST_MIN : doneMin + job.mostMin;
    for (let startMin = doneMin + job.leastMin; startMin <= toMin; startMin += STEP_MIN) {
      if (startMin > LATEST_MIN) break;
      const was = late[job.promise]!;
      const lateMin = (startMin + job.lengthMin - job.dueMin) * job.weight;
      const more = lateMin > was ? lateMin - was : 0;
      if (latenessMin + more > mostLate) break;
      const first = startMin + job.handsFrom < firstMin ? startMin + job.handsFrom : firstMin;
      const last = startMin + job.handsTo > lastMin ? startMin + job.handsTo : lastMin;
      if (latenessMin + more === mostLate && last - first >= longest) {
        // Later yet only makes the day longer, unless this is what comes first in it.
        if (first < startMin + job.handsFrom) break;
        continue;
      }
      let isFree = true;
      const [from, to] = [(startMin + job.handsFrom) / STEP_MIN, (startMin + job.handsTo) / STEP_MIN];
      for (let slot = from; slot < to && isFree; slot++) isFree = busy[slot] === 0;
      if (!isFree || (job.heatC !== null && !isHot(i, startMin, job.heatC))) continue;
      busy.fill(1, from, to);
      starts[i] = startMin;
      if (more > 0) late[job.promise] = lateMin;
      walk(i + 1, latenessMin + more, first, last);
      late[job.promise] = was;
      busy.fill(0, from, to);
    }
  };
  walk(0, 0, Infinity, -Infinity);
  return best;
}

const median = (figures: readonly number[]) => figures.toSorted((a, b) => a - b)[figures.length >> 1]!;

test("on 24 kitchen days nearly every one found is the best there is, proven by trying all, and none is below the bound", () => {
  let best = 0;
  const [gaps, atFirst]: [number[], number[]] = [[], []];
  const gapOf = (cost: Cost, truth: Cost) =>
    (truth.latenessMin < cost.latenessMin
      ? cost.latenessMin - truth.latenessMin
      : cost.dayMin - truth.dayMin) / truth.dayMin;
  for (let seed = 1; seed <= 24; seed++) {
    const problem = drawDay(seed);
    const constructed = constructSchedule(problem);
    const { schedule } = improveSchedule(problem, {
      random: createRandom(1),
      isOver: (tries) => tries >= 800,
    });
    expect(checkSchedule(problem, schedule)).toEqual([]);
    expect(schedule.cost.brokenMin).toBe(0);
    const better = findBetter(problem, schedule.cost);
    const truth = better ?? schedule.cost;
    const bound = boundSchedule(problem);
    expect(bound.latenessMin).toBeLessThanOrEqual(truth.latenessMin);
    expect(bound.dayMin).toBeLessThanOrEqual(truth.dayMin);
    if (!better) best++;
    gaps.push(gapOf(schedule.cost, truth));
    expect(constructed.cost.brokenMin).toBe(0);
    atFirst.push(gapOf(constructed.cost, truth));
  }
  // A step is five minutes of a day of an hour or two.
  expect(median(atFirst)).toBeLessThanOrEqual(0.06);
  expect(best).toBeGreaterThanOrEqual(22);
  expect(median(gaps)).toBe(0);
  expect(Math.max(...gaps)).toBeLessThanOrEqual(0.07);
});

test("a promise of several last tasks is late once, by the latest of them, in cost, bound and for the checker", () => {
  const work = (id: string, dueMin: number | null, more: Partial<ScheduleTask>): ScheduleTask => ({
    releaseMin: null,
    weight: 1,
    pinnedMin: null,
    id,
    after: [],
    dueMin,
    modes: [
      { durationMin: 30, heat: null, uses: [{ resourceId: "hands", fromMin: 0, toMin: 30, amount: 1 }] },
    ],
    ...more,
  });
  const day = (more: Partial<ScheduleTask>): ScheduleProblem => ({
    tasks: ["one", "two", "three"].map((id) => work(id, 20, more)),
    resources: [hands],
    holds: [],
    openMin: 0,
  });
  const [apart, together] = [constructSchedule(day({})), constructSchedule(day({ promiseId: "fair" }))];
  // Ends at 30, 60 and 90, promised by 20.
  expect([apart.cost.latenessMin, together.cost.latenessMin]).toEqual([10 + 40 + 70, 70]);
  expect(boundSchedule(day({ promiseId: "fair" })).latenessMin).toBe(70);
  expect(boundSchedule(day({ promiseId: "fair", weight: 3 })).latenessMin).toBe(210);
  expect(checkSchedule(day({ promiseId: "fair" }), together)).toEqual([]);
  expect(checkSchedule(day({ promiseId: "fair" }), apart).map(({ code }) => code)).toEqual([
    "lateMiscounted",
  ]);
});
