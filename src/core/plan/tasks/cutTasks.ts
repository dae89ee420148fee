import { craftHandTimes } from "../../cutting";
import type { TaskWait } from "../../schedule";
import type { DayCut, PiecePlan } from "../result";
import { handTask, inOrder, wait, type DraftTask } from "./draftTask";
import { toDemandId } from "../piece";

/** Blanks that are weighed and rolled one by one are done in such lots: a tray of them, then they are filled. */
const PORTION_LOT = 24;

/** Rolling and cutting, or portioning, of one dough. */
export function listCutTasks(
  cut: DayCut,
  names: ReadonlyMap<string, string>,
  afterDough: readonly TaskWait[],
): DraftTask[] {
  const { plan, dough, pieceIds } = cut;
  const of = pieceIds.map((id) => names.get(id) ?? id).join(" and ");
  const pieceId = pieceIds.length === 1 ? (pieceIds[0] ?? null) : null;
  const facts = { pieceId, cutId: cut.id };
  if (plan.portioning) {
    const { way, portions } = plan.portioning;
    const eachS = way === "sliced" ? craftHandTimes.perSliceS : craftHandTimes.perPortionS;
    const verb = way === "sliced" ? "Slice and flatten" : "Portion and roll";
    return portions.flatMap(({ demandId, count }) =>
      inOrder(
        listLots(count).map(({ from, to }, i) =>
          handTask("roll", lotId(cut, demandId, i), ((to - from) * eachS) / 60, afterDough, {
            ...facts,
            index: i + 1,
            pieces: to - from,
            label: `${verb} ${to - from}, ${of}`,
          }),
        ),
      ),
    );
  }
  return inOrder(
    plan.sheets.map((sheet, i) => {
      const firstOfPass = i === 0 || plan.sheets[i - 1]?.pass !== sheet.pass;
      const after: readonly TaskWait[] =
        sheet.pass === 0
          ? afterDough
          : plan.sheets.flatMap((earlier, j) =>
              earlier.pass === sheet.pass - 1 ? [wait(rollId(cut, j), dough.rerollRestMin)] : [],
            );
      const gatherMin = sheet.pass > 0 && firstOfPass ? craftHandTimes.perRerollMin : 0;
      const what = sheet.isDecoration
        ? "decorations"
        : sheet.pass > 0
          ? `re-roll ${sheet.pass}`
          : `sheet ${i + 1}`;
      return handTask("roll", rollId(cut, i), sheet.handMin + gatherMin, after, {
        ...facts,
        index: i + 1,
        pieces: sheet.count,
        label: `Roll and cut ${what}, ${of}`,
      });
    }),
  );
}

/** The tasks that cut the blanks of the pieces from `from` up to `to`, every role of them. */
export function findRolls({ piece, cut, blanks }: PiecePlan, from: number, to: number): string[] {
  const meet = (range: { from: number; to: number }) => range.from < to && range.to > from;
  const ids = blanks.flatMap(({ role }) => {
    const demandId = toDemandId(piece, role);
    const portion = cut.plan.portioning?.portions.find((each) => each.demandId === demandId);
    if (portion)
      return listLots(portion.count).flatMap((lot, i) => (meet(lot) ? [lotId(cut, demandId, i)] : []));
    let done = 0;
    return cut.plan.sheets.flatMap(({ parts }, i) => {
      const count = parts
        .flatMap(({ uses }) => uses)
        .reduce((sum, use) => sum + (use.demandId === demandId ? use.count : 0), 0);
      const range = { from: done, to: done + count };
      done = range.to;
      return count > 0 && meet(range) ? [rollId(cut, i)] : [];
    });
  });
  return [...new Set(ids)];
}

/** Id of the task that rolls a sheet of a cut; `sheet` counts from 0. */
export const rollId = (cut: DayCut, sheet: number) => `roll:${cut.id}:${sheet + 1}`;
const lotId = (cut: DayCut, demandId: string, lot: number) => `roll:${cut.id}:${demandId}:${lot + 1}`;

function listLots(count: number): { from: number; to: number }[] {
  return Array.from({ length: Math.ceil(count / PORTION_LOT) }, (_, i) => ({
    from: i * PORTION_LOT,
    to: Math.min((i + 1) * PORTION_LOT, count),
  }));
}
