import { createStore, del, set } from "idb-keyval";

const PROBE = "probe";

/** Whether this device keeps anything for a page: not in some private windows, nor where its storage is full or off. */
export async function canKeepHere(): Promise<boolean> {
  try {
    const database = createStore("tezgah-probe", "probe");
    await set(PROBE, 1, database);
    await del(PROBE, database);
    return true;
  } catch {
    return false;
  }
}
