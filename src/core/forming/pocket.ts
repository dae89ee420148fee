import { solveFilledSection, type FilledSection } from "./filledSection";

/** Of the paper bag: what the closed ends of a long bag take off a roll, as a share of the cube of its width. */
const ENDS_SHARE = 0.142;

/**
 * The most that two flat sheets joined along all four edges can hold, mm³: no dough stretches, so an end that is
 * closed draws in what lies before it. Closed form for the paper bag (a bag of width w and length h ≥ w holds about
 * w³(h/πw − 0.142(1 − 10^(−h/w)))), within a few percent of what is known; the long bag tends to the roll w²h/π.
 */
export function computePocketMm3(oneMm: number, otherMm: number): number {
  const widthMm = Math.min(oneMm, otherMm);
  const lengthMm = Math.max(oneMm, otherMm);
  if (widthMm <= 0) return 0;
  const slim = lengthMm / widthMm;
  return widthMm ** 3 * (slim / Math.PI - ENDS_SHARE * (1 - 10 ** -slim));
}

/** Share of its most that a pocket holds at a plumpness: as a section of the same dough does. */
export const computePlumpShare = (plumpness: number): number =>
  solveFilledSection(1, plumpness).areaMm2 / solveFilledSection(1, 1).areaMm2;

/** Halvings of the plumpness: to a millionth. */
const BISECTIONS = 40;

/**
 * The pocket cut across its fold. Its height is that of the narrower way round, however much dough the other way has.
 * @param acrossMm, alongMm - Inside, flat, from fold to seam and from end to end.
 */
export function solvePocketSection(acrossMm: number, alongMm: number, plumpness: number): FilledSection {
  const { heightMm } = solveFilledSection(2 * Math.min(acrossMm, alongMm), plumpness);
  let [low, high] = [0, 1];
  for (let i = 0; i < BISECTIONS; i++) {
    const middle = (low + high) / 2;
    if (solveFilledSection(2 * acrossMm, middle).heightMm < heightMm) low = middle;
    else high = middle;
  }
  return solveFilledSection(2 * acrossMm, acrossMm <= alongMm ? plumpness : high);
}
