import { expect, test } from "./silentTest";

const MONDAY = "/day/2026-11-30";

test("a piece takes every form in turn, is drawn in each, and one undo brings the first one back", async ({
  page,
}) => {
  await page.goto(`${MONDAY}/piece/leek-press`);
  const form = page.getByLabel("Form", { exact: true });
  await form.waitFor();
  const names = await form.locator("option").allTextContents();
  expect(names).toHaveLength(12);
  for (const name of names) {
    await form.selectOption({ label: name });
    await expect(page.getByRole("img", { name: /in section: \d+ millimetres high/ })).toBeVisible();
    await expect(page.getByRole("img", { name: /from above: \d+ by \d+ millimetres/ })).toBeVisible();
    await expect(page.locator("main").getByRole("alert")).toHaveCount(0);
  }
  const undo = page.getByRole("button", { name: "Undo" });
  while (await undo.isEnabled()) await undo.click();
  await expect(form).toHaveValue("pressed");
  // What comes after finds it as it was.
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
});

test("a fruit too large for its square is refused with the square that closes, and nothing is lost", async ({
  page,
}) => {
  await page.goto(`${MONDAY}/piece/pear-coat`);
  const fruit = page.getByLabel("Fruit across", { exact: true });
  await fruit.fill("84");
  await fruit.press("Enter");
  const refusal = page
    .getByRole("alert")
    .filter({ hasText: /The square must be \d+(\.5)? mm for its corners to meet/ });
  await expect(refusal).toBeVisible();
  const needed = /must be ([\d.]+) mm/.exec((await refusal.textContent()) ?? "")?.[1] ?? "";
  await page.getByLabel("Square", { exact: true }).fill(needed);
  await page.getByLabel("Square", { exact: true }).press("Enter");
  await expect(refusal).toBeHidden();
  await expect(page.getByText(`square ${needed} mm square`)).toBeVisible();
  await page.reload();
  await expect(fruit).toHaveValue("84");
});

test("a tartlet says each layer, its nuts and what to weigh every tenth by", async ({ page }) => {
  await page.goto(`${MONDAY}/fill?piece=tahini-tartlet`);
  const portion = Number(/\d+/.exec((await page.getByTestId("portion").textContent()) ?? "")?.[0]);
  const band = (await page.getByText(/weigh every tenth/).textContent()) ?? "";
  const [, low, high] = /(\d+)–(\d+) g/.exec(band) ?? [];
  expect(Number(low)).toBeLessThan(portion);
  expect(Number(high)).toBeGreaterThan(portion);
  await expect(page.getByRole("list", { name: "Also in it" })).toContainText(/\d+ g Quince jam, under it/);
  await expect(page.getByText("5 whole hazelnuts").first()).toBeVisible();
  // Too high a layer leaves nothing for the cream.
  await page.getByRole("link", { name: "The whole piece" }).click();
  const layer = page.getByLabel("Layer high", { exact: true });
  await layer.fill("40");
  await layer.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "nothing is left for it" })).toBeVisible();
  await layer.fill("3");
  await layer.press("Enter");
  await expect(page.locator("main").getByRole("alert")).toHaveCount(0);
  // The page goes with the journey: what it has not told by then would be missed by the next.
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
});

test("syrup is divided evenly between the pans, and its caution stands at the step", async ({ page }) => {
  await page.goto(`${MONDAY}/fill?piece=pear-coat`);
  await expect(page.getByRole("list", { name: "Also in it" })).toContainText(/in each of \d+ pans/);
  const cautions = page.getByRole("list", { name: "Cautions" });
  await expect(cautions).toContainText("pour around the pieces and away from you");
  await expect(cautions).toContainText("cut away from the body");
});

test("the seam is drawn opened out; what lowers the risk most is one tap; counted leaks raise it", async ({
  page,
}) => {
  await page.goto(`${MONDAY}/seal?piece=apple-envelope`);
  await expect(page.getByRole("img", { name: /the seam opened out: \d+ millimetres/ })).toBeVisible();
  const share = async () =>
    Number(/([\d.]+) %/.exec((await page.getByText(/may leak: of/).textContent()) ?? "")?.[1]);
  const before = await share();
  await page.getByRole("group", { name: "What would lower it most" }).getByRole("button").first().click();
  await expect.poll(share).toBeLessThan(before);
  const mended = await share();
  await page.getByText("How it really went").click();
  const leaked = page.getByLabel(/^Leaked or burst, of/);
  await leaked.fill("99");
  await expect(page.locator("main").getByRole("alert")).toContainText("85 too much");
  await leaked.fill("6");
  await leaked.press("Enter");
  await expect.poll(share).toBeGreaterThan(mended);
  await page.reload();
  await expect.poll(share).toBeGreaterThan(mended);
  await page.getByText("why?").first().click();
  await expect(page.getByText(/; by your log 1\d\d % of the craft’s weight/).first()).toBeVisible();
  const took = page.getByLabel(/^Closing these \d+ really took, min/);
  await page.getByText("How it really went").click();
  await took.fill("30");
  await took.press("Enter");
  await expect(page.getByText(/your pace, by 1 lot: \d{3} %/)).toBeVisible();
});

