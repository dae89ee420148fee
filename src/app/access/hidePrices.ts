import type { DaySummary, RunSheet } from "@/core/run";
import { getStore } from "@/data/getStore";
import type { Role } from "@/schemas/access";
import type { Standing } from "@/schemas/change";
import type { Ingredient } from "@/schemas/model";
import type { RecordLists } from "@/schemas/recordTable";

/** Whether what is paid, asked and earned is kept from this device: the owner may hide it from the bench. */
export const isHiddenFrom = (role: Role): boolean =>
  role === "bench" && (getStore().readTill()?.hidesFromBench ?? false);

/** A day's records as a device of this role may have them. */
export function hidePrices(lists: RecordLists, role: Role): RecordLists {
  if (!isHiddenFrom(role)) return lists;
  const till = (lists.till ?? []).map((each) => ({ ...each, hourMinor: 0, kwhMinor: 0 }));
  const ingredient = (lists.ingredient ?? []).map(hidePack);
  return { ...lists, price: [], till, ingredient };
}

const hidePack = (each: Ingredient): Ingredient => ({ ...each, pack: null });

/** A run's sheet as a device of this role may have it. @param sheet - As it was frozen. */
export const hideSheetCosts = <S extends Pick<RunSheet, "costs">>(sheet: S, role: Role): S =>
  isHiddenFrom(role)
    ? {
        ...sheet,
        costs: {
          ...sheet.costs,
          pieces: sheet.costs.pieces.map((each) => ({ ...each, ingredientsMinor: 0 })),
        },
      }
    : sheet;

/** Days at a glance as a device of this role may have them. */
export const hideDayCosts = (days: readonly DaySummary[], role: Role): readonly DaySummary[] =>
  isHiddenFrom(role)
    ? days.map((day) => ({
        ...day,
        pieces: day.pieces.map((each) => ({ ...each, ingredientsMinor: 0 })),
      }))
    : days;

/** What was written as a device of this role may hear it; null where it has to read its day again, told or not. */
export function hidePriceNews(standing: readonly Standing[] | null, role: Role): readonly Standing[] | null {
  const tellsMoney = standing?.some(({ kind }) => ["till", "price", "ingredient"].includes(kind)) ?? false;
  if (!standing || role !== "bench" || !tellsMoney) return standing;
  // What is hidden may just have been, or be no more.
  if (standing.some(({ kind }) => kind === "till")) return null;
  if (!isHiddenFrom(role)) return standing;
  return standing.flatMap((each) => {
    if (each.kind === "price") return [];
    return each.kind === "ingredient" && each.record
      ? [{ ...each, record: hidePack(each.record as Ingredient) }]
      : [each];
  });
}
