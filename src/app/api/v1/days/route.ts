import { sumDays } from "@/core/run";
import { getStore } from "@/data/getStore";
import { toDaysCsv } from "@/formats";
import { hideDayCosts } from "../../../access/hidePrices";
import { readRole } from "../../../access/keys";
import { catchUp } from "../../../catchUp";
import { refuse } from "../../readJson";
import { stored } from "../../stored";

/** Ten years of market days. */
const MOST_DAYS = 4000;
const isDate = (text: string) => /^\d{4}-\d{2}-\d{2}$/.test(text);

/** Days that were run, planned and real (`?from=`, `?to=`), with the sums of the span; with `?form=csv` a table. */
export const GET = stored((request: Request): Response => {
  const asked = new URL(request.url).searchParams;
  const [from, to, form] = [
    asked.get("from") ?? "0001-01-01",
    asked.get("to") ?? "9999-12-31",
    asked.get("form"),
  ];
  if (!isDate(from) || !isDate(to))
    return refuse([{ path: "from", message: "Write dates like 2026-11-28: from, to." }]);
  if (form !== null && form !== "json" && form !== "csv")
    return refuse([{ path: "form", message: "Days are written as json or csv." }]);
  catchUp();
  const role = readRole(request.headers);
  const days = hideDayCosts(getStore().runs.listSummaries(from, to, MOST_DAYS), role);
  if (form !== "csv") return Response.json({ days, sums: sumDays(days) });
  return new Response(toDaysCsv(days), {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": 'attachment; filename="tezgah-days.csv"',
    },
  });
});
