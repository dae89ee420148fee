import type { DayPlan } from "../result";

/** What a day asks of people and kitchen, as a week is weighed by it. */
export interface DayLoad {
  readonly pieces: number;
  readonly handsMin: number;
  /** Time that ovens and fryers are in use, each by itself, min. */
  readonly heatMin: number;
  readonly eggs: number;
  readonly startMin: number | null;
  /** The last thing is done, minutes after midnight. */
  readonly endMin: number | null;
  readonly lateMin: number;
  /** Pieces ordered that the plan cannot make. */
  readonly notPlanned: number;
}

/** The load of a planned day. */
export function sumDayLoad(plan: DayPlan): DayLoad {
  const { tasks, schedule, tally, eggs, lines } = plan;
  const planned = lines.reduce((sum, { counts }) => sum + counts.ordered, 0);
  return {
    pieces: tally.ordered,
    handsMin: tasks.reduce((sum, { handsMin }) => sum + handsMin, 0),
    heatMin: plan.machines.reduce((sum, { id }) => sum + coverMin(plan, id), 0),
    eggs: eggs.toCrack,
    startMin: tally.startMin,
    endMin: schedule?.endMin ?? null,
    lateMin: Math.max(0, ...(schedule?.late ?? []).map(({ lateMin }) => lateMin)),
    notPlanned: tally.ordered - planned,
  };
}

/** Minutes in which at least one load is in a machine. */
function coverMin({ tasks }: DayPlan, machineId: string): number {
  const spans = tasks
    .filter((task) => task.machineId === machineId)
    .map(({ placed }) => placed)
    .toSorted((a, b) => a.startMin - b.startMin);
  let [covered, untilMin] = [0, Number.NEGATIVE_INFINITY];
  for (const { startMin, endMin } of spans) {
    covered += Math.max(0, endMin - Math.max(startMin, untilMin));
    untilMin = Math.max(untilMin, endMin);
  }
  return covered;
}
