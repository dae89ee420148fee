import { Budget } from "../../budget";
import { createMemory } from "../../createMemory";
import { findLeast, type Draft } from "../../findLeast";
import { toContour, type BoxMm, type Outline, type Polygon } from "../../shape";
import { clearBelowMm, clearBesideMm, computeProfile, type Profile } from "./profile";
import { countRow, type Row, type RowPattern, countPitches, FIT_TOLERANCE_MM } from "../sheet";

/**
 * One way to lay an outline in rows without end: every cut in a row alike, or every second one turned by half a
 * turn; the next row shifted along, and turned as a whole or not.
 */
export interface RowFamily {
  readonly row: RowKind;
  readonly next: RowKind;
  readonly pitchMm: number;
  /** How far the next row is shifted along, 0 ≤ shift < pitch. */
  readonly shiftMm: number;
  /** From a row to the next, and from that to the one after. */
  readonly stepsMm: readonly [number, number];
  /** Upright or lying, the next row straight under it or half a pitch along: may be stretched to fill a sheet. */
  readonly isPlain: boolean;
}

/** What stands at the beginning of a row, and what half a turn further, if anything. */
export interface RowKind {
  readonly first: Profile;
  readonly between: { readonly profile: Profile; readonly afterMm: number } | null;
  /** Both of them, and how far along each stands. */
  readonly members: readonly { readonly profile: Profile; readonly atMm: number }[];
  readonly reach: Reach;
}

/** From the first cut's middle to the ends of one beat of a row, and to its top and bottom. */
interface Reach {
  readonly leftMm: number;
  readonly rightMm: number;
  readonly topMm: number;
  readonly bottomMm: number;
}

/** Turns tried where the dough has no grain, degrees; with grain only upright and upside down. */
const TURNS_DEG = [0, 90, 15, 30, 45, 60, 75];
/** And of an outline that is not its own mirror image, these too. */
const MIRRORED_TURNS_DEG = [105, 120, 135, 150, 165];
/** Shifts of the next row tried, parts of a pitch. */
const SHIFTS = 16;
/** Families kept for an outline: the densest, and those that are plain. */
const MOST_FAMILIES = 40;
/** Of so many bands of a profile one is looked at where a bound is enough: a cut has some twenty left to be bounded by. */
const ROUGH_EVERY = 8;

/** One outline on a rectangle. */
export interface RowsRequest {
  readonly outline: Outline;
  /** Inside the ragged edge. */
  readonly usable: BoxMm;
  readonly webMm: number;
  /** False where the dough's grain allows only half turns. */
  readonly mayTurn: boolean;
  /** Once it is over, the rows of the turns tried by then, if they hold so many. */
  readonly budget: Budget;
  readonly least: number;
}

/**
 * The most cuts of any outline in its own rows, the rows along the width or down the height.
 * @returns The pattern; its count is 0 if not one fits. Families are worked out once for an outline and web.
 */
export function findBestOutlineRows(request: RowsRequest): RowPattern {
  const { outline, usable, webMm, mayTurn, budget, least } = request;
  // Of all turns only the densest rows are kept: what is found without turning is a choice too. And what is soonest known
  // comes first: should there be no time for more, it is what there is.
  let best: { count: number; build: () => RowPattern } = {
    count: 0,
    build: () => ({ style: "fitted", rowsRunDown: false, rows: [], count: 0 }),
  };
  // As long as there are too few, turns are looked into whatever the time.
  const inTime = () => (best.count < least ? {} : { budget });
  const tries: { rowsRunDown: boolean; list: () => readonly RowFamily[] }[] = [
    { rowsRunDown: false, list: () => listFamilies(outline, webMm, UPRIGHT_DEG, { isPlain: true }) },
    { rowsRunDown: false, list: () => listFamilies(outline, webMm, UPRIGHT_DEG) },
    // Rows that run down are the sheet turned by a quarter; with grain the outline may not turn with it.
    { rowsRunDown: true, list: () => listFamilies(outline, webMm, DOWN_DEG) },
    ...(mayTurn
      ? [false, true].map((rowsRunDown) => ({
          rowsRunDown,
          list: () => listFamilies(outline, webMm, listTurns(outline), inTime()),
        }))
      : []),
  ];
  for (const { rowsRunDown, list } of tries) {
    if (best.count >= least && budget.isOver()) break;
    const along = rowsRunDown ? usable.heightMm : usable.widthMm;
    const across = rowsRunDown ? usable.widthMm : usable.heightMm;
    for (const family of list()) {
      for (const stretched of listStretches(family, along)) {
        const count = countCuts(stretched, along, across);
        if (count <= best.count) continue;
        best = { count, build: () => buildRows(stretched, along, across, rowsRunDown, usable.widthMm) };
      }
    }
  }
  return best.build();
}

