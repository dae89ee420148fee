import { createOwnServer } from "./ownServer";
import { expect, test } from "./silentTest";

test.use({ serviceWorkers: "allow" });

const { base, start, stop, seed, file } = createOwnServer(3455);
const FILL = `${base}/day/2026-11-28/fill?piece=quince-half-moon`;

test("with the server gone the day opens from the device, goes from station to station, waits with what is typed, and hands it over", async ({
  page,
  context,
  browser,
  expectConsole,
}) => {
  expectConsole("ERR_");
  expectConsole("Failed to fetch RSC payload");
  await seed(file("away.db"));
  await start(file("away.db"));
  const margin = page.getByLabel("Clean margin", { exact: true });
  await page.goto(FILL);
  await expect(margin).toBeVisible();
  // The application puts itself on the device when the screen is quiet.
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  await margin.fill("13");
  await margin.press("Enter");
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await page.waitForTimeout(600);

  await stop("SIGKILL");
  const waits = page.getByRole("alert").filter({ hasText: /changes? waits? here/ });
  // A link to another station: it opens, with what was saved and what is typed.
  await margin.fill("14");
  await margin.press("Enter");
  await expect(waits).toBeVisible();
  await page.getByRole("link", { name: /^5 Seal/ }).click();
  await expect(page).toHaveTitle("Seal · Tezgah");
  await expect(page.getByRole("main")).not.toHaveAttribute("aria-busy", "true");
  // Loaded again, and on to a third: still here.
  await page.reload();
  await expect(page).toHaveTitle("Seal · Tezgah");
  await page.getByRole("link", { name: /^4 Fill/ }).click();
  await expect(margin).toHaveValue("14");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(margin).toHaveValue("13");
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(margin).toHaveValue("14");
  await page.getByRole("link", { name: /^2 Mix/ }).click();
  await expect(page).toHaveTitle("Mix · Tezgah");
  await page.goBack();
  await expect(margin).toHaveValue("14");
  // What only the server has says so, and what is here.
  await page.goto(`${base}/days`);
  await expect(page.getByRole("heading", { name: "Tezgah’s server does not answer" })).toBeVisible();
  await page.getByRole("link", { name: /Market Saturday/ }).click();
  await expect(page.getByRole("link", { name: /^2 Mix/ })).toBeVisible();

  await start(file("away.db"));
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  // It is there, and on a device that was never here.
  const other = await (await browser.newContext()).newPage();
  await other.goto(FILL);
  await expect(other.getByLabel("Clean margin", { exact: true })).toHaveValue("14");
  await page.goto(FILL);
  await expect(margin).toHaveValue("14");
  await context.close();
});
