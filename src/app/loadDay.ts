import type { DayPlan } from "@/core/plan";
import type { Result } from "@/core/result";
import { getStore } from "@/data/getStore";
import type { Role } from "@/schemas/access";
import { PLAN_END_MS, runJob, type JobFault } from "@/jobs/pool";
import type { DayBook } from "@/schemas/model";
import { fromLists } from "@/schemas/recordTable";
import { toDayBook } from "@/schemas/toDayBook";
import { startSteadyClock } from "@/time/steadyClock";
import { findComputersZone, findEndIso, findNowMin, findPhase } from "@/time/wallClock";
import type { DaySnapshot } from "@/ui/bench/benchState";
import { hidePrices, isHiddenFrom } from "./access/hidePrices";
import { readDemoDay } from "./demoDay";
import { readKitchenClock } from "./kitchenClock";

/** A stored day as a screen of a device takes it, or null if the date has none. */
export function loadSnapshot(date: string, role: Role = "owner"): DaySnapshot | null {
  const day = getStore().readDay(date);
  if (!day) return null;
  const { now, timeZone, wall } = readKitchenClock();
  const isOver = findPhase(date, wall) === "over";
  return {
    date,
    ...day,
    lists: hidePrices(day.lists, role),
    hidesCosts: isHiddenFrom(role),
    formulasThen: isOver ? getStore().listFormulasAsOf(findEndIso(date, timeZone)) : [],
    computersZone: findComputersZone(),
    clock: startSteadyClock(now, timeZone),
  };
}

/** The document a stored day is planned from. @param nowMin - Minutes after its midnight; null before it has begun. */
export function toBook(snapshot: DaySnapshot, nowMin: number | null): DayBook {
  const { date, lists } = snapshot;
  const book = toDayBook(fromLists(lists), date, nowMin, snapshot);
  if (!book) throw new RangeError(`toBook: no day ${date} among its own records`);
  return book;
}

/** The document a stored day is planned from now, or null if the date has none. */
export function loadBook(date: string): DayBook | null {
  const snapshot = loadSnapshot(date);
  return snapshot && toBook(snapshot, findNowMin(date, readKitchenClock().wall));
}

export interface PlannedDay {
  readonly book: DayBook;
  readonly plan: DayPlan;
}

/** A stored day with its plan, worked out in a thread of its own; null if the date has none. */
export async function loadPlannedDay(date: string): Promise<Result<PlannedDay, JobFault> | null> {
  const book = loadBook(date);
  if (!book) return null;
  const planned = await runJob("planDay", book, PLAN_END_MS);
  return planned.ok ? { ok: true, value: { book, plan: planned.value } } : planned;
}

/** The day to open first: the next one from today on, else the last there was; null if there is none. */
export const findDayToOpen = (): string | null =>
  getStore().days.findNext(readDemoDay() ?? readKitchenClock().wall.date);
