import { requireNotNegative, requirePositive } from "../require";
import { drawIn, toHalfPlanes, type SheetShape } from "../shape";
import { findBestDiscRows } from "./discRows";
import { minimiseOverlap } from "./minimiseOverlap";
import { placePattern, type Placement } from "./rowPattern";
import { createRandom } from "../seededRandom";
import { boundCount } from "./layout";
import { findBestOvalRows } from "./ovalRows";
import { convexRoom, rectangularRoom, type Room } from "./room";
import { FIT_TOLERANCE_MM } from "./tolerance";

export interface TightRequest {
  readonly diameterMm: number;
  readonly sheet: SheetShape;
  /** Least dough between two cuts, ≥ 0. */
  readonly webMm: number;
  /** Ragged edge lost all round, ≥ 0. */
  readonly marginMm: number;
  /** The same seed gives the same search. */
  readonly seed: number;
}

/** How far a search has come. */
export interface TightProgress {
  readonly attempts: number;
  /** Cuts on the sheet, mm from its top left corner, row by row from the top. At least as many as rows give. */
  readonly placements: readonly Placement[];
  readonly rowsCount: number;
  /** No arrangement whatever can hold more. */
  readonly upperBound: number;
  /** The bound is reached: there is nothing left to look for. */
  readonly isProven: boolean;
}

/** Centres looked at between two turns: some milliseconds. */
const CENTRES_PER_TURN = 20_000;
/** How far a shaken centre moves, as a share of the spacing. */
const SHAKE_SHARE = 0.4;
/** Moves from one jam that bring nothing before the search begins anew elsewhere. */
const PATIENCE = 24;
/** Of the moves, so many throw one centre somewhere else; the others shake all of them. */
const THROW_SHARE = 0.6;

/**
 * Looks for one disc more than the best so far, again and again: centres are thrown on the sheet and pushed apart;
 * from the jam that leaves, one centre is thrown elsewhere or all are shaken, and what overlaps less is kept, until no
 * two are nearer than diameter + web (monotonic basin hopping). Anytime: what each turn of the generator yields is whole,
 * and a turn is short, a part of an attempt where there are many. The caller keeps the clock.
 * @see Grosso, Jamali, Locatelli & Schoen, Solving the problem of packing equal and unequal circles in a circular
 * container, J. Global Optimization 47 (2010), for the hopping.
 * @throws {RangeError} If a size is not finite or not above 0.
 */
export function* searchTightDiscs(request: TightRequest): Generator<TightProgress, TightProgress> {
  const { diameterMm, sheet, webMm, marginMm, seed } = request;
  requirePositive("diameterMm", diameterMm);
  requirePositive("sheet width", sheet.widthMm);
  requirePositive("sheet height", sheet.heightMm);
  requireNotNegative("webMm", webMm);
  requireNotNegative("marginMm", marginMm);
  const usable = { widthMm: sheet.widthMm - 2 * marginMm, heightMm: sheet.heightMm - 2 * marginMm };
  const outline = { kind: "disc", diameterMm } as const;
  const isOval = sheet.shape === "oval";
  const rows = isOval
    ? findBestOvalRows(outline, sheet, webMm, marginMm, true)
    : findBestDiscRows(diameterMm, usable, webMm);
  const upperBound = boundCount(outline, sheet, webMm, marginMm);
  const random = createRandom(seed);
  const spacingMm = diameterMm + webMm;
  // Centres live in a smaller rectangle, from its own corner, or inside an oval drawn in.
  const room = isOval
    ? convexRoom(
        sheet,
        drawIn(toHalfPlanes(sheet), marginMm + diameterMm / 2, () => 0),
      )
    : rectangularRoom({ widthMm: usable.widthMm - diameterMm, heightMm: usable.heightMm - diameterMm });
  const offsetMm = isOval ? 0 : marginMm + diameterMm / 2;
  let best: Placement[] = placePattern(rows, marginMm);
  const report = (attempts: number): TightProgress => ({
    attempts,
    placements: best,
    rowsCount: rows.count,
    upperBound,
    isProven: best.length >= upperBound,
  });
  let jam: { centres: Float64Array; overlap: number; failures: number } | null = null;
  let attempts = 0;
  const looksPerTurn = Math.max(Math.floor(CENTRES_PER_TURN / (best.length + 1)), 1);
  while (best.length < upperBound && rows.count > 0) {
    attempts++;
    const centres: Float64Array = jam
      ? hop(jam.centres, room, spacingMm, random)
      : throwCentres(best.length + 1, room, random);
    const pushing = minimiseOverlap(centres, room, spacingMm, FIT_TOLERANCE_MM);
    let pushed = pushing.next();
    for (let looks = 1; !pushed.done; looks++) {
      if (looks % looksPerTurn === 0) yield report(attempts - 1);
      pushed = pushing.next();
    }
    const overlap = pushed.value;
    if (overlap === 0) {
      best = toPlacements(centres, offsetMm, diameterMm);
      jam = null;
    } else if (!jam || overlap < jam.overlap) jam = { centres, overlap, failures: 0 };
    else if (++jam.failures > PATIENCE) jam = null;
    yield report(attempts);
  }
  return report(attempts);
}

function throwCentres(count: number, room: Room, random: () => number): Float64Array {
  return Float64Array.from(
    { length: 2 * count },
    (_, i) => random() * (i % 2 === 0 ? room.widthMm : room.heightMm),
  );
}

/** A jam moved on: one centre thrown elsewhere, or all of them shaken. */
function hop(from: Float64Array, room: Room, spacingMm: number, random: () => number): Float64Array {
  const centres = from.slice();
  if (random() < THROW_SHARE) {
    const i = 2 * Math.floor((random() * centres.length) / 2);
    centres[i] = random() * room.widthMm;
    centres[i + 1] = random() * room.heightMm;
    return centres;
  }
  return centres.map((value) => value + (random() - 0.5) * 2 * SHAKE_SHARE * spacingMm);
}

/** Centres in the order a hand cuts them: bands as high as half a disc from the top, left to right. */
function toPlacements(centres: Float64Array, offsetMm: number, diameterMm: number): Placement[] {
  const placements = Array.from({ length: centres.length / 2 }, (_, i) => ({
    xMm: centres[2 * i]! + offsetMm,
    yMm: centres[2 * i + 1]! + offsetMm,
    angleDeg: 0,
  }));
  const band = ({ yMm }: Placement) => Math.floor(yMm / (diameterMm / 2));
  return placements.sort((a, b) => band(a) - band(b) || a.xMm - b.xMm);
}
