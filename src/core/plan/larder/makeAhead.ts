import type { DayBook, LarderItem, MakeAhead } from "../book/book";
import { addDays } from "../book/calendar";

/** Frozen on the tray, then bagged: as long as fruit and fat stay good in most freezers, days. */
const FROZEN_KEEPS_DAYS = 30;
/** Baked shells go soft, days. */
const SHELLS_KEEP_DAYS = 2;
/** Cut blanks keep on their papers in the fridge as long as their dough, less a day for drying. */
const BLANKS_DRY_DAYS = 1;

export const blanksKeepDays = (dough: { readonly keepsDays: number } | undefined): number =>
  Math.max((dough?.keepsDays ?? 1) - BLANKS_DRY_DAYS, 1);

/** What was made ahead as it stands in the larder from the day that makes it on. */
export function toLarderItem(
  { id, dayId, date, kind, refId, massG, count }: MakeAhead,
  { formulas, pieces }: Pick<DayBook, "formulas" | "pieces">,
): LarderItem {
  const keepsDays = (formulaId: string | undefined) =>
    formulas.find((formula) => formula.id === formulaId)?.keepsDays ?? 1;
  const days = {
    dough: () => keepsDays(refId),
    filling: () => keepsDays(refId),
    blanks: () =>
      blanksKeepDays(
        formulas.find(({ id: doughId }) => doughId === pieces.find((piece) => piece.id === refId)?.doughId),
      ),
    shells: () => SHELLS_KEEP_DAYS,
    frozenPieces: () => FROZEN_KEEPS_DAYS,
  }[kind]();
  return {
    id,
    kind,
    refId,
    massG,
    count,
    madeOn: date,
    useBy: addDays(date, days),
    // The day that makes it does not use it.
    fromDayId: dayId,
    takenByDayId: null,
  };
}

/** What other days make for this one and have not put into the larder yet. */
export function listComing(book: DayBook): LarderItem[] {
  const there = new Set(book.larder.map(({ id }) => id));
  return book.ahead
    .filter(({ id, forDate }) => forDate === book.day.date && !there.has(id))
    .map((ahead) => toLarderItem(ahead, book));
}

/** Pieces of one kind that the day makes for another. */
export function countAhead(
  { ahead, day }: DayBook,
  pieceId: string,
): Record<"frozenPieces" | "shells", number> {
  const count = (kind: MakeAhead["kind"]) =>
    ahead.reduce(
      (sum, each) =>
        sum + (each.dayId === day.id && each.kind === kind && each.refId === pieceId ? each.count : 0),
      0,
    );
  return { frozenPieces: count("frozenPieces"), shells: count("shells") };
}
