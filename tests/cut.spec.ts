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
  await expect(exact.getByRole("listitem")).toHaveCount(19);
  await expect(exact).toContainText(/exactly 12 at \d/);
  await at3.click();
  await expect(page.getByRole("img", { name: /^Sheet 1 of/ })).toBeVisible();
});

test("a cut that no sheet holds keeps its tab: the reason and the dial that mends it stand where it is rolled", async ({
  page,
}) => {
  await page.goto(`${DEMO_DAY}/roll`);
  const chosen = page.getByRole("radiogroup", { name: "Piece" }).locator("label:has(:checked)");
  const name = await chosen.locator("span span").first().innerText();
  const ragged = page.getByLabel("Ragged edge", { exact: true });
  const cutter = page.getByLabel("Cutter", { exact: true });
  const was = await cutter.inputValue();
  await ragged.fill("40");
  await ragged.press("Enter");
  await cutter.fill("400");
  await cutter.press("Enter");
  await expect(page.getByRole("list", { name: "To decide" })).toContainText(/400 mm round .* too small/);
  await expect(chosen).toContainText(name);
  await expect(chosen.getByLabel("cannot be made:")).toBeVisible();
  await page.getByRole("link", { name: /5 Seal/ }).click();
  await page.waitForURL(/\/seal/);
  await expect(page.getByRole("list", { name: "To decide" })).toContainText("too small");
  await page.goBack();
  await cutter.fill(was);
  await cutter.press("Enter");
  await ragged.fill("8");
  await ragged.press("Enter");
  await expect(page.getByRole("group", { name: /^Sheet 1 of/ })).toBeVisible();
  await expect(chosen).toContainText(name);
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
});

