import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { DEMO_DAY, expect, goDeaf, test } from "./silentTest";

test.describe.configure({ mode: "serial" });

const saved = (page: Page) => expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();

test("a pasted formula is weighed line by line, what is doubtful is asked, and it is put in the book", async ({
  page,
}) => {
  await page.goto(`${DEMO_DAY}/paste`);
  await page
    .getByRole("textbox")
    .fill("Quay crust\n2½ cups flour\n½ stick butter\n6–8 tbsp iced water\nsalt to taste\nglug of oil");
  // Metric cups: 2.5 · 250 ml · 0.53 g/ml; a stick is 113.4 g.
  await expect(page.getByRole("listitem").filter({ hasText: "2½ cups flour" })).toContainText("331 g");
  await expect(page.getByRole("listitem").filter({ hasText: "½ stick butter" })).toContainText("57 g");
  await expect(page.getByRole("listitem").filter({ hasText: "6–8 tbsp" })).toContainText("90 g–120 g");
  // Nothing is left out of the total: a guess is in it and asked about.
  const salt = page.getByRole("listitem").filter({ hasText: "salt" });
  await expect(salt).toContainText("salt, to taste: a guess of 4 g. How many grams do you take?");
  await expect(page.getByText("“glug of oil” has no amount in it. It is left out.")).toBeVisible();
  const put = page.getByRole("button", { name: "Put it in the book" });
  await salt.getByLabel("Grams of this line").fill("5 g");
  await expect(salt).toContainText("5 g");
  await put.click();
  await expect(page.getByRole("heading", { name: /Quay crust/ })).toBeVisible();
  await expect(page.getByLabel("Amount of iced water")).toHaveValue("6–8 tbsp");
  await page.getByRole("button", { name: "Scale" }).click();
  await page.getByRole("button", { name: "What I have of one thing" }).click();
  await page.getByLabel("Amount", { exact: true }).fill("1 kg");
  await expect(page.getByRole("row", { name: /flour/ })).toContainText("1 kg");
  await saved(page);
});

test("a line that is not what was guessed is denied and given in grams; other cups weigh the same text anew", async ({
  page,
}) => {
  await page.goto(`${DEMO_DAY}/paste`);
  await page.getByRole("textbox").fill("2 cups plain flour\n3 tbsp quince stuff");
  const lines = page.getByRole("main").getByRole("listitem");
  await expect(lines).toHaveCount(2);
  await expect(lines.first()).toContainText("265 g");
  await lines.last().getByRole("button", { name: "No, another" }).click();
  await expect(lines.last()).toContainText("?");
  await expect(page.getByRole("button", { name: "Put it in the book" })).toBeDisabled();
  await lines.last().getByLabel("Grams of this line").fill("60");
  await expect(page.getByRole("button", { name: "Put it in the book" })).toBeEnabled();
  await expect(page.getByText("325 g", { exact: true })).toBeVisible();
  // 2 · 236.6 ml · 0.53 g/ml instead of 2 · 250.
  await page
    .getByLabel("Cups and spoons")
    .selectOption({ label: "United States: cup 237 ml, tablespoon 14.8 ml" });
  await expect(lines.first()).toContainText("251 g");
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(lines.first()).toContainText("265 g");
  await saved(page);
  await page.locator("#paste").fill("");
});

