import { readFileSync } from "node:fs";
import { DEMO_DAY, expect, test } from "./silentTest";

const MONDAY = "/day/2026-11-30";

test("both ovens bake, each with its own heat behind its loads, and a load says where it goes", async ({
  page,
}) => {
  await page.goto(`${MONDAY}/bake`);
  const clock = page.getByRole("group", { name: /^Day from/ });
  await expect(clock.getByText(/^Two-deck oven/)).toBeVisible();
  await expect(clock.getByText(/^Small fan oven/)).toBeVisible();
  await expect(page.getByText(/^light small fan oven at/)).toBeVisible();
  // Chosen in the list, it is brought into the window of the clock.
  await page.getByRole("button", { name: "Heat", exact: true }).click();
  await page
    .getByRole("list", { name: "Jobs by the clock" })
    .getByText(/^\d+ Harbour fold/)
    .first()
    .click();
  await expect(clock.getByRole("button", { name: /^Bake Harbour fold/ })).toHaveAttribute(
    "aria-pressed",
    "true",
  );
  // Written for still air at 210 °C: the fan is set twenty lower.
  await expect(
    page.locator("p").filter({ hasText: "Bake Harbour fold to share, load 1 of 1" }),
  ).toContainText(/small fan oven set to 190 °C|two-deck oven set to 210 °C/);
});

test("what if: each answer says what the day would be, is taken with one tap, and undone", async ({
  page,
}) => {
  await page.goto(`${MONDAY}/bake`);
  // Reckoned once it is looked at.
  await page.getByRole("heading", { name: "What if …" }).scrollIntoViewIfNeeded();
  const helper = page
    .getByRole("list", { name: "What if" })
    .getByRole("button", { name: /^A second pair of hands/ });
  await expect(helper).toContainText(/start \d\d:\d\d, .* later · day .* less/);
  await helper.click();
  await expect(page.getByRole("button", { name: "Helper", exact: true })).toBeVisible();
  await page.goto(`${MONDAY}/orders`);
  await expect(page.getByLabel("Leaves at")).toHaveValue("22:00");
  await page.getByText("none", { exact: true }).click();
  await expect(page.getByLabel("Leaves at")).toBeHidden();
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
});

test("a day that cannot be says why, and a mend that was tried whole mends it", async ({ page }) => {
  await page.goto(`${MONDAY}/orders`);
  const opens = page.getByLabel("Nobody starts before");
  await opens.fill("9:00");
  await opens.press("Enter");
  await page.getByRole("link", { name: /6 Bake & fry/ }).click();
  await page.getByRole("heading", { name: "What if …" }).scrollIntoViewIfNeeded();
  await expect(page.getByText("Why it is late")).toBeVisible();
  const mends = page.getByRole("list", { name: "Mends" }).getByRole("button");
  await expect(mends.first()).toContainText("nothing late");
  await mends.first().click();
  await expect(page.getByText("Why it is late")).toBeHidden();
  await page.goto(`${MONDAY}/orders`);
  // Whichever mend was the first to be there: all of it is taken back.
  const undo = page.getByRole("button", { name: "Undo" });
  await expect(undo).toBeEnabled();
  while (await undo.isEnabled()) await undo.click();
  await expect(opens).toHaveValue("04:00");
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
});

test("a shorter day is looked for, can be stopped, is kept over a reload and forgotten", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/bake`);
  const day = page.getByText(/The hands’ day is/);
  const before = await day.textContent();
  await page.getByRole("button", { name: "Look for a shorter day" }).click();
  await expect(day).toContainText(/found .*no day can be under/);
  const stop = page.getByRole("button", { name: "Stop looking" });
  await page.waitForTimeout(1500);
  if (await stop.isVisible()) await stop.click();
  await page.getByRole("button", { name: "Keep this order" }).click();
  await expect(day).not.toContainText("found");
  await expect(day).not.toHaveText(before ?? "");
  const kept = await day.textContent();
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await page.reload();
  await expect(day).toHaveText(kept ?? "");
  await page.getByRole("button", { name: "Forget the order kept" }).click();
  await expect(day).toHaveText(before ?? "");
});

test("another oven is added, named and taken out again", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/kit`);
  await page.getByRole("button", { name: "Another oven" }).click();
  const added = page.getByRole("region", { name: "Another oven" });
  await added.getByText("countertop hot air", { exact: true }).click();
  await expect(added.getByText("countertop hot air", { exact: true })).toBeVisible();
  await added.getByRole("button", { name: "Take Another oven out" }).click();
  await expect(added).toBeHidden();
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
});

test("the day is downloaded as a calendar with alarms and as a table; a day that is not there is refused", async ({
  page,
  request,
}) => {
  await page.goto(`${DEMO_DAY}/orders`);
  const fetchFile = async (name: string) => {
    const download = page.waitForEvent("download");
    await page.getByRole("link", { name }).click();
    return readFileSync(await (await download).path(), "utf8");
  };
  const calendar = await fetchFile("Calendar with alarms");
  expect(calendar).toContain("BEGIN:VCALENDAR");
  expect(calendar).toContain("Light two-deck oven");
  expect(await fetchFile("Jobs as CSV")).toMatch(/^from,until,who,what/);
  expect(await fetchFile("Orders as CSV")).toMatch(/^customer,piece,count,time/);
  // The calendar that stays: all days around now, and nothing again to whom has it.
  const feed = await request.get("/api/calendar.ics");
  expect([feed.status(), feed.headers()["content-type"]]).toEqual([200, "text/calendar; charset=utf-8"]);
  expect(await feed.text()).toMatch(/DTSTART:20261128T\d{6}Z[^]*DTSTART:20261205T\d{6}Z/);
  const again = await request.get("/api/calendar.ics", {
    headers: { "if-none-match": feed.headers().etag! },
  });
  expect(again.status()).toBe(304);
  const missing = await request.get("/api/day/1999-01-01/ics");
  expect([missing.status(), (await missing.json()).faults[0].message]).toEqual([
    404,
    expect.stringContaining("no day 1999-01-01"),
  ]);
});
