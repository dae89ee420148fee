import { getStore } from "@/data/getStore";
import type { Role } from "@/schemas/access";
import type { Standing } from "@/schemas/change";
import type { RecordLists } from "@/schemas/recordTable";

/** Whether what is asked and earned is kept from this device: the owner may hide it from the bench. */
const isHiddenFrom = (role: Role): boolean =>
  role === "bench" && (getStore().readTill()?.hidesFromBench ?? false);

/** A day's records as a device of this role may have them. */
export function hidePrices(lists: RecordLists, role: Role): RecordLists {
  if (!isHiddenFrom(role)) return lists;
  const till = (lists.till ?? []).map((each) => ({ ...each, hourMinor: 0, kwhMinor: 0 }));
  return { ...lists, price: [], till };
}

/** What was written as a device of this role may hear it; null where it has to read its day again, told or not. */
export function hidePriceNews(standing: readonly Standing[] | null, role: Role): readonly Standing[] | null {
  if (!standing || role !== "bench" || !standing.some(({ kind }) => kind === "till" || kind === "price"))
    return standing;
  // What is hidden may just have been, or be no more.
  return isHiddenFrom(role) && !standing.some(({ kind }) => kind === "till")
    ? standing.filter(({ kind }) => kind !== "price")
    : null;
}
