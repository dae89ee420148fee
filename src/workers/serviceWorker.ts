import { Serwist, type PrecacheEntry } from "serwist";
import { AWAY_PATH, RUN_PAGES, TAKE_OVER } from "@/schemas/away";

declare const self: ServiceWorkerGlobalScope;
/** All that this version is made of, written in as it is built. */
declare const TEZGAH_PARTS: readonly PrecacheEntry[];

/** A page that is not answered by then is opened from the device, ms: longer than a busy server ever took. */
const ANSWER_WITHIN_MS = 6000;

/** What a proxy answers while the server behind it is away. */
const AWAY_STATUSES: ReadonlySet<number> = new Set([502, 503, 504]);

const serwist = new Serwist({
  precacheEntries: [...TEZGAH_PARTS],
  precacheOptions: {
    plugins: [{ cachedResponseWillBeUsed: async ({ cachedResponse }) => withoutAddress(cachedResponse) }],
  },
  // A newer version waits until somebody asks for it.
  skipWaiting: false,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin && request.mode === "navigate" && !url.pathname.startsWith("/api/"),
      handler: ({ request }) => openPage(request),
    },
    {
      // The rest of a page that changes places: where it does not come, the page is opened anew, from the device.
      matcher: ({ request, sameOrigin }) => sameOrigin && request.headers.get("RSC") === "1",
      handler: ({ request }) => askServer(request).catch(() => Response.error()),
    },
  ],
});
serwist.addEventListeners();

/** A programme of a thread reads its parts off the end of its own address: what is kept has one without it. */
const withoutAddress = (kept: Response | undefined): Response | undefined =>
  kept && new Response(kept.body, { status: kept.status, headers: kept.headers });

async function askServer(request: Request): Promise<Response> {
  const late = new Promise<never>((_, reject) =>
    setTimeout(() => reject(new Error("The server does not answer.")), ANSWER_WITHIN_MS),
  );
  const answer = await Promise.race([fetch(request), late]);
  if (AWAY_STATUSES.has(answer.status)) throw new Error(`The server is away: ${answer.status}.`);
  return answer;
}

/** A page from the server; without it a running day as it was kept, else the page that opens days from the device. */
async function openPage(request: Request): Promise<Response> {
  try {
    return await askServer(request);
  } catch {
    const kept = await caches.open(RUN_PAGES).then((pages) => pages.match(request.url));
    return kept ?? (await serwist.matchPrecache(AWAY_PATH)) ?? Response.error();
  }
}

self.addEventListener("message", (event) => {
  if (event.data === TAKE_OVER) event.waitUntil(takeOver(event.ports[0]));
});

/** In the middle of a run nothing is exchanged, on no page of this device. */
async function takeOver(answer: MessagePort | undefined): Promise<void> {
  const pages = await self.clients.matchAll({ type: "window", includeUncontrolled: true });
  const isRunning = pages.some(({ url }) => new URL(url).pathname.startsWith("/run/"));
  answer?.postMessage({ isRunning });
  if (!isRunning) await self.skipWaiting();
}
