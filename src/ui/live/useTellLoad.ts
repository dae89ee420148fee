import { useEffect } from "react";

/** The page that was loaded tells once; stations that are turned to afterwards were not loaded. */
let isTold = false;

/** Tells the server how long this page took from its address to a day that is planned on it. */
export function useTellLoad(isPlanned: boolean): void {
  useEffect(() => {
    // A page that was opened behind another waited for itself.
    if (!isPlanned || isTold || document.visibilityState !== "visible") return;
    isTold = true;
    const [, , , screen = "orders"] = location.pathname.split("/");
    fetch("/api/bench/felt", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ screen, ms: performance.now() }),
      keepalive: true,
    }).catch(() => undefined);
  }, [isPlanned]);
}