/** The family as it is, and with its pitch stretched so that a row (or one shifted) fills the sheet's length. */
function listStretches(family: RowFamily, alongMm: number): RowFamily[] {
  const { row, next, pitchMm, shiftMm, isPlain } = family;
  if (!isPlain || row.between) return [family];
  const spareMm = alongMm - (row.reach.rightMm - row.reach.leftMm);
  const pitches = countPitches(spareMm, pitchMm);
  if (pitches < 1) return [family];
  const stretch = (stretchedMm: number): RowFamily[] =>
    stretchedMm > pitchMm + FIT_TOLERANCE_MM
      ? [
          placeNext(
            { ...family, pitchMm: stretchedMm },
            (shiftMm / pitchMm) * stretchedMm,
            clearSameMm(row, next, stretchedMm),
          ),
        ]
      : [];
  return [family, ...stretch(spareMm / pitches), ...stretch(spareMm / (pitches + shiftMm / pitchMm))];
}

/** Which of an outline's families are worked out. */
interface FamiliesWanted {
  /** Of rows whose cuts all lie alike. */
  readonly isAlike?: boolean;
  /** An eighth of the work. */
  readonly isPlain?: boolean;
  /** Once it is over, those of the turns worked out by then: one at least. */
  readonly budget?: Budget;
}

/** The plain and the dense families of an outline. */
export function listFamilies(
  outline: Outline,
  webMm: number,
  turnsDeg: readonly number[],
  { isAlike = false, isPlain = false, budget = new Budget() }: FamiliesWanted = {},
): readonly RowFamily[] {
  const workOut = () => {
    const contour = toContour(outline);
    const drafts: FamilyDraft[] = [];
    for (const angleDeg of turnsDeg) {
      if (drafts.length > 0 && budget.isOver()) break;
      drafts.push(...draftFamilies(contour, angleDeg, webMm, isAlike, isPlain ? SHIFTS / 2 : 1));
    }
    const plain = drafts.flatMap((draft) => (draft.isPlain ? [draft.finish().value] : []));
    return [...new Set([...plain, ...findLeast(drafts, MOST_FAMILIES, budget)])];
  };
  const key = JSON.stringify([outline, webMm, turnsDeg, isAlike, isPlain]);
  return remember(key, workOut, () => !budget.cutShort);
}

/** The outline as it stands; on rows that run down a sheet, laid out as if the sheet lay on its side. */
export const UPRIGHT_DEG = [0];
const DOWN_DEG = [270];

/** The ways an outline may lie where the dough has no grain. */
export const listTurns = ({ kind }: Outline): readonly number[] =>
  kind === "path" ? [...TURNS_DEG, ...MIRRORED_TURNS_DEG] : TURNS_DEG;

/** Outlines remembered at once: more than any day cuts. */
const MOST_KNOWN = 64;
const remember = createMemory<readonly RowFamily[]>(MOST_KNOWN);

interface FamilyDraft extends Draft<RowFamily> {
  readonly isPlain: boolean;
}

/** The families of one turn, not yet worked out. @param every - Of the shifts of the next row only each so manieth. */
function draftFamilies(
  contour: Polygon,
  angleDeg: number,
  webMm: number,
  isAlike: boolean,
  every: number,
): FamilyDraft[] {
  const upright = computeProfile(contour, angleDeg, webMm);
  const turned = computeProfile(contour, (angleDeg + 180) % 360, webMm);
  const kinds = isAlike ? [toRowKind(upright, null)] : listRowKinds(upright, turned);
  return kinds.flatMap((row) => {
    const nexts = row.between ? [row] : [row, toRowKind(turned, null)];
    return nexts.flatMap((next) => {
      const pitchMm = findPitchMm(row);
      const sameMm = clearSameMm(row, next, pitchMm);
      return Array.from({ length: SHIFTS / every }, (_, n) => {
        const i = n * every;
        const isPlain = angleDeg % 90 === 0 && i % (SHIFTS / 2) === 0;
        const loose = { row, next, pitchMm, shiftMm: 0, stepsMm: [0, 0] as const, isPlain };
        const place = (bands?: number) => placeNext(loose, (i * pitchMm) / SHIFTS, sameMm, bands);
        let family: RowFamily | null = null;
        const finish = () => {
          family ??= place();
          return { value: family, measure: mm2PerCut(family) };
        };
        return { isPlain, finish, atLeast: isPlain ? finish().measure : mm2PerCut(place(ROUGH_EVERY)) };
      });
    });
  });
}

