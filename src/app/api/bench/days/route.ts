import { getStore } from "@/data/getStore";
import { stored } from "../../stored";
import { refuse } from "../../readJson";

/** Days in one page of the list. */
const PAGE = 20;
const DATE = /^\d{4}-\d{2}-\d{2}$/;
/** The next free date of the same weekday. */
const WEEK_DAYS = 7;

/**
 * Days of the book by pages: `?before=DATE` those before it, latest first; `?from=DATE` those from it on, earliest
 * first; `?free=DATE` the next date, a week on or more, that has no day; `?on=DATE` whether it has one.
 */
export const GET = stored((request: Request): Response => {
  const { searchParams } = new URL(request.url);
  const [asked] = [...searchParams];
  if (!asked || !DATE.test(asked[1]))
    return refuse([{ path: "", message: "Ask ?before, ?from, ?free or ?on a date like 2026-11-28." }]);
  const [how, date] = asked;
  const { days } = getStore();
  switch (how) {
    case "before":
      return Response.json({ days: days.listBefore(date, PAGE) });
    case "from":
      return Response.json({ days: days.listFrom(date, PAGE) });
    case "on":
      return Response.json({ days: days.listBetween(date, date, 1) });
    case "free":
      return Response.json({ date: days.findFree(date, WEEK_DAYS) });
    default:
      return refuse([{ path: how, message: "Ask ?before, ?from, ?free or ?on a date like 2026-11-28." }]);
  }
});
