import type { Locator, Page } from "@playwright/test";
import { expect, test } from "./silentTest";

const MARKET = "/day/2026-12-05";
const EVE = "/day/2026-12-04";
const saved = (page: Page) => expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();

async function drag(page: Page, bar: Locator, byPx: number) {
  const box = (await bar.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + byPx, y, { steps: 5 });
  await page.mouse.up();
}

test("a load is dragged to another minute, stays there over a reload, is moved by keys and unpinned", async ({
  page,
}) => {
  await page.goto(`${MARKET}/bake`);
  const clock = page.getByRole("group", { name: /^Day from/ });
  const load = clock.getByRole("button", { name: /^Bake Quince half-moon, load 1 of 1/ });
  const at = async () => /, (\d\d):(\d\d) to/.exec((await load.getAttribute("aria-label"))!)!;
  const minutes = async () => {
    const [, hour, minute] = await at();
    return Number(hour) * 60 + Number(minute);
  };
  const before = await minutes();
  await drag(page, load, -30);
  await expect(load).toHaveAttribute("aria-label", /pinned$/);
  await expect.poll(minutes).toBeLessThan(before);
  const pinned = await minutes();
  expect(pinned % 5).toBe(0);
  await saved(page);
  await page.reload();
  await expect(load).toHaveAttribute("aria-label", /pinned$/);
  await expect.poll(minutes).toBe(pinned);
  await load.focus();
  await page.keyboard.press("ArrowRight");
  await expect.poll(minutes).toBe(pinned + 5);
  await page.getByRole("button", { name: "Unpin", exact: true }).click();
  await expect(load).not.toHaveAttribute("aria-label", /pinned$/);
  await expect.poll(minutes).toBe(before);
  await saved(page);
});

test("a pin that cannot be kept says by how much, and is taken back", async ({ page }) => {
  const openAt = async (clockTime: string) => {
    await page.goto(`${MARKET}/orders`);
    const opens = page.getByLabel("Nobody starts before");
    await opens.fill(clockTime);
    await opens.press("Enter");
    await saved(page);
    await page.goto(`${MARKET}/bake`);
  };
  await openAt("6:45");
  await page
    .getByRole("list", { name: "Jobs by the clock" })
    .getByRole("button", { name: /Mix / })
    .first()
    .click();
  const refusal = page.getByText(/^Mix .* is pinned to .* before anybody is there/);
  for (let step = 0; step < 12 && !(await refusal.isVisible()); step++) {
    await page.getByRole("button", { name: "5 minutes earlier" }).click();
    await saved(page);
  }
  await expect(
    page.getByText(/^Mix .* is pinned to .* before anybody is there\. Unpin it, or open at/),
  ).toBeVisible();
  await page.getByRole("button", { name: /^Unpin 1 job/ }).click();
  await expect(page.getByText(/before anybody is there/)).toBeHidden();
  await saved(page);
  await openAt("3:00");
});

test("what is fried shows its baskets and its caution; baked instead, the fryer's lane goes", async ({
  page,
}) => {
  await page.goto(`${MARKET}/bake?piece=rhubarb-crescent`);
  const clock = page.getByRole("group", { name: /^Day from/ });
  await expect(clock.getByText("Six-litre fryer")).toBeVisible();
  await expect(page.getByText("in one basket", { exact: true })).toBeVisible();
  await expect(page.getByText(/never water on burning oil/)).toBeVisible();
  await expect(page.getByText(/^light six-litre fryer at/)).toBeVisible();
  await page.getByText("Baked", { exact: true }).click();
  await expect(clock.getByText("Six-litre fryer")).toBeHidden();
  await expect(page.getByText(/never water on burning oil/)).toBeHidden();
  await page.keyboard.press("ControlOrMeta+z");
  await expect(clock.getByText("Six-litre fryer")).toBeVisible();
  await saved(page);
});

