import { findSugarLeadMin } from "../filling";
import type { Dough, Filling } from "../formula";
import type { TaskWait } from "../schedule";
import { findRolls, rollId } from "./cutTasks";
import type { PiecePlan, TaskKind } from "./dayPlan";
import { handTask, wait, type DraftTask } from "./draftTask";

/** Strewing sugar over one load's fruit and turning it. */
const SUGAR_MIN = 2;

/** What a lot is filled from. */
export interface LotMakings {
  readonly line: PiecePlan;
  readonly dough: Dough;
  /** The main one. */
  readonly filling: Filling;
  readonly afterFilling: readonly TaskWait[];
  readonly pieces: number;
  readonly index: number;
  /** The lot in words. */
  readonly of: string;
}

/**
 * Waits for the rolling that gives these of a line's fresh pieces their blanks; none for what the larder gives.
 * @param areChilled - They lie covered in the cold until it is their turn; else the dough may wait only so long.
 */
export function findBlanks(
  line: PiecePlan,
  dough: Dough,
  from: number,
  to: number,
  areChilled: boolean,
): TaskWait[] {
  const cutFrom = Math.max(from - line.blanksTaken, 0);
  const cutTo = to - line.blanksTaken;
  return cutTo <= cutFrom
    ? []
    : findRolls(line, cutFrom, cutTo).map((rollTask) =>
        wait(rollTask, 0, areChilled ? null : dough.benchLimitMin),
      );
}

/** Filling a lot; raw fruit is sugared so late that its juice stays in it. */
export function fillTasks(
  { line, filling, afterFilling, pieces, index, of }: LotMakings,
  id: (kind: TaskKind) => string,
  after: readonly TaskWait[],
): DraftTask[] {
  const facts = { pieceId: line.piece.id, index, pieces };
  const sugar = filling.fruit
    ? handTask("sugar", id("sugar"), SUGAR_MIN, afterFilling, {
        ...facts,
        label: `Sugar the fruit for ${of}`,
      })
    : null;
  const ready =
    sugar && filling.fruit ? [wait(sugar.id, 0, findSugarLeadMin(filling.fruit.varieties))] : afterFilling;
  const minutes = (pieces * line.works.fill.seconds) / 60;
  return [
    ...(sugar ? [sugar] : []),
    handTask("fill", id("fill"), minutes, [...after, ...ready], { ...facts, label: `Fill ${of}` }),
  ];
}

/** Closing a lot, or lining and putting it together. Leaves and the like go on as the piece is closed. */
export function closeTask(
  { line, pieces, index, of }: LotMakings,
  id: (kind: TaskKind) => string,
  after: readonly TaskWait[],
): DraftTask {
  const decorationsCut = line.cut.plan.sheets.flatMap(({ isDecoration }, sheet) =>
    isDecoration ? [wait(rollId(line.cut, sheet))] : [],
  );
  return handTask(
    "seal",
    id("seal"),
    (pieces * line.works.close.seconds) / 60,
    [...after, ...decorationsCut],
    {
      pieceId: line.piece.id,
      index,
      pieces,
      label: `${line.seal ? "Close" : "Put together"} ${of}`,
    },
  );
}
