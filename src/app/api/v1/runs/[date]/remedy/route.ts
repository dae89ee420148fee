import { toPieceChange } from "@/core/run";
import { getStore } from "@/data/getStore";
import { toChange } from "@/schemas/change";
import { findRecord, fromLists } from "@/schemas/recordTable";
import { validateTakenRemedy } from "@/schemas/remedyDocument";
import { readClock } from "../../../../../clock";
import { freezeDay } from "../../../../../freezeDay";
import { readJson, refuse } from "../../../../readJson";
import { stored } from "../../../../stored";
import { refuseNoRun } from "../refuseNoRun";

interface Context {
  readonly params: Promise<{ readonly date: string }>;
}

const MAX_REMEDY_BYTES = 1000;

/**
 * Makes a piece otherwise: from now on, and the rest of the day is frozen anew, what is done staying done; or from the
 * next day on, and this one stays as it was planned.
 */
export const POST = stored(async (request: Request, { params }: Context): Promise<Response> => {
  const { date } = await params;
  const body = await readJson(request, MAX_REMEDY_BYTES);
  if (!body.ok) return body.failure;
  const taken = validateTakenRemedy(body.value);
  if (!taken.ok) return refuse(taken.failure);
  const store = getStore();
  const day = store.readDay(date);
  if (!day?.hasRun) return refuseNoRun(date);
  const { pieceId, change, from } = taken.value;
  const before = findRecord(fromLists(day.lists), "piece", pieceId);
  if (!before) return refuse([{ path: "pieceId", message: `There is no piece “${pieceId}”.` }], 404);
  const set = toPieceChange(change, before);
  const changed = set && toChange({ kind: "piece", id: pieceId }, before, { ...before, ...set });
  if (!changed)
    return refuse([{ path: "change", message: `${before.name} has nothing that this would change.` }], 409);
  const nowIso = readClock().toISOString();
  const group = { id: `remedy-${date}-${nowIso}`, changes: [changed] };
  const [answer] = store.applyGroups([group], nowIso).answers;
  if (answer?.kind === "refused") return refuse([{ path: "change", message: answer.message }], 409);
  if (answer?.kind !== "written")
    return refuse([{ path: "", message: "Another has changed this piece meanwhile. Ask again." }], 409);
  return from === "now" ? freezeDay(date) : Response.json({ pieceId, set: changed.set });
});
