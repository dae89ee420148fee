import { expect, test } from "./silentTest";

test("a trouble is looked up by hand: what is known ranks its causes, and a remedy is taken and taken back", async ({
  page,
}) => {
  await page.goto("/day/2026-11-28/orders");
  await page.getByRole("button", { name: "Book" }).click();
  await page.getByRole("button", { name: "What went wrong, and why" }).click();
  await expect(page.getByRole("heading", { name: "What went wrong, and why", exact: true })).toBeVisible();
  await page.getByLabel("Trouble").selectOption("Pale");
  const why = page.getByRole("region", { name: "Why: Pale" });
  const first = why.getByRole("listitem").first();
  // Nothing known: the craft's own order, and no remedy for no piece.
  await expect(first).toContainText("the oven was cooler than it said");
  await expect(why.getByRole("button")).toHaveCount(0);
  await page.getByLabel("Minutes in the heat against the planned ones, %").fill("78");
  await page.keyboard.press("Enter");
  await expect(first).toContainText("it was taken out too soon");
  await expect(first).toContainText("78 %, speaks for it");
  await page.getByLabel("Minutes in the heat against the planned ones, %").fill("900");
  await expect(page.getByText("Give a figure between −500 and 500.")).toBeVisible();
  await page.getByLabel("Minutes in the heat against the planned ones, %").fill("");
  await page.keyboard.press("Enter");
  await page.getByLabel("Oven against its setting, °C, colder with a minus").fill("-18");
  await page.keyboard.press("Enter");
  await expect(first).toContainText("−18 °C, speaks for it");

  await page.getByLabel("Of which piece").selectOption("Quince half-moon");
  await first.getByRole("button", { name: "From now on baked at 210 °C, not 200" }).click();
  await expect(first.getByRole("button")).toHaveText("From now on baked at 220 °C, not 210");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(first.getByRole("button")).toHaveText("From now on baked at 210 °C, not 200");
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
});
