import type { Budget } from "../../budget";
import { createMemory } from "../../createMemory";
import {
  computeBox,
  computeSheetAreaMm2,
  outerOutline,
  roundSheetFor,
  type BoxMm,
  type Outline,
  type SheetShape,
} from "../../shape";
import { listDiscSheets, countRows, squareOfTwo, listOutlineSheets, listRectangleSheets } from "../rows";
import { turnBox } from "../sheet";

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
export function listSheetMenu(request: MenuRequest, limit: BoxMm, budget: Budget): readonly MenuSheet[] {
  const { outline, webMm, marginMm, mayTurn } = request;
  return remember(
    JSON.stringify([outline, webMm, marginMm, mayTurn, limit]),
    () => workOut(request, limit, budget),
    () => !budget.cutShort,
  );
}

/** Menus remembered at once: a table of cutters by margin asks for some dozens. */
const MOST_MENUS = 120;
const remember = createMemory<readonly MenuSheet[]>(MOST_MENUS);

function workOut(request: MenuRequest, limit: BoxMm, budget: Budget): readonly MenuSheet[] {
  const { marginMm } = request;
  const usableLimit = { widthMm: limit.widthMm - 2 * marginMm, heightMm: limit.heightMm - 2 * marginMm };
  // An outline's own rows were counted on these very sheets; rows of discs and blocks of rectangles may be better yet.
  const listed = keepUndominated(thinOut(listUsables(request, usableLimit, budget), marginMm, budget));
  if (!hasPlainRows(request.outline)) return listed;
  const recounted = listed.map((entry) =>
    budget.isOver() ? entry : { ...entry, count: countRows({ ...request, sheet: entry.sheet }) },
  );
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

/** Up to so many cuts every count is listed; beyond, one in each step of this share: a hand rolls no finer. */
const ALL_UP_TO = 200;
const COUNT_STEP = Math.log(1.004);

/**
 * Of each count, or of counts that are as good as the same, the smallest sheet; and the one that gives the most. A small
 * cutter has millions of sheets on a large bench.
 */
function thinOut(usables: Iterable<UsableSheet>, marginMm: number, budget: Budget): MenuSheet[] {
  const smallest = new Map<number, MenuSheet>();
  let most: MenuSheet | null = null;
  let looked = 0;
  for (const { usable, count } of usables) {
    if (++looked % LOOKS_PER_CLOCK === 0 && budget.isOver()) break;
    const step = count <= ALL_UP_TO ? count : ALL_UP_TO + Math.ceil(Math.log(count / ALL_UP_TO) / COUNT_STEP);
    const [widthMm, heightMm] = [usable.widthMm + 2 * marginMm, usable.heightMm + 2 * marginMm];
    const areaMm2 = widthMm * heightMm;
    const isSmallest = areaMm2 < (smallest.get(step)?.areaMm2 ?? Infinity);
    const isMost = !most || count > most.count || (count === most.count && areaMm2 < most.areaMm2);
    if (!isSmallest && !isMost) continue;
    const sheet: MenuSheet = { sheet: { widthMm, heightMm }, areaMm2, count };
    if (isSmallest) smallest.set(step, sheet);
    if (isMost) most = sheet;
  }
  return [...smallest.values(), ...(most ? [most] : [])];
}

/** Sheets looked at between two looks at the clock: a fraction of a millisecond. */
const LOOKS_PER_CLOCK = 256;

interface UsableSheet {
  readonly usable: BoxMm;
  readonly count: number;
}

function* listUsables(
  { outline, webMm, mayTurn }: MenuRequest,
  limit: BoxMm,
  budget: Budget,
): Generator<UsableSheet> {
  const cut = outerOutline(outline);
  switch (cut.kind) {
    case "disc":
      yield* listDiscSheets(cut.diameterMm, limit, webMm);
      for (const { usable, count } of listDiscSheets(cut.diameterMm, turnBox(limit), webMm))
        yield { usable: turnBox(usable), count };
      return;
    case "square":
    case "rectangle": {
      const box = computeBox(cut);
      yield* listRectangleSheets(box, limit, webMm);
      // A quarter turn of the piece on the sheet; without grain that is a sheet more to choose from.
      if (mayTurn) yield* listRectangleSheets(turnBox(box), limit, webMm);
      return;
    }
    case "triangle":
      for (const { usable, count } of listRectangleSheets(squareOfTwo(cut.legMm, webMm), limit, webMm))
        yield { usable, count: 2 * count };
      return;
    default:
      yield* listOutlineSheets(cut, limit, webMm, mayTurn, budget);
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
