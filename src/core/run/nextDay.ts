import { planDay, type DayBook, type DayPlan } from "../plan";

/** What a day to come looks like by what is known. */
export interface DayOutlook {
  /** The last of its work, likeliest and nine days in ten; null where it has none. */
  readonly likelyMin: number | null;
  readonly mostMin: number | null;
  readonly startMin: number | null;
  /** Minutes of hands. */
  readonly handsMin: number;
  /** Pieces that are expected to leak. */
  readonly leaks: number;
}

/** A day as it was before something was known or changed, and as it is now. */
export interface TaughtOutlook {
  readonly before: DayOutlook;
  readonly now: DayOutlook;
}

/** @param before - What of the book was otherwise: what was known before a day taught, pieces before they are changed. */
export const compareOutlook = (book: DayBook, before: Partial<DayBook>): TaughtOutlook => ({
  before: lookOut(planDay({ ...book, ...before })),
  now: lookOut(planDay(book)),
});

const lookOut = ({ ends, tally, tasks, lines }: DayPlan): DayOutlook => ({
  likelyMin: ends?.likelyMin ?? null,
  mostMin: ends?.mostMin ?? null,
  startMin: tally.startMin,
  handsMin: tasks.reduce((sum, { handsMin }) => sum + handsMin, 0),
  leaks: lines.reduce(
    (sum, { shaped: { hold }, counts: { toFill } }) => sum + (hold?.leakShare ?? 0) * toFill,
    0,
  ),
});
