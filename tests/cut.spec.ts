import { readFileSync } from "node:fs";
import { DEMO_DAY, expect, test } from "./silentTest";

test("how many will this make: counts follow the dough and the edge; a wanted count finds its thickness", async ({
  page,
}) => {
  await page.goto(`${DEMO_DAY}/yield`);
  const cell = (name: RegExp) => page.getByRole("button", { name });
  const at3 = cell(/^Round 120 at 3 mm: /);
  await expect(at3).toBeVisible();
  const count = async () => Number(/: (\d+) cut/.exec((await at3.getAttribute("aria-label")) ?? "")?.[1]);
  const before = await count();
  const mass = page.getByLabel("So much of it");
  await mass.fill("2 kg");
  await mass.press("Enter");
  await expect.poll(count).toBeGreaterThanOrEqual(2 * before - 1);
  await mass.fill("three bricks");
  await expect(page.getByRole("alert").filter({ hasText: "no number in it" })).toBeVisible();
  await mass.fill("5 g");
  await mass.press("Enter");
  await expect(page.getByText(/Not one: this is too little dough/)).toBeVisible();
  await page.getByRole("button", { name: "in the larder, 430 g" }).click();
  await expect(page.getByRole("heading", { name: "How many will 430 g make?" })).toBeVisible();
  await page.getByLabel("Or: exactly so many wanted").fill("12");
  await page.getByLabel("Or: exactly so many wanted").press("Enter");
  const exact = page.getByRole("list", { name: "Exactly 12" });
  await expect(exact.getByRole("listitem")).toHaveCount(3);
  await expect(exact).toContainText(/exactly 12 at \d/);
  await at3.click();
  await expect(page.getByRole("img", { name: /^Sheet 1 of/ })).toBeVisible();
});

test("a template at true size is downloaded, in rows and laid tight, and the search can be stopped", async ({
  page,
}) => {
  await page.goto(`${DEMO_DAY}/roll?piece=rhubarb-crescent`);
  await page.getByRole("button", { name: "Template" }).click();
  const dialog = page.getByRole("dialog", { name: "Template at true size" });
  const rows = Number(await dialog.locator(".figure.text-3xl").textContent());
  const fetchSvg = async () => {
    const download = page.waitForEvent("download");
    await dialog.getByRole("button", { name: "SVG" }).click();
    return readFileSync((await (await download).path())!, "utf8");
  };
  const circles = (svg: string) => [...svg.matchAll(/<circle [^>]*r="47\.5"/g)].length;
  expect(circles(await fetchSvg())).toBe(rows);
  await dialog.getByRole("button", { name: "Look for a tighter layout" }).click();
  await expect(dialog.getByText(/tries · no way to cut more than/)).toBeVisible();
  const stop = dialog.getByRole("button", { name: "Stop looking" });
  if (await stop.isVisible()) await stop.click();
  await expect(dialog.getByRole("button", { name: "Look for a tighter layout" })).toBeVisible();
  const shown = Number(await dialog.locator(".figure.text-3xl").textContent());
  expect(shown).toBeGreaterThanOrEqual(rows);
  expect(circles(await fetchSvg())).toBe(shown);
  const pdf = page.waitForEvent("download");
  await dialog.getByRole("button", { name: "PDF, A4" }).click();
  expect(
    readFileSync((await (await pdf).path())!)
      .subarray(0, 5)
      .toString(),
  ).toBe("%PDF-");
});

test("a mould's blank follows its size, and the drawer says what each cutter does in it", async ({
  page,
}) => {
  await page.goto(`${DEMO_DAY}/mould`);
  // 60 + 2 · √(22² + 10²) + 2 · 5 − 1.144 · 3 = 114.9 mm.
  await expect(page.getByText("115", { exact: true })).toBeVisible();
  const drawer = page.getByRole("list", { name: "Cutters in the drawer" });
  await expect(drawer.getByRole("listitem").first()).toContainText(/Round 120 ?.*more trim than needed/);
  await expect(drawer).toContainText(/Round 95 ?short by 4\.\d mm on the wall|Round 95.*short by/);
  const depth = page.getByLabel("Deep", { exact: true });
  await depth.fill("1 1/4 in");
  await depth.press("Enter");
  await expect(page.getByText("133", { exact: true })).toBeVisible();
  await depth.fill("900");
  await expect(page.getByRole("alert").filter({ hasText: "750 mm too much" })).toBeVisible();
  await page.getByText("oval", { exact: true }).click();
  await expect(page.getByText(/no round cutter serves an oval mould/)).toBeVisible();
});
