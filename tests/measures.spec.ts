import { createOwnServer } from "./ownServer";
import { expect, test } from "./silentTest";

const { base, start, seed, file } = createOwnServer(3461);

/** One screen of each kind that tells lengths or masses. */
const paths = [
  ...["mix", "roll", "fill", "seal", "bake", "larder", "yield", "mould", "shopping"].map(
    (path) => `/day/2026-11-28/${path}`,
  ),
  ...["fill?piece=pear-coat", "seal?piece=chestnut-pie", "piece/custard-cup", "batch"].map(
    (path) => `/day/2026-11-30/${path}`,
  ),
  "/week?on=2026-11-28",
  "/print/2026-11-28/labels?of=order",
];

/** A length or a mass in metric; a density has no other unit in any kitchen. */
const METRIC = /\d\s?(mm|cm|g|kg)\b(?!\/ml)/;

test("a house of inches and ounces: chosen once, every screen and sheet tells and takes them, also after a reload and without one", async ({
  page,
}) => {
  await seed(file("house.db"));
  await start(file("house.db"));
  await page.goto(`${base}/day/2026-11-28/kit`);
  await page.getByLabel("Lengths are told in").selectOption("inch");
  const masses = page.getByLabel("Masses are told in");
  await masses.focus();
  await masses.selectOption("ounce");
  // The choice is at once all over the screen, and stays under the finger.
  await expect(page.getByLabel("Bench, long side", { exact: true })).toHaveValue("55 1/8");
  await expect(masses).toBeFocused();
  await expect(page.getByRole("link", { name: /^2 Mix/ })).toContainText("14 lb 15 oz");
  await expect(page.getByRole("status").filter({ hasText: "Saved" })).toBeVisible();

  await page.getByRole("link", { name: /^3 Roll/ }).click();
  const cutter = page.getByLabel("Cutter", { exact: true });
  await expect(cutter).toHaveValue("4 3/4");
  await cutter.fill("4 1/2");
  await cutter.press("Enter");
  await expect(page.getByText("cuts, 4 1/2 in round")).toBeVisible();
  await page.reload();
  await expect(cutter).toHaveValue("4 1/2");
  await cutter.fill("40");
  await expect(
    page.getByText("Cutter: 40 in is 16 3/8 in too much. Use 13/32 in to 23 5/8 in."),
  ).toBeVisible();
  await cutter.press("Escape");
  await page.keyboard.press("Control+z");
  await expect(cutter).toHaveValue("4 3/4");

  for (const path of paths) {
    await page.goto(base + path);
    await expect(page.getByRole("heading").first()).toBeVisible();
    await expect(page.locator("[aria-busy=true]")).toHaveCount(0);
    expect([path, (await page.locator("body").innerText()).match(METRIC)?.[0] ?? null]).toEqual([path, null]);
  }

  // What is told to machines stays in mm and g, and says so.
  const layout = await page.request.post(`${base}/api/v1/cut/layout`, {
    data: {
      outlines: [{ outline: { kind: "disc", diameterMm: 500 } }],
      sheet: { shape: "rectangle", widthMm: 400, heightMm: 300 },
    },
  });
  expect(await layout.text()).toMatch(/\d mm\b/);
});
