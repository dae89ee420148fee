import { getISOWeek, getISOWeekYear } from "date-fns";

/** A copy by its place in time. */
export interface DatedCopy {
  readonly name: string;
  readonly madeAtMs: number;
}

/** Newest copies kept whatever their age, and how many weeks and months back one of each is kept. */
export const GENERATIONS = { last: 10, weeks: 8, months: 24 } as const;

/**
 * Which copies are kept: the newest ten, the newest of each of eight weeks, the newest of each of twenty-four months.
 * Weeks and months count only where there are copies: a bakery that rests for a summer loses none.
 * @returns Names, of those given.
 */
export function chooseKept(copies: readonly DatedCopy[]): ReadonlySet<string> {
  const newestFirst = [...copies].sort((a, b) => b.madeAtMs - a.madeAtMs);
  return new Set([
    ...newestFirst.slice(0, GENERATIONS.last).map(({ name }) => name),
    ...newestOfEach(newestFirst, toWeek, GENERATIONS.weeks),
    ...newestOfEach(newestFirst, toMonth, GENERATIONS.months),
  ]);
}

function newestOfEach(
  newestFirst: readonly DatedCopy[],
  toSpan: (at: Date) => string,
  most: number,
): string[] {
  const newest = new Map<string, string>();
  for (const { name, madeAtMs } of newestFirst) {
    const span = toSpan(new Date(madeAtMs));
    if (!newest.has(span) && newest.size < most) newest.set(span, name);
  }
  return [...newest.values()];
}

const toWeek = (at: Date) => `${getISOWeekYear(at)}-${getISOWeek(at)}`;
const toMonth = (at: Date) => at.toISOString().slice(0, 7);
