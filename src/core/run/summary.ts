import { readClosing } from "./closing";
import { countPieces } from "./countPieces";
import type { RunEvent } from "./event";
import { foldRun, UNTOUCHED } from "./foldRun";
import type { RunSheet } from "./runSheet";

/** One kind of piece on one day. */
export interface PieceSummary {
  readonly pieceId: string;
  readonly name: string;
  readonly ordered: number;
  readonly planned: number;
  readonly made: number;
  readonly sold: number | null;
  readonly lost: number;
  /** By what went wrong. */
  readonly faults: Readonly<Record<string, number>>;
  /** Of its jobs that are done: as planned, and really. */
  readonly plannedMin: number;
  readonly tookMin: number;
  /** Ingredients of all that was planned, in the smallest coin. */
  readonly ingredientsMinor: number;
  readonly handsMin: number;
  /** What its ovens drew, as planned; days summed before that was told have none. */
  readonly heatKwh?: number;
}

/** A day at a glance, planned and real. */
export interface DaySummary {
  readonly date: string;
  readonly name: string;
  readonly isClosed: boolean;
  readonly isLeftOut: boolean;
  readonly jobs: number;
  readonly jobsDone: number;
  /** When the last job ends: as planned; really, once all are done. */
  readonly plannedEndMin: number;
  readonly endMin: number | null;
  readonly pieces: readonly PieceSummary[];
  readonly trimG: number;
  /** Dough and filling that were over and kept. */
  readonly keptG: number;
  readonly unpriced: readonly string[];
}

/** A day that was run in the figures of the book of days: pieces, minutes, masses, losses and cost. */
export function summariseRun(sheet: RunSheet, events: readonly RunEvent[]): DaySummary {
  const state = foldRun(events);
  const { sales, left, isClosed } = readClosing(sheet, state);
  const counts = countPieces(sheet, state);
  const placed = new Map(sheet.placed.map(({ taskId, startMin }) => [taskId, startMin]));
  const ended = sheet.jobs.map(({ taskId }) => state.tasks[taskId]?.doneMin ?? null);
  const due = sheet.jobs.filter(({ taskId }) => counts.pieces[taskId] !== 0);
  const done = due.filter(({ taskId }) => (state.tasks[taskId]?.doneMin ?? null) !== null);
  return {
    date: sheet.date,
    name: sheet.dayName,
    isClosed,
    isLeftOut: state.leftOut !== null,
    jobs: due.length,
    jobsDone: done.length,
    plannedEndMin: Math.max(
      0,
      ...sheet.jobs.map(({ taskId, plannedMin }) => (placed.get(taskId) ?? 0) + plannedMin),
    ),
    endMin: done.length === due.length ? Math.max(0, ...ended.map((minute) => minute ?? 0)) : null,
    pieces: sheet.pieces.map((piece): PieceSummary => {
      const jobs = sheet.jobs.filter(({ pieceId }) => pieceId === piece.id);
      const runs = jobs.map((job) => ({ job, run: state.tasks[job.taskId] ?? UNTOUCHED }));
      const faults: Record<string, number> = {};
      let lost = 0;
      for (const { run } of runs)
        for (const { mishap, count, isLost } of run.mishaps) {
          faults[mishap] = (faults[mishap] ?? 0) + count;
          if (isLost) lost += count;
        }
      const timed = runs.flatMap(({ job, run }) =>
        run.begunMin !== null && run.doneMin !== null
          ? [{ planned: job.plannedMin, took: run.doneMin - run.begunMin }]
          : [],
      );
      const sale = sales.find(({ pieceId }) => pieceId === piece.id);
      const costs = sheet.costs.pieces.find(({ pieceId }) => pieceId === piece.id);
      return {
        pieceId: piece.id,
        name: piece.name,
        ordered: sale?.promised ?? 0,
        planned: piece.lots.reduce((sum, { pieces }) => sum + pieces, 0),
        made: counts.made[piece.id] ?? 0,
        sold: sale?.sold ?? null,
        lost,
        faults,
        plannedMin: timed.reduce((sum, { planned }) => sum + planned, 0),
        tookMin: timed.reduce((sum, { took }) => sum + took, 0),
        ingredientsMinor: costs?.ingredientsMinor ?? 0,
        handsMin: costs?.handsMin ?? 0,
        heatKwh: costs?.heatKwh ?? 0,
      };
    }),
    trimG: sheet.costs.trimG,
    keptG: left.reduce((sum, { massG }) => sum + massG, 0),
    unpriced: sheet.costs.unpriced,
  };
}

/** What a span of days made, sold and lost. */
export interface SpanSums {
  readonly days: number;
  readonly ordered: number;
  readonly made: number;
  /** Of days on which somebody said. */
  readonly sold: number;
  readonly madeOfSold: number;
  readonly lost: number;
  readonly leaked: number;
  readonly ingredientsMinor: number;
  /** Of pieces that were lost or not sold. */
  readonly lostMinor: number;
  readonly trimG: number;
  readonly plannedMin: number;
  readonly tookMin: number;
  /** Of the pieces alone whose ovens tell their power. */
  readonly heatKwh: number;
  readonly madeOfHeat: number;
}

/** The sums of a span; with a piece, of that piece alone (trim is then not told apart: 0). */
export function sumDays(days: readonly DaySummary[], pieceId: string | null = null): SpanSums {
  const pieces = days.flatMap((day) =>
    day.pieces.filter((piece) => pieceId === null || piece.pieceId === pieceId),
  );
  const sum = (of: (piece: PieceSummary) => number) => pieces.reduce((total, piece) => total + of(piece), 0);
  const costEach = ({ ingredientsMinor, planned }: PieceSummary) =>
    planned > 0 ? ingredientsMinor / planned : 0;
  return {
    days: days.length,
    ordered: sum(({ ordered }) => ordered),
    made: sum(({ made }) => made),
    sold: sum(({ sold }) => sold ?? 0),
    madeOfSold: sum(({ sold, made }) => (sold === null ? 0 : made)),
    lost: sum(({ lost }) => lost),
    leaked: sum(({ faults }) => (faults.leaked ?? 0) + (faults.burst ?? 0)),
    ingredientsMinor: sum(({ ingredientsMinor }) => ingredientsMinor),
    lostMinor: sum(
      (piece) =>
        costEach(piece) * (piece.lost + (piece.sold === null ? 0 : Math.max(piece.made - piece.sold, 0))),
    ),
    trimG: pieceId === null ? days.reduce((total, { trimG }) => total + trimG, 0) : 0,
    plannedMin: sum(({ plannedMin }) => plannedMin),
    tookMin: sum(({ tookMin }) => tookMin),
    heatKwh: sum(({ heatKwh = 0 }) => heatKwh),
    madeOfHeat: sum(({ heatKwh = 0, made }) => (heatKwh > 0 ? made : 0)),
  };
}
