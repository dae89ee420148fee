import { createStore, del, entries, get, set } from "idb-keyval";
import type { RunEvent, RunSheet } from "@/core/run";

/** A day as it was heard last. */
export interface KeptDay {
  readonly sheet: RunSheet;
  readonly edition: number;
  readonly seq: number;
  readonly events: readonly RunEvent[];
}

/** What happened and has not come to the server yet, kept on the device. */
export interface EventBox {
  list(): Promise<RunEvent[]>;
  /** Resolves when it is on the device; a device without storage keeps nothing, and the page goes on. */
  put(events: readonly RunEvent[]): Promise<void>;
  drop(ids: readonly string[]): Promise<void>;
  /** Keeps the day as it was heard, for a page that is opened again without the server. */
  keepDay(day: KeptDay): Promise<void>;
  readDay(): Promise<KeptDay | null>;
}

/**
 * The box of one run. Every page of the device puts into the same one and sends what is in it: an event has an id of
 * its own, so that two that send it do no harm.
 */
export function createEventBox(date: string): EventBox {
  const database = createStore("tezgah-run", "events");
  const dayKey = `day ${date}`;
  const key = (id: string) => `${date}/${id}`;
  return {
    async list() {
      const all = await entries<string, RunEvent>(database).catch(() => []);
      return all.flatMap(([name, event]) => (name.startsWith(`${date}/`) ? [event] : []));
    },
    async put(events) {
      await Promise.all(events.map((event) => set(key(event.id), event, database))).catch(() => undefined);
    },
    async keepDay(day) {
      await set(dayKey, day, database).catch(() => undefined);
    },
    async readDay() {
      return (await get<KeptDay>(dayKey, database).catch(() => undefined)) ?? null;
    },
    async drop(ids) {
      await Promise.all(ids.map((id) => del(key(id), database))).catch(() => undefined);
    },
  };
}
