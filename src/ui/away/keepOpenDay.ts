import type { BenchStore } from "../bench/benchStore";
import { keepDay } from "./keptDays";

/** What changed is kept after so long without another change, ms. */
const KEPT_AFTER_MS = 300;

/** Keeps an open day on the device, now and whenever the server has something new of it. @returns Ends it. */
export function keepOpenDay(store: BenchStore): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let keptLists: unknown = null;
  const keep = () => {
    const snapshot = store.getState().readSnapshot();
    if (snapshot.lists === keptLists) return;
    keptLists = snapshot.lists;
    void keepDay(snapshot, Date.now());
  };
  const schedule = () => {
    clearTimeout(timer);
    timer = setTimeout(keep, KEPT_AFTER_MS);
  };
  schedule();
  const unsubscribe = store.subscribe((state, before) => {
    if (state.records !== before.records || state.save !== before.save) schedule();
  });
  return () => {
    clearTimeout(timer);
    unsubscribe();
  };
}
