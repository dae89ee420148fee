import type { DayBook, LarderKind } from "../book";

/** Frozen on the tray, then bagged: as long as fruit and fat stay good in most freezers, days. */
const FROZEN_KEEPS_DAYS = 30;
/** Baked shells go soft, days. */
const SHELLS_KEEP_DAYS = 2;
/** Cut blanks keep on their papers in the fridge as long as their dough, less a day for drying. */
const BLANKS_DRY_DAYS = 1;
/** What no formula speaks for any more keeps no longer than this, days. */
const UNKNOWN_KEEPS_DAYS = 1;

/** Days that cut blanks keep, at least one: less than their dough, as their edges dry. */
export const blanksKeepDays = (dough: { readonly keepsDays: number } | undefined): number =>
  Math.max((dough?.keepsDays ?? UNKNOWN_KEEPS_DAYS) - BLANKS_DRY_DAYS, 1);

/**
 * Days that a thing may be kept from the day it is made: dough and filling as their formulas say, blanks by their dough.
 * @param refId - The formula of a dough or filling; the piece that all else belongs to.
 */
export function findKeepDays(
  kind: LarderKind,
  refId: string,
  { formulas, pieces }: Pick<DayBook, "formulas" | "pieces">,
): number {
  const formulaOf = (id: string | undefined) => formulas.find((formula) => formula.id === id);
  switch (kind) {
    case "dough":
    case "filling":
      return formulaOf(refId)?.keepsDays ?? UNKNOWN_KEEPS_DAYS;
    case "blanks":
      return blanksKeepDays(formulaOf(pieces.find(({ id }) => id === refId)?.doughId));
    case "shells":
      return SHELLS_KEEP_DAYS;
    case "frozenPieces":
      return FROZEN_KEEPS_DAYS;
  }
}
