import { listCutTasks } from "./cutTasks";
import { listMakingTasks, waitForFilling } from "./makingTasks";
import type { TaskWait } from "../../schedule";
import type { DayBatch, DayCut, PieceWork } from "../result";
import { handTask, wait, type DraftTask } from "./draftTask";
import type { KitRoom } from "../kit";
import { listPieceTasks } from "./pieceLots";

/** Every operation of the day with what it uses and what it waits for. */
export function listTasks(
  works: readonly PieceWork[],
  batches: readonly DayBatch[],
  kit: KitRoom,
): DraftTask[] {
  const made = batches.filter(({ batch }) => batch !== null);
  const mixes = made.flatMap(({ formula }) =>
    formula.kind === "dough"
      ? handTask("mix", `mix:${formula.id}`, formula.mixMin, [], {
          formulaId: formula.id,
          label: `${formula.boughtSheet ? "Open" : "Mix"} ${formula.name}`,
        })
      : listMakingTasks(formula),
  );
  const madeIds = new Set(made.map(({ formula }) => formula.id));
  const restOf = new Map(batches.map(({ formula, rest }) => [formula.id, rest?.minutes ?? 0]));
  // What comes from the larder has been made and has rested.
  const afterMix = (id: string, minWaitMin: number) =>
    madeIds.has(id) ? [wait(`mix:${id}`, minWaitMin)] : [];
  const cuts = [...new Set(works.map(({ line }) => line.cut))];
  const names = new Map(works.map(({ line }) => [line.piece.id, line.piece.name]));
  const waitOf = new Map(
    works.flatMap(({ fillings }) =>
      fillings.map((filling) => [filling.id, waitForFilling(filling)] as const),
    ),
  );
  const afterFilling = (id: string) => (madeIds.has(id) ? [waitOf.get(id) ?? wait(`make:${id}`)] : []);
  return [
    ...mixes,
    ...cuts.flatMap((cut) => {
      const rested = afterMix(cut.dough.id, restOf.get(cut.dough.id) ?? 0);
      const taken = takeOut(cut, works, rested);
      return [
        ...taken,
        ...listCutTasks(cut, names, taken[0] ? [wait(taken[0].id, findWarmMin(cut, works))] : rested),
      ];
    }),
    ...works.flatMap((work) => listPieceTasks(work, afterFilling, kit)),
  ];
}

/** The longest that any piece of a cut wants its dough out of the cold before it is rolled. */
const findWarmMin = (cut: DayCut, works: readonly PieceWork[]): number =>
  Math.max(
    0,
    ...works
      .filter(({ line }) => line.cut === cut)
      .flatMap(({ line }) =>
        line.piece.way.flatMap(({ kind, minutes }) => (kind === "takeOut" ? [minutes] : [])),
      ),
  );

/** The dough set on the bench so that it gives and does not crack; none where no way asks for it. */
function takeOut(cut: DayCut, works: readonly PieceWork[], rested: readonly TaskWait[]): DraftTask[] {
  if (findWarmMin(cut, works) === 0) return [];
  const pieceId = cut.pieceIds.length === 1 ? (cut.pieceIds[0] ?? null) : null;
  return [
    handTask("takeOut", `takeOut:${cut.id}`, TAKE_OUT_MIN, rested, {
      pieceId,
      formulaId: cut.dough.id,
      cutId: cut.id,
      label: `Take ${cut.dough.name} out of the cold`,
    }),
  ];
}

/** Unwrapping a dough and setting it on the bench. */
const TAKE_OUT_MIN = 1;
