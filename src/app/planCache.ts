import { ok, type Result } from "@/core/result";
import { PLAN_END_MS, runJob, type JobFault } from "@/jobs/pool";
import { findNowMin } from "@/time/wallClock";
import { readKitchenClock } from "./kitchenClock";
import { loadSnapshot, toBook } from "./loadDay";

/** A plan packed to be sent, and what it is the plan of. */
export interface PackedPlan {
  readonly epoch: string;
  readonly revision: number;
  readonly nowMin: number | null;
  readonly gzip: Uint8Array;
}

/** Days that tablets look at, with some minutes of today. */
const MOST_PLANS = 24;

const holder = globalThis as { tezgahPlans?: Map<string, Promise<Result<PackedPlan, JobFault>>> };

/**
 * The plan of a stored day as it is now: worked out once for each state of the file, in a thread of its own. A page's
 * first plan comes from here, since a browser that has not planned yet takes ten times as long.
 * @returns null if the date has no day.
 */
export async function loadPackedPlan(date: string): Promise<Result<PackedPlan, JobFault> | null> {
  const snapshot = loadSnapshot(date);
  if (!snapshot) return null;
  const { epoch, revision } = snapshot;
  const book = toBook(snapshot, findNowMin(date, readKitchenClock().wall));
  const { nowMin } = book;
  const plans = (holder.tezgahPlans ??= new Map());
  const key = [date, epoch, revision, nowMin].join("/");
  const known = plans.get(key);
  if (known) return known;
  const packing = runJob("packPlan", book, PLAN_END_MS).then((packed) =>
    packed.ok ? ok({ epoch, revision, nowMin, gzip: packed.value }) : packed,
  );
  plans.set(key, packing);
  const [oldest] = plans.keys();
  if (plans.size > MOST_PLANS && oldest !== undefined) plans.delete(oldest);
  const packed = await packing.catch((error: unknown) => {
    plans.delete(key);
    throw error;
  });
  if (!packed.ok) plans.delete(key);
  return packed;
}
