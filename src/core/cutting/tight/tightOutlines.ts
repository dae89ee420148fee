import { createRandom } from "../../seededRandom";
import { computeAreaMm2, outerOutline, toContour, type BoxMm, type Outline, type Polygon } from "../../shape";
import { boundSets, type Placement, countNeeds, type Ratioed } from "../sheet";
import { placeBodies, type Body } from "./body";
import { walkGaps } from "./fillGaps";
import { layOutSets, layOutRows } from "../rows";
import { TightBest, type TightProgress, type TightSheet } from "./tightSearch";

export interface TightOutlineRequest extends TightSheet {
  /** One outline, or several in the numbers of their ratios. */
  readonly outlines: readonly (Ratioed & { readonly outline: Outline })[];
  readonly mayTurn: boolean;
}

/** Turns tried in a gap, degrees. */
const GAP_TURNS_DEG = [0, 30, 60, 90, 120, 150, 180, 210, 240, 270, 300, 330];
const GRAIN_TURNS_DEG = [0, 180];
/** A division of the sheet leaves each part at least this share of it. */
const LEAST_PART = 0.12;
/** Cuts whose contours are laid in one turn. */
const PLACED_PER_TURN = 250;
/** How deep divisions may lie in each other. */
const DEEPEST = 2;

/**
 * Looks for more sets of any outlines than rows give: the sheet is divided at random, edge to edge, into parts of their
 * own rows, and what gaps are left are filled in any turn. Anytime: each turn of the generator is a part of an attempt.
 * @throws {RangeError} If a size is not finite or not above 0.
 */
export function* searchTightOutlines(request: TightOutlineRequest): Generator<TightProgress, TightProgress> {
  const { sheet, webMm, marginMm, mayTurn, seed } = request;
  const cuts = request.outlines.map(({ outline, ratio }): Cut => {
    const outer = outerOutline(outline);
    return { outline: outer, ratio, webMm, mayTurn, contour: toContour(outer) };
  });
  const random = createRandom(seed);
  const needs = countNeeds(cuts);
  const rows = request.rows ?? layOutSets({ ...request, outlines: cuts });
  const best = new TightBest(cuts, rows, boundSets(cuts, sheet, webMm, marginMm));
  function* fill(laid: readonly (readonly Placement[])[]): Generator<TightProgress> {
    // What is more than the most sets need is left out: its place is another's.
    const mostSets = needs(best.isProven ? best.sets : best.sets + 1);
    const parts = laid.map((part, i) => (cuts.length > 1 ? part.slice(0, mostSets[i]) : part));
    const placed: Body[] = [];
    for (const [i, part] of parts.entries())
      for (let from = 0; from < part.length; from += PLACED_PER_TURN) {
        placed.push(...placeBodies(cuts[i]!.contour, part.slice(from, from + PLACED_PER_TURN)));
        yield best.report();
      }
    for (const index of largestFirst(cuts)) {
      const cut = cuts[index]!;
      const walk = walkGaps({
        placed,
        sheet,
        marginMm,
        outline: cut.outline,
        webMm,
        anglesDeg: mayTurn ? GAP_TURNS_DEG : GRAIN_TURNS_DEG,
        most: (cuts.length > 1 ? mostSets[index]! : best.mostSets) - parts[index]!.length,
      });
      for (;;) {
        const { value, done } = walk.next();
        if (done) {
          parts[index] = [...parts[index]!, ...value];
          placed.push(...placeBodies(cut.contour, value));
          break;
        }
        yield best.report();
      }
    }
    best.offer(parts);
  }
  const whole = new Map<Cut, ReturnType<typeof layOutRows>>();
  // The rows took their time: whoever keeps a clock hears of them first.
  yield best.report();
  yield* fill(rows);
  while (!best.isProven && sheet.shape !== "oval") {
    const inner = { widthMm: sheet.widthMm - 2 * marginMm, heightMm: sheet.heightMm - 2 * marginMm };
    const dividing = divide(cuts, inner, DEEPEST, random, whole);
    let turn = dividing.next();
    for (; !turn.done; turn = dividing.next()) yield best.report();
    const divided = turn.value;
    yield* fill(
      cuts.map((cut) =>
        divided.flatMap(({ of, placement }) =>
          of === cut ? [{ ...placement, xMm: placement.xMm + marginMm, yMm: placement.yMm + marginMm }] : [],
        ),
      ),
    );
    best.attempts++;
    yield best.report();
  }
  return best.report();
}

interface Cut extends Ratioed {
  readonly outline: Outline;
  readonly contour: Polygon;
  readonly webMm: number;
  readonly mayTurn: boolean;
}

interface LaidCut {
  readonly of: Cut;
  readonly placement: Placement;
}

const largestFirst = (cuts: readonly Cut[]) =>
  [...cuts.keys()].sort((a, b) => computeAreaMm2(cuts[b]!.outline) - computeAreaMm2(cuts[a]!.outline));

/** One of them, the likelier the more of a sheet a set of it takes. */
function pick(cuts: readonly Cut[], random: () => number): Cut | undefined {
  const shares = cuts.map(({ outline, ratio }) => ratio * computeAreaMm2(outline));
  let at = cuts.length > 1 ? random() * shares.reduce((sum, share) => sum + share, 0) : 0;
  return cuts.find((_, i) => (at -= shares[i]!) < 0);
}

/**
 * Cuts on a part of the sheet, its own corner at the origin: one outline in rows, or divided once more. Yields after each
 * part is laid in rows, so that a clock can be kept.
 * @param whole - Rows on the whole, laid once for all attempts.
 */
function* divide(
  cuts: readonly Cut[],
  part: BoxMm,
  depth: number,
  random: () => number,
  whole: Map<Cut, ReturnType<typeof layOutRows>>,
): Generator<undefined, LaidCut[]> {
  const of = pick(cuts, random);
  if (!of || part.widthMm <= 0 || part.heightMm <= 0) return [];
  const known = whole.get(of);
  const layout = depth === DEEPEST && known ? known : layOutRows({ ...of, sheet: part, marginMm: 0 });
  if (depth === DEEPEST) whole.set(of, layout);
  yield;
  const inRows = layout.ok ? layout.value.placements.map((placement) => ({ of, placement })) : [];
  if (depth === 0 || (inRows.length === 0 && cuts.length === 1)) return inRows;
  const isAcross = random() < 0.5;
  const share = LEAST_PART + random() * (1 - 2 * LEAST_PART);
  const sideMm = isAcross ? part.heightMm : part.widthMm;
  const [firstMm, atMm] = [sideMm * share, sideMm * share + of.webMm];
  const toPart = (mm: number): BoxMm => (isAcross ? { ...part, heightMm: mm } : { ...part, widthMm: mm });
  const first = yield* divide(cuts, toPart(firstMm), depth - 1, random, whole);
  const rest = yield* divide(cuts, toPart(sideMm - atMm), depth - 1, random, whole);
  const second = rest.map(({ of: cut, placement }) => ({
    of: cut,
    placement: {
      ...placement,
      xMm: placement.xMm + (isAcross ? 0 : atMm),
      yMm: placement.yMm + (isAcross ? atMm : 0),
    },
  }));
  const divided = [...first, ...second];
  // Of one outline the more is the better; of several a part may have to be shared.
  return cuts.length > 1 || divided.length > inRows.length ? divided : inRows;
}