test("a second dial turned before the first one's plan is there takes nothing back", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/roll`);
  const ragged = page.getByLabel("Ragged edge", { exact: true });
  const web = page.getByLabel("Between cuts", { exact: true });
  const sheet = page.getByRole("group", { name: /^Sheet 1 of/ });
  const before = (await sheet.getAttribute("aria-label"))!;
  // Plans are held back for as long as the two are typed.
  await page.evaluate(() => {
    const post = Worker.prototype.postMessage;
    Worker.prototype.postMessage = function (...message: unknown[]) {
      setTimeout(() => Reflect.apply(post, this, message), 1500);
    };
  });
  await ragged.fill("13");
  await ragged.press("Enter");
  await web.fill("5");
  await web.press("Enter");
  await expect(ragged).toHaveValue("13");
  await expect(web).toHaveValue("5");
  await expect(sheet).not.toHaveAttribute("aria-label", before);
  await expect(ragged).toHaveValue("13");
  for (const [dial, was] of [
    [ragged, "8"],
    [web, "2"],
  ] as const) {
    await dial.fill(was);
    await dial.press("Enter");
  }
  await expect(sheet).toHaveAttribute("aria-label", before);
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
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
    return readFileSync(await (await download).path(), "utf8");
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
    readFileSync(await (await pdf).path())
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
  await expect(drawer.getByRole("listitem").first()).toContainText(/Round 112.*1.4 mm less than wanted/);
  await expect(drawer).toContainText(/Round 120 ?.*more trim than needed/);
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

test("tops and bases come in equal numbers, share their dough, and can be weighed off instead", async ({
  page,
}) => {
  await page.goto("/day/2026-11-29/roll?piece=plum-pop");
  const sheets = page.getByRole("group", { name: "Sheets" }).getByRole("button");
  await expect(sheets.first()).toBeVisible();
  const tally = { top: 0, base: 0 };
  for (let i = 0; i < (await sheets.count()); i++) {
    await sheets.nth(i).click();
    for (const role of ["top", "base"] as const) {
      const line = page.getByRole("listitem").filter({ hasText: new RegExp(`^\\d+ ${role}s, `) });
      if (await line.isVisible()) tally[role] += Number(/^\d+/.exec((await line.textContent()) ?? "")?.[0]);
    }
  }
  expect(tally).toEqual({ top: 42, base: 42 });
  // Rolled as thin as the half-moons, the pops go on sheets with them.
  await page.goto("/day/2026-11-29/roll?piece=quince-half-moon");
  const rolled = page.getByLabel("Rolled to", { exact: true });
  await rolled.fill("3");
  await rolled.press("Enter");
  await expect(page.getByText("Shares dough and sheets with Plum pop.")).toBeVisible();
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: "Undo" }).click();
  await page.goto("/day/2026-11-29/roll?piece=plum-pop");
  await page.getByText("weighed, rolled").click();
  await expect(page.getByText(/round and roll each to 80 mm round at 3 mm; no trim/)).toBeVisible();
  await page.getByText("least dough", { exact: true }).click();
  await expect(sheets.first()).toBeVisible();
});

test("what was really cut is kept, corrects the next forecast, and can be taken back", async ({ page }) => {
  await page.goto("/day/2026-11-29/roll?piece=chestnut-oval");
  const field = page.getByLabel(/^Really cut, of 36 planned/);
  await field.fill("30");
  await field.press("Enter");
  // Four rollings' worth of the craft's 100 %, and one of 83 % that is far from it and weighs little.
  await expect(
    page.getByText(/your log of Hazel sweet paste: 1 rolling, 9[89] % of what was planned/),
  ).toBeVisible();
  await field.fill("48");
  await field.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: /133 % blanks got cannot be/ })).toBeVisible();
  await field.fill("30");
  await field.press("Enter");
  await page.goto("/day/2026-11-29/yield");
  await page.getByRole("radio", { name: /^Hazel sweet paste/ }).check();
  await expect(page.getByText(/your log of 1 rolling gave 9[89] % of what was planned/)).toBeVisible();
  await page.goto("/day/2026-11-29/roll?piece=chestnut-oval");
  await field.fill("-3");
  await expect(page.getByRole("alert").filter({ hasText: "3 too little" })).toBeVisible();
  await field.fill("");
  await field.press("Enter");
  await expect(page.getByText(/your log of Hazel sweet paste/)).toHaveCount(0);
});

test("a ring is cut with its base, its centre kept; leaves come of what is left; bought sheets are rolled thinner", async ({
  page,
}) => {
  await page.goto("/day/2026-11-29/roll?piece=blossom-case");
  await expect(page.getByRole("listitem").filter({ hasText: "26 rings, 22 g each" })).toBeVisible();
  await page.goto("/day/2026-11-29/roll?piece=chestnut-oval");
  await page.getByRole("button", { name: /decorations, \d+ cuts/ }).click();
  await expect(page.getByText(/cuts, 44 × 20 mm leaf/)).toBeVisible();
  await page.goto("/day/2026-11-29/roll?piece=courgette-rose");
  await expect(page.getByText(/A bought 400 × 230 mm sheet, rolled thinner from 3 mm/)).toBeVisible();
});

test("one sheet: round, nested, drawn outlines; what is no outline is said", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/sheet`);
  const count = page.getByTestId("laid-count");
  await expect(count).toHaveText("6");
  await page.getByText("round or oval").click();
  await expect(count).toHaveText("5");
  await page.getByText("rectangle", { exact: true }).click();
  await page.getByText("nested", { exact: true }).click();
  await page.getByLabel("And in its gaps").selectOption({ label: "Leaf 44" });
  await expect.poll(async () => Number(await count.textContent())).toBeGreaterThan(8);
  await page.getByText("tight", { exact: true }).click();
  // As many of another cutter: whole sets are looked for, and what bands give is where it begins.
  await page.getByRole("button", { name: "Look for a tighter layout" }).click();
  await expect(page.getByText(/tries, \d+ of each in rows/)).toBeVisible();
  await page.getByRole("button", { name: /Stop looking for \d+ of each/ }).click();
  await expect(page.getByText(/^\d+ of each$/)).toBeVisible();
  await page.getByLabel("And as many of").selectOption({ label: "nothing else" });
  await page.getByLabel("Cut", { exact: true }).selectOption({ label: "an outline of my own" });
  await page.getByLabel("Outline").selectOption("path");
  const path = page.getByLabel("Path data, in millimetres");
  await path.fill("M0 0 H70 V60");
  await expect(
    page.getByRole("alert").filter({ hasText: "is open: its ends are 92.2 mm apart" }),
  ).toBeVisible();
  await path.fill("M0 0 H70 V60 L35 40 L0 60 Z");
  await expect(page.getByText("70 × 60 mm, drawn")).toBeVisible();
  const before = Number(await count.textContent());
  await page.getByRole("button", { name: "Look for a tighter layout" }).click();
  await expect(page.getByText(/tries, \d+ in rows/)).toBeVisible();
  const stop = page.getByRole("button", { name: /Stop looking/ });
  if (await stop.isVisible()) await stop.click();
  await expect(page.getByRole("button", { name: "Look for a tighter layout" })).toBeVisible();
  expect(Number(await count.textContent())).toBeGreaterThanOrEqual(before);
  const wide = page.getByLabel("Sheet, wide", { exact: true });
  await wide.fill("50");
  await wide.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "Not one fits" })).toBeVisible();
});

test("a drawn cutter goes into the drawer with its count, and out again", async ({ page }) => {
  await page.goto(`${DEMO_DAY}/kit`);
  await page.getByLabel("Outline").selectOption("star");
  await page.getByRole("button", { name: "Put it in the drawer" }).click();
  const star = page.getByRole("group", { name: "How many of 80 mm star" });
  await star.getByRole("button", { name: "One more of 80 mm star" }).click();
  await expect(star).toContainText("2");
  await page.getByRole("button", { name: "Remove 80 mm star" }).click();
  await expect(star).toHaveCount(0);
});
