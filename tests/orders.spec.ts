import { expect, test } from "./silentTest";
import type { Page } from "@playwright/test";

const saved = (page: Page) => expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
/** A day of the demo that no other journey of this world works on. */
const EVE = "/day/2026-11-27";

test("a customer is kept, has what stands, takes it in on its day, comes for it, and stays after a reload", async ({
  page,
}) => {
  await page.goto(`${EVE}/orders`);
  await page.getByRole("link", { name: "Customers and standing orders" }).click();
  await expect(page.getByRole("heading", { level: 2, name: "Customers" })).toBeVisible();
  const name = page.locator("#customer-name");
  await name.fill("Ferry KIOSK");
  await name.press("Enter");
  await expect(page.getByText("Ferry kiosk is here already")).toBeVisible();
  await name.fill("Lamp room");
  await name.press("Enter");
  const card = page.getByRole("listitem", { name: "Lamp room" });
  await card.getByLabel("Usually at").fill("10:15");
  await card.getByLabel("Usually at").press("Enter");
  await card.getByRole("button", { name: "Add a standing order" }).click();
  const stands = card.getByRole("list", { name: "Standing orders of Lamp room" });
  await expect(stands.getByRole("button", { name: "Friday" })).toHaveAttribute("aria-pressed", "true");
  await stands.getByLabel("Of", { exact: true }).selectOption("Leek triangle");
  await stands.getByLabel("Pieces", { exact: true }).fill("20");
  await stands.getByLabel("On a holiday").fill("8");
  await stands.getByLabel("On a holiday").press("Enter");
  await saved(page);
  await page.reload();
  await expect(card.getByLabel("Usually at")).toHaveValue("10:15");

  await page.getByRole("link", { name: "Back to the orders" }).click();
  const offer = page.getByRole("region", { name: "Standing orders of this day" });
  await expect(offer).toContainText("20 Leek triangle, Lamp room, 10:15");
  await offer.getByRole("button", { name: "As on a holiday: 8" }).click();
  await expect(offer).toBeHidden();
  const pieces = page.getByLabel("Pieces of Leek triangle for Lamp room");
  await expect(pieces).toHaveValue("8");
  await page.getByRole("button", { name: "One more line for Lamp room at 10:15" }).click();
  await page.keyboard.type("6");
  await page.keyboard.press("Enter");
  await expect(page.getByLabel(/^Pieces of .* for Lamp room/)).toHaveCount(2);
  const out = page.getByRole("button", { name: "Handed over to Lamp room at 10:15" });
  await out.click();
  await expect(out).toHaveAttribute("aria-pressed", "true");
  await saved(page);
  await page.reload();
  await expect(out).toHaveAttribute("aria-pressed", "true");
});

test("a list of orders is brought: what cannot be is said and stays, the rest stands by who comes for it", async ({
  page,
}) => {
  await page.goto(`${EVE}/bring`);
  await page
    .getByLabel(/^A row an order/)
    .fill(
      "who;what;pieces;by\nHarbour office;Leek triangle;5;\nA walker;Plum cake;2;9:00\nA walker;Plum pop;4;9:40",
    );
  const rows = page.getByRole("list", { name: "Rows read" });
  await expect(rows).toContainText("5 Leek triangle, Harbour office, 12:00");
  await expect(rows).toContainText("No piece of the book is called “Plum cake”");
  await page.getByRole("button", { name: "Take in 2 orders" }).click();
  await expect(page.getByLabel(/^A row an order/)).toHaveValue(
    /who,what,pieces,by\s+A walker,Plum cake,2,9:00/,
  );
  await page.getByRole("link", { name: "Back to the orders" }).click();
  await expect(page.getByLabel("Pieces of Plum pop for A walker")).toHaveValue("4");
  await page.getByRole("button", { name: "Keep as a customer: A walker" }).click();
  await expect(page.getByRole("button", { name: "Keep as a customer: A walker" })).toBeHidden();
  await saved(page);
});

test("a week: a day is made with what stands, an order is drawn to it, undone, sent by name; a day is removed and comes back", async ({
  page,
}) => {
  // A date that is none is as none: the week of today.
  await page.goto("/week?on=2026-99-99");
  await expect(page.getByRole("heading", { level: 1 })).toContainText("Mon 23 Nov to Sun 29 Nov");
  await page.goto("/week?on=2026-12-05");
  const column = (name: string) => page.getByRole("listitem", { name });
  const wednesday = column("Wed 2 Dec");
  await wednesday.getByRole("button", { name: "Make it, with 12 pieces that stand" }).click();
  await expect(wednesday).toContainText("Harbour office");
  await expect(wednesday).toContainText(/hands\d+ (min|h)/);
  const friday = column("Fri 4 Dec");
  const chip = wednesday.getByText("12 Leek triangle");
  const [from, to] = [await chip.boundingBox(), await friday.boundingBox()];
  await page.mouse.move(from!.x + 10, from!.y + 10);
  await page.mouse.down();
  await page.mouse.move(from!.x + 40, from!.y + 30, { steps: 4 });
  await page.mouse.move(to!.x + to!.width / 2, from!.y + 20, { steps: 8 });
  await page.mouse.up();
  await expect(friday).toContainText("12 Leek triangle");
  await expect(wednesday).toContainText("Nothing ordered.");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(wednesday).toContainText("12 Leek triangle");
  await page.getByLabel("Move 12 Leek triangle to").selectOption("Thu 3 Dec");
  const thursday = column("Thu 3 Dec");
  await expect(thursday).toContainText("12 Leek triangle");
  await thursday.getByRole("button", { name: /^Remove Thu 3 Dec/ }).click();
  await expect(thursday.getByRole("button", { name: /^Make/ })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(thursday).toContainText("12 Leek triangle");
  await thursday.getByRole("link", { name: /Thursday/ }).click();
  await expect(page.getByLabel("Pieces of Leek triangle for Harbour office")).toHaveValue("12");
});

test("a page fetches ahead the one that a pointer is on, not all that it leads to", async ({ page }) => {
  const asked: string[] = [];
  page.on("request", (request) => {
    if ("next-router-prefetch" in request.headers()) asked.push(new URL(request.url()).pathname);
  });
  // The last thing that a page does by itself is to ask what others write.
  const isHeard = page.waitForRequest("**/api/bench/live?*");
  await page.goto(`${EVE}/orders`);
  await isHeard;
  const roll = page.getByRole("link", { name: "Roll & cut" });
  await expect(roll).toBeVisible();
  expect(asked).toEqual([]);
  await roll.hover();
  await expect.poll(() => asked).toContain(`${EVE}/roll`);
  expect(new Set(asked)).toEqual(new Set([`${EVE}/roll`]));
});
