import { readRole } from "../../../../access/keys";
import { loadSnapshot } from "../../../../loadDay";
import { refuse } from "../../../readJson";
import { stored } from "../../../stored";

interface Context {
  readonly params: Promise<{ readonly date: string }>;
}

/** A stored day as the server has it now. */
export const GET = stored(async (request: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const snapshot = loadSnapshot(date, readRole(request.headers));
  return snapshot
    ? Response.json(snapshot, { headers: { "cache-control": "no-store" } })
    : refuse([{ path: "date", message: `There is no day ${date.slice(0, 20)}.` }], 404);
});
