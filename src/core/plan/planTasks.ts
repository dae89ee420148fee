import type { Filling, PrecookedPart } from "../formula";
import { listAheadTasks } from "./aheadTasks";
import { listCutTasks } from "./cutTasks";
import type { DayBatch } from "./dayPlan";
import { handTask, wait, type DraftTask } from "./draftTask";
import type { KitRoom } from "./kitRoom";
import { listPieceTasks, type PieceWork } from "./pieceTasks";

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
            label: `Mix ${formula.name}`,
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
  return [
    ...precooks,
    ...mixes,
    ...cuts.flatMap((cut) =>
      listCutTasks(cut, names, afterMix(`mix:${cut.dough.id}`, restOf.get(cut.dough.id) ?? 0)),
    ),
    ...works.flatMap((work) => {
      const afterFilling = work.fillings.flatMap(({ id, coolMin }) => afterMix(`make:${id}`, coolMin));
      return [...listPieceTasks(work, afterFilling, kit), ...listAheadTasks(work, afterFilling, kit)];
    }),
  ];
}

/** Parts cooked by themselves have cooled before the filling is made of them. */
const precookId = (filling: Filling, part: PrecookedPart) => `precook:${filling.id}:${part.id}`;
const afterPrecooked = (filling: Filling) =>
  filling.precooked.map((part) => wait(precookId(filling, part), part.cookMin + part.coolMin));
