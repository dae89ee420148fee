import { keepLog } from "../../../../../keepLog";
import { loadRun } from "../../../../../loadRun";
import { readJson, refuse } from "../../../../readJson";
import { stored } from "../../../../stored";
import { refuseNoRun } from "../refuseNoRun";

interface Context {
  readonly params: Promise<{ readonly date: string }>;
}

/** Nothing is said but that it is wanted. */
const MAX_WISH_BYTES = 100;

/**
 * Keeps what the run says in the baker's log once more: it is kept there with every event, and this is for a log that was
 * changed meanwhile. As often as it is asked for: the same run gives the same log.
 */
export const POST = stored(async (request: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const body = await readJson(request, MAX_WISH_BYTES);
  if (!body.ok) return body.failure;
  const run = loadRun(date);
  if (!run) return refuseNoRun(date);
  const kept = keepLog(run, true);
  return kept.ok
    ? Response.json(kept.value)
    : refuse([{ path: "", message: `The log was not kept. ${kept.failure} Send this again.` }], 409);
});
