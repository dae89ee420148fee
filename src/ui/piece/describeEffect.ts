import type { DayFigures } from "@/core/plan";
import { formatClock, formatMass, formatNumber } from "@/core/units";

/** Less than this is not worth a word, g and min. */
const EVEN_G = 0.5;
const EVEN_MIN = 0.5;
const EVEN_SHARE = 0.0005;

/** What a choice does to the day, figure by figure; nothing where nothing changes. */
export function describeEffect(now: DayFigures, then: DayFigures): string[] {
  if (then.fault !== null) return [`cannot be made so: ${then.fault}`];
  const more = (before: number, after: number, even: number, write: (by: number) => string) =>
    Math.abs(after - before) < even
      ? []
      : [`${after > before ? "+" : "−"} ${write(Math.abs(after - before))}`];
  return [
    ...more(now.doughG, then.doughG, EVEN_G, (by) => `${formatMass(by)} dough`),
    ...more(now.overG, then.overG, EVEN_G, (by) => `${formatMass(by)} over`),
    ...more(now.fillingG, then.fillingG, EVEN_G, (by) => `${formatMass(by)} filling`),
    ...more(now.handsMin, then.handsMin, EVEN_MIN, (by) => `${formatNumber(by)} min of hands`),
    ...more(now.eggs, then.eggs, 1, (by) => `${by} ${by === 1 ? "egg" : "eggs"}`),
    ...(now.startMin !== null && then.startMin !== null && now.startMin !== then.startMin
      ? [`start ${formatClock(then.startMin)} instead of ${formatClock(now.startMin)}`]
      : []),
    ...more(now.lateMin, then.lateMin, EVEN_MIN, (by) => `${formatNumber(by)} min late`),
    ...(now.leakShare !== null &&
    then.leakShare !== null &&
    Math.abs(now.leakShare - then.leakShare) >= EVEN_SHARE
      ? [`${formatNumber(then.leakShare * 100, 1)} % may leak, now ${formatNumber(now.leakShare * 100, 1)}`]
      : []),
  ];
}
