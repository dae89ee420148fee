import { TAKE_OVER } from "@/schemas/away";

const WORKER = "/service-worker.js";
/** A page that stays open asks for a newer version so often, ms. */
const ASK_EVERY_MS = 60 * 60_000;

/**
 * Puts the application on this device, so that it opens without the server, and says when a newer one waits. A browser
 * does so only over HTTPS or on the server's own machine; elsewhere open pages go on, and a reload waits.
 * @param afterMs - The page is left in peace for so long.
 * @returns Ends the watch.
 */
export function standBy(onNewer: (worker: ServiceWorker) => void, afterMs: number): () => void {
  if (!("serviceWorker" in navigator)) return () => {};
  let asking: ReturnType<typeof setInterval> | undefined;
  let isOver = false;
  const watch = async () => {
    const registration = await navigator.serviceWorker.register(WORKER).catch(() => null);
    if (!registration || isOver) return;
    const look = () => {
      // The first of all takes over by itself: there was none before it.
      if (registration.waiting && navigator.serviceWorker.controller) onNewer(registration.waiting);
    };
    look();
    registration.addEventListener("updatefound", () =>
      registration.installing?.addEventListener("statechange", look),
    );
    asking = setInterval(() => void registration.update().catch(() => undefined), ASK_EVERY_MS);
  };
  const starting = setTimeout(() => void watch(), afterMs);
  return () => {
    isOver = true;
    clearTimeout(starting);
    clearInterval(asking);
  };
}

/** Lets the newer version take over, unless a day runs on this device. @returns Whether a day does. */
export function takeOver(worker: ServiceWorker): Promise<{ readonly isRunning: boolean }> {
  const { port1, port2 } = new MessageChannel();
  const answered = new Promise<{ readonly isRunning: boolean }>((resolve) => {
    port1.onmessage = ({ data }: MessageEvent<{ readonly isRunning: boolean }>) => resolve(data);
  });
  worker.postMessage(TAKE_OVER, [port2]);
  return answered;
}
