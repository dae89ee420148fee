import type { Budget } from "../../budget";
import {
  computeSheetAreaMm2,
  drawIn,
  placePolygon,
  reachOfPolygon,
  toContour,
  toHalfPlanes,
  type HalfPlane,
  type Outline,
  type SheetShape,
} from "../../shape";
import { listFamilies, listTurns, UPRIGHT_DEG, type RowFamily } from "./outlineRows";
import { improveRows } from "./mirrorRows";
import { type Row, type RowPattern, createSpans, FIT_TOLERANCE_MM } from "../sheet";

/** Rows without end, to be laid over a round or oval sheet. */
interface Lattice {
  readonly pitchMm: number;
  readonly shiftMm: number;
  readonly stepsMm: readonly [number, number];
  readonly anglesDeg: readonly [number, number];
  /** Rows do not reach into each other: each may begin where it likes. */
  readonly isFree: boolean;
}

/** Places at which a lattice is tried, parts of its steps each way. */
const MOST_OFFSETS = 24;
/** And where there are many rows: what a place gives one of them it takes from another, to a few cuts in ten thousand. */
const LEAST_OFFSETS = 6;
/** Up to so many rows every place is tried: more than are rolled by hand. */
const FEW_ROWS = 60;
/** Families of an outline of its own worth trying. */
const MOST_FAMILIES = 12;
/** Lattices of the densest family: all that is tried before turns are. */
const SOON = 2;

interface OvalRequest {
  readonly outline: Outline;
  readonly sheet: SheetShape;
  readonly webMm: number;
  /** Ragged edge lost all round. */
  readonly marginMm: number;
  readonly mayTurn: boolean;
  /** Once it is over, the best of the places tried by then, if it holds so many. */
  readonly budget: Budget;
  readonly least: number;
}

/**
 * The most cuts in rows on a round or oval sheet, over places of the rows in both directions.
 * @returns Rows measured inside the margin; count 0 if not one fits.
 */
export function findBestOvalRows(request: OvalRequest): RowPattern {
  const { outline, sheet, webMm, marginMm, budget } = request;
  const planes = toHalfPlanes(sheet);
  const rooms = new Map<number, SpanOf>();
  const spanOf = (angleDeg: number): SpanOf => {
    const known = rooms.get(angleDeg);
    if (known) return known;
    const span = createSpans(findRoom(planes, outline, angleDeg, marginMm), sheet.heightMm);
    rooms.set(angleDeg, span);
    return span;
  };
  let best: RowPattern = { style: "fitted", rowsRunDown: false, rows: [], count: 0 };
  const isOver = () => best.count >= request.least && budget.isOver();
  const tryLattice = (lattice: Lattice) => {
    const beatMm = sum(lattice.stepsMm);
    const offsets = countOffsets(sheet.heightMm / (beatMm / 2));
    const places = lattice.isFree ? 1 : offsets;
    for (let i = 0; i < offsets && !isOver(); i++) {
      // What each row has room for depends on how far down the rows lie; how far along only shifts the cuts in it.
      const spans = listSpans(lattice, sheet, spanOf, (i * beatMm) / offsets);
      const most = spans.most.reduce((total, held) => total + held, 0);
      for (let j = 0; j < places && most > best.count; j++) {
        const alongMm = sheet.widthMm / 2 + (j * lattice.pitchMm) / offsets;
        // Hundreds of places are counted for one that is laid, and most are given up when their rows lack too much.
        let count = most;
        for (let k = 0; k < spans.most.length && count > best.count; k++)
          count -=
            spans.most[k]! - Math.max(countFrom(lattice, spans, k, findStart(lattice, spans, k, alongMm)), 0);
        if (count > best.count)
          best = { style: "fitted", rowsRunDown: false, rows: layRows(lattice, spans, alongMm), count };
      }
    }
  };
  const tryAll = (lattices: readonly Lattice[]) => {
    for (const lattice of lattices) if (boundLattice(lattice, sheet) > best.count) tryLattice(lattice);
  };
  // As long as there are too few, turns are looked into whatever the time.
  const inTime = () => (best.count < request.least ? {} : { budget });
  for (const list of listTries(request, inTime)) if (!isOver()) tryAll(list());
  const inside = ({ startMm, acrossMm, ...row }: Row) => ({
    ...row,
    startMm: startMm - marginMm,
    acrossMm: acrossMm - marginMm,
  });
  const inRows = { ...best, rows: best.rows.map(inside) };
  return outline.kind === "disc"
    ? improveRows(inRows, { diameterMm: outline.diameterMm, sheet, webMm, marginMm })
    : inRows;
}

const countOffsets = (rows: number): number =>
  Math.max(Math.min(Math.floor((MOST_OFFSETS * FEW_ROWS) / rows), MOST_OFFSETS), LEAST_OFFSETS);

/** What is soonest known first: should there be no time for more, it is what there is. */
function listTries(
  { outline, webMm, mayTurn }: OvalRequest,
  inTime: () => { readonly budget?: Budget },
): (() => Lattice[])[] {
  if (outline.kind === "disc") return [() => listDiscLattices(outline.diameterMm + webMm)];
  const list = (turnsDeg: readonly number[], isPlain = false) =>
    toLattices(listFamilies(outline, webMm, turnsDeg, { ...inTime(), isAlike: true, isPlain }), webMm);
  const soon = [() => list(UPRIGHT_DEG, true).slice(0, SOON)];
  if (!mayTurn) return [...soon, () => list(UPRIGHT_DEG)];
  return [...soon, () => list(UPRIGHT_DEG).slice(0, SOON), () => list(listTurns(outline))];
}

