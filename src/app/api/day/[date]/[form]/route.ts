import { PLAN_END_MS, runJob } from "@/jobs/pool";
import { toDayCsv, toLarderCsv, toOrdersCsv, writeCalendar, type Paper } from "@/formats";
import { getStore } from "@/data/getStore";
import { readKitchenClock } from "../../../../kitchenClock";
import { loadBook, loadPlannedDay } from "../../../../loadDay";
import { refuseJob } from "../../../calculator";
import { refuse } from "../../../readJson";
import { stored } from "../../../stored";

interface Context {
  readonly params: Promise<{ readonly date: string; readonly form: string }>;
}

const noDay = (date: string) =>
  noSuch(`There is no day ${date.slice(0, 20)}. Open one that is in the book.`, 404);

const noSuch = (message: string, status: number) => refuse([{ path: "", message }], status);

/** `?paper=letter` for the other one. */
const readPaper = (request: Request): Paper =>
  new URL(request.url).searchParams.get("paper") === "letter" ? "letter" : "a4";

/** A stored day as a calendar with alarms, as a table of its jobs, orders or larder, or as a sheet to print. */
export const GET = stored(async (request: Request, { params }: Context): Promise<Response> => {
  const { date, form } = await params;
  if (!["csv", "pdf", "ics", "orders", "larder"].includes(form))
    return noSuch("A day is written as ics, csv, pdf, orders or larder.", 404);
  const file = (type: string) => ({
    "content-type": type,
    "content-disposition": `attachment; filename="tezgah-${date}.${form}"`,
    "cache-control": "no-store",
  });
  if (form === "pdf") {
    const book = loadBook(date);
    if (!book) return noDay(date);
    const written = await runJob("writeDayPdf", { book, paper: readPaper(request) }, PLAN_END_MS);
    if (!written.ok) return refuseJob(written.failure);
    return new Response(Buffer.from(written.value), { headers: file("application/pdf") });
  }
  if (form === "orders" || form === "larder") {
    const book = loadBook(date);
    if (!book) return noDay(date);
    const text = form === "orders" ? toOrdersCsv(book) : toLarderCsv(book);
    const named = `attachment; filename="tezgah-${date}-${form}.csv"`;
    return new Response(text, {
      headers: { ...file("text/csv; charset=utf-8"), "content-disposition": named },
    });
  }
  const loaded = await loadPlannedDay(date);
  if (!loaded) return noDay(date);
  if (!loaded.ok) return refuseJob(loaded.failure);
  const { book, plan } = loaded.value;
  if (form === "csv") return new Response(toDayCsv(plan, book), { headers: file("text/csv; charset=utf-8") });
  const calendar = writeCalendar([loaded.value], {
    name: book.day.name,
    timeZone: readKitchenClock().timeZone,
    sequence: getStore().feed.readMark().revision,
  });
  return calendar.ok
    ? new Response(calendar.value, { headers: file("text/calendar; charset=utf-8") })
    : noSuch(`${calendar.failure} Plan the day first.`, 400);
});
