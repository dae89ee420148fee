import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import type Axe from "axe-core";
import { findBroken } from "./findBroken";
import { findTight } from "./findTight";
import { screens } from "./screenPaths";
import { DEMO_DAY, expect, test } from "./silentTest";

test.beforeAll(async ({ playwright }, { project }) => {
  const request = await playwright.request.newContext({ baseURL: project.use.baseURL! });
  expect((await request.post("/api/v1/runs/2026-11-28", { data: {} })).ok()).toBe(true);
  // A habit is known, whatever ran before: of an oven that no kitchen has, so that no plan is touched.
  const log = "habit,date,planned,real,offC\noven:lent,2026-11-21,,,4\n";
  expect((await request.post("/api/v1/habits/log", { data: log })).ok()).toBe(true);
  await request.dispose();
});

const axeSource = readFileSync("node_modules/axe-core/axe.min.js", "utf8");

/** A phone, a tablet upright, one lying, a large screen, and the tablet at twice the size. */
const widths = [390, 768, 1280, 1920, 640];

/**
 * All that axe finds, with where. Asked of the page itself: no page has frames to gather from, and what axe is goes to a
 * page once, not twice for each question.
 * @param rules - Only these; all of them where none is named.
 */
async function findFaults(page: Page, rules: readonly string[] = []): Promise<unknown[]> {
  if (!(await page.evaluate(() => "axe" in globalThis))) await page.evaluate(axeSource);
  return page.evaluate(async (only) => {
    const { violations } = await (globalThis as unknown as { axe: typeof Axe }).axe.run({
      resultTypes: ["violations"],
      ...(only.length > 0 && { runOnly: [...only] }),
    });
    return violations.map(({ id, nodes }) => [id, nodes.map(({ html }) => html.slice(0, 160))]);
  }, rules);
}

for (const path of screens) {
  test(`${path}: axe finds nothing by day and by night; at every width fingers hit it, its tables break no amount and it is no wider than the screen`, async ({
    page,
  }) => {
    await page.goto(path);
    await expect(page.locator("main")).toBeVisible();
    await expect(page.getByRole("heading").first()).toBeVisible();
    expect(await findFaults(page)).toEqual([]);
    // Another theme is other colours on the same page: nothing else of it can differ.
    await page.evaluate(() => (document.documentElement.dataset.theme = "tezgah-night"));
    expect(await findFaults(page, ["color-contrast", "link-in-text-block"])).toEqual([]);
    for (const width of widths) {
      await page.setViewportSize({ width, height: 844 });
      await expect
        .poll(() =>
          page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
        )
        .toBe(0);
      expect([width, await findTight(page)]).toEqual([width, []]);
      expect([width, await findBroken(page)]).toEqual([width, []]);
    }
  });
}

test("on a tablet lying down the tally is one line; on a phone the run is begun at its right, and what stands is read across", async ({
  page,
}) => {
  await page.goto("/day/2026-12-05/orders");
  const tally = page.getByRole("contentinfo", { name: "Tally" });
  const run = tally.getByRole("button", { name: "Run this day" });
  for (const width of [1280, 1080, 1024]) {
    await page.setViewportSize({ width, height: 800 });
    expect([width, (await tally.boundingBox())!.height]).toEqual([width, 56]);
  }
  await page.setViewportSize({ width: 390, height: 844 });
  const { x, width } = (await run.boundingBox())!;
  expect(x + width).toBeGreaterThan(360);
  const standing = page.getByRole("region", { name: "Standing orders of this day" });
  expect((await standing.getByRole("list").boundingBox())!.width).toBeGreaterThan(300);
});

test("an address that leads nowhere says so and leads back", async ({ page, expectConsole }) => {
  expectConsole("404");
  await page.goto("/day/1999-01-01/orders");
  await page.getByRole("link", { name: "To the bench" }).click();
  await expect(page).toHaveURL(/orders$/);
});

test("the dialogs answer to axe as well", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/orders`);
  for (const key of ["b", "?", "/"]) {
    // The first key may come before the page listens.
    await expect(async () => {
      await page.keyboard.press(key);
      await expect(page.getByRole("dialog")).toBeVisible({ timeout: 500 });
    }).toPass();
    expect(await findFaults(page)).toEqual([]);
    await page.keyboard.press("Escape");
    await expect(page.getByRole("dialog")).toBeHidden();
  }
});

test("names as long as they may be, in any letters, push nothing aside", async ({ page, request }) => {
  const names = [
    { id: "quince-half-moon", was: "Quince half-moon", name: "Wm".repeat(40) },
    { id: "leek-triangle", was: "Leek triangle", name: "فطيرة الكراث ".repeat(6).trim() },
    { id: "rhubarb-crescent", was: "Rhubarb crescent", name: "大黄と橙の三日月".repeat(9) },
  ];
  const rename = async (isBack: boolean) => {
    const changes = names.map(({ id, was, name }) => ({
      ...{ kind: "piece", id },
      ...{ was: { name: isBack ? name : was }, set: { name: isBack ? was : name } },
    }));
    const group = { id: `names-${isBack ? "back" : "long"}-${Date.now()}`, changes };
    const answer = await request.post("/api/bench/changes", { data: { groups: [group] } });
    expect(JSON.stringify(await answer.json())).toContain('"written"');
  };
  await rename(false);
  try {
    for (const path of [
      "orders",
      "roll",
      "fill",
      "seal",
      "bake",
      "cool",
      "book",
      "labels",
      "costs",
      "allergens",
    ]) {
      await page.goto(`${DEMO_DAY}/${path}`);
      await expect(page.getByText(names[0]!.name).first()).toBeAttached();
      for (const width of [390, 1280]) {
        await page.setViewportSize({ width, height: 800 });
        const over = () =>
          page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
        await expect.poll(over, { message: `${path} at ${width}` }).toBe(0);
        // The dials keep their place beside the surface.
        const dials = page.getByRole("complementary", { name: "Dials" });
        if (width === 1280 && (await dials.count()) > 0)
          expect(Math.round((await dials.boundingBox())!.x)).toBe(910);
        expect([path, width, await findTight(page)]).toEqual([path, width, []]);
      }
    }
  } finally {
    await rename(true);
  }
});