test("a formula leaves as JSON-LD and comes back whole", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/formula/saffron-custard`);
  const download = page.waitForEvent("download");
  await page.getByRole("link", { name: "JSON-LD" }).click();
  const text = readFileSync(await (await download).path(), "utf8");
  expect(JSON.parse(text)).toMatchObject({ "@type": "Recipe", name: "Saffron custard" });
  await page.goto(`${DEMO_DAY}/paste`);
  await page.getByRole("textbox").fill(text);
  await expect(page.getByText("a whole formula, 6 lines, nothing to ask")).toBeVisible();
  await page.getByRole("textbox").fill(`${text.slice(0, 200)}`);
  await expect(page.getByRole("alert").filter({ hasText: "This is no JSON" })).toBeVisible();
});

test("weighing out: a line a knuckle, a running total, what the liquid took; a reload keeps all of it", async ({
  page,
}) => {
  // Its figures are those of least dough.
  await page.goto(`${DEMO_DAY}/roll?piece=quince-half-moon`);
  await page.getByText("least dough", { exact: true }).click();
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await page.goto(`${DEMO_DAY}/mix`);
  const card = page.getByRole("article").filter({ hasText: "Bay shortcrust" });
  await expect(card).toContainText("430 g from the larder, made Thu 26 Nov");
  await expect(card).toContainText("4 × 910 g");
  await card.getByRole("link", { name: "Weigh out" }).click();
  await expect(page.getByText("Last time it took 474 g: aim there.")).toBeVisible();
  await page.getByRole("button", { name: /plain flour/ }).click();
  await page.getByRole("button", { name: /cold butter/ }).click();
  await expect(page.getByTestId("in-bowl")).toHaveText("2709 g");
  await page.getByLabel("It took, g").fill("3 furlongs");
  await expect(page.getByRole("alert").filter({ hasText: "no unit known" })).toBeVisible();
  await page.getByLabel("It took, g").fill("460");
  await page.getByRole("button", { name: "+ 10 g" }).click();
  await page.getByRole("button", { name: "Keep what it took" }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByTestId("in-bowl")).toHaveText("2709 g");
  await expect(page.getByRole("button", { name: /Kept: 470 g/ })).toBeVisible();
  await page.getByRole("button", { name: "Begin again" }).click();
  await saved(page);
});

test("two tablets weigh the same batch: the second is shown what differs", async ({ page, context }) => {
  await goDeaf(context);
  await page.goto(`${DEMO_DAY}/weigh/yoghurt-crust`);
  const other = await context.newPage();
  await other.goto(`${DEMO_DAY}/weigh/yoghurt-crust`);
  await page.getByRole("button", { name: /plain flour/ }).click();
  await saved(page);
  await other.getByRole("button", { name: /cold butter/ }).click();
  const dialog = other.getByRole("dialog", { name: "Changed on another screen too" });
  await dialog.getByRole("button", { name: "Keep what is there" }).click();
  await expect(other.getByRole("button", { name: /plain flour/ })).toHaveAttribute("aria-pressed", "true");
  await other.getByRole("button", { name: "Begin again" }).click();
  await saved(other);
});

test("a batch of one's own size runs out at a piece, and the plan can be followed again", async ({
  page,
}) => {
  await page.goto(`${DEMO_DAY}/formula/quince-and-bay`);
  await page.getByRole("button", { name: "Scale" }).click();
  await page.getByLabel("Amount", { exact: true }).fill("800 g");
  await page.getByRole("button", { name: /Mix this much/ }).click();
  await page.keyboard.press("2");
  await page.getByRole("link", { name: /2 Mix/ }).click();
  await expect(
    page.getByText(/Quince and bay runs out at piece 33: .* short\. Mix .* times as much, or make 32\./),
  ).toBeVisible();
  await page.goBack();
  await page.getByRole("button", { name: "Scale" }).click();
  await page.getByRole("button", { name: /Follow the plan again/ }).click();
  await saved(page);
});

test("the curve of a rest follows its dials, and says what the freezer does", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/rest/bay-shortcrust`);
  const inFridge = page.getByRole("button", { name: /in the fridge/ });
  await expect(inFridge).toContainText("18 min");
  await expect(
    page.getByRole("img", { name: /Temperature of core and outside in the fridge/ }),
  ).toBeVisible();
  await page.getByLabel("One piece", { exact: true }).fill("60");
  await page.getByLabel("One piece", { exact: true }).press("Enter");
  await expect(inFridge).toContainText(/fridge(\d|1[0-6]) min/);
  await page.getByRole("button", { name: /in the freezer, turned/ }).click();
  await expect(page.getByRole("img", { name: /in the freezer/ })).toBeVisible();
});

