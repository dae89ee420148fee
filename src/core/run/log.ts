import {
  findImplausible,
  toHabitId,
  toPaceKey,
  toPaceLog,
  toYieldLog,
  type TimedKind,
  type TimedWork,
} from "../habits";
import type { CutRecord, FriedLoad, LotRecord } from "../plan";
import { countBlanks } from "./countBlanks";
import { toLarderLog, type LarderLog } from "./closing";
import { countPieces, type Counts } from "./countPieces";
import type { RunEvent } from "./event";
import { foldRun, UNTOUCHED, type RunState, type TaskRun } from "./foldRun";
import type { JobSheet, PieceSheet, RunSheet } from "./runSheet";

/** What a run adds to the baker's log. */
export interface RunLog {
  readonly lots: readonly LotRecord[];
  readonly cuts: readonly CutRecord[];
  /** What liquids took. */
  readonly poured: readonly { readonly formulaId: string; readonly massG: number; readonly scale: number }[];
  /** What the day, closed, changes in the larder. */
  readonly larder: LarderLog;
  /** What went into oil. */
  readonly fried: readonly RunFriedLoad[];
}

/** A load that a run put into a fryer's oil. */
export interface RunFriedLoad extends FriedLoad {
  readonly fryerId: string;
}

/** The least that a clock of whole minutes tells apart, min. */
const LEAST_MIN = 0.1;

/**
 * The log that a run's events make, one record a piece and a dough: minutes of hands where every lot of that work is
 * done, leaks where every lot has been in the heat, blanks where somebody counted. Ids are those that the stations
 * write, so that there is one record, whoever kept it.
 */
export function toLog(sheet: RunSheet, events: readonly RunEvent[]): RunLog {
  const log = toWholeLog(sheet, events);
  const can = (work: TimedWork | null, kind: TimedKind) =>
    work && findImplausible(toHabitId("hands", toPaceKey(kind, work.style)), toPaceLog(work)) === null
      ? work
      : null;
  return {
    ...log,
    lots: log.lots.flatMap((lot) => {
      const [fill, close] = [can(lot.fill, "fill"), can(lot.close, "close")];
      return fill === null && close === null && lot.leaked === null ? [] : [{ ...lot, fill, close }];
    }),
    cuts: log.cuts.filter(
      (cut) => findImplausible(toHabitId("blanks", cut.doughId), toYieldLog(cut)) === null,
    ),
  };
}

/** The log with figures that cannot be: slips, which are asked about and not kept. */
export function toWholeLog(sheet: RunSheet, events: readonly RunEvent[]): RunLog {
  const state = foldRun(events);
  const { dayId, date } = sheet;
  const { pieces: counts } = countPieces(sheet, state);
  const larder = toLarderLog(sheet, state);
  const fried = listFried(sheet, state, counts);
  // What is left out of the learning is on record and not in the log.
  if (state.leftOut !== null) return { lots: [], cuts: [], poured: [], larder, fried };
  return {
    ...{ larder, fried },
    lots: sheet.pieces.flatMap((piece): LotRecord[] => {
      const jobs = sheet.jobs.filter(({ pieceId }) => pieceId === piece.id);
      const shareOf = (kind: JobSheet["kind"]): number => {
        const done = jobs.filter((job) => job.kind === kind);
        const byPlan = sum(done, (job) => job.pieces);
        return byPlan > 0 ? sum(done, (job) => counts[job.taskId] ?? job.pieces) / byPlan : 1;
      };
      const pieces = Math.round(piece.toFill * shareOf("fill"));
      // With fewer pieces than planned the craft needs less long too.
      const scale = <T extends { readonly minutes: number }>(work: T, kind: JobSheet["kind"]): T => ({
        ...work,
        minutes: work.minutes * shareOf(kind),
      });
      const lot = {
        id: `lot-${date}-${piece.id}`,
        dayId,
        date,
        pieceId: piece.id,
        pieces,
        fill: sumWork(jobs, ["fill"], scale(piece.craft.fill, "fill"), state, counts),
        close: sumWork(jobs, ["seal"], scale(piece.craft.close, "seal"), state, counts),
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
        const { doneMin, measured, leftOut } = state.tasks[job.taskId] ?? UNTOUCHED;
        if (leftOut !== null) return [];
        const counted = countBlanks(cut, measured);
        return [{ isDone: doneMin !== null, counted, planned: cut.count }];
      });
      // A sheet that nobody counted gave what was planned; where none was counted nothing is known.
      if (planned === 0 || counts.length === 0 || counts.some(({ isDone }) => !isDone)) return [];
      if (counts.every(({ counted }) => counted === undefined)) return [];
      const got = sum(counts, (each) => each.counted ?? each.planned);
      return [
        {
          id: `cut-${date}-${id}`.replace(/[^a-z0-9-]/g, "-"),
          dayId,
          date,
          doughId,
          planned: sum(counts, (each) => each.planned),
          got,
        },
      ];
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

/** Loads that went into oil. A sheet frozen before it kept what its pieces hold leaves that unknown. */
function listFried(sheet: RunSheet, state: RunState, counts: Counts["pieces"]): RunFriedLoad[] {
  return sheet.jobs.flatMap(({ kind, taskId, pieceId, pieces, targets }): RunFriedLoad[] => {
    const { machineId } = targets;
    if (kind !== "fry" || machineId === null || (state.tasks[taskId]?.begunMin ?? null) === null) return [];
    const piece = sheet.pieces.find(({ id }) => id === pieceId);
    const name = piece?.name ?? "";
    const { perBasket, allergens, unknown } = piece?.oil ?? { perBasket: {}, allergens: [], unknown: [name] };
    const baskets = Math.ceil((counts[taskId] ?? pieces) / (perBasket[machineId] ?? pieces));
    if (!(baskets > 0)) return [];
    return [{ ...{ id: `${sheet.date}/${taskId}`, fryerId: machineId, name, baskets }, allergens, unknown }];
  });
}

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
  for (const { begunMin, doneMin, leftOut } of runs) {
    // Said to be done afterwards, it was begun and ended in one moment: nobody timed it.
    if (begunMin === null || doneMin === null || doneMin === begunMin || leftOut !== null) return null;
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
  const isKnown = ({ doneMin, leftOut }: TaskRun) => doneMin !== null && leftOut === null;
  if (!heats.every(({ taskId }) => isKnown(state.tasks[taskId] ?? UNTOUCHED))) return null;
  const leaked = jobs
    .flatMap(({ taskId }) => (state.tasks[taskId] ?? UNTOUCHED).mishaps)
    .reduce((sum, { mishap, count }) => sum + (mishap === "leaked" || mishap === "burst" ? count : 0), 0);
  return Math.min(leaked, pieces);
}
