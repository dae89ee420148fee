import type { Browser, Page } from "@playwright/test";
import { createOwnServer } from "./ownServer";
import { expect, test } from "./silentTest";

/** Two servers over one file, as one that is upgraded stands beside the one before it. */
const one = createOwnServer(3451);
const other = createOwnServer(3453);
const FILL = "/day/2026-11-28/fill?piece=quince-half-moon";

const margin = (page: Page) => page.getByLabel("Clean margin", { exact: true });
const set = async (page: Page, value: string) => {
  await margin(page).fill(value);
  await margin(page).press("Enter");
};
const open = async (browser: Browser, address: string) => {
  const page = await (await browser.newContext()).newPage();
  await page.goto(address);
  await expect(margin(page)).toBeVisible();
  return page;
};

test("what is typed on one tablet stands on the other at once, on a second server of the file too, and after the server was gone", async ({
  browser,
  page,
  expectConsole,
}) => {
  // A line that breaks is said by the browser, and opened again.
  expectConsole("ERR_");
  // And one that is asked for again while the server is still ending is told so.
  expectConsole("503 (Service Unavailable) http://127.0.0.1:3451/api/bench/live");
  const file = one.file("live.db");
  await one.seed(file);
  await one.start(file);
  await other.start(file);
  await page.goto(one.base + FILL);
  const second = await open(browser, one.base + FILL);
  const third = await open(browser, other.base + FILL);
  // Who looks at the day is said, and which field another hand is in.
  await margin(second).focus();
  await expect(page.getByRole("status").filter({ hasText: "is in “Clean margin”" })).toBeAttached();
  await expect(margin(page)).toHaveAttribute("data-neighbour", /A computer/);
  await margin(second).blur();
  await expect(margin(page)).not.toHaveAttribute("data-neighbour", /./);

  await set(page, "13");
  for (const screen of [second, third]) await expect(margin(screen)).toHaveValue("13");
  await set(third, "14");
  for (const screen of [page, second]) await expect(margin(screen)).toHaveValue("14");

  // The server of two of them goes: one of them is written to meanwhile, the third goes on by its own.
  await one.stop();
  await set(page, "16");
  await expect(page.getByRole("alert").filter({ hasText: "waits here" })).toBeVisible();
  await one.start(file);
  for (const screen of [second, third]) await expect(margin(screen)).toHaveValue("16");

  // One of them is without a network while both go on, each with another figure: both come to have both.
  const plumpness = (screen: Page) => screen.getByLabel("Plumpness", { exact: true });
  await second.context().setOffline(true);
  await plumpness(second).fill("60");
  await plumpness(second).press("Enter");
  await expect(second.getByRole("alert").filter({ hasText: "waits here" })).toBeVisible();
  await set(page, "17");
  await second.context().setOffline(false);
  for (const screen of [page, second, third]) {
    await expect(margin(screen)).toHaveValue("17");
    await expect(plumpness(screen)).toHaveValue("60");
  }
  await one.stop();
  await other.stop();
});
