import { requireNotNegative, requirePositive } from "../../require";
import { createRandom } from "../../seededRandom";
import { drawIn, toHalfPlanes } from "../../shape";
import {
  boundSets,
  convexRoom,
  rectangularRoom,
  type Room,
  type Placement,
  countNeeds,
  type Ratioed,
  FIT_TOLERANCE_MM,
} from "../sheet";
import { layOutSets } from "../rows";
import { minimiseOverlap } from "./minimiseOverlap";
import { TightBest, type TightProgress, type TightSheet } from "./tightSearch";

export interface TightRequest extends TightSheet {
  /** One size, or several in the numbers of their ratios. */
  readonly discs: readonly (Ratioed & { readonly diameterMm: number })[];
}

/** Rounds looked at between two turns: some milliseconds. */
const ROUNDS_PER_TURN = 20_000;
/** How far a shaken round moves, as a share of its own spacing. */
const SHAKE_SHARE = 0.4;
/** Moves from one jam that bring nothing before the search begins anew elsewhere. */
const PATIENCE = 24;
/** Of the moves, so many throw one round somewhere else; the others shake all of them. */
const THROW_SHARE = 0.6;
/** Of several sizes, so many of the moves let two rounds of different sizes change places. */
const SWAP_SHARE = 0.35;

/**
 * Looks for one set of discs more than the best so far, again and again: they are thrown on the sheet and pushed apart;
 * from the jam that leaves, one is thrown elsewhere, two sizes change places or all are shaken, and what overlaps less
 * is kept, until none overlaps (monotonic basin hopping). Anytime: what each turn of the generator yields is whole, and
 * a turn is short, a part of an attempt where there are many. The caller keeps the clock.
 * @see Grosso, Jamali, Locatelli & Schoen, Solving the problem of packing equal and unequal circles in a circular
 * container, J. Global Optimization 47 (2010), for the hopping.
 * @throws {RangeError} If a size is not finite or not above 0, or there is no disc.
 */
export function* searchTightDiscs(request: TightRequest): Generator<TightProgress, TightProgress> {
  const { discs, sheet, webMm, marginMm, seed } = request;
  if (discs.length === 0) throw new RangeError("searchTightDiscs: no disc");
  for (const { diameterMm, ratio } of discs) {
    requirePositive("diameterMm", diameterMm);
    requirePositive("ratio", ratio);
  }
  requirePositive("sheet width", sheet.widthMm);
  requirePositive("sheet height", sheet.heightMm);
  requireNotNegative("webMm", webMm);
  requireNotNegative("marginMm", marginMm);
  const outlines = discs.map(({ diameterMm, ratio }) => ({
    outline: { kind: "disc", diameterMm } as const,
    ratio,
  }));
  const needs = countNeeds(discs);
  const best = new TightBest(
    discs,
    request.rows ?? layOutSets({ outlines, sheet, webMm, marginMm, mayTurn: true }),
    boundSets(outlines, sheet, webMm, marginMm),
  );
  // Each disc takes half its web with it, and the room as much more.
  const spareMm = marginMm - webMm / 2;
  const isOval = sheet.shape === "oval";
  const room = isOval
    ? convexRoom(
        sheet,
        drawIn(toHalfPlanes(sheet), spareMm, () => 0),
      )
    : rectangularRoom({ widthMm: sheet.widthMm - 2 * spareMm, heightMm: sheet.heightMm - 2 * spareMm });
  const offsetMm = isOval ? 0 : spareMm;
  const random = createRandom(seed);
  const toRounds = (sets: number): Rounds => {
    const counts = needs(sets);
    const radiiMm = discs.flatMap(({ diameterMm }, i) =>
      Array.from({ length: counts[i]! }, () => (diameterMm + webMm) / 2),
    );
    return { counts, radiiMm: Float64Array.from(radiiMm), room, random };
  };
  // The rows took their time: whoever keeps a clock hears of them first.
  if (!best.isProven) yield best.report();
  let rounds = toRounds(best.sets + 1);
  let jam: { centres: Float64Array; overlap: number; failures: number } | null = null;
  while (!best.isProven) {
    best.attempts++;
    const centres: Float64Array = jam ? hop(jam.centres, rounds) : throwCentres(rounds);
    const looksPerTurn = Math.max(Math.floor(ROUNDS_PER_TURN / rounds.radiiMm.length), 1);
    const pushing = minimiseOverlap(centres, rounds.radiiMm, room, FIT_TOLERANCE_MM);
    let pushed = pushing.next();
    for (let looks = 1; !pushed.done; looks++) {
      if (looks % looksPerTurn === 0) yield { ...best.report(), attempts: best.attempts - 1 };
      pushed = pushing.next();
    }
    const overlap = pushed.value;
    if (overlap === 0) {
      best.offer(toParts(centres, rounds, offsetMm));
      rounds = toRounds(best.sets + 1);
      jam = null;
    } else if (!jam || overlap < jam.overlap) jam = { centres, overlap, failures: 0 };
    else if (++jam.failures > PATIENCE) jam = null;
    yield best.report();
  }
  return best.report();
}

/** What is pushed about: the rounds of each size one after another, with half the web round each. */
interface Rounds {
  readonly counts: readonly number[];
  readonly radiiMm: Float64Array;
  readonly room: Room;
  readonly random: () => number;
}

function throwCentres({ radiiMm, room, random }: Rounds): Float64Array {
  const centres = new Float64Array(2 * radiiMm.length);
  for (let i = 0; i < radiiMm.length; i++) throwOne(centres, i, radiiMm[i]!, room, random);
  return centres;
}

function throwOne(
  centres: Float64Array,
  i: number,
  radiusMm: number,
  room: Room,
  random: () => number,
): void {
  centres[2 * i] = radiusMm + random() * (room.widthMm - 2 * radiusMm);
  centres[2 * i + 1] = radiusMm + random() * (room.heightMm - 2 * radiusMm);
}

/** A jam moved on: two of different sizes in each other's place, one thrown elsewhere, or all of them shaken. */
function hop(from: Float64Array, { counts, radiiMm, room, random }: Rounds): Float64Array {
  const centres = from.slice();
  const first = counts[0]!;
  if (first < radiiMm.length && random() < SWAP_SHARE) {
    // One of the first size and one of the others: of three sizes all come about by and by.
    const one = 2 * Math.floor(random() * first);
    const other = 2 * (first + Math.floor(random() * (radiiMm.length - first)));
    for (const axis of [0, 1]) {
      centres[one + axis] = from[other + axis]!;
      centres[other + axis] = from[one + axis]!;
    }
    return centres;
  }
  if (random() < THROW_SHARE) {
    const i = Math.floor(random() * radiiMm.length);
    throwOne(centres, i, radiiMm[i]!, room, random);
    return centres;
  }
  return centres.map((value, k) => value + (random() - 0.5) * 4 * SHAKE_SHARE * radiiMm[k >> 1]!);
}

/** Cuts of each size in the order a hand cuts them: bands as high as half a disc from the top, left to right. */
function toParts(centres: Float64Array, { counts, radiiMm }: Rounds, offsetMm: number): Placement[][] {
  let from = 0;
  return counts.map((count) => {
    const first = from;
    from += count;
    const placements = Array.from({ length: count }, (_, i) => ({
      xMm: centres[2 * (first + i)]! + offsetMm,
      yMm: centres[2 * (first + i) + 1]! + offsetMm,
      angleDeg: 0,
    }));
    const band = ({ yMm }: Placement) => Math.floor(yMm / radiiMm[first]!);
    return placements.sort((a, b) => band(a) - band(b) || a.xMm - b.xMm);
  });
}
