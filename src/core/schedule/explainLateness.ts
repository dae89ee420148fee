import { constructSchedule } from "./constructSchedule";
import type { Schedule, ScheduleProblem, ScheduleResource } from "./problem";

/** Something without which a day would be less late. */
export interface LateReason {
  /** A resource by its id, or how long dough may wait, or the time there is from opening. */
  readonly kind: "resource" | "longestWaits" | "opening";
  readonly resourceId: string | null;
  /** So many minutes of lateness, weighted, would go without it. */
  readonly lessMin: number;
}

/** Wider than any day needs. */
const ENDLESS = 1e6;
/** Opening so much sooner, min: a day. */
const SOONER_MIN = 24 * 60;

/**
 * Why a schedule is late: every limit is lifted by itself (one resource without end and without changeovers, no longest
 * waits, an earlier opening) and the day laid anew. What makes it less late is a reason, the greatest first.
 */
export function explainLateness(problem: ScheduleProblem, { cost }: Schedule): LateReason[] {
  if (cost.latenessMin === 0) return [];
  const lateWith = (changed: ScheduleProblem) => constructSchedule(changed).cost.latenessMin;
  const lifted = (resource: ScheduleResource): ScheduleProblem => ({
    ...problem,
    resources: problem.resources.map((each) =>
      each.id === resource.id ? { ...each, capacity: ENDLESS, gapMin: 0, heater: null, away: [] } : each,
    ),
  });
  const reasons: LateReason[] = [
    ...problem.resources.map((resource) => ({
      kind: "resource" as const,
      resourceId: resource.id,
      lessMin: cost.latenessMin - lateWith(lifted(resource)),
    })),
    {
      kind: "longestWaits",
      resourceId: null,
      lessMin:
        cost.latenessMin -
        lateWith({
          ...problem,
          tasks: problem.tasks.map((task) => ({
            ...task,
            after: task.after.map((wait) => ({ ...wait, maxWaitMin: null })),
          })),
        }),
    },
    {
      kind: "opening",
      resourceId: null,
      lessMin: cost.latenessMin - lateWith({ ...problem, openMin: problem.openMin - SOONER_MIN }),
    },
  ];
  return reasons.filter(({ lessMin }) => lessMin > 0).sort((a, b) => b.lessMin - a.lessMin);
}
