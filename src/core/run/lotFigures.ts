import type { LotFigures, Trouble } from "../remedy";
import type { Mishap } from "./event";
import { UNTOUCHED, type RunState, type TaskRun } from "./foldRun";
import type { JobSheet, RunSheet } from "./runSheet";

/** What bakers would look up for what went wrong in a job; null for what has no cause in the making. */
export function findTrouble(mishap: Mishap, { kind }: Pick<JobSheet, "kind">): Trouble | null {
  switch (mishap) {
    case "leaked":
    case "burst":
      return "seamBurst";
    case "torn":
      return "cracked";
    case "shrunk":
      return "shrank";
    case "burnt":
      return kind === "fry" ? "friedRaw" : "burnt";
    case "pale":
      return "pale";
    case "stuck":
      return "stuck";
    case "dropped":
    case "other":
      return null;
  }
}

/** A wait shorter than this tells nothing, min. */
const LEAST_WAIT_MIN = 5;

/**
 * What stands on record of the lot that a job is part of: how it was planned, and what its events and readings say. What
 * nobody read, weighed or timed is not in it.
 */
export function readLotFigures(sheet: RunSheet, state: Pick<RunState, "tasks">, taskId: string): LotFigures {
  const job = sheet.jobs.find((each) => each.taskId === taskId);
  const piece = sheet.pieces.find(({ id }) => id === job?.pieceId);
  if (!job || !piece) return {};
  const runOf = (id: string) => state.tasks[id] ?? UNTOUCHED;
  const lot = job.lot ? sheet.jobs.filter((each) => each.lot?.key === job.lot?.key) : [job];
  const cutIds = new Set(
    listBefore(
      sheet,
      lot.map((each) => each.taskId),
    ),
  );
  const rolls = sheet.jobs.filter(({ kind, taskId: id }) => kind === "roll" && cutIds.has(id));
  const heats = lot.filter(({ kind }) => kind === "bake" || kind === "fry");
  return {
    ...piece.figures,
    ...readPortions(lot, runOf),
    ...readDough(rolls, runOf),
    ...readHeat(heats, runOf),
    ...readWaits(sheet, lot, rolls, runOf),
  };
}

type RunOf = (taskId: string) => TaskRun;

const lastOf = ({ measured }: TaskRun, measure: TaskRun["measured"][number]["measure"]): number | undefined =>
  measured.findLast((each) => each.measure === measure)?.value;

/** Beyond a band's end, above it positive; 0 within. */
const beyond = (value: number, { lowC, highC }: { readonly lowC: number; readonly highC: number }): number =>
  value > highC ? value - highC : value < lowC ? value - lowC : 0;

function readPortions(lot: readonly JobSheet[], runOf: RunOf): LotFigures {
  const shares = lot.flatMap(({ taskId, targets: { portionG } }) =>
    portionG === null
      ? []
      : runOf(taskId).measured.flatMap(({ measure, value }) =>
          measure === "massG" ? [value / portionG] : [],
        ),
  );
  if (shares.length === 0) return {};
  const mean = shares.reduce((sum, each) => sum + each, 0) / shares.length;
  const squares = shares.reduce((sum, each) => sum + (each - mean) ** 2, 0);
  return {
    portionShare: mean,
    ...(shares.length > 1 && { portionSpread: Math.sqrt(squares / (shares.length - 1)) }),
  };
}

function readDough(rolls: readonly JobSheet[], runOf: RunOf): LotFigures {
  const cores = rolls.flatMap(({ taskId, targets: { window } }) => {
    const coreC = lastOf(runOf(taskId), "coreC");
    return window && coreC !== undefined ? [beyond(coreC, window)] : [];
  });
  const worst = cores.sort((a, b) => Math.abs(b) - Math.abs(a))[0];
  return worst === undefined ? {} : { doughOffC: worst };
}

function readHeat(heats: readonly JobSheet[], runOf: RunOf): LotFigures {
  const last = heats.at(-1);
  if (!last) return {};
  const { taskId, kind, plannedMin, slackMin, targets } = last;
  const run = runOf(taskId);
  const [ovenC, oilC, coreC] = [lastOf(run, "ovenC"), lastOf(run, "oilC"), lastOf(run, "coreC")];
  return {
    ...(run.begunMin !== null &&
      run.doneMin !== null && { bakeShare: (run.doneMin - run.begunMin) / (plannedMin - slackMin) }),
    ...(kind === "bake" &&
      ovenC !== undefined &&
      targets.wantedC !== null && { ovenOffC: ovenC - targets.wantedC }),
    ...(kind === "fry" && oilC !== undefined && targets.heatC !== null && { oilOffC: oilC - targets.heatC }),
    ...(targets.custardC && coreC !== undefined && { coreOffC: beyond(coreC, targets.custardC) }),
  };
}

/** Rests, chills and waits as they were, against what was planned for them. */
function readWaits(
  { problem }: RunSheet,
  lot: readonly JobSheet[],
  rolls: readonly JobSheet[],
  runOf: RunOf,
): LotFigures {
  const waits = (jobs: readonly JobSheet[]) =>
    jobs.flatMap(({ taskId, kind }) => {
      const { begunMin } = runOf(taskId);
      const task = problem.tasks.find(({ id }) => id === taskId);
      return (task?.after ?? []).flatMap(({ taskId: before, from, minWaitMin, maxWaitMin }) => {
        const { doneMin } = runOf(before);
        return begunMin === null || doneMin === null || from === "start"
          ? []
          : [{ kind, waitedMin: begunMin - doneMin, minWaitMin, maxWaitMin }];
      });
    });
  const rest = waits(rolls).find(({ minWaitMin }) => minWaitMin >= LEAST_WAIT_MIN);
  const own = waits(lot);
  const chill = own.find(
    ({ kind, minWaitMin }) => (kind === "bake" || kind === "fry") && minWaitMin >= LEAST_WAIT_MIN,
  );
  const borne = own.flatMap(({ waitedMin, maxWaitMin }) => (maxWaitMin ? [waitedMin / maxWaitMin] : []));
  return {
    ...(rest && { restShare: rest.waitedMin / rest.minWaitMin }),
    ...(chill && { chillShare: chill.waitedMin / chill.minWaitMin }),
    ...(borne.length > 0 && { benchShare: Math.max(...borne) }),
  };
}

/** Tasks that some wait for. */
const listBefore = ({ problem }: RunSheet, taskIds: readonly string[]): string[] =>
  problem.tasks.flatMap(({ id, after }) => (taskIds.includes(id) ? after.map(({ taskId }) => taskId) : []));
