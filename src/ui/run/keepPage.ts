import { RUN_PAGES } from "@/schemas/away";

/**
 * Keeps the page of a running day on the device, one at a time, the newest: it opens again while the server is away. What
 * it is made of is there with the application.
 */
export async function keepPage(): Promise<void> {
  if (typeof caches === "undefined") return;
  try {
    const pages = await caches.open(RUN_PAGES);
    await pages.add(location.href);
    const others = (await pages.keys()).filter(({ url }) => url !== location.href);
    await Promise.all(others.map((other) => pages.delete(other)));
  } catch {
    // Without the server nothing new is kept, and what was kept stays.
  }
}
