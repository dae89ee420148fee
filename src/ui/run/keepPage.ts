/** What is kept of the page that runs: one at a time, the newest. */
const CACHE = "tezgah-run";
const STATIC = "/_next/static/";

/**
 * Keeps this page and all that it is made of on the device, so that it opens again while the server is away. A browser
 * that keeps nothing for pages without a lock (plain HTTP on another machine) waits for the server as before.
 */
export async function keepPage(): Promise<void> {
  if (!("serviceWorker" in navigator) || typeof caches === "undefined") return;
  try {
    await navigator.serviceWorker.register("/run-worker.js");
    const loaded = performance.getEntriesByType("resource").map(({ name }) => new URL(name));
    const parts = loaded.filter(
      ({ origin, pathname }) => origin === location.origin && pathname.startsWith(STATIC),
    );
    const wanted = new Set([location.href, ...parts.map(({ href }) => href)]);
    const cache = await caches.open(CACHE);
    const kept = new Set((await cache.keys()).map(({ url }) => url));
    await cache.addAll([...wanted].filter((url) => url === location.href || !kept.has(url)));
    await Promise.all([...kept].filter((url) => !wanted.has(url)).map((url) => cache.delete(url)));
  } catch {
    // Without the server nothing new is kept, and what was kept stays.
  }
}
