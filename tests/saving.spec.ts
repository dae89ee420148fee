import type { Locator, Page } from "@playwright/test";
import { DEMO_DAY, expect, goDeaf, test } from "./silentTest";

const saved = (page: Page) => expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
const conflict = (page: Page) => page.getByRole("dialog", { name: "Changed on another screen too" });
const margin = (page: Page): Locator => page.getByLabel("Clean margin", { exact: true });
const counts = (page: Page, piece: string): Locator =>
  page.getByLabel(new RegExp(`^Pieces of ${piece}`)).first();

async function set(field: Locator, value: string) {
  await field.fill(value);
  await field.press("Enter");
}

test("Back from the day sheet finds the day as it was left, without a quarrel, and undo with it", async ({
  page,
}) => {
  await page.goto(`${DEMO_DAY}/orders`);
  const count = counts(page, "Leek triangle");
  const before = await count.inputValue();
  await set(count, "41");
  await page.getByRole("link", { name: /Day sheet/ }).click();
  await expect(page).toHaveURL(/\/print\//);
  await page.goBack();
  await expect(count).toHaveValue("41");
  await expect(conflict(page)).toBeHidden();
  // Edits of one field closer than this are one gesture, which a quick machine makes of going there and back.
  await page.waitForTimeout(1000);
  await set(count, "42");
  await saved(page);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(count).toHaveValue("41");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(count).toHaveValue(before);
  await saved(page);
});

test("what is typed and printed at once is on the sheet", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/orders`);
  const count = counts(page, "Leek triangle");
  const before = await count.inputValue();
  await count.fill("37");
  // Straight from the field to the sheet: neither left by itself nor given time.
  await page.getByRole("link", { name: /Day sheet/ }).click();
  await expect(page).toHaveURL(/\/print\//);
  await expect(page.getByRole("heading", { name: /Leek triangle/ })).toContainText("37");
  await page.goBack();
  await count.fill("39");
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page
      .getByRole("link", { name: /table|CSV/i })
      .first()
      .click(),
  ]);
  const { readFileSync } = await import("node:fs");
  expect(readFileSync(await file.path(), "utf8")).toContain("Leek triangle");
  await page.reload();
  await expect(count).toHaveValue("39");
  await set(count, before);
  await saved(page);
});

test("what is typed without leaving the field outlives a reload", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/fill`);
  await margin(page).fill("17");
  await page.reload();
  await expect(margin(page)).toHaveValue("17");
  await saved(page);
  // And can still be undone after it.
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(margin(page)).toHaveValue("13");
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(margin(page)).toHaveValue("17");
  await page.getByRole("button", { name: "Undo" }).click();
  await saved(page);
});

test("undo goes back over several screens of the day", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/fill`);
  await set(margin(page), "15");
  await page
    .getByRole("link", { name: /Orders/ })
    .first()
    .click();
  const count = counts(page, "Leek triangle");
  const before = await count.inputValue();
  await set(count, "44");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(count).toHaveValue(before);
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("link", { name: /Fill/ }).first().click();
  await expect(margin(page)).toHaveValue("13");
  await saved(page);
});

test("two tablets that change different fields of one piece keep both", async ({ page, context }) => {
  await page.goto(`${DEMO_DAY}/fill`);
  const other = await context.newPage();
  await other.goto(`${DEMO_DAY}/seal`);
  await set(margin(page), "14");
  await saved(page);
  const vents = other.getByLabel(/^(How many|Slits|Vents)/).first();
  await set(vents, "3");
  await saved(other);
  await expect(conflict(other)).toBeHidden();
  await page.reload();
  await expect(margin(page)).toHaveValue("14");
  await other.reload();
  await expect(vents).toHaveValue("3");
  await set(margin(page), "13");
  await set(vents, "2");
  await saved(page);
  await saved(other);
});

test("undo after keeping theirs does not write over it", async ({ page, context }) => {
  await goDeaf(context);
  await page.goto(`${DEMO_DAY}/fill`);
  const other = await context.newPage();
  await other.goto(`${DEMO_DAY}/fill`);
  await set(margin(page), "14");
  await saved(page);
  await set(margin(other), "16");
  await conflict(other).getByRole("button", { name: "Keep what is there" }).click();
  await expect(margin(other)).toHaveValue("14");
  await expect(other.getByRole("button", { name: "Undo" })).toBeDisabled();
  await page.reload();
  await expect(margin(page)).toHaveValue("14");
  await set(margin(page), "13");
  await saved(page);
});

test("what is in use stays, with its users named, and nothing else waits for it", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/formula/bay-shortcrust`);
  await expect(page.getByRole("button", { name: "Remove this formula" })).toBeDisabled();
  await expect(page.getByText(/^Used by .*Quince half-moon/)).toBeVisible();
  await page.goto(`${DEMO_DAY}/fill`);
  await set(margin(page), "14");
  await saved(page);
  await set(margin(page), "13");
  await saved(page);
});

test("an answer that is lost is no quarrel with oneself", async ({ page, expectConsole }) => {
  expectConsole("ERR_FAILED");
  await page.goto(`${DEMO_DAY}/fill`);
  let lost = 0;
  await page.route("**/api/bench/changes", async (route) => {
    // The server has it; this page never hears of that.
    await route.fetch();
    if (lost++ === 0) await route.abort();
    else await route.continue();
  });
  await set(margin(page), "15");
  await expect(page.getByRole("alert").filter({ hasText: "waits here" })).toBeVisible();
  await saved(page);
  await expect(conflict(page)).toBeHidden();
  await page.unrouteAll();
  await page.reload();
  await expect(margin(page)).toHaveValue("15");
  await set(margin(page), "13");
  await saved(page);
});

test("without a network edits wait on the device, over a reload too, and go out when it is back", async ({
  page,
  context,
  expectConsole,
}) => {
  expectConsole("ERR_INTERNET_DISCONNECTED");
  // The plan may be on its way just then: its worker is replaced.
  expectConsole("importScripts");
  await page.goto(`${DEMO_DAY}/fill`);
  await expect(margin(page)).toHaveValue("13");
  await context.setOffline(true);
  await set(margin(page), "18");
  await expect(page.getByRole("alert").filter({ hasText: "1 change waits here" })).toBeVisible();
  await context.setOffline(false);
  await page.reload();
  await expect(margin(page)).toHaveValue("18");
  await saved(page);
  const other = await context.newPage();
  await other.goto(`${DEMO_DAY}/fill`);
  await expect(margin(other)).toHaveValue("18");
  await set(margin(other), "13");
  await saved(other);
});

test("a formula that is being pasted outlives going away and coming back", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/paste`);
  const text = page.getByLabel(/A line an ingredient/);
  await text.fill("250 g flour\n120 g butter");
  await page.keyboard.press("Escape");
  await page.goto(`${DEMO_DAY}/kit`);
  await page.goBack();
  await expect(text).toHaveValue("250 g flour\n120 g butter");
  await text.fill("");
});
