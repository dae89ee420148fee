import { countPlanned, listDemands } from "./countBlanks";
import type { RunEvent } from "./event";
import type { RunState } from "./foldRun";
import type { LotSheet } from "./lots";
import type { JobSheet, PieceSheet, RunSheet } from "./runSheet";

/** How many there really are, after what happened so far. */
export interface Counts {
  /** By task id, of every job of a lot: pieces that it is done to. */
  readonly pieces: Readonly<Record<string, number>>;
  /** By piece id: those that come to the end of their lots, made ahead or not. */
  readonly made: Readonly<Record<string, number>>;
  /** By piece id: blanks that were cut beyond the plan and are not filled. */
  readonly blanksOver: Readonly<Record<string, number>>;
  /** Promises that cannot be kept in full with what is there. */
  readonly short: readonly {
    readonly pieceId: string;
    readonly dueMin: number;
    readonly promised: number;
    readonly made: number;
  }[];
  /** Of fillings: what will be over with these pieces, g; nothing of those that ran out. */
  readonly overG: Readonly<Record<string, number>>;
}

/** As much of a sheet as its lots are counted by. */
export type Countable = Pick<RunSheet, "jobs" | "pieces" | "fillings" | "placed">;

/** From a job of a lot on, so many more pieces; below 0 fewer. */
interface Change {
  readonly key: string;
  readonly fromJob: number;
  readonly by: number;
  /** By what blanks there are: what is counted anew replaces it as long as the lot has not begun. */
  readonly isSupply: boolean;
}

/**
 * Lots counted anew from what happened, in its order: pieces that are lost are missing in what comes after in their lot;
 * blanks that were cut short or beyond, and a filling that ran out, change the lots that have not begun by then, the last
 * first. Nothing is added beyond what trays, moulds and fillings take. O(events × jobs).
 */
