/** Stands for whatever this house is called: only what follows its name is kept. */
const HOUSE = "http://house";

/**
 * Where one goes after coming in: a page of this house, whatever was asked for. Read as a browser reads it, which drops
 * tabs and takes `/\` for `//`.
 */
export function findWayBack(asked: unknown): string {
  if (typeof asked !== "string" || !asked.startsWith("/") || !URL.canParse(asked, HOUSE)) return "/";
  const { origin, pathname, search } = new URL(asked, HOUSE);
  return origin === HOUSE && !pathname.startsWith("//") ? pathname + search : "/";
}
