import { readFileSync } from "node:fs";
import { PDFDocument } from "pdf-lib";
import type { Page } from "@playwright/test";
import { createOwnServer } from "./ownServer";
import { DEMO_DAY, expect, test } from "./silentTest";

/** A bakery that begins with an empty file. */
const own = createOwnServer(3463);
const saved = (page: Page) => expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
const open = async (page: Page, name: string) => {
  await page.keyboard.press("ControlOrMeta+k");
  await page.keyboard.type(name);
  await page.keyboard.press("Enter");
};

test("a week of a bakery of three customers, from an empty file: what stands, two days, labels, allergens, prices, the sheet, handed over", async ({
  page,
}) => {
  await own.start(own.file("selling.db"));
  await page.goto(own.base);
  await page.keyboard.press("Tab");
  await page.keyboard.press("Tab");
  await page.keyboard.press("ControlOrMeta+a");
  await page.keyboard.type("12");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("tally")).toContainText("ready 14");
  const day = new URL(page.url()).pathname.split("/").slice(0, 3).join("/");
  const date = day.split("/")[2]!;

  // Three customers; two of them have something that stands on this day of the week and the next.
  await page.goto(`${own.base}${day}/customers`);
  const weekdays = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"];
  const next = weekdays[(new Date(`${date}T12:00:00Z`).getUTCDay() + 7) % 7]!;
  for (const [name, pieces, at] of [
    ["Lamp room", "20", "10:15"],
    ["Rope walk", "8", "11:00"],
    ["Tide house", "0", ""],
  ] as const) {
    await page.locator("#customer-name").fill(name);
    await page.locator("#customer-name").press("Enter");
    const card = page.getByRole("listitem", { name });
    await expect(card).toBeVisible();
    if (at === "") continue;
    await card.getByLabel("Usually at").fill(at);
    await card.getByLabel("Usually at").press("Enter");
    await card.getByRole("button", { name: "Add a standing order" }).click();
    const stands = card.getByRole("list", { name: `Standing orders of ${name}` });
    await stands.getByLabel("Pieces", { exact: true }).fill(pieces);
    await stands.getByLabel("Pieces", { exact: true }).press("Enter");
    await stands.getByRole("button", { name: next }).click();
  }
  await saved(page);

  // What stands is taken in on this day; the other day is made in the week, with it.
  await page.goto(`${own.base}${day}/orders`);
  await page.getByRole("button", { name: "Take in 28 pieces" }).click();
  await expect(page.getByTestId("tally")).toContainText("ready 42");
  await saved(page);
  await page.goto(`${own.base}/week?on=${date}`);
  await page.getByRole("button", { name: "Make it, with 28 pieces that stand" }).first().click();
  await expect(page.getByText("Rope walk")).toHaveCount(2);

  // Labels of the orders, on the screen and as a file.
  await page.goto(`${own.base}${day}/labels`);
  await page.getByText("Orders", { exact: true }).last().click();
  await expect(page.getByRole("status").filter({ hasText: "3 labels on 1 sheet" })).toBeVisible();
  await expect(page.getByRole("img", { name: "Label for Lamp room, 10:15" })).toContainText("use by");
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "PDF" }).click(),
  ]);
  const pdf = await PDFDocument.load(readFileSync(await file.path()));
  expect(pdf.getPageCount()).toBe(1);
  await page.getByRole("link", { name: "Print", exact: true }).click();
  await expect(page.getByRole("img", { name: "Sheet 1 of 1" })).toContainText("Rope walk");

  // What must be named, by what; what it costs, and what is left at a price.
  await page.goto(`${own.base}${day}/allergens`);
  await page.getByRole("button", { name: /^10:15 Lamp room, gluten: contains$/ }).click();
  await expect(page.getByRole("complementary")).toContainText("plain flour");
  await page.goto(`${own.base}${day}/costs`);
  await page.getByLabel("Money is told in").selectOption("EUR");
  await page.getByLabel("An hour of hands").fill("18");
  await page.getByLabel("An hour of hands").press("Enter");
  const sum = page.getByRole("region", { name: "The day" });
  await expect(sum).toContainText("No price yet for");
  await page.getByLabel(/^Price of one /).fill("2.50");
  await page.getByLabel(/^Price of one /).press("Enter");
  await expect(sum).toContainText("sold for €100.00");
  await saved(page);
  await page.reload();
  await expect(sum).toContainText("sold for €100.00");

  // The sheet has the promises first; then they are handed over.
  await open(page, "day sheet");
  await expect(page).toHaveURL(/\/print\//);
  await expect(page.getByRole("heading", { level: 2 }).first()).toHaveText("Promised");
  await expect(page.getByText("Rope walk: 8")).toBeVisible();
  await page.getByRole("link", { name: "Back to the bench" }).click();
  for (const [name, at] of [
    ["Lamp room", "10:15"],
    ["Rope walk", "11:00"],
  ])
    await page.getByRole("button", { name: `Handed over to ${name} at ${at}` }).click();
  await saved(page);
  await page.goto(`${own.base}/print/${date}`);
  await expect(page.getByRole("listitem").filter({ hasText: "Lamp room" })).toContainText("☑");
  // What a page asks for in advance is not asked of a server that is gone.
  await page.goto("about:blank");
  await own.stop();
});

test("the great market is on at most four sheets of paper, the day's first Saturday on two", async ({
  page,
}) => {
  await own.seed(own.file("paper.db"));
  await own.start(own.file("paper.db"));
  for (const [path, format, most] of [
    ["/print/2026-12-05", "A4", 4],
    ["/print/2026-12-05", "Letter", 4],
    [`/print/${DEMO_DAY.split("/").at(-1)}`, "A4", 2],
  ] as const) {
    await page.goto(own.base + path);
    await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
    const paper = await PDFDocument.load(await page.pdf({ format, preferCSSPageSize: true }));
    expect([path, format, paper.getPageCount() <= most]).toEqual([path, format, true]);
  }
  // Labels take the sheets that the page says, and not one more.
  await page.goto(`${own.base}/print/2026-11-28/labels?of=order&sheet=a4-2x4`);
  await expect(page.getByRole("img", { name: "Sheet 1 of 1" })).toBeVisible();
  const labels = await PDFDocument.load(await page.pdf({ preferCSSPageSize: true }));
  expect(labels.getPageCount()).toBe(1);
  await page.goto(`${own.base}/print/2026-11-28/labels?of=cakes`);
  await expect(page.getByText(/^These labels cannot be printed: .*what is labelled/)).toBeVisible();
  // What a page asks for in advance is not asked of a server that is gone.
  await page.goto("about:blank");
  await own.stop();
});