function listDiscLattices(spacingMm: number): Lattice[] {
  const stepMm = (spacingMm * Math.sqrt(3)) / 2;
  const shared = { pitchMm: spacingMm, anglesDeg: [0, 0] as const };
  return [
    { ...shared, shiftMm: spacingMm / 2, stepsMm: [stepMm, stepMm], isFree: false },
    { ...shared, shiftMm: 0, stepsMm: [spacingMm, spacingMm], isFree: true },
  ];
}

/** The densest families, each as it is and with its rows free to begin where they like. */
function toLattices(families: readonly RowFamily[], webMm: number): Lattice[] {
  return [...families]
    .sort((a, b) => a.pitchMm * sum(a.stepsMm) - b.pitchMm * sum(b.stepsMm))
    .slice(0, MOST_FAMILIES)
    .flatMap(({ row, next, pitchMm, shiftMm, stepsMm }): Lattice[] => {
      const { topMm, bottomMm, angleDeg } = row.first;
      const apartMm = bottomMm - topMm + webMm;
      return [
        { pitchMm, shiftMm, stepsMm, anglesDeg: [angleDeg, next.first.angleDeg], isFree: false },
        { pitchMm, shiftMm: 0, stepsMm: [apartMm, apartMm], anglesDeg: [angleDeg, angleDeg], isFree: true },
      ];
    });
}

const sum = ([a, b]: readonly [number, number]) => a + b;

/** Where the middle of a cut may lie so that all of it is on the sheet. */
function findRoom(
  planes: readonly HalfPlane[],
  outline: Outline,
  angleDeg: number,
  marginMm: number,
): HalfPlane[] {
  if (outline.kind === "disc") return drawIn(planes, marginMm, () => outline.diameterMm / 2);
  return drawIn(planes, marginMm, reachOfPolygon(placePolygon(toContour(outline), 0, 0, angleDeg)));
}

/** The stretch of a line on which the middles of cuts that lie one way may lie. */
type SpanOf = ReturnType<typeof createSpans>;

/** The rows' lines across the sheet, figure by figure: of small cuts there are tens of thousands in all places tried. */
interface Spans {
  readonly acrossMm: number[];
  /** The stretch of the line on which middles may lie. */
  readonly fromMm: number[];
  readonly toMm: number[];
  /** Cuts that it holds where they may begin anywhere. */
  readonly most: number[];
  /** 0 for the first of a beat's two rows, 1 for the second. */
  readonly next: (0 | 1)[];
}

function listSpans(
  { pitchMm, stepsMm, anglesDeg }: Lattice,
  sheet: SheetShape,
  spanOf: (angleDeg: number) => SpanOf,
  downMm: number,
): Spans {
  const spans: Spans = { acrossMm: [], fromMm: [], toMm: [], most: [], next: [] };
  const spansOf = [spanOf(anglesDeg[0]), spanOf(anglesDeg[1])] as const;
  const beatMm = sum(stepsMm);
  const beatsUp = Math.ceil(sheet.heightMm / 2 / beatMm) + 1;
  for (let beat = -beatsUp; beat <= beatsUp; beat++) {
    for (const next of [0, 1] as const) {
      const acrossMm = sheet.heightMm / 2 + downMm + beat * beatMm + (next === 1 ? stepsMm[0] : 0);
      const { from, to } = spansOf[next](acrossMm);
      if (to < from - FIT_TOLERANCE_MM) continue;
      spans.acrossMm.push(acrossMm);
      spans.fromMm.push(from);
      spans.toMm.push(to);
      spans.most.push(countSpan(pitchMm, from, to));
      spans.next.push(next);
    }
  }
  return spans;
}

/** No row of a lattice holds more on its stretch, wherever it begins. */
const countSpan = (pitchMm: number, fromMm: number, toMm: number) =>
  Math.floor((toMm - fromMm + FIT_TOLERANCE_MM) / pitchMm) + 1;

/**
 * No place of a lattice holds more. Every second row is a beat from the next; what such rows have room for adds up to the
 * sheet's area by the beat and one row of its width, for a sheet bulges outwards everywhere.
 */
function boundLattice({ pitchMm, stepsMm }: Lattice, sheet: SheetShape): number {
  const beatMm = sum(stepsMm);
  const lengthMm = computeSheetAreaMm2(sheet) / beatMm + sheet.widthMm;
  const rows = sheet.heightMm / beatMm + 1;
  return 2 * (lengthMm / pitchMm + rows) + 1;
}

/** Where the first cut of row `k` stands. */
function findStart({ pitchMm, shiftMm, isFree }: Lattice, spans: Spans, k: number, alongMm: number): number {
  const fromMm = spans.fromMm[k]!;
  if (isFree) return (fromMm + spans.toMm[k]! - (spans.most[k]! - 1) * pitchMm) / 2;
  const phaseMm = alongMm + (spans.next[k] === 1 ? shiftMm : 0);
  return phaseMm + Math.ceil((fromMm - phaseMm - FIT_TOLERANCE_MM) / pitchMm) * pitchMm;
}

/** Cuts of row `k` from there on: none where that is not above 0. */
const countFrom = ({ pitchMm, isFree }: Lattice, spans: Spans, k: number, startMm: number): number =>
  isFree ? spans.most[k]! : countSpan(pitchMm, startMm, spans.toMm[k]!);

function layRows(lattice: Lattice, spans: Spans, alongMm: number): Row[] {
  const { pitchMm, anglesDeg } = lattice;
  return spans.acrossMm.flatMap((acrossMm, k) => {
    const startMm = findStart(lattice, spans, k, alongMm);
    const count = countFrom(lattice, spans, k, startMm);
    const angleDeg = anglesDeg[spans.next[k]!];
    return count > 0 ? [{ startMm, acrossMm, pitchMm, count, angleDeg, between: null }] : [];
  });
}
