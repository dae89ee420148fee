/** One of several that go together. */
export interface Ratioed {
  /** How many of it go with how many of the others, above 0. */
  readonly ratio: number;
}

/** A ratio of 3 to 1 may be a hair above or below it, as numbers go. */
const HAIR = 1e-9;

const leastOf = (each: readonly Ratioed[]) => Math.min(...each.map(({ ratio }) => ratio));

/** By the ratios, so many of each for so many sets: the scarcest once a set, the others rounded up. */
export function countNeeds(each: readonly Ratioed[]): (sets: number) => readonly number[] {
  const least = leastOf(each);
  return (sets) => each.map(({ ratio }) => Math.max(Math.ceil((sets * ratio) / least - HAIR), 0));
}

/** Whole sets that so many of each make. */
export function countSets(each: readonly Ratioed[], counts: readonly number[]): number {
  const least = leastOf(each);
  return Math.min(...each.map(({ ratio }, i) => Math.floor(((counts[i]! + HAIR) * least) / ratio)));
}
