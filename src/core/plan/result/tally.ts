import type { Schedule } from "../../schedule";
import type { Order } from "../book";
import type { PiecePlan, Tally } from "./dayPlan";

/** A day that is later than this is not late: it is more than the kitchen can do, min. No hour of overtime mends it. */
export const TOO_MUCH_MIN = 6 * 60;

/** The day in a handful of figures. */
export function computeTally(
  lines: readonly PiecePlan[],
  orders: readonly Order[],
  schedule: Schedule | null,
  openMin: number,
): Tally {
  const sum = (figure: (line: PiecePlan) => number) => lines.reduce((total, line) => total + figure(line), 0);
  return {
    doughG: sum(({ doughG }) => doughG),
    blanks: sum(({ setsCut }) => setsCut),
    fillingG: sum(({ fillingG }) => fillingG),
    ready: sum(({ counts: { made } }) => made),
    ordered: orders.reduce((total, { count }) => total + count, 0),
    readyMin: schedule?.endMin ?? null,
    startMin: schedule?.startMin ?? null,
    inHandMin: schedule && findInHandMin(schedule, openMin),
  };
}

function findInHandMin(schedule: Schedule, openMin: number): number {
  const lateMin = Math.max(0, ...schedule.late.map(({ lateMin: minutes }) => minutes));
  return lateMin > 0 ? -lateMin : schedule.startMin - openMin;
}
