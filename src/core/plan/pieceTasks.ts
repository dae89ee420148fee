import { findSugarLeadMin } from "../filling";
import type { Dough, Filling } from "../formula";
import type { TaskWait } from "../schedule";
import { bakeTask } from "./bakeTask";
import type { BakeStage, Order, Oven } from "./book";
import { findRolls, rollId } from "./cutTasks";
import type { PiecePlan, TaskKind } from "./dayPlan";
import { handTask, wait, type DraftTask } from "./draftTask";

/** A frozen piece first has to thaw in the oven. Craft's first guess; the baker's own bakes replace it. */
const FROZEN_EXTRA_MIN = 5;

/** A piece of the day with the formulas it is made of. */
export interface PieceWork {
  readonly line: PiecePlan;
  readonly dough: Dough;
  /** The main one. */
  readonly filling: Filling;
  /** All that go into it, the main one included. */
  readonly fillings: readonly Filling[];
}

/** A blind-baked shell cools before it is filled: a hot one would cook or melt what goes in. */
const BLIND_COOL_MIN = 10;
/** Strewing sugar over one load's fruit and turning it. */
const SUGAR_MIN = 2;

/** Filling, closing, baking and setting out one piece, load after load. */
export function listPieceTasks(
  { line, dough, filling }: PieceWork,
  afterFilling: readonly TaskWait[],
  ovens: readonly Oven[],
): DraftTask[] {
  const { piece, loading, works, formed } = line;
  const dues = spreadDues(line);
  const fillStage = piece.stages.findIndex(({ act }) => act === "fill");
  let before = 0;
  return loading.loads.flatMap((load, i) => {
    const index = i + 1;
    const of = `${piece.name}, load ${index} of ${loading.loads.length}`;
    const facts = { pieceId: piece.id, index, pieces: load.pieces };
    const id = (kind: TaskKind) => `${kind}:${piece.id}:${index}`;
    const [from, to] = [before, before + load.pieces];
    before = to;
    // Frozen pieces are baked first: this load fills what is not among them.
    const fillFrom = Math.max(from, line.frozenTaken);
    const toFill = Math.max(to - fillFrom, 0);
    const filled = { ...facts, pieces: toFill };
    const cutBefore = line.frozenTaken + line.blanksTaken;
    const blanksCut =
      toFill === 0
        ? []
        : findRolls(line, Math.max(fillFrom - cutBefore, 0), to - cutBefore).map((rollTask) =>
            wait(rollTask, 0, dough.benchLimitMin),
          );
    // Leaves and the like go on as the piece is closed.
    const decorationsCut = line.cut.plan.sheets.flatMap(({ isDecoration }, sheet) =>
      isDecoration ? [wait(rollId(line.cut, sheet))] : [],
    );
    const sugar = filling.fruit
      ? handTask("sugar", id("sugar"), SUGAR_MIN, afterFilling, {
          ...filled,
          label: `Sugar the fruit for ${of}`,
        })
      : null;
    const fruitReady =
      sugar && filling.fruit ? [wait(sugar.id, 0, findSugarLeadMin(filling.fruit.varieties))] : afterFilling;
    const fill = (after: readonly TaskWait[]) => [
      ...(sugar ? [sugar] : []),
      handTask("fill", id("fill"), (toFill * works.fill.seconds) / 60, [...after, ...fruitReady], {
        ...filled,
        label: `Fill ${of}`,
      }),
    ];
    const close = (after: readonly TaskWait[]) =>
      handTask("seal", id("seal"), (toFill * works.close.seconds) / 60, [...after, ...decorationsCut], {
        ...filled,
        label: `${line.seal ? "Close" : "Put together"} ${of}`,
      });
    const extraMin = from < line.frozenTaken ? FROZEN_EXTRA_MIN : 0;
    const coatMin = (load.pieces * works.secondCoatS) / 60;
    const bake = (bakeId: string, stages: readonly BakeStage[], after: readonly TaskWait[], label: string) =>
      bakeTask(bakeId, stages, { ovens, trays: load.trays.length, extraMin, coatMin }, after, {
        ...facts,
        label,
      });
    const finish = (after: readonly TaskWait[]) =>
      handTask(
        "finish",
        id("finish"),
        (load.pieces * works.finishS) / 60,
        after,
        { ...facts, label: `Set out ${of}` },
        dues[from] ?? null,
      );
    const whole = (after: readonly TaskWait[]) => bake(id("bake"), piece.stages, after, `Bake ${of}`);
    const chilled = [wait(id("seal"), piece.chillMin)];
    const cooled = [wait(id("bake"), piece.coolMin)];
    if (toFill === 0) return [whole([]), finish(cooled)];
    if (formed.fillsBaked || fillStage === piece.stages.length - 1)
      return [close(blanksCut), whole(chilled), ...fill(cooled), finish([wait(id("fill"))])];
    if (fillStage < 0) return [...fill(blanksCut), close([wait(id("fill"))]), whole(chilled), finish(cooled)];
    const blindId = `${id("bake")}:blind`;
    return [
      close(blanksCut),
      bake(blindId, piece.stages.slice(0, fillStage + 1), chilled, `Bake empty ${of}`),
      ...fill([wait(blindId, BLIND_COOL_MIN)]),
      bake(id("bake"), piece.stages.slice(fillStage + 1), [wait(id("fill"))], `Bake ${of}`),
      finish(cooled),
    ];
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
