import { findShownUnit } from "@/core/units";
import type { Limit } from "@/schemas/limits";

/** What is finer is not kept of a figure that is turned. */
const KEPT_DECIMALS = 4;
const keep = (value: number): number => Number(value.toFixed(KEPT_DECIMALS));
/** So near to a whole step it is one, of a step: what is kept of the finest step is rounded by a tenth of this. */
const ROUNDING = 1e-3;

/** A figure of the house's unit as it is kept, whole steps of decimals without the dust of a float. */
export const toKept = (shown: number, { unit }: Limit): number => keep(shown * findShownUnit(unit).factor);

/** Steps and ends of a dial's slider in the unit that is shown: whole steps of it within the ends. */
export function layOutSlider(least: number, most: number, { unit, step }: Limit) {
  const { factor, toStep } = findShownUnit(unit);
  if (factor === 1) return { min: least, max: most, step };
  const shownStep = toStep(step);
  return {
    min: Math.ceil(least / factor / shownStep - ROUNDING) * shownStep,
    max: Math.floor(most / factor / shownStep + ROUNDING) * shownStep,
    step: shownStep,
  };
}

/** A figure one step up or down; in another unit than it is kept in, to that unit's next whole step. */
export function turnDial(value: number, direction: number, limit: Limit): number {
  const { factor, toStep } = findShownUnit(limit.unit);
  if (factor === 1) return keep(value + direction * limit.step);
  const step = toStep(limit.step);
  const steps = value / factor / step;
  const next =
    direction > 0 ? Math.floor(steps + ROUNDING) + direction : Math.ceil(steps - ROUNDING) + direction;
  return toKept(next * step, limit);
}
