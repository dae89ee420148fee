import type { Dough, Filling } from "../formula";
import type { TaskWait } from "../schedule";
import type { Order } from "./book";
import type { PiecePlan } from "./dayPlan";
import type { DraftTask } from "./draftTask";
import type { KitRoom } from "./kitRoom";
import { listLoadTasks } from "./loadTasks";

/** A piece of the day with the formulas it is made of. */
export interface PieceWork {
  readonly line: PiecePlan;
  readonly dough: Dough;
  /** The main one. */
  readonly filling: Filling;
  /** All that go into it, the main one included. */
  readonly fillings: readonly Filling[];
}

/** Filling, closing, baking or frying, and setting out one piece, load after load. */
export function listPieceTasks(
  work: PieceWork,
  afterFilling: readonly TaskWait[],
  kit: KitRoom,
): DraftTask[] {
  const dues = spreadDues(work.line);
  let before = 0;
  return work.line.loading.loads.flatMap((load, i) => {
    const from = before;
    before += load.pieces;
    return listLoadTasks({
      work,
      afterFilling,
      kit,
      load,
      index: i + 1,
      from,
      to: before,
      dueMin: dues[from] ?? null,
    });
  });
}

/** The orders of one piece in the order in which they are made. */
export function sortByPromise(orders: readonly Order[]): Order[] {
  return [...orders].sort((a, b) => a.dueMin - b.dueMin);
}

/** When each piece is promised, in the order of baking: the earliest promise first, spares with the last. */
function spreadDues({ orders, made }: PiecePlan): number[] {
  const dues = sortByPromise(orders).flatMap(({ count, dueMin }) =>
    Array.from({ length: count }, () => dueMin),
  );
  const last = dues.at(-1) ?? 0;
  return [...dues, ...Array.from({ length: made - dues.length }, () => last)];
}
