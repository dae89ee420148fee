import { addDays } from "@/core/plan";
import { takeOutLeaks } from "@/core/habits";
import { getStore } from "@/data/getStore";
import { fromLists, pickRecords } from "@/schemas/recordTable";
import { answerByJob } from "../../../../calculator";
import { toPieceChange } from "@/core/run";
import { validatePieceRemedy } from "@/schemas/remedyDocument";
import { readJson, refuse } from "../../../../readJson";
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
  const past = { ...takeOutLeaks(book.past, lots), habits: store.habits.know(date) };
  return answerByJob(
    "compareOutlook",
    { book: { ...book, nowMin: null }, before: { past } },
    null,
    (outlook) => Response.json({ date: book.day.date, name: book.day.name, ...outlook }),
  );
});

const MAX_REMEDY_BYTES = 1000;

/** What a remedy would do: the next day that makes the piece, else the run's own day again, without it and with it. */
export const POST = stored(async (request: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const body = await readJson(request, MAX_REMEDY_BYTES);
  if (!body.ok) return body.failure;
  const remedy = validatePieceRemedy(body.value);
  if (!remedy.ok) return refuse(remedy.failure);
  if (!loadRun(date)) return refuseNoRun(date);
  const { pieceId, change } = remedy.value;
  const next = getStore().days.findNext(addDays(date, 1));
  const books = [next !== null && next > date ? loadBook(next) : null, loadBook(date)];
  const book = books.find((each) => each?.orders.some((order) => order.pieceId === pieceId)) ?? null;
  const piece = book?.pieces.find(({ id }) => id === pieceId);
  const set = piece && toPieceChange(change, piece);
  if (!book || !set)
    return refuse(
      [{ path: "change", message: "No day makes this piece, or it has nothing that this would change." }],
      409,
    );
  const pieces = book.pieces.map((each) => (each.id === pieceId ? { ...each, ...set } : each));
  return answerByJob(
    "compareOutlook",
    { book: { ...book, pieces, nowMin: null }, before: { pieces: book.pieces } },
    null,
    (outlook) => Response.json({ date: book.day.date, name: book.day.name, ...outlook }),
  );
});