function listRowKinds(upright: Profile, turned: Profile): RowKind[] {
  const afterMm = clearBesideMm(upright, turned);
  return [toRowKind(upright, null), toRowKind(upright, { profile: turned, afterMm })];
}

function findPitchMm({ first, between }: RowKind): number {
  const aloneMm = clearBesideMm(first, first);
  return between ? Math.max(between.afterMm + clearBesideMm(between.profile, first), aloneMm) : aloneMm;
}

const mm2PerCut = ({ row, pitchMm, stepsMm }: RowFamily) =>
  (pitchMm * (stepsMm[0] + stepsMm[1])) / (row.between ? 4 : 2);

/** How far apart rows of the same kind must lie, two from each other in a family. */
const clearSameMm = (row: RowKind, next: RowKind, pitchMm: number): number =>
  Math.max(clearRowMm(row, row, pitchMm, 0), clearRowMm(next, next, pitchMm, 0));

/**
 * The family with its next row shifted so far: as near as the profiles allow, rows two apart included.
 * @param sameMm - What {@link clearSameMm} says of its rows, which no shift changes.
 * @param every - Looks at every such band of the profiles only: the rows may have to lie further apart, never nearer.
 */
function placeNext(family: RowFamily, shiftMm: number, sameMm: number, every = 1): RowFamily {
  const { row, next, pitchMm } = family;
  const downMm = clearRowMm(row, next, pitchMm, shiftMm, every);
  const upMm = clearRowMm(next, row, pitchMm, -shiftMm, every);
  return { ...family, shiftMm, stepsMm: [downMm, Math.max(upMm, sameMm - downMm)] };
}

/** How far below a row another must lie, its beginning shifted along. */
function clearRowMm(upper: RowKind, lower: RowKind, pitchMm: number, shiftMm: number, every = 1): number {
  let leastMm = 0;
  for (const above of upper.members) {
    for (const below of lower.members) {
      const shift = shiftMm + below.atMm - above.atMm;
      const widest =
        above.profile.rightMm - above.profile.leftMm + below.profile.rightMm - below.profile.leftMm;
      const around = Math.ceil(widest / pitchMm) + 1;
      const nearest = shift - Math.round(shift / pitchMm) * pitchMm;
      for (let k = -around; k <= around; k++) {
        leastMm = Math.max(leastMm, clearBelowMm(above.profile, below.profile, nearest + k * pitchMm, every));
      }
    }
  }
  return leastMm;
}

function toRowKind(first: Profile, between: RowKind["between"]): RowKind {
  const all = [
    { profile: first, atMm: 0 },
    ...(between ? [{ profile: between.profile, atMm: between.afterMm }] : []),
  ];
  return {
    first,
    between,
    members: all,
    reach: {
      leftMm: Math.min(...all.map(({ profile, atMm }) => atMm + profile.leftMm)),
      rightMm: Math.max(...all.map(({ profile, atMm }) => atMm + profile.rightMm)),
      topMm: Math.min(...all.map(({ profile }) => profile.topMm)),
      bottomMm: Math.max(...all.map(({ profile }) => profile.bottomMm)),
    },
  };
}

/** How high one row of either kind needs the sheet. */
const highMm = (own: Reach, other: Reach) =>
  Math.max(own.bottomMm, other.bottomMm) - Math.min(own.topMm, other.topMm);

/** Cuts of one row on a length, its first cut's left edge `startMm` in. */
function fillRow(row: RowKind, pitchMm: number, alongMm: number): Pick<Row, "count" | "between"> {
  const { first, between } = row;
  const leftMm = row.reach.leftMm;
  const fit = (atMm: number, profile: Profile) =>
    Math.max(countPitches(alongMm + leftMm - atMm - profile.rightMm, pitchMm) + 1, 0);
  const count = fit(0, first);
  return {
    count,
    between: between && {
      afterMm: between.afterMm,
      count: Math.min(fit(between.afterMm, between.profile), count),
    },
  };
}

interface Spread {
  readonly rows: number;
  readonly first: Pick<Row, "count" | "between">;
  readonly next: Pick<Row, "count" | "between">;
  readonly nextStartMm: number;
}

