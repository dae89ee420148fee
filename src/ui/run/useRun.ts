import { useStore } from "zustand";
import { useShallow } from "zustand/react/shallow";
import { pickState } from "../bench/pickState";
import type { RunScreen, RunStore } from "./runStore";

/** Several parts of a running day by name; the component draws anew when one of these changes, and for nothing else. */
export const useRun = <K extends keyof RunScreen>(
  store: RunStore,
  ...names: readonly K[]
): Pick<RunScreen, K> => useStore(store, useShallow(pickState<RunScreen, K>(names)));
