import { addDays } from "@/core/plan";
import { takeOutLeaks } from "@/core/habits";
import { getStore } from "@/data/getStore";
import { fromLists, pickRecords } from "@/schemas/recordTable";
import { answerByJob } from "../../../../calculator";
import { stored } from "../../../../stored";
import { loadBook } from "../../../../../loadDay";
import { loadRun } from "../../../../../loadRun";
import { refuseNoRun } from "../refuseNoRun";

interface Context {
  readonly params: Promise<{ readonly date: string }>;
}

/** The next day of the book as it looked before this one taught, and as it looks now; null where none is to come. */
export const GET = stored(async (_: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  if (!loadRun(date)) return refuseNoRun(date);
  const store = getStore();
  const next = store.days.findNext(addDays(date, 1));
  const book = next !== null && next > date ? loadBook(next) : null;
  const day = store.readDay(date);
  if (!book || !day) return Response.json(null);
  const lots = pickRecords(fromLists(day.lists), "lotRecord");
  const before = { ...takeOutLeaks(book.past, lots), habits: store.habits.know(date) };
  return answerByJob("compareOutlook", { book: { ...book, nowMin: null }, before }, null, (outlook) =>
    Response.json({ date: book.day.date, name: book.day.name, ...outlook }),
  );
});
