import { judge, type Judged } from "./judge";
import { canStand } from "./keepPlaces";
import { compareCosts, type ScheduleProblem } from "./problem";

/**
 * The whole day moved later, as far as no promise comes late by it: nobody gets up sooner than they must. Where pins or
 * people's hours forbid it, the day stays.
 */
export function pushLater(problem: ScheduleProblem, judged: Judged): Judged {
  const { starts, ends } = judged.placing;
  let byMin = Infinity;
  problem.tasks.forEach(({ dueMin }, i) => {
    if (dueMin !== null) byMin = Math.min(byMin, dueMin - ends[i]!);
  });
  if (byMin === Infinity || byMin <= 0 || problem.tasks.some(({ pinnedMin }) => pinnedMin !== null))
    return judged;
  const later = (minute: number) => minute + byMin;
  const placing = { ...judged.placing, starts: starts.map(later), ends: ends.map(later) };
  if (!canStand(problem, placing)) return judged;
  const moved = judge(problem, placing);
  return compareCosts(moved.cost, judged.cost) <= 0 ? moved : judged;
}
