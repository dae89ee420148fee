import {
  followSchedule,
  type DayForecast,
  type LaidTask,
  type Schedule,
  type ScheduleProblem,
} from "../../schedule";

/** A day laid with minutes to spare before what is promised. */
export interface Reserved {
  readonly schedule: Schedule;
  readonly forecast: DayForecast;
  /** The most that any promise was planned for before its minute. */
  readonly reserveMin: number;
}

/** Nobody is fetched out of bed for minutes that stray by more than this, min. */
const MOST_RESERVE_MIN = 90;
/** A day laid for an earlier minute is another day, with strays of its own: it is looked at so often. */
const ROUNDS = 4;

/**
 * A day whose promises hold nine times in ten, as far as there is room for that: each is planned for so much earlier as
 * its last minute strays beyond it, again and again until it does not.
 * @param schedule - As it is laid without a reserve. @param forecastOf - How a laid day strays.
 * @returns Null where nothing needs a reserve, or none fits between the opening and the promises.
 */
export function keepReserve(
  problem: ScheduleProblem,
  laid: readonly LaidTask[],
  schedule: Schedule,
  forecastOf: (schedule: Schedule) => DayForecast | null,
): Reserved | null {
  if (schedule.late.length > 0 || schedule.cost.brokenMin > 0) return null;
  let forecast = forecastOf(schedule);
  let best: Reserved | null = null;
  let leastMissMin = forecast ? findMisses(problem, forecast).worstMin : 0;
  const reserves = problem.tasks.map(() => 0);
  for (let round = 0; round < ROUNDS && forecast; round++) {
    const { missMin, worstMin } = findMisses(problem, forecast);
    if (worstMin === 0) break;
    missMin.forEach((min, i) => (reserves[i] = Math.min(reserves[i]! + Math.ceil(min), MOST_RESERVE_MIN)));
    const candidate = followSchedule(bringForward(problem, reserves), laid);
    // Late against an earlier minute is a reserve that is not kept whole; late against what was promised is none.
    const isLate = candidate.late.some(({ taskId, dueMin, lateMin }) => {
      const task = problem.tasks.findIndex(({ id }) => id === taskId);
      return lateMin > (problem.tasks[task]?.dueMin ?? dueMin) - dueMin;
    });
    if (isLate || candidate.cost.brokenMin > 0) break;
    forecast = forecastOf(candidate);
    const missesMin = forecast ? findMisses(problem, forecast).worstMin : Infinity;
    if (!forecast || missesMin >= leastMissMin) continue;
    leastMissMin = missesMin;
    best = { schedule: freeOfLate(candidate), forecast, reserveMin: Math.max(...reserves) };
  }
  return best;
}

/** By how much each promise is missed on the worst of nine days in ten. */
function findMisses({ tasks }: ScheduleProblem, forecast: DayForecast) {
  const missMin = tasks.map(({ id, dueMin }) =>
    dueMin === null ? 0 : Math.max((forecast.find(id)?.mostMin ?? dueMin) - dueMin, 0),
  );
  return { missMin, worstMin: Math.max(0, ...missMin) };
}

const bringForward = (problem: ScheduleProblem, reserves: readonly number[]): ScheduleProblem => ({
  ...problem,
  tasks: problem.tasks.map((task, i) =>
    task.dueMin === null ? task : { ...task, dueMin: task.dueMin - (reserves[i] ?? 0) },
  ),
});

/** Nothing is late against what was promised. */
const freeOfLate = (schedule: Schedule): Schedule => ({
  ...schedule,
  late: [],
  cost: { ...schedule.cost, latenessMin: 0 },
});
