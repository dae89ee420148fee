import type { TimedWork } from "../habits";
import type { CutRecord, LotRecord } from "../plan";
import { countBlanks } from "./countBlanks";
import { countPieces, type Counts } from "./countPieces";
import type { RunEvent } from "./event";
import { foldRun, UNTOUCHED, type RunState } from "./foldRun";
import type { JobSheet, PieceSheet, RunSheet } from "./runSheet";

/** What a run adds to the baker's log. */
export interface RunLog {
  readonly lots: readonly LotRecord[];
  readonly cuts: readonly CutRecord[];
  /** What liquids took. */
  readonly poured: readonly { readonly formulaId: string; readonly massG: number; readonly scale: number }[];
}

/** The least that a clock of whole minutes tells apart, min. */
const LEAST_MIN = 0.1;

/**
 * The log that a run's events make, one record a piece and a dough: minutes of hands where every lot of that work is
 * done, leaks where every lot has been in the heat, blanks where somebody counted. Ids are those that the stations
 * write, so that there is one record, whoever kept it.
 */
export function toLog(sheet: RunSheet, events: readonly RunEvent[]): RunLog {
  const state = foldRun(events);
  const { dayId, date } = sheet;
  const { pieces: counts } = countPieces(sheet, state);
  return {
    lots: sheet.pieces.flatMap((piece): LotRecord[] => {
      const jobs = sheet.jobs.filter(({ pieceId }) => pieceId === piece.id);
      const filled = jobs.filter(({ kind }) => kind === "fill");
      const byPlan = sum(filled, (job) => job.pieces);
      // With fewer pieces than planned the craft needs less long too.
      const share = byPlan > 0 ? sum(filled, (job) => counts[job.taskId] ?? job.pieces) / byPlan : 1;
      const pieces = Math.round(piece.toFill * share);
      const scale = <T extends { readonly minutes: number }>(work: T): T => ({
        ...work,
        minutes: work.minutes * share,
      });
      const lot = {
        id: `lot-${date}-${piece.id}`,
        dayId,
        date,
        pieceId: piece.id,
        pieces,
        fill: sumWork(jobs, ["fill"], scale(piece.craft.fill), state, counts),
        close: sumWork(jobs, ["seal"], scale(piece.craft.close), state, counts),
        leaked: countLeaks(jobs, piece.seal, pieces, state, counts),
        craftLeakShare: piece.craft.craftLeakShare,
        craftCauses: piece.craft.craftCauses,
      };
      const isEmpty = pieces === 0 || (lot.fill === null && lot.close === null && lot.leaked === null);
      return isEmpty ? [] : [lot];
    }),
    cuts: sheet.cuts.flatMap(({ id, doughId, planned }): CutRecord[] => {
      const jobs = sheet.jobs.filter(({ cutId, drawing }) => cutId === id && drawing?.kind === "sheet");
      const counts = jobs.flatMap((job) => {
        const { sheet: cut } = job.drawing as Extract<JobSheet["drawing"], { kind: "sheet" }>;
        if (cut.isDecoration) return [];
        const { doneMin, measured } = state.tasks[job.taskId] ?? UNTOUCHED;
        const counted = countBlanks(cut, measured);
        return [{ isDone: doneMin !== null, counted, planned: cut.count }];
      });
      // A sheet that nobody counted gave what was planned; where none was counted nothing is known.
      if (planned === 0 || counts.some(({ isDone }) => !isDone)) return [];
      if (counts.every(({ counted }) => counted === undefined)) return [];
      const got = counts.reduce((sum, each) => sum + (each.counted ?? each.planned), 0);
      return [{ id: `cut-${date}-${id}`.replace(/[^a-z0-9-]/g, "-"), dayId, date, doughId, planned, got }];
    }),
    poured: sheet.jobs.flatMap(({ formulaId, liquid, taskId }) => {
      const { pouredG, doneMin } = state.tasks[taskId] ?? UNTOUCHED;
      return formulaId !== null && liquid && pouredG > 0 && doneMin !== null
        ? [{ formulaId, massG: pouredG, scale: liquid.scale }]
        : [];
    }),
  };
}

const sum = <T>(list: readonly T[], of: (each: T) => number): number =>
  list.reduce((total, each) => total + of(each), 0);

/** Minutes of hands over all lots of a work that there was anything for; null while one of them is not done, or none is there. */
function sumWork(
  jobs: readonly JobSheet[],
  kinds: readonly JobSheet["kind"][],
  craft: { readonly style: string; readonly minutes: number },
  state: RunState,
  counts: Counts["pieces"],
): TimedWork | null {
  const runs = jobs.flatMap(({ kind, taskId }) =>
    kinds.includes(kind) && counts[taskId] !== 0 ? [state.tasks[taskId] ?? UNTOUCHED] : [],
  );
  if (runs.length === 0 || craft.minutes < LEAST_MIN) return null;
  let minutes = 0;
  for (const { begunMin, doneMin } of runs) {
    if (begunMin === null || doneMin === null) return null;
    minutes += doneMin - begunMin;
  }
  return minutes >= LEAST_MIN ? { style: craft.style, minutes, craftMinutes: craft.minutes } : null;
}

/** Leaked and burst pieces; null until every lot has been in the heat, or where nothing is closed. */
function countLeaks(
  jobs: readonly JobSheet[],
  seal: PieceSheet["seal"],
  pieces: number,
  state: RunState,
  counts: Counts["pieces"],
): number | null {
  const heats = jobs.filter(
    ({ kind, taskId }) => (kind === "bake" || kind === "fry") && counts[taskId] !== 0,
  );
  if (!seal || heats.length === 0) return null;
  if (heats.some(({ taskId }) => (state.tasks[taskId] ?? UNTOUCHED).doneMin === null)) return null;
  const leaked = jobs
    .flatMap(({ taskId }) => (state.tasks[taskId] ?? UNTOUCHED).mishaps)
    .reduce((sum, { mishap, count }) => sum + (mishap === "leaked" || mishap === "burst" ? count : 0), 0);
  return Math.min(leaked, pieces);
}