test("a school shows what it does to the day before it is taken, and is taken with the keyboard", async ({
  page,
}) => {
  await page.goto(`${MONDAY}/piece/leek-press/schools`);
  await page.getByRole("button", { name: /^What washes the top\?/ }).click();
  const twice = page.getByRole("button", { name: /^Egg, twice/ });
  await expect(twice).toContainText(/\+ \d+ min of hands/);
  await expect(page.getByRole("button", { name: /^None/ })).toContainText(/− \d+ egg|− \d+ min of hands/);
  await twice.focus();
  await page.keyboard.press("Enter");
  await expect(twice).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByRole("button", { name: /^What washes the top\?/ })).toContainText("Egg, twice");
  // How the dough rests touches its other pieces, and says so.
  await page.getByRole("button", { name: /^How does the dough rest\?/ }).click();
  await expect(page.getByText("This touches every piece of Pier lard crust.")).toBeVisible();
});

test("variants stand side by side, one that cannot be made says why, and one is taken", async ({ page }) => {
  await page.goto(`${MONDAY}/piece/date-round/compare`);
  const variant = page.getByRole("region", { name: "Variant 2" });
  const base = page.getByRole("region", { name: "As it is" });
  await expect(base.getByText("crust to filling")).toBeVisible();
  const rolled = variant.getByLabel("Rolled to", { exact: true });
  await rolled.fill("1.2");
  await rolled.press("Enter");
  await expect(variant.getByText(/below 1.5 mm it will burst/)).toBeVisible();
  await expect(variant.getByRole("button", { name: "Make it so" })).toBeDisabled();
  await rolled.fill("5.5");
  await rolled.press("Enter");
  await expect(variant.getByText(/^now /).first()).toBeVisible();
  await variant.getByRole("button", { name: "Make it so" }).click();
  await page.goto(`${MONDAY}/piece/date-round`);
  await expect(page.getByLabel("Rolled to", { exact: true })).toHaveValue("5.5");
});

test("a filling says how it stands and what to stir in, and raw fruit how late it is sugared", async ({
  page,
}) => {
  await page.goto(`${MONDAY}/formula/two-apple`);
  await page.getByText("Body and thickening").click();
  await expect(page.getByText(/starch is [\d.]+ % of its water/)).toBeVisible();
  await page.getByText("slices clean", { exact: true }).click();
  const more = page.getByText(/^\+ [\d.]+ g/);
  await expect(more).toBeVisible();
  const corn = await more.textContent();
  await page.getByLabel("Thickened with").selectOption({ label: "flour" });
  await expect(more).not.toHaveText(corn ?? "");
  await page.getByText("Fruit", { exact: true }).click();
  const lead = page.getByText(/Sugar it no more than/);
  const minutes = async () => Number(/(\d+) min/.exec((await lead.textContent()) ?? "")?.[1]);
  const mixed = await minutes();
  await page.getByRole("button", { name: "Leave it out" }).last().click();
  await expect.poll(minutes).toBeGreaterThan(mixed);
});

test("what stops a piece is said at every station with a mend a tap away; the rest of the day stays planned", async ({
  page,
}) => {
  await page.goto(`${MONDAY}/piece/custard-cup`);
  const cutter = page.getByLabel("Cutter", { exact: true });
  const before = await cutter.inputValue();
  await cutter.fill("40");
  await cutter.press("Enter");
  const unplanned = page.getByText(/^\d+ of \d+ not planned$/);
  await expect(unplanned).toBeVisible();
  for (const station of ["mix", "bake"]) {
    await page.goto(`${MONDAY}/${station}`);
    const told = page
      .getByRole("list", { name: "To decide" })
      .getByRole("listitem")
      .filter({ hasText: "custard cup" });
    await expect(told).toContainText("tears below");
    await expect(told.getByRole("button", { name: /to its mould/ })).toBeVisible();
  }
  await page.getByRole("button", { name: /to its mould/ }).click();
  await expect(unplanned).toBeHidden();
  await page.goto(`${MONDAY}/piece/custard-cup`);
  await cutter.fill(before);
  await cutter.press("Enter");
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
});

test("a portion said in spoons fills the piece as full as that makes it; too much is told with what fits", async ({
  page,
}) => {
  await page.goto(`${MONDAY}/fill?piece=leek-press`);
  await page.getByText("by weight or measure", { exact: true }).click();
  const each = page.getByLabel(/^Each gets/);
  await each.fill("4 tsp");
  await each.press("Enter");
  await expect(page.getByText("1¼ tbsp", { exact: true })).toBeVisible();
  await expect(page.getByText(/^fills it to \d+ %$/)).toBeVisible();
  await each.fill("2 cups");
  await each.press("Enter");
  await expect(page.getByText(/ml more than it has room for: room is for \d+ g\./)).toBeVisible();
  await each.fill("two");
  await expect(page.getByRole("alert").filter({ hasText: "scoop 40" })).toBeVisible();
  await each.press("Escape");
  await page.getByText("as full as set", { exact: true }).click();
  await expect(page.getByLabel("Plumpness", { exact: true })).toBeVisible();
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();
});
