import { toDayCsv, toDayPdf, writeDayCalendar } from "@/formats";
import { loadDay } from "../../../../loadDay";

interface Context {
  readonly params: Promise<{ readonly date: string; readonly form: string }>;
}

const noSuch = (message: string, status: number) =>
  Response.json({ faults: [{ path: "", message }] }, { status });

/** A stored day as a calendar with alarms, as a table of its jobs, or as a sheet to print. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { date, form } = await params;
  const loaded = loadDay(date);
  if (!loaded) return noSuch(`There is no day ${date.slice(0, 20)}. Open one that is in the book.`, 404);
  const { book, plan } = loaded;
  const file = (type: string, ending: string) => ({
    "content-type": type,
    "content-disposition": `attachment; filename="tezgah-${date}.${ending}"`,
  });
  if (form === "csv")
    return new Response(toDayCsv(plan), { headers: file("text/csv; charset=utf-8", "csv") });
  if (form === "pdf")
    return new Response(Buffer.from(await toDayPdf(book.day, plan, "a4")), {
      headers: file("application/pdf", "pdf"),
    });
  if (form !== "ics") return noSuch("A day is written as ics, csv or pdf.", 404);
  const calendar = writeDayCalendar(book.day, plan);
  return calendar.ok
    ? new Response(calendar.value, { headers: file("text/calendar; charset=utf-8", "ics") })
    : noSuch(`${calendar.failure} Plan the day first.`, 400);
}
