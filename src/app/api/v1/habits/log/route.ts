import { readLogFile } from "@/formats";
import { getStore } from "@/data/getStore";
import { MAX_RECORDS } from "@/schemas/limits";
import { readLog } from "@/schemas/habitDocument";
import { readClock } from "../../../../clock";
import { findStranger, refuse } from "../../../readJson";
import { stored } from "../../../stored";

/** A few years of market days, letters. */
const MAX_LETTERS = 2_000_000;

/**
 * A log that is brought from elsewhere (CSV with a head, or JSON a line): each row is checked as if it were typed. What is
 * there already counts once; the rows that are refused are told with why.
 */
export const POST = stored(async (request: Request): Promise<Response> => {
  const stranger = findStranger(request);
  if (stranger) return refuse([{ path: "", message: `A page of ${stranger} may not post here.` }], 403);
  const text = await request.text();
  if (text.length > MAX_LETTERS)
    return refuse([{ path: "", message: "This log is too long. Bring it in parts." }], 413);
  const rows = readLogFile(text);
  if (rows.length === 0)
    return refuse([{ path: "", message: "There is no row in it: a head and one row at least." }]);
  if (rows.length > MAX_RECORDS)
    return refuse([
      { path: "", message: `${rows.length} rows: at most ${MAX_RECORDS} at once. Bring it in parts.` },
    ]);
  const { taken, refused } = readLog(rows);
  const { habits, raiseRevision } = getStore();
  const added = habits.bring(taken);
  const nowIso = readClock().toISOString();
  if (added > 0) raiseRevision(`brought-${nowIso}`, nowIso);
  return Response.json({ added, known: taken.length - added, refused });
});
