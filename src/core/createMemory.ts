import { readHouseMeasures } from "./units";

/**
 * Remembers the last `most` answers of a pure function by key, the oldest forgotten first. What a plan asks again and
 * again while a dial moves (menus of sheets, rows of an outline) is then worked out once. What was ended before it was
 * whole (asked after the work) is not remembered, nor is what was told in other measures than the house has now.
 */
export function createMemory<V>(most: number): (key: string, work: () => V, isWhole?: () => boolean) => V {
  const known = new Map<string, V>();
  let measures = readHouseMeasures();
  return (key, work, isWhole) => {
    if (measures !== readHouseMeasures()) {
      known.clear();
      measures = readHouseMeasures();
    }
    const found = known.get(key);
    if (found !== undefined) return found;
    const value = work();
    if (isWhole?.() === false) return value;
    const oldest = known.keys().next();
    if (known.size >= most && !oldest.done) known.delete(oldest.value);
    known.set(key, value);
    return value;
  };
}

/** The same records: the lists that hold them are made anew with every plan. */
const isSameList = (one: readonly unknown[], other: readonly unknown[]): boolean =>
  one === other || (one.length === other.length && one.every((each, i) => each === other[i]));

/**
 * Remembers the last answer about each record: it is given again while the record itself and all that it was worked out
 * from are the same, and the house tells it in the same measures.
 */
export function createRecordMemory<K extends object, V>(): (
  record: K,
  from: readonly unknown[],
  work: () => V,
) => V {
  const known = new WeakMap<K, { readonly from: readonly unknown[]; readonly value: V }>();
  return (record, workedFrom, work) => {
    const from = [...workedFrom, readHouseMeasures()];
    const found = known.get(record);
    if (found && isSameList(found.from, from)) return found.value;
    const value = work();
    known.set(record, { from, value });
    return value;
  };
}