test("the larder: put in, refused with a reason, taken first, and the day's leftovers kept once", async ({
  page,
}) => {
  await page.goto(`${DEMO_DAY}/larder`);
  await page.getByRole("button", { name: "Put it in" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Enter an amount" })).toBeVisible();
  await page.getByLabel("How much").fill("1/2 lb");
  await page.getByRole("button", { name: "Put it in" }).click();
  await expect(page.getByText("today takes 227 g")).toBeVisible();
  await page.getByRole("button", { name: "Put the day's leftovers in" }).click();
  await expect(page.getByRole("button", { name: "Put back again, as planned now" })).toBeVisible();
  await expect(page.getByRole("listitem").filter({ hasText: "Pier lard crust" }).first()).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByRole("button", { name: "Put back again, as planned now" })).toBeVisible();
  await expect(page.getByTestId("tally")).toContainText("ready 154");
});

test("an ingredient of one's own is asked for, then known by its cup", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/ingredients`);
  await page.getByLabel(/Find among/).fill("barberries");
  await page.getByRole("button", { name: "Add “barberries”" }).click();
  await page.getByLabel("plain", { exact: true }).fill("-1");
  await expect(page.getByRole("alert").filter({ hasText: "too little" })).toBeVisible();
  await page.getByLabel("plain", { exact: true }).fill("0,5");
  await page.getByLabel("plain", { exact: true }).press("Enter");
  await saved(page);
  await page.goto(`${DEMO_DAY}/formula/rhubarb-and-orange`);
  await page.getByLabel("Amount of the new ingredient").fill("2 cups");
  await page.getByLabel("Name of the new ingredient").fill("barberries");
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByLabel("Amount of barberries")).toHaveValue("2 cups");
  await expect(
    page.getByRole("listitem").filter({ has: page.getByLabel("Amount of barberries") }),
  ).toContainText("250 g");
  await page.keyboard.press("ControlOrMeta+z");
  await saved(page);
});

test("shopping for two days is more than for one, in whole packs", async ({ page }) => {
  await page.goto("/day/2026-11-27/shopping");
  const flour = page.getByRole("row", { name: /plain flour/ });
  await expect(flour).toContainText("1 pack of 1.5 kg");
  await page.goto("/day/2026-11-27/shopping?to=2026-11-28");
  await expect(flour).toContainText(/[23] packs of 1.5 kg/);
});

test("how a filling is made stands on the clock: steps are added, moved and refused, and the day sheet tells them", async ({
  page,
}) => {
  await page.goto("/day/2026-11-30/formula/saffron-custard");
  await page.getByRole("button", { name: "Method" }).click();
  const clock = page.getByRole("region", { name: "On the clock" });
  const steps = clock.getByRole("listitem");
  await expect(steps).toHaveCount(4);
  await expect(clock).toContainText("15 min of hands; ready 20 min after");
  await clock.getByLabel("Another step").selectOption("Cook apart");
  await expect(steps.first()).toContainText("Cook apart");
  await clock.getByRole("button", { name: "Cook apart later" }).click();
  await expect(clock.getByRole("alert")).toContainText("cannot come after “put together”. Move it above");
  await expect(steps.first()).toContainText("Cook apart");
  const what = clock.getByLabel("What", { exact: true });
  await what.fill("Saffron milk");
  await what.press("Enter");
  await expect(steps.first()).toContainText("Cook saffron milk");
  await expect(clock.getByRole("alert")).toBeHidden();
  await clock.getByLabel("Another step").selectOption("Stir smooth");
  await expect(steps.last()).toContainText("for each lot, just before it goes in");
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
  await page.goto("/print/2026-11-30");
  const sheet = page.locator("article.day-sheet");
  for (const words of [
    "Cook saffron milk",
    "Strain saffron custard",
    /Stir smooth saffron custard, for Saffron custard cup/,
  ])
    await expect(sheet).toContainText(words);
  await expect(sheet).toContainText(/\d\d:\d\d Cook: 6 min, thick enough/);
  await page.goto("/day/2026-11-30/formula/saffron-custard");
  await page.getByRole("button", { name: "Method" }).click();
  await clock.getByRole("button", { name: "Remove cook saffron milk" }).click();
  await clock.getByRole("button", { name: "Remove stir smooth" }).click();
  await expect(steps).toHaveCount(4);
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
});
