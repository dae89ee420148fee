import { createStore, del, entries, get, set } from "idb-keyval";
import { startSteadyClock } from "@/time/steadyClock";
import type { DaySnapshot } from "../bench/benchState";

/** A day as the server last had it, kept on the device. */
interface KeptDay {
  readonly snapshot: DaySnapshot;
  /** By the device's own clock. */
  readonly keptAtMs: number;
}

/** Days that are kept on a device at the most: two weeks of them. */
const MOST_DAYS = 14;

let database: ReturnType<typeof createStore> | null = null;
const openDatabase = () => (database ??= createStore("tezgah-days", "days"));

/** Keeps a day for when the server is away, and lets go of the one that was not looked at for longest. */
export async function keepDay(snapshot: DaySnapshot, nowMs: number): Promise<void> {
  try {
    const days = openDatabase();
    await set(snapshot.date, { snapshot, keptAtMs: nowMs } satisfies KeptDay, days);
    const kept = await entries<string, KeptDay>(days);
    const old = kept.toSorted(([, a], [, b]) => b.keptAtMs - a.keptAtMs).slice(MOST_DAYS);
    await Promise.all(old.map(([date]) => del(date, days)));
  } catch {
    // A device without storage: the day is there as long as its page.
  }
}

/** A kept day with its clock as far on as the device's is; null if it is not here. */
export async function readKeptDay(date: string, nowMs: number): Promise<DaySnapshot | null> {
  const kept = await get<KeptDay>(date, openDatabase()).catch(() => undefined);
  if (!kept) return null;
  const { snapshot, keptAtMs } = kept;
  const goneMs = Math.max(0, nowMs - keptAtMs);
  const instant = new Date(Date.parse(snapshot.clock.atIso) + goneMs);
  return { ...snapshot, clock: startSteadyClock(instant, snapshot.clock.timeZone) };
}

/** The kept days by name, the latest date first. */
export async function listKeptDays(): Promise<readonly { readonly date: string; readonly name: string }[]> {
  const kept = await entries<string, KeptDay>(openDatabase()).catch(() => []);
  return kept
    .map(([date, { snapshot }]) => ({
      date,
      name: snapshot.lists.day?.find((day) => day.date === date)?.name ?? date,
    }))
    .toSorted((a, b) => b.date.localeCompare(a.date));
}
