import { createMemory } from "@/core/createMemory";
import { readHabitId } from "@/core/habits";
import { listMaterials, NO_PAST, planMakings, type DayBook, type WeighedDay } from "@/core/plan";

/** Days remembered: a shopping list of a month, asked for from several tablets and moved on by some days. */
const DAYS_REMEMBERED = 120;
const remember = createMemory<WeighedDay>(DAYS_REMEMBERED);

/** What each day weighs out, without its clock. A day of which nothing has changed is not worked out again. */
export const weighDays = (books: readonly DayBook[]): WeighedDay[] =>
  books.map((book) => {
    const own = narrowBook(book);
    return remember(JSON.stringify(own), () => {
      const { batches, works } = planMakings(own);
      const lines = works.map(({ line }) => line);
      return {
        date: book.day.date,
        batches: [...batches.doughs, ...batches.fillings],
        materials: listMaterials(lines, own.ingredients),
      };
    });
  });

/** The book as far as this day's masses depend on it: another day's piece may change without touching them. */
function narrowBook(book: DayBook): DayBook {
  const { day, orders, pieces, formulas, ahead, larder, weighings } = book;
  const made = ahead.filter(({ dayId }) => dayId === day.id).map(({ refId }) => refId);
  const pieceIds = new Set([...orders.map(({ pieceId }) => pieceId), ...made]);
  const ownPieces = pieces.filter(({ id }) => pieceIds.has(id));
  const formulaIds = new Set([
    ...made,
    ...ownPieces.flatMap(({ doughId, fillingId, extras }) => [
      doughId,
      fillingId,
      ...extras.flatMap((extra) => ("fillingId" in extra ? [extra.fillingId] : [])),
    ]),
  ]);
  return {
    ...book,
    // Neither the order of its jobs nor its helper weighs anything.
    day: { ...day, laid: [], pinned: [], helper: null },
    pieces: ownPieces,
    formulas: formulas.filter(({ id }) => formulaIds.has(id)),
    larder: larder.filter(
      ({ refId, takenByDayId }) =>
        (pieceIds.has(refId) || formulaIds.has(refId)) && (takenByDayId === null || takenByDayId === day.id),
    ),
    weighings: weighings.filter(({ formulaId, dayId }) => dayId === day.id && formulaIds.has(formulaId)),
    cutRecords: [],
    lotRecords: [],
    past: {
      ...NO_PAST,
      tookLastG: pick(book.past.tookLastG, (id) => formulaIds.has(id)),
      habits: pick(book.past.habits, (id) => weighedBy.has(readHabitId(id)?.kind ?? "")),
    },
  };
}

/** Habits that tell how much is weighed. */
const weighedBy: ReadonlySet<string> = new Set(["portion", "measure", "thickness", "relaxed", "liquid"]);

const pick = <T>(of: Readonly<Record<string, T>>, isWanted: (id: string) => boolean): Record<string, T> =>
  Object.fromEntries(Object.entries(of).filter(([id]) => isWanted(id)));
