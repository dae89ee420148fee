import { useRef } from "react";

/** A knuckle that rebounds touches again within this, ms; a second press that is meant comes later. */
const REBOUND_MS = 700;

/** A press that counts once, however often a floury knuckle lands on it. */
export function useKnuckle(): (act: () => void) => void {
  const lastMs = useRef(-Infinity);
  return (act) => {
    const nowMs = performance.now();
    if (nowMs - lastMs.current < REBOUND_MS) return;
    lastMs.current = nowMs;
    act();
  };
}
