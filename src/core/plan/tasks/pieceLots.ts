import type { TaskWait } from "../../schedule";
import { createStep, factsOf, findFrozenEntry, findShellEntry, isHeat, type Way } from "../../way";
import { findRolls, rollId } from "./cutTasks";
import { type PiecePlan, sortByPromise, type PieceWork } from "../result";
import { inOrder, wait, type DraftTask } from "./draftTask";
import { holdKit, holdVessel } from "./kitHolds";
import { findVessel, type KitRoom } from "../kit";
import { holdFrom, listLotTasks, workLot } from "./workLot";

/** A frozen piece first has to thaw in the oven. Craft's first guess; the baker's own bakes replace it. */
const FROZEN_EXTRA_MIN = 5;
/** Covering, labelling and putting one tray away. */
const STORE_TRAY_MIN = 2;

/** What makes a filling, by formula id; nothing for what the larder gives. */
export type AfterFilling = (fillingId: string) => readonly TaskWait[];

/** Every task of one piece over the day: its loads, and what is made of it for another day. */
export function listPieceTasks(work: PieceWork, afterFilling: AfterFilling, kit: KitRoom): DraftTask[] {
  return [
    ...listLoads(work, afterFilling, kit),
    ...listFrozen(work, afterFilling, kit),
    ...listShells(work, afterFilling, kit),
  ];
}

/** Load after load, the first promise first. Frozen ones are the first of a line, then shells, then what is cut today. */
function listLoads(work: PieceWork, afterFilling: AfterFilling, kit: KitRoom): DraftTask[] {
  const { line } = work;
  const {
    piece,
    loading,
    counts: { frozenTaken, shellsTaken },
  } = line;
  const dues = spreadDues(line);
  const [frozenAt, shellAt] = [findFrozenEntry(piece.way), findShellEntry(piece.way)];
  let from = 0;
  const loads = loading.loads.map((load, i) => {
    const index = i + 1;
    const to = from + load.pieces;
    const fillFrom = Math.max(from, frozenTaken);
    const filled = Math.max(to - fillFrom, 0);
    const shaped = Math.max(to - Math.max(fillFrom, frozenTaken + shellsTaken), 0);
    const entry = filled === 0 ? frozenAt : shaped === 0 && shellAt >= 0 ? shellAt : 0;
    // Shells have left their moulds.
    const isOut = filled > 0 && shaped === 0;
    const way = piece.way.slice(entry).filter(({ kind }) => !isOut || kind !== "unmould");
    const vessel = isOut ? null : findVessel(kit, piece);
    // Blanks of a later round wait in the cold for its moulds.
    const isLaterRound = vessel !== null && to > vessel.count * vessel.holds;
    const of = `${piece.name}, load ${index} of ${loading.loads.length}`;
    const tasks = workLot({
      work,
      kit,
      way,
      key: `${piece.id}:${index}`,
      of,
      index,
      counts: { heated: load.pieces, filled, shaped },
      shellStepId: piece.way[shellAt]?.id ?? null,
      trays: load.trays.length,
      afterBlanks:
        entry === 0 ? findBlanks(work, Math.max(from - frozenTaken, 0), to - frozenTaken, isLaterRound) : [],
      afterDecorations: entry === 0 ? findDecorations(line) : [],
      afterFilling,
      thawMin: from < frozenTaken ? FROZEN_EXTRA_MIN : 0,
      doneness: piece.doneness,
      dueMin: dues[from] ?? null,
      end: { kind: "finish", label: `Set out ${of}`, minutes: null },
    });
    from = to;
    return listLotTasks(holdFrom(tasks, holdKit(kit, tasks, vessel, load)));
  });
  return inRisingOrder(loads);
}

/** Loads one after the other: what is done to one is not done to a later one before it. */
function inRisingOrder(loads: readonly (readonly DraftTask[])[]): DraftTask[] {
  const keyOf = ({ id, lotKey }: DraftTask) => id.replace(lotKey ?? "", "");
  const byKey = new Map<string, DraftTask[]>();
  for (const task of loads.flat()) byKey.set(keyOf(task), [...(byKey.get(keyOf(task)) ?? []), task]);
  const ordered = new Map(
    [...byKey.values()].flatMap((same) => inOrder(same).map((task) => [task.id, task])),
  );
  return loads.flat().map((task) => ordered.get(task.id) ?? task);
}

/** Lots of a tray each. */
function listLots(pieces: number, perTray: number): { from: number; to: number }[] {
  return Array.from({ length: Math.ceil(pieces / perTray) }, (_, i) => ({
    from: i * perTray,
    to: Math.min((i + 1) * perTray, pieces),
  }));
}

