import { getStore } from "@/data/getStore";
import { PLAN_END_MS, runJob } from "@/jobs/pool";
import { refuseJob } from "./api/calculator";
import { refuse } from "./api/readJson";
import { readClock } from "./clock";
import { loadBook } from "./loadDay";

/** Freezes a day as it is planned now, as another edition of its run's sheet: 201 with it, or why not. */
export async function freezeDay(date: string): Promise<Response> {
  const { runs } = getStore();
  const book = loadBook(date);
  if (!book) return refuse([{ path: "date", message: `There is no day ${date.slice(0, 20)}.` }], 404);
  // Of a day that runs the rest is timed from what happened: planned from now it would all be done once more.
  const frozen = await runJob("freezeDay", runs.has(date) ? { ...book, nowMin: null } : book, PLAN_END_MS);
  if (!frozen.ok) return refuseJob(frozen.failure);
  if (!frozen.value)
    return refuse([{ path: "date", message: "This day has nothing to do yet. Take an order first." }], 409);
  const { id, edition } = runs.freeze(book.day, frozen.value, readClock().toISOString());
  return Response.json({ id, edition }, { status: 201 });
}
