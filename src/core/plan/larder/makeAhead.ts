import { type DayBook, type LarderItem, type MakeAhead, addDays } from "../book";
import { findKeepDays } from "./keeping";

/** What was made ahead as it stands in the larder from the day that makes it on. */
export function toLarderItem(
  { id, dayId, date, kind, refId, massG, count }: MakeAhead,
  book: Pick<DayBook, "formulas" | "pieces">,
): LarderItem {
  return {
    id,
    kind,
    refId,
    massG,
    count,
    madeOn: date,
    useBy: addDays(date, findKeepDays(kind, refId, book)),
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
