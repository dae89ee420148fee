import { toRecord } from "@/core/run";
import { toRunCsv } from "@/formats";
import { loadRun } from "../../../../../loadRun";
import { refuse } from "../../../../readJson";
import { stored } from "../../../../stored";
import { refuseNoRun } from "../refuseNoRun";

interface Context {
  readonly params: Promise<{ readonly date: string }>;
}

/** The record of a day's run as it stands: JSON, or with `?form=csv` a table. */
export const GET = stored(async (request: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const form = new URL(request.url).searchParams.get("form") ?? "json";
  if (form !== "json" && form !== "csv")
    return refuse([{ path: "form", message: "A record is written as json or csv." }]);
  const run = loadRun(date);
  if (!run) return refuseNoRun(date);
  const record = toRecord(run.sheet, run.events);
  const headers = {
    "content-disposition": `attachment; filename="tezgah-record-${date}.${form}"`,
    "cache-control": "no-store",
  };
  return form === "csv"
    ? new Response(toRunCsv(record), { headers: { ...headers, "content-type": "text/csv; charset=utf-8" } })
    : Response.json(record, { headers });
});
