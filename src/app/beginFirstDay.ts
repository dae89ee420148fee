"use server";

import { redirect } from "next/navigation";
import { findStarterKit, firstBench, firstOven, starters } from "@/demo";
import { getStore } from "@/data/getStore";
import type { RecordChange } from "@/schemas/recordKinds";
import { readClock } from "./clock";
import { validateChanges, validateFirstDay, type FirstDay } from "@/schemas/validate";

/** When a bakery opens that has not said so, min after midnight. */
const FIRST_OPEN_MIN = 4 * 60;

/** Sets up bench, oven and the first day, with a starter and its order if one was taken. */
export async function beginFirstDay(answer: unknown): Promise<string> {
  const day = validateFirstDay(answer);
  const valid = day.ok ? validateChanges(listFirstChanges(day.value)) : day;
  if (!day.ok || !valid.ok)
    return (valid.ok ? undefined : valid.failure[0]?.message) ?? "Check what you entered.";
  const applied = getStore().applyChanges(valid.value, readClock().toISOString());
  if (!applied.ok && applied.failure.kind !== "stale")
    return "There is a day with this date already. Choose another date.";
  // Stale means that another screen set the bakery up meanwhile: go and look at that.
  redirect(applied.ok ? `/day/${day.value.date}/orders` : "/");
}

function listFirstChanges({ starterId, date, count, dueMin }: FirstDay): RecordChange[] {
  const dayId = `day-${date}`;
  const starter = starters.find(({ id }) => id === starterId);
  const added: RecordChange[] = [
    { kind: "bench", id: firstBench.id, expectedVersion: 0, record: firstBench },
    { kind: "oven", id: firstOven.id, expectedVersion: 0, record: firstOven },
    {
      kind: "day",
      id: dayId,
      expectedVersion: 0,
      record: {
        id: dayId,
        date,
        name: "First day",
        openMin: FIRST_OPEN_MIN,
        helper: null,
        laid: [],
        pinned: [],
      },
    },
  ];
  if (!starter) return added;
  const { dough, filling, others, piece, cutter } = starter;
  const { vessels, fryers } = findStarterKit(piece);
  const order = { id: "order-first", dayId, pieceId: piece.id, count, dueMin, customer: "" };
  return [
    { kind: "formula", id: dough.id, expectedVersion: 0, record: dough },
    ...[filling, ...others].map((each): RecordChange => ({
      kind: "formula",
      id: each.id,
      expectedVersion: 0,
      record: each,
    })),
    ...vessels.map((record): RecordChange => ({ kind: "vessel", id: record.id, expectedVersion: 0, record })),
    ...fryers.map((record): RecordChange => ({ kind: "fryer", id: record.id, expectedVersion: 0, record })),
    { kind: "piece", id: piece.id, expectedVersion: 0, record: piece },
    { kind: "cutter", id: cutter.id, expectedVersion: 0, record: cutter },
    ...added,
    { kind: "order", id: order.id, expectedVersion: 0, record: order },
  ];
}
