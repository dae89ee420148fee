import { expect, test } from "./silentTest";

const PIECE = "/day/2026-11-30/piece/custard-cup/heat";

test("a bake that is known foretells a thicker one, and another oven sets itself", async ({ page }) => {
  await page.goto(PIECE);
  const minutes = async () => {
    const label = (await page.getByRole("img", { name: /^Core of/ }).getAttribute("aria-label")) ?? "";
    return Number(/after ([\d.]+) minutes/.exec(label)?.[1]);
  };
  await expect(page.getByText("bake it", { exact: true })).toBeVisible();
  // Nine minutes and fourteen: the known bake is its own prediction.
  await expect.poll(minutes).toBeCloseTo(23, 0);
  const high = page.getByLabel("As high as", { exact: true });
  await high.fill("45");
  await high.press("Enter");
  await expect.poll(minutes).toBeGreaterThan(30);
  await page.getByText("fan", { exact: true }).click();
  await expect(page.getByText("160 °C", { exact: true })).toBeVisible();
  await high.fill("900");
  await expect(page.getByRole("alert").filter({ hasText: "300 mm too much" })).toBeVisible();
});

test("cooling too deep breaks the usual rule and says by how much; oil says its largest load", async ({
  page,
}) => {
  await page.goto(PIECE);
  await page.getByText("Cooling", { exact: true }).click();
  await expect(page.getByText(/^core at 60 °C after/)).toBeVisible();
  const high = page.getByLabel("As high as", { exact: true });
  await high.fill("70");
  await high.press("Enter");
  await expect(page.locator("main").getByRole("alert").first()).toContainText(/From 60 to 21 °C within 2 h/);
  await page.goto("/day/2026-11-28/piece/rhubarb-crescent/heat");
  await page.getByText("In oil", { exact: true }).click();
  await expect(page.getByText("largest load", { exact: true })).toBeVisible();
  const pieces = page.getByLabel("In at once", { exact: true });
  await pieces.fill("60");
  await pieces.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "the crust turns greasy" })).toBeVisible();
  await expect(page.getByText("never water on burning oil")).toBeVisible();
});
