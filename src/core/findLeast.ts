import { Budget } from "./budget";

/** Something whose measure is not known yet, only that it is no less than so much. */
export interface Draft<T> {
  readonly atLeast: number;
  readonly finish: () => { readonly value: T; readonly measure: number };
}

/**
 * The drafts of least measure, the least first and of equal ones the first given: what finishing all of them would give,
 * finishing none that cannot be among them.
 * @param count - How many are wanted, a whole number from 1 on.
 * @param budget - Once it is over, those of the most promising that were finished by then: one at least.
 */
export function findLeast<T>(drafts: readonly Draft<T>[], count: number, budget = new Budget()): T[] {
  const hopeful = [...drafts.entries()].sort(([, a], [, b]) => a.atLeast - b.atLeast);
  let best: { readonly value: T; readonly measure: number; readonly at: number }[] = [];
  for (let from = 0; from < hopeful.length; from += count) {
    if (best.length === count && hopeful[from]![1].atLeast > best.at(-1)!.measure) break;
    const next: typeof best = [];
    for (const [at, draft] of hopeful.slice(from, from + count)) {
      if (best.length + next.length > 0 && budget.isOver()) break;
      next.push({ ...draft.finish(), at });
    }
    best = [...best, ...next].sort((a, b) => a.measure - b.measure || a.at - b.at).slice(0, count);
    if (budget.cutShort) break;
  }
  return best.map(({ value }) => value);
}
