import { findStarterKit, firstBench, firstOven, starters } from "@/demo";
import { NEW_ORDER_REST } from "@/core/orders";
import { getStore } from "@/data/getStore";
import { toChange } from "@/schemas/change";
import type { KindedRecord } from "@/schemas/recordKinds";
import { validateFirstDay, type FirstDay } from "@/schemas/validate";
import { readClock } from "../../../clock";
import { readJson, refuse } from "../../readJson";
import { stored } from "../../stored";

/** When a bakery opens that has not said so, min after midnight. */
const FIRST_OPEN_MIN = 4 * 60;
const MAX_ANSWER_BYTES = 2000;

/** The first screen's answer in; bench, oven and the first day are set up, and where to go next comes out. */
export const POST = stored(async (request: Request): Promise<Response> => {
  const body = await readJson(request, MAX_ANSWER_BYTES);
  if (!body.ok) return body.failure;
  const day = validateFirstDay(body.value);
  if (!day.ok) return refuse(day.failure);
  const changes = listFirstRecords(day.value).flatMap(
    ({ kind, record }) => toChange({ kind, id: record.id }, null, record) ?? [],
  );
  const group = { id: `first-day-${crypto.randomUUID()}`, changes };
  const [answer] = getStore().applyGroups([group], readClock().toISOString()).answers;
  if (answer?.kind === "refused") return refuse([{ path: "", message: answer.message }], 409);
  // A conflict means that another screen set the bakery up meanwhile: go and look at that.
  return Response.json({ goTo: answer?.kind === "written" ? `/day/${day.value.date}/orders` : "/" });
});

function listFirstRecords({ starterId, date, count, dueMin }: FirstDay): KindedRecord[] {
  const dayId = `day-${date}`;
  const starter = starters.find(({ id }) => id === starterId);
  const added: KindedRecord[] = [
    { kind: "bench", record: firstBench },
    { kind: "oven", record: firstOven },
    {
      kind: "day",
      record: {
        id: dayId,
        date,
        name: "First day",
        openMin: FIRST_OPEN_MIN,
        helper: null,
        keepsReserve: false,
        laid: [],
        pinned: [],
      },
    },
  ];
  if (!starter) return added;
  const { dough, filling, others, piece, cutter } = starter;
  const { vessels, fryers } = findStarterKit(piece);
  const order = {
    ...{ id: "order-first", dayId, pieceId: piece.id, count, dueMin, customer: "" },
    ...NEW_ORDER_REST,
  };
  return [
    { kind: "formula", record: dough },
    ...[filling, ...others].map((each): KindedRecord => ({
      kind: "formula",
      record: each,
    })),
    ...vessels.map((record): KindedRecord => ({ kind: "vessel", record })),
    ...fryers.map((record): KindedRecord => ({ kind: "fryer", record })),
    { kind: "piece", record: piece },
    { kind: "cutter", record: cutter },
    ...added,
    { kind: "order", record: order },
  ];
}
