import type { RunEvent } from "@/core/run";
import { isBusy } from "@/data/fileFault";
import { getStore } from "@/data/getStore";
import { MAX_EVENTS, validateRunEvent } from "@/schemas/runEvents";
import { readClock } from "../../../../../clock";
import { isLogBehind, keepLogOf } from "../../../../../keepLog";
import { readJson, refuse } from "../../../../readJson";
import { stored } from "../../../../stored";
import { refuseNoRun } from "../refuseNoRun";

interface Context {
  readonly params: Promise<{ readonly date: string }>;
}

/** So many events of a few hundred letters, bytes. */
const MAX_MESSAGE_BYTES = 1_000_000;
/** When one who met another writer may come again, s. */
const BUSY_RETRY_S = 1;

/** What happened after a mark (`?after=`), in the order of arrival, with the mark to ask after next. */
export const GET = stored(async (request: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const after = Number(new URL(request.url).searchParams.get("after") ?? 0);
  if (!Number.isSafeInteger(after) || after < 0)
    return refuse([{ path: "after", message: "Use the whole number of the last answer's “seq”, or 0." }]);
  const { runs } = getStore();
  const run = runs.find(date);
  if (!run) return refuseNoRun(date);
  return Response.json({
    ...runs.listEvents(run.id, after, MAX_EVENTS),
    edition: run.edition,
    isLogBehind: isLogBehind(date),
  });
});

/**
 * Events in; which of them are kept and why others are not, out. Each stands alone, one that was sent before counts once,
 * and what is said to be kept is on the disk.
 */
export const POST = stored(async (request: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const body = await readJson(request, MAX_MESSAGE_BYTES);
  if (!body.ok) return body.failure;
  const { events } = (body.value ?? {}) as { events?: unknown };
  if (!Array.isArray(events) || events.length > MAX_EVENTS)
    return refuse([{ path: "events", message: `Send a list of at most ${MAX_EVENTS} events.` }]);
  const { runs } = getStore();
  const run = runs.find(date);
  if (!run) return refuseNoRun(date);
  const checked = events.map((event: unknown, i) => ({ i, event, valid: validateRunEvent(event) }));
  const good = checked.flatMap(({ valid }): RunEvent[] => (valid.ok ? [valid.value] : []));
  const refused = checked.flatMap(({ i, event, valid }) =>
    valid.ok
      ? []
      : [
          {
            index: i,
            id: readId(event),
            faults: valid.failure.map(({ path, message }) => ({ path, message })),
          },
        ],
  );
  try {
    const seq = runs.append(run.id, good, readClock().toISOString());
    const logBehind = learn(date, good);
    return Response.json({ kept: good.map(({ id }) => id), refused, seq, logBehind });
  } catch (error) {
    if (!isBusy(error)) throw error;
    const busy = refuse([{ path: "", message: "Another writes just now. Send it again." }], 503);
    busy.headers.set("retry-after", String(BUSY_RETRY_S));
    return busy;
  }
});

/** Kinds that say something of minutes, leaks, yields, liquids, oil, sales or the larder. */
const learned: ReadonlySet<RunEvent["kind"]> = new Set([
  "begun",
  "done",
  "wrong",
  "measured",
  "poured",
  "ranOut",
  "undone",
  "left",
  "thrown",
  "sold",
  "closed",
  "leftOut",
]);

/** The log follows the events. @returns Why it does not yet: it is tried again by itself; null where it does. */
const learn = (date: string, news: readonly RunEvent[]): string | null =>
  news.some(({ kind }) => learned.has(kind)) ? keepLogOf(date) : null;

const readId = (event: unknown): string | null =>
  typeof event === "object" && event !== null && "id" in event && typeof event.id === "string"
    ? event.id
    : null;
