import type { Filling, PrecookedPart } from "../../formula";
import { listCutTasks } from "./cutTasks";
import type { TaskWait } from "../../schedule";
import type { DayBatch, DayCut } from "../result/dayPlan";
import { handTask, wait, type DraftTask } from "./draftTask";
import type { KitRoom } from "../kit/kitRoom";
import { listPieceTasks } from "./pieceLots";
import type { PieceWork } from "./pieceWork";

/** Every operation of the day with what it uses and what it waits for. */
export function listTasks(
  works: readonly PieceWork[],
  batches: readonly DayBatch[],
  kit: KitRoom,
): DraftTask[] {
  const mixes = batches
    .filter(({ batch }) => batch !== null)
    .map(({ formula }) =>
      formula.kind === "dough"
        ? handTask("mix", `mix:${formula.id}`, formula.mixMin, [], {
            formulaId: formula.id,
            label: `${formula.boughtSheet ? "Open" : "Mix"} ${formula.name}`,
          })
        : handTask("make", `make:${formula.id}`, formula.mixMin, afterPrecooked(formula), {
            formulaId: formula.id,
            label: `Make ${formula.name}`,
          }),
    );
  const precooks = batches.flatMap(({ formula, batch }) =>
    formula.kind === "filling" && batch !== null
      ? formula.precooked.map((part) =>
          handTask("precook", precookId(formula, part), part.handMin, [], {
            formulaId: formula.id,
            label: `Cook ${part.name.toLowerCase()}`,
          }),
        )
      : [],
  );
  const mixedIds = new Set(mixes.map(({ id }) => id));
  const restOf = new Map(batches.map(({ formula, rest }) => [formula.id, rest?.minutes ?? 0]));
  // What comes from the larder has been made and has rested.
  const afterMix = (id: string, minWaitMin: number) => (mixedIds.has(id) ? [wait(id, minWaitMin)] : []);
  const cuts = [...new Set(works.map(({ line }) => line.cut))];
  const names = new Map(works.map(({ line }) => [line.piece.id, line.piece.name]));
  const coolOf = new Map(
    works.flatMap(({ fillings }) => fillings.map(({ id, coolMin }) => [id, coolMin] as const)),
  );
  const afterFilling = (id: string) => afterMix(`make:${id}`, coolOf.get(id) ?? 0);
  return [
    ...precooks,
    ...mixes,
    ...cuts.flatMap((cut) => {
      const rested = afterMix(`mix:${cut.dough.id}`, restOf.get(cut.dough.id) ?? 0);
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

/** Parts cooked by themselves have cooled before the filling is made of them. */
const precookId = (filling: Filling, part: PrecookedPart) => `precook:${filling.id}:${part.id}`;
const afterPrecooked = (filling: Filling) =>
  filling.precooked.map((part) => wait(precookId(filling, part), part.cookMin + part.coolMin));
