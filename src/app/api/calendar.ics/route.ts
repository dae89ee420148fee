import { addDays } from "@/core/plan";
import { getStore } from "@/data/getStore";
import { writeCalendar } from "@/formats";
import { readKitchenClock } from "../../kitchenClock";
import { loadPlannedDay } from "../../loadDay";
import { refuseJob } from "../calculator";
import { refuse } from "../readJson";
import { stored } from "../stored";

/** From yesterday on, as a calendar is looked at: longer ahead nothing is planned to the minute. */
const DAYS = { before: 1, after: 14 } as const;

/** The days around now as one calendar at an address that stays; who asks with what it had is told if nothing is new. */
export const GET = stored(async (request: Request): Promise<Response> => {
  const { wall, timeZone } = readKitchenClock();
  const { days, feed, readEpoch } = getStore();
  const { revision } = feed.readMark();
  // A day in hand is planned from the minute on: within a quarter of an hour it is the same.
  const tag = `"${readEpoch()}-${revision}-${wall.date}-${Math.floor(wall.minute / 15)}"`;
  const headers = { etag: tag, "cache-control": "private, no-cache" };
  if (request.headers.get("if-none-match") === tag) return new Response(null, { status: 304, headers });
  const [first, last] = [addDays(wall.date, -DAYS.before), addDays(wall.date, DAYS.after)];
  const planned = [];
  for (const { date } of days.listBetween(first, last, DAYS.before + DAYS.after + 1)) {
    const loaded = await loadPlannedDay(date);
    if (!loaded) continue;
    if (!loaded.ok) return refuseJob(loaded.failure);
    planned.push(loaded.value);
  }
  const calendar = writeCalendar(planned, { name: "tezgah", timeZone, sequence: revision });
  return calendar.ok
    ? new Response(calendar.value, {
        headers: { ...headers, "content-type": "text/calendar; charset=utf-8" },
      })
    : refuse([{ path: "", message: calendar.failure }], 400);
});
