import { MAX_RECORDS } from "./limits";
import type { Fault } from "./validate";

/** Longest list anywhere in a document: corners of drawn cuts and cuts of a template are the longest that are meant. */
export const MAX_LIST = 5000;
/** Records of a day are fewer. */
const mostByName: Readonly<Record<string, number>> = {
  orders: MAX_RECORDS,
  pieces: MAX_RECORDS,
  formulas: MAX_RECORDS,
  weighings: MAX_RECORDS,
  larder: MAX_RECORDS,
  cutRecords: MAX_RECORDS,
  lotRecords: MAX_RECORDS,
  tasks: MAX_RECORDS,
};
/** Deeper than any document that is meant. */
const MAX_DEPTH = 32;

/**
 * The first list of a document that is longer than any that is meant, or a place that is nested deeper: told by its
 * length alone, before anything looks at its items.
 */
export function findLongList(value: unknown, path = "", depth = 0): Fault | null {
  if (typeof value !== "object" || value === null) return null;
  if (depth > MAX_DEPTH) return { path, message: `It is nested more than ${MAX_DEPTH} deep.` };
  if (Array.isArray(value)) {
    const most = mostByName[path.split(".").at(-1) ?? ""] ?? MAX_LIST;
    if (value.length > most)
      return { path, message: `${value.length} are ${value.length - most} too many: ${most} at the most.` };
  }
  for (const [name, item] of Object.entries(value)) {
    const long = findLongList(item, path === "" ? name : `${path}.${name}`, depth + 1);
    if (long) return long;
  }
  return null;
}
