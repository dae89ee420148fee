import type { Browser, Page } from "@playwright/test";
import { createOwnServer } from "./ownServer";
import { expect, test } from "./silentTest";

const { base, start, stop, seed, file, readSaid } = createOwnServer(3457);
const FILL = `${base}/day/2026-11-28/fill?piece=quince-half-moon`;
const ORDERS = `${base}/day/2026-11-28/orders`;
const json = { "content-type": "application/json" };

const margin = (page: Page) => page.getByLabel("Clean margin", { exact: true });
const pieces = (page: Page) => page.getByLabel(/^Pieces of Quince/).first();
const openDevice = async (browser: Browser) => (await browser.newContext()).newPage();
const enter = async (page: Page, passphrase: string, name: string) => {
  await page.getByLabel("Passphrase", { exact: true }).fill(passphrase);
  await page.getByLabel("Name of this device").fill(name);
  await page.getByRole("button", { name: "Come in" }).click();
};

test("a house has a passphrase from its first start on: the owner chooses it, brings others in by role, and turns one out", async ({
  page,
  browser,
  expectConsole,
}) => {
  // What is refused is said by the browser too.
  expectConsole("status of 40");
  await seed(file("house.db"));
  await start(file("house.db"), { HOST: "0.0.0.0" });
  // Nothing of the book, and no change to it, without a key.
  for (const path of ["/api/bench/day/2026-11-28", "/api/v1/days", "/api/bench/live", "/api/copies"])
    expect((await fetch(base + path)).status).toBe(401);
  const change = { method: "POST", headers: json, body: JSON.stringify({ groups: [] }) };
  expect((await fetch(`${base}/api/bench/changes`, change)).status).toBe(401);
  // A word that only the gate may say is thrown away.
  const forged = { headers: { "x-tezgah-role": "owner" } };
  expect((await fetch(`${base}/api/v1/days`, forged)).status).toBe(401);

  await page.goto(FILL);
  await expect(page.getByRole("heading", { name: "Choose the passphrase of the house" })).toBeVisible();
  const code = /code of this start is ([\w-]+)/.exec(readSaid())?.[1] ?? "";
  await page.getByLabel("Code of this start").fill("AAAA-BBBB-CCCC");
  await page.getByLabel(/^Passphrase/).fill("short");
  await page.getByLabel("Name of this device").fill("Office");
  await page.getByRole("button", { name: /come in/ }).click();
  await expect(page.getByRole("alert").filter({ hasText: "has 5 characters" })).toBeVisible();
  await page.getByLabel(/^Passphrase/).fill("plum cake at dawn");
  await page.getByRole("button", { name: /come in/ }).click();
  await expect(page.getByRole("alert").filter({ hasText: "not the code of this start" })).toBeVisible();
  await page.getByLabel("Code of this start").fill(code);
  await page.getByRole("button", { name: /come in/ }).click();
  // On to where it was going.
  await expect(margin(page)).toBeVisible();

  await page.goto(`${base}/access`);
  await page.getByLabel(/^The bench’s/).fill("flour on the floor");
  await page.getByRole("button", { name: "Set it" }).first().click();
  await expect(page.getByText("The bench’s passphrase is set.")).toBeVisible();
  await page.getByRole("button", { name: "Code for the shop" }).click();
  const dialog = page.getByRole("dialog", { name: "Read this with the phone’s camera" });
  await expect(dialog.getByRole("img")).toBeVisible();
  const address = (await dialog.getByText(/\/enter\?invite=/).textContent()) ?? "";

  // A phone scans it: the shop takes orders, and what is not its own is said and not written.
  const phone = await openDevice(browser);
  await phone.goto(base + new URL(address).pathname + new URL(address).search);
  await phone.getByLabel("Name of this device").fill("Shop phone");
  await phone.getByRole("button", { name: "Come in" }).click();
  await expect(phone.getByRole("link", { name: /^1 Orders/ })).toBeVisible();
  await phone.goto(ORDERS);
  await pieces(phone).fill("50");
  await pieces(phone).press("Enter");
  await expect(phone.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await phone.goto(FILL);
  await margin(phone).fill("15");
  await margin(phone).press("Enter");
  await expect(phone.getByRole("alert").filter({ hasText: "this device is for the shop" })).toBeVisible();
  await phone.goto(`${base}/copies`);
  await expect(phone.getByRole("heading", { name: "Come in" })).toBeVisible();
  await expect(phone.getByText("This device is for the shop.")).toBeVisible();

  // It comes in anew for the bench, with one key still, and goes out.
  await enter(phone, "flour on the floor", "Wall phone");
  await expect(phone.getByText(/This device is for the bench/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole("listitem").filter({ hasText: "phone" })).toHaveText([/Wall phone.*bench/]);
  await phone.getByRole("button", { name: "Go out" }).click();
  await expect(phone.getByText(/This device is for/)).toBeHidden();
  await phone.goto(ORDERS);
  await expect(phone.getByLabel("Passphrase", { exact: true })).toBeVisible();

  // The wall's tablet comes in by the bench's passphrase, not by another.
  const wall = await openDevice(browser);
  await wall.goto(ORDERS);
  await enter(wall, "flour on the roof", "Wall");
  await expect(wall.getByRole("alert").filter({ hasText: "not a passphrase" })).toBeVisible();
  await enter(wall, "flour on the floor", "Wall");
  await expect(pieces(wall)).toHaveValue("50");

  // A live line of it ends with its key, at once.
  const cookies = await wall.context().cookies();
  const key = cookies.find(({ name }) => name === "tezgah-key")?.value ?? "";
  const stamp = "device=line&name=T&at=%2F&revision=0&epoch=none";
  const line = await fetch(`${base}/api/bench/live?${stamp}`, { headers: { cookie: `tezgah-key=${key}` } });
  expect(line.status).toBe(200);
  const ended = line.text();

  await page.goto(`${base}/access`);
  await page.getByRole("button", { name: "Turn Wall out" }).click();
  await expect(page.getByText("Wall is turned out.")).toBeVisible();
  const within = new Promise<string>((_, reject) =>
    setTimeout(() => reject(new Error("still open")), 10_000),
  );
  expect(await Promise.race([ended, within])).toContain("retry:");
  await wall.goto(ORDERS);
  await expect(wall.getByRole("heading", { name: "Come in" })).toBeVisible();
  // The way in for a copy asks for a key itself.
  const bare = { method: "POST", headers: { "content-type": "application/zip" }, body: "PK" };
  expect((await fetch(`${base}/api/copies/look`, bare)).status).toBe(401);

  // A programme's token, and the key's cookie, which no script reads.
  await page.getByLabel("Its name").fill("Till");
  await page.getByRole("button", { name: "Make a token" }).click();
  const shown = page.getByRole("dialog", { name: "The programme’s token" });
  const token = (await shown.locator("p.figure").textContent()) ?? "";
  const days = await fetch(`${base}/api/v1/days`, { headers: { authorization: `Bearer ${token}` } });
  expect(days.status).toBe(200);
  expect(await page.evaluate(() => document.cookie)).not.toContain("tezgah-key");
  await stop();
});
