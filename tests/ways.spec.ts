import type { Page } from "@playwright/test";
import { expect, test } from "./silentTest";

// The demo's great market has a piece of every form; what one test changes it puts back by undo.
const FAIR = "/day/2026-11-30";
const namesOf = async (page: Page) =>
  (
    await page
      .getByRole("list", { name: "Steps" })
      .locator("li > div > button:first-child .font-medium")
      .allTextContents()
  ).map((name) => name.trim());
const pick = (page: Page, name: string) =>
  page
    .getByRole("list", { name: "Steps" })
    .locator("li > div > button:first-child", { hasText: name })
    .first()
    .click();
const dials = (page: Page) => page.getByRole("complementary", { name: "Dials" });

/** Edits that follow each other at once are one step back: how many there are is not the test's. */
async function undoAll(page: Page) {
  const undo = page.getByRole("button", { name: /^Undo/ });
  await expect(undo).toBeEnabled();
  while (await undo.isEnabled()) await undo.click();
}

test("the way of a piece stands on the clock; a step moved where it cannot be is refused with the reason", async ({
  page,
}) => {
  await page.goto(`${FAIR}/piece/pear-coat/way`);
  await expect(page.getByRole("heading", { name: /Pear in its coat/ }).first()).toBeVisible();
  const before = await namesOf(page);
  expect(before.indexOf("Pour around, not over")).toBe(before.indexOf("Bake") - 1);
  expect(before.indexOf("Bring to the boil")).toBeGreaterThan(before.indexOf("Chill"));
  await expect(page.getByText("straight before the heat, 4 min at most")).toBeVisible();

  await pick(page, "Close and crimp");
  await dials(page).getByRole("button", { name: "Earlier" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Not changed" })).toContainText(
    "cannot come before “bring the corners up”",
  );
  expect(await namesOf(page)).toEqual(before);

  await pick(page, "Pour around");
  await expect(dials(page)).toContainText("g in each of");
  await expect(dials(page)).toContainText("Pour away from you");
});

test("steps are added, set, moved by keyboard and taken away; the clock answers and undo gives all back", async ({
  page,
}) => {
  await page.goto(`${FAIR}/piece/date-round/way`);
  await expect(page.getByRole("list", { name: "Steps" })).toBeVisible();
  const before = await namesOf(page);
  await page.getByRole("button", { name: "+ a step" }).click();
  await page
    .getByRole("group", { name: "In the heat" })
    .getByRole("button", { name: "Turn the tray" })
    .click();
  await expect.poll(() => namesOf(page)).toContain("Turn the tray");
  const turned = await namesOf(page);
  // A turn needs two heats: the one there was is parted.
  expect(turned.slice(turned.indexOf("Bake"), turned.indexOf("Bake") + 3)).toEqual([
    "Bake",
    "Turn the tray",
    "Bake on",
  ]);
  await expect(page.getByText(/since you began: /)).toBeVisible();

  await pick(page, "Chill");
  const minutes = dials(page).getByLabel("By itself", { exact: true });
  await minutes.fill("45");
  await minutes.press("Enter");
  await expect(page.getByRole("list", { name: "Steps" }).getByText("45 min", { exact: true })).toBeVisible();

  // By the keyboard alone: the handle of the chill, one down past its neighbour.
  const handle = page.getByRole("button", { name: "Move Chill" });
  const place = turned.indexOf("Chill") + 1;
  await handle.focus();
  for (const [key, said] of [
    ["Space", `Chill is over step ${place} of`],
    ["ArrowUp", `Chill is over step ${place - 1} of`],
    ["Space", `Chill stands at step ${place - 1} of`],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page.getByText(said)).toBeAttached();
  }
  await expect.poll(async () => (await namesOf(page)).indexOf("Chill")).toBe(turned.indexOf("Chill") - 1);

  await undoAll(page);
  await expect.poll(() => namesOf(page)).toEqual(before);
});

test("a reload keeps the way; the day sheet tells its steps under the job that holds them", async ({
  page,
}) => {
  await page.goto(`${FAIR}/piece/leek-press/way`);
  await page.getByRole("button", { name: /others…/ }).click();
  await page
    .getByRole("list", { name: "Ways ready to take" })
    .getByRole("button", { name: /Turned and coated at half time/ })
    .click();
  await expect.poll(() => namesOf(page)).toContain("Turn the tray");
  await pick(page, "Turn the tray");
  await dials(page).getByLabel("Look for").fill("the left corner is pale");
  await dials(page).getByLabel("Look for").press("Enter");
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await page.reload();
  await pick(page, "Turn the tray");
  await expect(dials(page).getByLabel("Look for")).toHaveValue("the left corner is pale");

  await page.goto("/print/2026-11-30");
  const row = page.getByRole("listitem").filter({ hasText: "Bake Pressed leek parcel, load 1 of 1" });
  await expect(row).toContainText(/\d\d:\d\d Turn the tray/);
  await expect(row).toContainText("Lower the heat, bake on");
  await expect(page.getByRole("heading", { name: "Set out besides" })).toBeVisible();
  await expect(page.getByText(/Contains: .*gluten/).first()).toBeVisible();

  await page.goto(`${FAIR}/piece/leek-press/way`);
  await undoAll(page);
  await expect.poll(() => namesOf(page)).not.toContain("Turn the tray");
});

test("at hand size every step can be read and reached", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${FAIR}/piece/custard-cup/way`);
  await expect(page.getByRole("list", { name: "Steps" })).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
  await pick(page, "Fill");
  await expect(dials(page).getByLabel("Look for")).toHaveValue("strained, poured almost to the top");
});
