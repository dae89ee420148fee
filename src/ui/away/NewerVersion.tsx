"use client";

import { usePathname } from "next/navigation";
import { useEffect, useState } from "react";
import { standBy, takeOver } from "./standBy";

/** The application is put on the device when the first screen has been quiet for so long, ms. */
const AFTER_QUIET_MS = 4000;

/** Says that a newer version is there, and takes it when asked: never by itself, and not while a day runs. */
export function NewerVersion() {
  const [newer, setNewer] = useState<ServiceWorker | null>(null);
  const [isRunning, setRunning] = useState(false);
  const isAtRun = usePathname().startsWith("/run/");
  // A day that runs wants it at once.
  const afterMs = isAtRun ? 0 : AFTER_QUIET_MS;
  useEffect(
    () => (process.env.NODE_ENV === "production" ? standBy(setNewer, afterMs) : undefined),
    [afterMs],
  );
  if (!newer || isAtRun) return null;
  const take = async () => {
    // What was typed is kept by the page as it goes.
    const reload = () => location.reload();
    navigator.serviceWorker.addEventListener("controllerchange", reload, { once: true });
    const answer = await takeOver(newer);
    // Refused, it may take over much later, when nobody thinks of it: not under this hand.
    if (answer.isRunning) navigator.serviceWorker.removeEventListener("controllerchange", reload);
    setRunning(answer.isRunning);
  };
  return (
    <div
      role="status"
      className="fixed inset-x-3 bottom-36 z-40 lg:bottom-20 mx-auto flex w-fit max-w-full flex-wrap items-center gap-3 rounded-box border border-base-300 bg-base-100 px-4 py-2 shadow-lg"
    >
      <p>
        {isRunning
          ? "A day runs on this device: the newer Tezgah waits until its page is closed."
          : "A newer Tezgah is ready. What you have typed stays."}
      </p>
      <button type="button" className="btn btn-primary touch" onClick={() => void take()}>
        Use it now
      </button>
      <button type="button" className="btn btn-ghost touch" onClick={() => setNewer(null)}>
        Later
      </button>
    </div>
  );
}
