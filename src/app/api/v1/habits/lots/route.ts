import { getStore } from "@/data/getStore";
import { validateLotLeft } from "@/schemas/habitDocument";
import { readClock } from "../../../../clock";
import { readJson, refuse } from "../../../readJson";
import { stored } from "../../../stored";

/** A lot's name and a word, bytes. */
const MAX_BYTES = 10_000;

/** Leaves one lot of a habit out of the learning with a word why, or with the word null takes it in again. */
export const PUT = stored(async (request: Request): Promise<Response> => {
  const body = await readJson(request, MAX_BYTES);
  if (!body.ok) return body.failure;
  const lot = validateLotLeft(body.value);
  if (!lot.ok) return refuse(lot.failure);
  const { habit, date, source, word } = lot.value;
  const { habits, raiseRevision } = getStore();
  if (!habits.leaveOut(lot.value))
    return refuse(
      [
        {
          path: "source",
          message: `On ${date} nothing of that name was logged of ${habit}. Reload the page.`,
        },
      ],
      404,
    );
  const nowIso = readClock().toISOString();
  raiseRevision(`lot-${habit}-${date}-${source}-${nowIso}`, nowIso);
  return Response.json({ habit, date, source, word });
});