const ahead = { thawMin: 0, doneness: null, dueMin: null } as const;

/** Filled, closed and frozen for another day: the way as far as its heat. */
function listFrozen(work: PieceWork, afterFilling: AfterFilling, kit: KitRoom): DraftTask[] {
  const { line } = work;
  const {
    piece,
    loading,
    counts: { toFill },
  } = line;
  const count = line.counts.ahead.frozenPieces;
  const lots = listLots(count, loading.perTray);
  const way = toStore(piece.way.slice(0, findFrozenEntry(piece.way)));
  return lots.flatMap(({ from, to }, i) => {
    const [index, pieces, firstFresh] = [i + 1, to - from, toFill - count];
    return listLotTasks(
      workLot({
        ...ahead,
        work,
        kit,
        way,
        key: `${piece.id}:frozen:${index}`,
        of: `${piece.name} to freeze, tray ${index} of ${lots.length}`,
        index,
        counts: { heated: pieces, filled: pieces, shaped: pieces },
        shellStepId: null,
        trays: 1,
        afterBlanks: findBlanks(work, firstFresh + from, firstFresh + to, false),
        afterDecorations: findDecorations(line),
        afterFilling,
        end: { kind: "store", label: `Freeze and label ${pieces} ${piece.name}`, minutes: STORE_TRAY_MIN },
      }),
    );
  });
}

/** Lined, baked empty, cooled and boxed for another day: the way as far as its filling. */
function listShells(work: PieceWork, afterFilling: AfterFilling, kit: KitRoom): DraftTask[] {
  const { line } = work;
  const {
    piece,
    loading,
    counts: { toFill },
  } = line;
  const vessel = findVessel(kit, piece);
  const room = vessel ? vessel.count * vessel.holds : Infinity;
  const lots = listLots(line.counts.ahead.shells, Math.min(loading.perTray, room));
  const entry = findShellEntry(piece.way);
  const way = [
    ...piece.way.slice(0, entry < 0 ? findFrozenEntry(piece.way) : entry),
    createStep("store", "setOut"),
  ];
  return lots.flatMap(({ from, to }, i) => {
    const [index, pieces] = [i + 1, to - from];
    const tasks = workLot({
      ...ahead,
      work,
      kit,
      way,
      key: `${piece.id}:shells:${index}`,
      of: `${piece.name} shells, tray ${index} of ${lots.length}`,
      index,
      counts: { heated: pieces, filled: pieces, shaped: pieces },
      shellStepId: null,
      trays: 1,
      afterBlanks: findBlanks(work, toFill + from, toFill + to, vessel !== null),
      afterDecorations: findDecorations(line),
      afterFilling,
      end: { kind: "store", label: `Box and label ${pieces} ${piece.name} shells`, minutes: STORE_TRAY_MIN },
    });
    const [first, last] = [tasks[0], tasks.at(-1)];
    const holds = vessel && first && last ? [holdVessel(vessel, pieces, first.task.id, last.task.id)] : [];
    return listLotTasks(holdFrom(tasks, holds));
  });
}

/** What is kept goes into the freezer as it is: it is not chilled first. */
function toStore(way: Way): Way {
  const lastHands = way.findLastIndex((step) => factsOf(step.kind).pass === "hands" || isHeat(step));
  return [...way.slice(0, lastHands + 1), createStep("store", "setOut")];
}

/**
 * Waits for the rolling that gives these of a line's fresh pieces their blanks; none for what the larder gives.
 * @param areChilled - They lie covered in the cold until it is their turn; else the dough may wait only so long.
 */
function findBlanks({ line, dough }: PieceWork, from: number, to: number, areChilled: boolean): TaskWait[] {
  const cutFrom = Math.max(from - line.counts.blanksTaken, 0);
  const cutTo = to - line.counts.blanksTaken;
  return cutTo <= cutFrom
    ? []
    : findRolls(line, cutFrom, cutTo).map((rollTask) =>
        wait(rollTask, 0, areChilled ? null : dough.benchLimitMin),
      );
}

const findDecorations = ({ cut }: PiecePlan): TaskWait[] =>
  cut.plan.sheets.flatMap(({ isDecoration }, sheet) => (isDecoration ? [wait(rollId(cut, sheet))] : []));

/** When each piece is promised, in the order of baking: the earliest promise first, spares with the last. */
function spreadDues({ orders, counts: { made } }: PiecePlan): number[] {
  const dues = sortByPromise(orders).flatMap(({ count, dueMin }) =>
    Array.from({ length: count }, () => dueMin),
  );
  const last = dues.at(-1) ?? 0;
  return [...dues, ...Array.from({ length: made - dues.length }, () => last)];
}
