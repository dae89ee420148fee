import { toLog } from "@/core/run";
import { getStore } from "@/data/getStore";
import { toChange, type Change } from "@/schemas/change";
import { findRecord, fromLists } from "@/schemas/recordTable";
import { readClock } from "../../../../../clock";
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
 * Keeps what the run says of minutes, leaks and yields in the baker's log, where plans learn from it. What was typed at a
 * station stands where the run knows nothing of it. As often as it is asked for: the same run gives the same log.
 */
export const POST = stored(async (request: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const body = await readJson(request, MAX_WISH_BYTES);
  if (!body.ok) return body.failure;
  const run = loadRun(date);
  const store = getStore();
  const day = store.readDay(date);
  if (!run || !day) return refuseNoRun(date);
  const table = fromLists(day.lists);
  const { lots, cuts, poured } = toLog(run.sheet, run.events);
  const changes = [
    ...lots.map((lot) => {
      const before = findRecord(table, "lotRecord", lot.id);
      const { fill, close, leaked } = lot;
      const after = {
        ...(before ?? lot),
        ...lot,
        fill: fill ?? before?.fill ?? null,
        close: close ?? before?.close ?? null,
        leaked: leaked ?? before?.leaked ?? null,
      };
      return toChange({ kind: "lotRecord", id: lot.id }, before, after);
    }),
    ...cuts.map((cut) =>
      toChange({ kind: "cutRecord", id: cut.id }, findRecord(table, "cutRecord", cut.id), cut),
    ),
    ...poured.map(({ formulaId, massG, scale }) => {
      const id = `weigh-${date}-${formulaId}`;
      const before = findRecord(table, "weighing", id);
      const { dayId } = run.sheet;
      const after = {
        ...(before ?? { id, dayId, date, formulaId, tickedLineIds: [], mixG: null }),
        took: { massG, scale },
      };
      return toChange({ kind: "weighing", id }, before, after);
    }),
  ].filter((change): change is Change => change !== null);
  if (changes.length > 0) {
    const nowIso = readClock().toISOString();
    const group = { id: `log-${run.id}-${run.events.length}-${nowIso}`, changes };
    const [answer] = store.applyGroups([group], nowIso).answers;
    if (answer?.kind !== "written")
      return refuse([{ path: "", message: "The log was changed by another meanwhile. Ask again." }], 409);
  }
  return Response.json({ lots: lots.length, rollings: cuts.length, changed: changes.length });
});
