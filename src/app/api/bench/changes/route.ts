import { inHouse } from "@/core/units";
import { isBusy } from "@/data/fileFault";
import { getStore } from "@/data/getStore";
import type { ChangeGroup, GroupAnswer } from "@/schemas/change";
import { roleWords } from "@/schemas/access";
import { validateGroup } from "@/schemas/validate";
import { readRole } from "../../../access/keys";
import { mayChange } from "../../../access/policy";
import { readClock } from "../../../clock";
import { readMeasures } from "../../../measures";
import { copyInBackground } from "../../../copyInBackground";
import { readJson, refuse } from "../../readJson";
import { stored } from "../../stored";

/** A pasted book of formulas at once, bytes. */
const MAX_MESSAGE_BYTES = 4_000_000;
/** Groups in one message: a tablet sends fifty. */
const MAX_GROUPS = 200;
/** Waits for another writer, ms: the server answers others meanwhile. Then the tablet keeps it and asks again. */
const BUSY_WAITS_MS = [50, 100, 200, 400, 800];

/** Groups of changes in; what became of each out, in order. Good ones are written whatever becomes of the others. */
export const POST = stored(async (request: Request): Promise<Response> => {
  const body = await readJson(request, MAX_MESSAGE_BYTES);
  if (!body.ok) return body.failure;
  const { groups } = (body.value ?? {}) as { groups?: unknown };
  if (!Array.isArray(groups) || groups.length > MAX_GROUPS)
    return refuse([{ path: "groups", message: `Send a list of at most ${MAX_GROUPS} groups of changes.` }]);
  const checked = inHouse(readMeasures(), () =>
    groups.map((group: unknown) => ({ group, valid: validateGroup(group) })),
  );
  const unreadable = checked.find(({ group, valid }) => !valid.ok && readId(group) === null);
  if (unreadable) return refuse(unreadable.valid.ok ? [] : unreadable.valid.failure);
  const role = readRole(request.headers);
  const isTheirs = ({ changes }: ChangeGroup) => changes.every(({ kind }) => mayChange(role, kind));
  const good = checked.flatMap(({ valid }) => (valid.ok && isTheirs(valid.value) ? [valid.value] : []));
  const written = await writePatiently(good);
  const byId = new Map(written.answers.map((answer) => [answer.id, answer]));
  const answers = checked.map(({ group, valid }): GroupAnswer => {
    if (!valid.ok)
      return {
        id: readId(group) ?? "",
        kind: "refused",
        message: `Not saved. ${valid.failure[0]?.message ?? "Check what you entered."}`,
      };
    const { id } = valid.value;
    const message = isTheirs(valid.value)
      ? "Not saved."
      : `Not saved: this device is for the ${role} (${roleWords[role]}).`;
    return byId.get(id) ?? { id, kind: "refused", message };
  });
  if (good.some(closesDay)) copyInBackground("day closed");
  return Response.json({ ...written, answers });
});

async function writePatiently(groups: readonly ChangeGroup[]) {
  const nowIso = readClock().toISOString();
  for (const waitMs of BUSY_WAITS_MS) {
    try {
      return getStore().applyGroups(groups, nowIso);
    } catch (error) {
      if (!isBusy(error)) throw error;
      await new Promise((resolve) => setTimeout(resolve, waitMs));
    }
  }
  return getStore().applyGroups(groups, nowIso);
}

function readId(group: unknown): string | null {
  const id = typeof group === "object" && group !== null && "id" in group ? group.id : null;
  return typeof id === "string" && id.length > 0 ? id : null;
}

/** A day is closed when its leftovers go into the larder. */
const closesDay = ({ changes }: ChangeGroup): boolean =>
  changes.some(
    ({ kind, set, was }) => kind === "larder" && was === null && typeof set?.fromDayId === "string",
  );
