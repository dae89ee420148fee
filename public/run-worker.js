// The pages of running days open again while the server is away: asked for from the server first, else as they were kept
// (the page keeps itself and what it is made of, see src/ui/run/keepPage.ts). Nothing else is touched.
self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));
self.addEventListener("fetch", (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  const isOurs =
    request.mode === "navigate" ? /^\/run\/[^/]+$/.test(pathname) : pathname.startsWith("/_next/static/");
  if (request.method !== "GET" || origin !== self.location.origin || !isOurs) return;
  event.respondWith(fetch(request).catch(async () => (await caches.match(request.url)) ?? Response.error()));
});
