import { test as base, expect, type BrowserContext } from "@playwright/test";

/** So much of a page is printed when its journey fails, characters. */
const SHOWN_OF_A_PAGE = 1200;

/** A test whose pages must say nothing in the console, unless it announces what they will say. */
export const test = base.extend<{ expectConsole: (words: string) => void; tellPages: void }>({
  /** What stands on the pages of a journey that fails is printed: where it runs out of sight, that is all there is. */
  tellPages: [
    async ({ context }, use, test) => {
      await use();
      if (test.status === test.expectedStatus) return;
      const contexts = context.browser()?.contexts() ?? [context];
      for (const page of contexts.flatMap((each) => each.pages())) {
        const words = await page.locator("body").innerText({ timeout: 2000 }).catch(String);
        console.log(`${page.url()}\n${words.slice(0, SHOWN_OF_A_PAGE)}\n`);
      }
    },
    { auto: true },
  ],
  expectConsole: [
    async ({ context }, use) => {
      const said: string[] = [];
      // Most journeys keep the application off the device, and the browser says so.
      const expected: string[] = ["Service Worker registration blocked"];
      context.on("console", (message) => {
        if (message.type() === "error" || message.type() === "warning") {
          said.push(`${message.text()} ${message.location().url}`.trim());
        }
      });
      context.on("weberror", (error) => said.push(String(error.error())));
      await use((words) => expected.push(words));
      expect(said.filter((text) => !expected.some((words) => text.includes(words)))).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** Screens that do not hear what others write, as far apart as two hands on one field in one moment. */
export async function goDeaf(context: BrowserContext): Promise<void> {
  await context.route("**/api/bench/live?*", (route) => route.fulfill({ status: 204 }));
}

/** The day of the demo world. */
export const DEMO_DAY = "/day/2026-11-28";
