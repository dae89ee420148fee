import { createMemory } from "../createMemory";
import {
  computeBox,
  computeSheetAreaMm2,
  outerOutline,
  roundSheetFor,
  type BoxMm,
  type Outline,
  type SheetShape,
} from "../shape";
import { listDiscSheets } from "./discRows";
import { countRows, squareOfTwo } from "./layout";
import { listOutlineSheets } from "./outlineRows";
import { listRectangleSheets } from "./rectangleRows";
import { turnBox } from "./rowPattern";

/** A sheet just large enough for `count` cuts, ragged margin included. */
export interface MenuSheet {
  readonly sheet: SheetShape;
  readonly areaMm2: number;
  readonly count: number;
}

/** What a menu of sheets is made for. */
export interface MenuRequest {
  readonly outline: Outline;
  readonly webMm: number;
  readonly marginMm: number;
  readonly mayTurn: boolean;
}

/**
 * The sheets worth rolling: for every count the smallest rectangle within `limit` that gives it, for a single round a
 * round sheet, and none that gives fewer cuts from more dough than another.
 * @returns Sorted by count and by area, both strictly rising. Empty if not one cut fits.
 */
export function listSheetMenu(request: MenuRequest, limit: BoxMm): readonly MenuSheet[] {
  const { outline, webMm, marginMm, mayTurn } = request;
  return remember(JSON.stringify([outline, webMm, marginMm, mayTurn, limit]), () => workOut(request, limit));
}

/** Menus remembered at once: a table of cutters by margin asks for some dozens. */
const MOST_MENUS = 120;
const remember = createMemory<readonly MenuSheet[]>(MOST_MENUS);

function workOut(request: MenuRequest, limit: BoxMm): readonly MenuSheet[] {
  const { marginMm } = request;
  const usableLimit = { widthMm: limit.widthMm - 2 * marginMm, heightMm: limit.heightMm - 2 * marginMm };
  const sheets = listUsables(request, usableLimit).map(({ usable, count }) => {
    const sheet = { widthMm: usable.widthMm + 2 * marginMm, heightMm: usable.heightMm + 2 * marginMm };
    return { sheet, areaMm2: sheet.widthMm * sheet.heightMm, count };
  });
  // An outline's own rows were counted on these very sheets; rows of discs and blocks of rectangles may be better yet.
  const listed = thinOut(keepUndominated(sheets));
  if (!hasPlainRows(request.outline)) return listed;
  const recounted = listed.map((entry) => ({
    ...entry,
    count: countRows({ ...request, sheet: entry.sheet }),
  }));
  return keepUndominated([...recounted, ...listRoundSheets(request, limit)]);
}

/** A ball rolls out round: for one round cut its sheet is no wider than the cut and its ragged edge. */
function listRoundSheets({ outline, marginMm }: MenuRequest, limit: BoxMm): MenuSheet[] {
  const cut = outerOutline(outline);
  if (cut.kind !== "disc") return [];
  const sheet = roundSheetFor(cut.diameterMm + 2 * marginMm);
  if (sheet.widthMm > Math.min(limit.widthMm, limit.heightMm)) return [];
  return [{ sheet, areaMm2: computeSheetAreaMm2(sheet), count: 1 }];
}

/** Up to so many cuts every sheet is listed; beyond, only those larger than the last by this share: a hand rolls no finer. */
const ALL_UP_TO = 200;
const LEAST_GROWTH_SHARE = 0.005;

/** Of sheets that rise in count and area, those a menu is to list; the largest is one. */
function thinOut(sheets: readonly MenuSheet[]): MenuSheet[] {
  let lastMm2 = 0;
  return sheets.filter(({ count, areaMm2 }, i) => {
    const isNear = count > ALL_UP_TO && areaMm2 < lastMm2 * (1 + LEAST_GROWTH_SHARE);
    if (isNear && i < sheets.length - 1) return false;
    lastMm2 = areaMm2;
    return true;
  });
}

interface UsableSheet {
  readonly usable: BoxMm;
  readonly count: number;
}

function listUsables({ outline, webMm, mayTurn }: MenuRequest, limit: BoxMm): UsableSheet[] {
  const cut = outerOutline(outline);
  const turned = (sheets: readonly UsableSheet[]) =>
    sheets.map(({ usable, count }) => ({ usable: turnBox(usable), count }));
  switch (cut.kind) {
    case "disc":
      return [
        ...listDiscSheets(cut.diameterMm, limit, webMm),
        ...turned(listDiscSheets(cut.diameterMm, turnBox(limit), webMm)),
      ];
    case "square":
    case "rectangle": {
      const box = computeBox(cut);
      // A quarter turn of the piece on the sheet; without grain that is a sheet more to choose from.
      return [
        ...listRectangleSheets(box, limit, webMm),
        ...(mayTurn ? listRectangleSheets(turnBox(box), limit, webMm) : []),
      ];
    }
    case "triangle":
      return listRectangleSheets(squareOfTwo(cut.legMm, webMm), limit, webMm).map(({ usable, count }) => ({
        usable,
        count: 2 * count,
      }));
    default:
      return listOutlineSheets(cut, limit, webMm, mayTurn);
  }
}

const hasPlainRows = ({ kind }: Outline) =>
  ["disc", "ring", "square", "rectangle", "triangle"].includes(kind);

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