test("moulds are entered with how many there are, chosen for a piece, and given up again", async ({
  page,
}) => {
  await page.goto(`${MARKET}/kit`);
  const list = page.getByRole("region", { name: "Moulds, pans and trays" });
  await list.getByRole("button", { name: "Add moulds" }).click();
  const name = list.getByLabel("Name").last();
  await name.fill("Fluted sixes");
  await name.press("Enter");
  const each = list.getByLabel("Pieces in each", { exact: true }).last();
  await each.fill("0");
  await each.blur();
  await expect(list.getByRole("alert")).toContainText(/0 is 1 too little/);
  await each.fill("6");
  await each.press("Enter");
  await list.getByRole("button", { name: "One fewer of Fluted sixes" }).click();
  await page.goto(`${MARKET}/bake?piece=tahini-tartlet`);
  await page.getByLabel("Baked in").selectOption({ label: "Fluted sixes, 66 pieces" });
  await expect(page.getByLabel("Baked in")).toHaveValue(/mould/);
  await saved(page);
  await page.goto(`${MARKET}/kit`);
  await list.getByRole("button", { name: "Remove Fluted sixes" }).click();
  await saved(page);
  await page.goto(`${MARKET}/bake?piece=tahini-tartlet`);
  await expect(page.getByLabel("Baked in")).toHaveValue("on the tray");
  await page.getByLabel("Baked in").selectOption({ label: "Loose-bottomed rings, 12 pieces" });
  await saved(page);
});

test("fillings are made the day before with one tap: this day gets shorter, that day has them", async ({
  page,
}) => {
  await page.goto(`${MARKET}/bake`);
  await page.getByRole("heading", { name: "Made the day before" }).scrollIntoViewIfNeeded();
  const offers = page.getByRole("list", { name: "Could be made the day before" });
  const fillings = offers.getByRole("button", { name: /^All fillings that keep/ });
  await expect(fillings).toContainText(/start \d\d:\d\d.* day .* less.*Fri 4 Dec: .* of a day/);
  await fillings.click();
  await expect(page.getByText(/Plum and poppy, made Fri 4 Dec/)).toBeVisible();
  await saved(page);
  await page.goto(`${EVE}/mix`);
  await expect(page.getByRole("heading", { name: "Plum and poppy" })).toBeVisible();
  await expect(page.getByText(/of it for another day/).first()).toBeVisible();
  await page.goto(`${EVE}/bake`);
  await page.goto(`${MARKET}/bake`);
  await page.getByRole("button", { name: "Do not make Plum and poppy ahead" }).click();
  await expect(page.getByText(/Plum and poppy, made Fri 4 Dec/)).toBeHidden();
  await saved(page);
});

test("the day is downloaded as a sheet for each person", async ({ page, request }) => {
  await page.goto(`${MARKET}/orders`);
  const link = page.getByRole("link", { name: "By the clock, PDF A4" });
  const answer = await request.get((await link.getAttribute("href"))!);
  expect(answer.headers()["content-type"]).toBe("application/pdf");
  expect((await answer.body()).subarray(0, 5).toString()).toBe("%PDF-");
  const other = await request.get(`/api${MARKET}/docx`);
  expect([other.status(), (await other.json()).faults[0].message]).toEqual([
    404,
    "A day is written as ics, csv, pdf, orders or larder.",
  ]);
});

test("two times with a clock tell what a fryer holds and loses; times no oil could have are refused", async ({
  page,
}) => {
  await page.goto(`${MARKET}/kit`);
  await page.getByText("Find both with a clock").click();
  const warm = page.getByLabel("100 to 170 °C, heater on", { exact: true });
  const cool = page.getByLabel("170 back to 160 °C, heater off", { exact: true });
  await warm.fill("60");
  await warm.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "more than oil in a pan can have" })).toBeVisible();
  await warm.fill("6");
  await warm.press("Enter");
  await cool.fill("4");
  await cool.press("Enter");
  const found = page.getByRole("status").filter({ hasText: "J/kg K" });
  const [heat, loss] = [...((await found.textContent()) ?? "").matchAll(/[\d,.]+(?= J\/kg K| W\/K)/g)].map(
    ([text]) => Number(text.replace(",", "")),
  );
  await page.getByRole("button", { name: "Use these" }).click();
  await expect(page.getByLabel("Warms with", { exact: true })).toHaveValue(String(heat));
  await expect(page.getByLabel("Loses", { exact: true })).toHaveValue(String(loss));
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel("Loses", { exact: true })).toHaveValue(String(loss));
});
