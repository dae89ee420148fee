import { createStore, del, entries, set } from "idb-keyval";
import type { RunEvent } from "@/core/run";

/** What happened and has not come to the server yet, kept on the device. */
export interface EventBox {
  list(): Promise<RunEvent[]>;
  /** Resolves when it is on the device; a device without storage keeps nothing, and the page goes on. */
  put(events: readonly RunEvent[]): Promise<void>;
  drop(ids: readonly string[]): Promise<void>;
}

/**
 * The box of one run. Every page of the device puts into the same one and sends what is in it: an event has an id of
 * its own, so that two that send it do no harm.
 */
export function createEventBox(date: string): EventBox {
  const database = createStore("tezgah-run", "events");
  const key = (id: string) => `${date}/${id}`;
  return {
    async list() {
      const all = await entries<string, RunEvent>(database).catch(() => []);
      return all.flatMap(([name, event]) => (name.startsWith(`${date}/`) ? [event] : []));
    },
    async put(events) {
      await Promise.all(events.map((event) => set(key(event.id), event, database))).catch(() => undefined);
    },
    async drop(ids) {
      await Promise.all(ids.map((id) => del(key(id), database))).catch(() => undefined);
    },
  };
}
