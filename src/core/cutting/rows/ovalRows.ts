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
import { listFamilies } from "./outlineRows";
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
const OFFSETS = 24;
/** Lattices of an outline of its own worth trying. */
const MOST_LATTICES = 12;

/**
 * The most cuts in rows on a round or oval sheet, over places of the rows in both directions.
 * @param marginMm - Ragged edge lost all round.
 * @returns Rows measured inside the margin; count 0 if not one fits.
 */
export function findBestOvalRows(
  outline: Outline,
  sheet: SheetShape,
  webMm: number,
  marginMm: number,
  mayTurn: boolean,
): RowPattern {
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
  for (const lattice of listLattices(outline, webMm, mayTurn)) {
    if (boundLattice(lattice, sheet) <= best.count) continue;
    const beatMm = sum(lattice.stepsMm);
    const places = lattice.isFree ? 1 : OFFSETS;
    for (let i = 0; i < OFFSETS; i++) {
      // What each row has room for depends on how far down the rows lie; how far along only shifts the cuts in it.
      const spans = listSpans(lattice, sheet, spanOf, (i * beatMm) / OFFSETS);
      const most = spans.reduce((total, span) => total + countSpan(lattice, span), 0);
      for (let j = 0; j < places && most > best.count; j++) {
        const alongMm = sheet.widthMm / 2 + (j * lattice.pitchMm) / OFFSETS;
        // Hundreds of places are counted for one that is laid.
        let count = 0;
        for (const span of spans) count += Math.max(fillSpan(lattice, span, alongMm).count, 0);
        if (count > best.count)
          best = { style: "fitted", rowsRunDown: false, rows: layRows(lattice, spans, alongMm), count };
      }
    }
  }
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

function listLattices(outline: Outline, webMm: number, mayTurn: boolean): Lattice[] {
  if (outline.kind === "disc") {
    const spacingMm = outline.diameterMm + webMm;
    const stepMm = (spacingMm * Math.sqrt(3)) / 2;
    const shared = { pitchMm: spacingMm, anglesDeg: [0, 0] as const };
    return [
      { ...shared, shiftMm: spacingMm / 2, stepsMm: [stepMm, stepMm], isFree: false },
      { ...shared, shiftMm: 0, stepsMm: [spacingMm, spacingMm], isFree: true },
    ];
  }
  return listFamilies(outline, webMm, mayTurn)
    .filter(({ row }) => !row.between)
    .sort((a, b) => a.pitchMm * sum(a.stepsMm) - b.pitchMm * sum(b.stepsMm))
    .slice(0, MOST_LATTICES)
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

/** A row's line across the sheet, and the stretch of it on which middles may lie. */
interface Span {
  readonly acrossMm: number;
  readonly fromMm: number;
  readonly toMm: number;
  /** 0 for the first of a beat's two rows, 1 for the second. */
  readonly next: 0 | 1;
}

function listSpans(
  { stepsMm, anglesDeg }: Lattice,
  sheet: SheetShape,
  spanOf: (angleDeg: number) => SpanOf,
  downMm: number,
): Span[] {
  const spans: Span[] = [];
  const spansOf = [spanOf(anglesDeg[0]), spanOf(anglesDeg[1])] as const;
  const beatMm = sum(stepsMm);
  const beatsUp = Math.ceil(sheet.heightMm / 2 / beatMm) + 1;
  for (let beat = -beatsUp; beat <= beatsUp; beat++) {
    for (const next of [0, 1] as const) {
      const acrossMm = sheet.heightMm / 2 + downMm + beat * beatMm + (next === 1 ? stepsMm[0] : 0);
      const { from, to } = spansOf[next](acrossMm);
      if (to >= from - FIT_TOLERANCE_MM) spans.push({ acrossMm, fromMm: from, toMm: to, next });
    }
  }
  return spans;
}

/** No row of a lattice holds more on its stretch, wherever it begins. */
const countSpan = ({ pitchMm }: Pick<Lattice, "pitchMm">, { fromMm, toMm }: Pick<Span, "fromMm" | "toMm">) =>
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

/** Where the first cut of a row stands, and how many there are: none where that is not above 0. */
function fillSpan(
  { pitchMm, shiftMm, isFree }: Lattice,
  { fromMm, toMm, next }: Span,
  alongMm: number,
): Pick<Row, "startMm" | "count"> {
  if (isFree) {
    const count = countSpan({ pitchMm }, { fromMm, toMm });
    return { startMm: (fromMm + toMm - (count - 1) * pitchMm) / 2, count };
  }
  const phaseMm = alongMm + (next === 1 ? shiftMm : 0);
  const startMm = phaseMm + Math.ceil((fromMm - phaseMm - FIT_TOLERANCE_MM) / pitchMm) * pitchMm;
  return { startMm, count: Math.floor((toMm - startMm + FIT_TOLERANCE_MM) / pitchMm) + 1 };
}

function layRows(lattice: Lattice, spans: readonly Span[], alongMm: number): Row[] {
  const { pitchMm, anglesDeg } = lattice;
  return spans.flatMap((span) => {
    const { startMm, count } = fillSpan(lattice, span, alongMm);
    const row = { startMm, acrossMm: span.acrossMm, pitchMm, count, angleDeg: anglesDeg[span.next] };
    return count > 0 ? [{ ...row, between: null }] : [];
  });
}
