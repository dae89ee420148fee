import { computeBox, type BoxMm, type Outline } from "../shape";
import { listDiscSheets } from "./discRows";
import { layOutRows } from "./layout";
import { listRectangleSheets } from "./rectangleRows";
import { turnBox } from "./rowPattern";

/** A sheet just large enough for `count` cuts, ragged margin included. */
export interface MenuSheet {
  readonly sheet: BoxMm;
  readonly areaMm2: number;
  readonly count: number;
}

/**
 * The sheets worth rolling: for every count the smallest rectangle within `limit` that gives it, and none
 * that gives fewer cuts from more dough than another.
 * @returns Sorted by count and by area, both strictly rising. Empty if not one cut fits.
 */
export function listSheetMenu(outline: Outline, webMm: number, marginMm: number, limit: BoxMm): MenuSheet[] {
  const usableLimit = { widthMm: limit.widthMm - 2 * marginMm, heightMm: limit.heightMm - 2 * marginMm };
  const list = (bounds: BoxMm, turned: boolean) => {
    const box = turned ? turnBox(computeBox(outline)) : computeBox(outline);
    return outline.kind === "disc"
      ? listDiscSheets(outline.diameterMm, bounds, webMm)
      : listRectangleSheets(box, bounds, webMm);
  };
  const usables = [
    ...list(usableLimit, false),
    ...list(turnBox(usableLimit), true).map(({ usable, count }) => ({ usable: turnBox(usable), count })),
  ];
  const sheets = usables.map(({ usable, count }) => {
    const sheet = { widthMm: usable.widthMm + 2 * marginMm, heightMm: usable.heightMm + 2 * marginMm };
    return { sheet, areaMm2: sheet.widthMm * sheet.heightMm, count };
  });
  // A rectangle made for plain rows may hold one cut more in stretched or mixed ones.
  const recounted = keepUndominated(sheets).map((entry) => ({
    ...entry,
    count: countBest(outline, entry.sheet, webMm, marginMm),
  }));
  return keepUndominated(recounted);
}

/** Of all sheets, those smaller than everything that gives as many cuts or more; rising in count and area. */
function keepUndominated(sheets: readonly MenuSheet[]): MenuSheet[] {
  let smallestMm2 = Infinity;
  return sheets
    .toSorted((a, b) => b.count - a.count || a.areaMm2 - b.areaMm2)
    .filter(({ areaMm2 }) => {
      if (areaMm2 >= smallestMm2) return false;
      smallestMm2 = areaMm2;
      return true;
    })
    .reverse();
}

function countBest(outline: Outline, sheet: BoxMm, webMm: number, marginMm: number): number {
  const layout = layOutRows({ outline, sheet, webMm, marginMm });
  if (!layout.ok) throw new RangeError(`listSheetMenu: ${layout.failure.message}`);
  return layout.value.count;
}

/** The last entry of `menu` whose area is at most `areaMm2`, or null. O(log n). */
export function findLargestWithin(menu: readonly MenuSheet[], areaMm2: number): MenuSheet | null {
  const index = lowerBound(menu, (entry) => entry.areaMm2 > areaMm2) - 1;
  return menu[index] ?? null;
}

/** The first entry of `menu` that gives at least `count`, or null. O(log n). */
export function findSmallestFor(menu: readonly MenuSheet[], count: number): MenuSheet | null {
  return menu[lowerBound(menu, (entry) => entry.count >= count)] ?? null;
}

/** First index at which `holds` is true; `holds` must be false, then true. */
function lowerBound(menu: readonly MenuSheet[], holds: (entry: MenuSheet) => boolean): number {
  let low = 0;
  let high = menu.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    const entry = menu[middle];
    if (entry && holds(entry)) high = middle;
    else low = middle + 1;
  }
  return low;
}
