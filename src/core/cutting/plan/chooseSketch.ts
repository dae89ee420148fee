import { computeAreaMm2, computeBox, outerOutline } from "../../shape";
import type { CutRequest } from "./cutPlan";
import type { PlanSketch } from "./estimatePlan";

/**
 * Plans nearer than this to the best in the wanted figure count as equally good, and the other figure decides.
 * Three grams in a hundred, or a minute in half an hour, are within a baker's own spread; chasing them would
 * cut a dozen small sheets where three do.
 */
export const AIM_SLACK_SHARE = 0.03;

type Figure = (sketch: PlanSketch) => number;
/** What decides, then what decides among the good. `least` is met exactly. */
export interface Aim {
  readonly least: Figure | null;
  readonly wanted: Figure;
  readonly other: Figure;
}

const dough: Figure = ({ doughMm2 }) => doughMm2;
const time: Figure = ({ handMin }) => handMin;
export const leastDough: Aim = { least: null, wanted: dough, other: time };
export const fewestRerolls: Aim = { least: (sketch) => sketch.rerolls, wanted: dough, other: time };
export const leastTime: Aim = { least: null, wanted: time, other: dough };

/** A minute of hands is worth so much dough, g: a floured hour costs about what two and a half kilos of dough do. Craft's first guess. */
const MINUTE_G = 40;
/** A re-roll besides its minutes: it waits for its rest, and what comes of it is tougher, g of dough. */
const REROLL_G = 40;

/** Trim that is left is kept, and worth so much of fresh dough: it is used once more, and is tougher by then. */
const TRIM_WORTH_SHARE = 0.5;

/** What a cut plan costs: dough and trim left of it in g, hands in minutes. */
export interface CutCost {
  readonly doughG: number;
  readonly trimLeftG: number;
  readonly handMin: number;
  readonly rerolls: number;
}

/** The cost in all, as g of dough: the dough for good, the hands, and the fuss of rolling trim again. */
export const weighCost = ({ doughG, trimLeftG, handMin, rerolls }: CutCost): number =>
  doughG - trimLeftG * TRIM_WORTH_SHARE + handMin * MINUTE_G + rerolls * REROLL_G;

/** A span that the share of torn blanks is stated for, mm. */
const TEAR_SPAN_MM = 100;

/**
 * What blanks that tear off a sheet cost, as g of dough: each is trim now, and is weighed and rolled anew by itself.
 * The wider a blank, the sooner it tears.
 */
export function weighTears({
  demands,
  thicknessMm,
  densityGPerMl,
  tearSharePer100Mm,
  handTimes,
}: CutRequest): number {
  const gPerMm2 = (thicknessMm * densityGPerMl) / 1000;
  const againG = (handTimes.perPortionS / 60) * MINUTE_G;
  return demands.reduce((sum, { outline, count }) => {
    const { widthMm, heightMm } = computeBox(outerOutline(outline));
    const torn = Math.min((tearSharePer100Mm * Math.max(widthMm, heightMm)) / TEAR_SPAN_MM, 1) * count;
    return sum + torn * (computeAreaMm2(outline) * gPerMm2 * (1 - TRIM_WORTH_SHARE) + againG);
  }, 0);
}

/** What a hand would do: dough, minutes and fuss weighed together, of equals the quicker. @param gPerMm2 - Of rolled dough. */
export function sensible(gPerMm2: number): Aim {
  const cost: Figure = ({ doughMm2, trimLeftMm2, handMin, rerolls }) =>
    weighCost({ doughG: doughMm2 * gPerMm2, trimLeftG: trimLeftMm2 * gPerMm2, handMin, rerolls });
  return { least: cost, wanted: cost, other: time };
}

/** A small cutter on a large sheet has tens of thousands of plans: too many to hand over as arguments. */
const findLowest = (sketches: readonly PlanSketch[], figure: Figure): number =>
  sketches.reduce((lowest, sketch) => Math.min(lowest, figure(sketch)), Infinity);

/** Of the plans within the slack of the lowest `wanted` figure, the one with the lowest `other`. */
export function choose(sketches: readonly PlanSketch[], { least, wanted, other }: Aim): PlanSketch {
  const lowest = least && findLowest(sketches, least);
  const among = least ? sketches.filter((sketch) => least(sketch) === lowest) : sketches;
  const most = findLowest(among, wanted) * (1 + AIM_SLACK_SHARE);
  const [first, ...rest] = among.filter((sketch) => wanted(sketch) <= most);
  if (!first) throw new RangeError("choose: a menu that is not empty gave no plan");
  return rest.reduce((best, sketch) => (other(sketch) < other(best) ? sketch : best), first);
}

/** The lowest whole number in [low, high] for which `holds`, which must be true at `high`; by bisection. */
export function findFewest(low: number, high: number, holds: (n: number) => boolean): number {
  let [few, enough] = [low, high];
  while (few < enough) {
    const middle = (few + enough) >> 1;
    if (holds(middle)) enough = middle;
    else few = middle + 1;
  }
  return enough;
}