export function countPieces(sheet: Countable, { counted }: Pick<RunState, "counted">): Counts {
  const startOf = new Map(sheet.placed.map(({ taskId, startMin }) => [taskId, startMin]));
  const jobsOf = new Map<string, JobSheet[]>();
  for (const job of [...sheet.jobs].sort(
    (a, b) => (startOf.get(a.taskId) ?? 0) - (startOf.get(b.taskId) ?? 0),
  ))
    if (job.lot) jobsOf.set(job.lot.key, [...(jobsOf.get(job.lot.key) ?? []), job]);
  const jobOf = new Map(sheet.jobs.map((job) => [job.taskId, job]));
  const begun = new Set<string>();
  const cuts = new Map<string, number>();
  const empty = new Set<string>();
  let changes: Change[] = [];

  const at = (key: string, job: number): number => {
    const planned = jobsOf.get(key)?.[job]?.pieces ?? 0;
    return Math.max(
      changes.reduce(
        (sum, change) => sum + (change.key === key && change.fromJob <= job ? change.by : 0),
        planned,
      ),
      0,
    );
  };
  const atEnd = ({ key }: LotSheet) => at(key, (jobsOf.get(key)?.length ?? 0) - 1);
  /** The most of a job and those after it: frozen pieces join a lot on its way. */
  const mostFrom = ({ key }: LotSheet, fromJob: number) =>
    Math.max(...(jobsOf.get(key) ?? []).map((_, i) => (i >= fromJob ? at(key, i) : 0)));
  const isOpen = ({ key }: LotSheet) => (jobsOf.get(key) ?? []).every(({ taskId }) => !begun.has(taskId));
  const overOf = (formulaId: string): number => {
    if (empty.has(formulaId)) return 0;
    const had = sheet.fillings.find(({ id }) => id === formulaId)?.overG ?? 0;
    return sheet.pieces.reduce((sum, { fillings, lots }) => {
      const eachG = fillings.find((filling) => filling.formulaId === formulaId)?.eachG ?? 0;
      return eachG === 0 ? sum : sum - eachG * lots.reduce((more, lot) => more + countMoreFilled(lot), 0);
    }, had);
  };
  /** Pieces that are filled beyond the plan. */
  const countMoreFilled = ({ key }: LotSheet): number =>
    (jobsOf.get(key) ?? []).reduce(
      (sum, job, i) => (sum === 0 && (job.lot?.takes.length ?? 0) > 0 ? at(key, i) - job.pieces : sum),
      0,
    );

  /** Whole sets of blanks that are cut, by what was counted. */
  const countSets = (roles: PieceSheet["roles"]): number =>
    Math.min(...roles.map(({ demandId, cut }) => cut + (cuts.get(demandId) ?? 0)));

  /** Gives the lots that have not begun what blanks there are. */
  function supply(piece: PieceSheet): void {
    const { lots, roles, needBlanks, blanksTaken, fillings } = piece;
    if (roles.length === 0) return;
    const plannedSets = Math.min(...roles.map(({ cut }) => cut)) + blanksTaken;
    const sets = countSets(roles) + blanksTaken;
    const open = lots.filter(isOpen);
    const openKeys = new Set(open.map(({ key }) => key));
    const fixed = changes.filter(({ isSupply, key }) => isSupply && !openKeys.has(key));
    changes = changes.filter(({ isSupply, key }) => !isSupply || !openKeys.has(key) || !isOfPiece(key, lots));
    let left =
      (sets < needBlanks ? sets - needBlanks : Math.max(sets - Math.max(plannedSets, needBlanks), 0)) -
      fixed.reduce((sum, { by, key }) => sum + (isOfPiece(key, lots) ? by : 0), 0);
    if (left > 0)
      for (const { formulaId, eachG } of fillings)
        left = eachG > 0 ? Math.min(left, Math.max(Math.floor(overOf(formulaId) / eachG), 0)) : left;
    const give = (lot: LotSheet, fromJob: number) => {
      const by =
        left < 0
          ? Math.max(left, -at(lot.key, fromJob))
          : Math.min(left, Math.max(lot.mostPieces - mostFrom(lot, fromJob), 0));
      if (by === 0) return;
      changes.push({ key: lot.key, fromJob, by, isSupply: true });
      left -= by;
    };
    for (const lot of open.toReversed()) give(lot, 0);
    // What has begun goes on with what there is.
    if (left < 0)
      for (const lot of lots.filter(({ key }) => !openKeys.has(key)).toReversed()) {
        const next = (jobsOf.get(lot.key) ?? []).findIndex(({ taskId }) => !begun.has(taskId));
        if (next >= 0) give(lot, next);
      }
  }

  function runOut(job: JobSheet, formulaId: string, made: number): void {
    empty.add(formulaId);
    for (const [key, jobs] of jobsOf)
      jobs.forEach((each, i) => {
        if (!each.lot?.takes.includes(formulaId)) return;
        const isThis = each.taskId === job.taskId;
        if (!isThis && begun.has(each.taskId)) return;
        const by = (isThis ? Math.min(made, at(key, i)) : 0) - at(key, i);
        if (by < 0) changes.push({ key, fromJob: i, by, isSupply: false });
      });
  }

  function lose({ lot, taskId }: JobSheet, count: number): void {
    if (!lot) return;
    const after = (jobsOf.get(lot.key) ?? []).findIndex((each) => each.taskId === taskId) + 1;
    changes.push({ key: lot.key, fromJob: after, by: -count, isSupply: false });
  }

  const told = new Map<string, number>();
  function count(event: Extract<RunEvent, { kind: "measured" }>, { drawing, taskId }: JobSheet): void {
    if (drawing?.kind !== "sheet" || event.measure !== "cutCount") return;
    const demandIds = listDemands(drawing.sheet.parts);
    // Of a sheet with several outlines a count that names none is of nobody.
    const demandId = event.part ?? (demandIds.length === 1 ? demandIds[0] : undefined);
    if (demandId === undefined || !demandIds.includes(demandId)) return;
    const planned = countPlanned(drawing.sheet.parts, demandId);
    const key = `${taskId} ${demandId}`;
    const by = event.value - planned;
    cuts.set(demandId, (cuts.get(demandId) ?? 0) + by - (told.get(key) ?? 0));
    told.set(key, by);
    for (const piece of sheet.pieces)
      if (piece.roles.some((role) => role.demandId === demandId)) supply(piece);
  }

  for (const event of counted) {
    const job = "taskId" in event && event.taskId !== null ? jobOf.get(event.taskId) : undefined;
    if (!job) continue;
    if (event.kind === "begun" || event.kind === "done") begun.add(job.taskId);
    else if (event.kind === "wrong" && event.isLost) lose(job, event.count);
    else if (event.kind === "ranOut") runOut(job, event.formulaId, event.made);
    else if (event.kind === "measured") count(event, job);
  }

  const pieces: Record<string, number> = {};
  for (const [key, jobs] of jobsOf) jobs.forEach(({ taskId }, i) => (pieces[taskId] = at(key, i)));
  const countOver = ({ lots, roles, blanksTaken, needBlanks }: PieceSheet): number => {
    if (roles.length === 0) return 0;
    const planned = Math.min(...roles.map(({ cut }) => cut)) + blanksTaken;
    const sets = countSets(roles) + blanksTaken;
    const given = changes.reduce(
      (sum, { by, key, isSupply }) => sum + (isSupply && isOfPiece(key, lots) ? by : 0),
      0,
    );
    return Math.max(sets - Math.max(planned, needBlanks) - given, 0);
  };
  return {
    pieces,
    blanksOver: Object.fromEntries(sheet.pieces.map((piece) => [piece.id, countOver(piece)])),
    made: Object.fromEntries(
      sheet.pieces.map(({ id, lots }) => [id, lots.reduce((sum, lot) => sum + atEnd(lot), 0)]),
    ),
    short: sheet.pieces.flatMap((piece) => listShort(piece, atEnd)),
    overG: Object.fromEntries(sheet.fillings.map(({ id }) => [id, Math.max(overOf(id), 0)])),
  };
}

const isOfPiece = (key: string, lots: readonly LotSheet[]): boolean => lots.some((lot) => lot.key === key);

/** The earliest promises are kept first. */
function listShort({ id, lots, promises }: PieceSheet, atEnd: (lot: LotSheet) => number): Counts["short"] {
  let left = lots.reduce((sum, lot) => sum + (lot.isAhead ? 0 : atEnd(lot)), 0);
  return promises.flatMap(({ dueMin, count }) => {
    const made = Math.min(count, left);
    left -= made;
    return made < count ? [{ pieceId: id, dueMin, promised: count, made }] : [];
  });
}