function spread(
  { row, next, pitchMm, shiftMm, stepsMm }: RowFamily,
  alongMm: number,
  acrossMm: number,
): Spread {
  const [own, other] = [row.reach, next.reach];
  // The next row's first cut may stand a pitch further left, if its left edge stays on the sheet.
  const rawStartMm = shiftMm - own.leftMm + other.leftMm;
  const nextStartMm = rawStartMm - Math.floor((rawStartMm + FIT_TOLERANCE_MM) / pitchMm) * pitchMm;
  const first = fillRow(row, pitchMm, alongMm);
  const second = fillRow(next, pitchMm, alongMm - nextStartMm);
  const spareMm = acrossMm - highMm(own, other);
  const [oneMm, twoMm] = stepsMm;
  const pairs = countPitches(spareMm, oneMm + twoMm);
  const restMm = spareMm - Math.max(pairs, 0) * (oneMm + twoMm);
  const rows = pairs < 0 ? 0 : 1 + 2 * pairs + (restMm + FIT_TOLERANCE_MM >= oneMm ? 1 : 0);
  return { rows, first, next: second, nextStartMm };
}

function countCuts(family: RowFamily, alongMm: number, acrossMm: number): number {
  const { rows, first, next } = spread(family, alongMm, acrossMm);
  const each = (row: Pick<Row, "count" | "between">) => row.count + (row.between?.count ?? 0);
  return Math.ceil(rows / 2) * each(first) + Math.floor(rows / 2) * each(next);
}

function buildRows(
  family: RowFamily,
  alongMm: number,
  acrossMm: number,
  rowsRunDown: boolean,
  usableWidthMm: number,
): RowPattern {
  const { rows: rowCount, first, next, nextStartMm } = spread(family, alongMm, acrossMm);
  const [own, other] = [family.row.reach, family.next.reach];
  let atMm = -Math.min(own.topMm, other.topMm);
  const rows: Row[] = [];
  for (let i = 0; i < rowCount; i++) {
    const isFirst = i % 2 === 0;
    const kind = isFirst ? family.row : family.next;
    const filled = isFirst ? first : next;
    if (filled.count > 0) {
      rows.push({
        ...filled,
        startMm: -kind.reach.leftMm + (isFirst ? 0 : nextStartMm),
        // A sheet turned by a quarter clockwise: what lay at the top lies at its right.
        acrossMm: rowsRunDown ? usableWidthMm - atMm : atMm,
        pitchMm: family.pitchMm,
        angleDeg: (kind.first.angleDeg + (rowsRunDown ? 90 : 0)) % 360,
      });
    }
    atMm += family.stepsMm[isFirst ? 0 : 1];
  }
  if (rowsRunDown) rows.reverse();
  const count = rows.reduce((sum, row) => sum + countRow(row), 0);
  return { style: "fitted", rowsRunDown, rows, count };
}

/**
 * Just-large-enough sheets inside `limit` for the plainest and densest of an outline's rows.
 * @param budget - Over before all turns are worked out, for its plain rows as it stands.
 * @returns Usable sizes with the count they are made for, unsorted.
 */
export function* listOutlineSheets(
  outline: Outline,
  limit: BoxMm,
  webMm: number,
  mayTurn: boolean,
  budget: Budget,
): Generator<{ usable: BoxMm; count: number }> {
  const turned =
    mayTurn && !budget.isOver() ? listFamilies(outline, webMm, listTurns(outline), { budget }) : null;
  for (const rowsRunDown of [false, true]) {
    const families =
      turned && !budget.cutShort
        ? turned
        : listFamilies(outline, webMm, rowsRunDown ? DOWN_DEG : UPRIGHT_DEG, { isPlain: budget.isOver() });
    const [along, across] = rowsRunDown ? [limit.heightMm, limit.widthMm] : [limit.widthMm, limit.heightMm];
    for (const family of [...families].sort((a, b) => mm2PerCut(a) - mm2PerCut(b)).slice(0, MENU_FAMILIES)) {
      const own = family.row.reach;
      const { leftMm, rightMm } = own;
      const leastMm = highMm(own, family.next.reach);
      const mostPerRow = countPitches(along - (rightMm - leftMm), family.pitchMm) + 1;
      for (let perRow = 1; perRow <= mostPerRow; perRow++) {
        const rowMm = rightMm - leftMm + (perRow - 1) * family.pitchMm;
        for (const alongMm of [rowMm, rowMm + family.shiftMm]) {
          for (let acrossMm = leastMm, step = 0; acrossMm <= across + FIT_TOLERANCE_MM; step++) {
            if (alongMm <= along + FIT_TOLERANCE_MM) {
              const count = countCuts(family, alongMm, acrossMm);
              const usable = rowsRunDown
                ? { widthMm: acrossMm, heightMm: alongMm }
                : { widthMm: alongMm, heightMm: acrossMm };
              if (count > 0) yield { usable, count };
            }
            acrossMm += family.stepsMm[step % 2 === 0 ? 0 : 1];
          }
        }
      }
    }
  }
}

/** Families that make up the menu of sheets: the densest; the others cannot save dough. */
const MENU_FAMILIES = 6;
