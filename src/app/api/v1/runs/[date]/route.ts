import { gunzipSync } from "node:zlib";
import type { RunSheet } from "@/core/run";
import { getStore } from "@/data/getStore";
import { hideSheetCosts, isHiddenFrom } from "../../../../access/hidePrices";
import { readRole } from "../../../../access/keys";
import { freezeDay } from "../../../../freezeDay";
import { readJson, refuse } from "../../../readJson";
import { stored } from "../../../stored";
import { refuseNoRun } from "./refuseNoRun";

interface Context {
  readonly params: Promise<{ readonly date: string }>;
}

/** The newest sheet of a day's run, as it was frozen. */
export const GET = stored(async (request: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const run = getStore().runs.find(date);
  if (!run) return refuseNoRun(date);
  const role = readRole(request.headers);
  const isHidden = isHiddenFrom(role);
  const tag = `"${run.id}-${run.edition}-${run.frozenAt}${isHidden ? "-hidden" : ""}"`;
  const headers = { etag: tag, "cache-control": "no-cache", "x-tezgah-edition": String(run.edition) };
  if (request.headers.get("if-none-match") === tag) return new Response(null, { status: 304, headers });
  const text = gunzipSync(run.sheet).toString();
  const told = isHidden ? JSON.stringify(hideSheetCosts(JSON.parse(text) as RunSheet, role)) : text;
  return new Response(told, { headers: { ...headers, "content-type": "application/json" } });
});

/** Nothing is said but that it is wanted. */
const MAX_WISH_BYTES = 100;

/**
 * Freezes the day as it is planned now, to be run: 201. A day that runs already is left as it is (200), unless `anew` asks
 * for another edition of its sheet.
 */
export const POST = stored(async (request: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const body = await readJson(request, MAX_WISH_BYTES);
  if (!body.ok) return body.failure;
  const known = getStore().runs.find(date);
  const { anew = false } = (body.value ?? {}) as { anew?: unknown };
  if (typeof anew !== "boolean") return refuse([{ path: "anew", message: "Use true or false." }]);
  if (known && !anew) return Response.json({ id: known.id, edition: known.edition });
  return freezeDay(date);
});
