import { spawn } from "node:child_process";
import { connect, type Socket } from "node:net";
import type { Page } from "@playwright/test";
import { createOwnServer } from "./ownServer";
import { expect, test } from "./silentTest";

test.describe.configure({ mode: "serial" });

const { base: BASE, seed, start, stop, file } = createOwnServer(3434);
const DATE = "2026-11-28";
const EARLY = { TEZGAH_NOW: `${DATE}T04:40:00`, TEZGAH_SPEED: "1" };

const job = (page: Page) => page.getByRole("heading", { level: 1 });
const button = (page: Page, name: RegExp) =>
  page.getByRole("navigation", { name: "The job" }).getByRole("button", { name });
/** A knuckle that lands again at once counts once: the next press waits for it. */
const settle = (page: Page) => page.waitForTimeout(800);

/** What was tapped last is at the server, one of these: a page that is closed takes with it what it has not yet sent. */
const arrives = (kind: RegExp) =>
  expect
    .poll(async () => {
      const answer = await fetch(`${BASE}/api/v1/runs/${DATE}/events`);
      return ((await answer.json()) as { events: { kind: string }[] }).events.at(-1)?.kind;
    })
    .toMatch(kind);

interface Sheet {
  readonly placed: readonly { readonly taskId: string; readonly startMin: number; readonly mode: number }[];
  readonly jobs: readonly { readonly taskId: string; readonly title: string; readonly person: number }[];
  readonly problem: {
    readonly tasks: readonly {
      readonly id: string;
      readonly modes: readonly { readonly durationMin: number }[];
    }[];
  };
}

/** A line to the stand-ins, once they are there. */
async function call(port: number): Promise<Socket> {
  for (;;) {
    const socket = connect(port, "127.0.0.1");
    const isThere = await new Promise<boolean>((resolve) =>
      socket.once("connect", () => resolve(true)).once("error", () => resolve(false)),
    );
    if (isThere) return socket;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

/** The market's day frozen at half past four and worked off as planned until a job begins, that one's beginning with it. */
async function workOffUntil(
  pick: string | ((sheet: Sheet) => string),
  date = DATE,
): Promise<{ readonly at: number; readonly taskId: string }> {
  const post = (path: string, body: object) =>
    fetch(`${BASE}/api/v1/runs/${date}${path}`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(body),
    });
  expect((await post("", {})).status).toBe(201);
  const sheet = (await (await fetch(`${BASE}/api/v1/runs/${date}`)).json()) as Sheet;
  const taskId = typeof pick === "string" ? pick : pick(sheet);
  const at = sheet.placed.find((each) => each.taskId === taskId)!.startMin;
  const personOf = (id: string) => sheet.jobs.find((each) => each.taskId === id)!.person;
  const events = sheet.placed.flatMap(({ taskId: id, startMin, mode }) => {
    const told = { person: personOf(id), deviceId: "script" };
    const endMin = startMin + sheet.problem.tasks.find((task) => task.id === id)!.modes[mode]!.durationMin;
    return [
      ...(startMin < at || id === taskId
        ? [{ ...told, id: `b ${id}`, kind: "begun", taskId: id, atMin: startMin }]
        : []),
      ...(endMin <= at ? [{ ...told, id: `d ${id}`, kind: "done", taskId: id, atMin: endMin }] : []),
    ];
  });
  const answer = (await (await post("/events", { events })).json()) as {
    refused: unknown[];
    kept: unknown[];
  };
  expect(answer.refused).toEqual([]);
  expect(answer.kept).toHaveLength(events.length);
  return { at, taskId };
}

/** A minute of a date as the server's clock is set. */
const clockAt = (minute: number, date = DATE): string =>
  new Date(Date.parse(`${date}T00:00:00Z`) + minute * 60_000).toISOString().slice(0, 19);

test("a morning by keyboard alone: begun, done, wrong, more, undone; a reload finds it as it was, another tablet too", async ({
  page,
  context,
}) => {
  await seed(file("run.db"));
  await start(file("run.db"), EARLY);
  await page.goto(`${BASE}/day/${DATE}/orders`);
  await page.getByRole("button", { name: "Run this day" }).focus();
  await page.keyboard.press("Enter");
  await expect(job(page)).toHaveText("Make Quince and bay");
  await expect(page.getByTestId("standing")).toContainText("as planned");
  await page.keyboard.press("Enter");
  await expect(button(page, /^Done/)).toContainText("of about 18 min");
  await page.keyboard.press("Enter");
  await expect(job(page)).toHaveText("Mix Bay shortcrust");
  await expect(button(page, /^Done/)).toContainText("of about 14 min");
  await expect(page.getByTestId("standing")).toContainText("ahead");
  await page.reload();
  await expect(job(page)).toHaveText("Mix Bay shortcrust");
  await expect(button(page, /^Undo/)).toContainText("Mix Bay shortcrust: begun");
  const other = await context.newPage();
  await other.goto(`${BASE}/run/${DATE}`);
  await expect(job(other)).toHaveText("Mix Bay shortcrust");

  await page.keyboard.press("u");
  await expect(job(page)).toHaveText("Make Quince and bay");
  await expect(button(page, /^Done/)).toBeVisible();
  await expect(job(other)).toHaveText("Make Quince and bay");

  await page.keyboard.press("w");
  const wrong = page.getByRole("dialog", { name: "What went wrong?" });
  await wrong.getByRole("button", { name: "burnt" }).focus();
  await page.keyboard.press("Space");
  await wrong.getByLabel("A word, if wanted").fill("caught at the bottom");
  await page.keyboard.press("Enter");
  await expect(page.getByText("1 burnt: caught at the bottom")).toBeVisible();
  await page.keyboard.press("m");
  await page.getByRole("dialog").getByRole("button", { name: "30 min" }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog")).toBeHidden();
  await expect(page.getByTestId("standing")).toContainText("behind");
  // What that does to the rest of the day is said.
  await expect(page.getByRole("status").filter({ hasText: /later|moved|late|is now at/ })).toBeVisible();

  // Looked at ahead of its turn, begun out of order, and back.
  await page.keyboard.press("ArrowDown");
  await expect(job(page)).toHaveText("Mix Bay shortcrust");
  await page.getByRole("button", { name: "Begin it now" }).focus();
  await page.keyboard.press("Enter");
  // Of two jobs in hand the one that ends first is shown, by the server's answer as by the screen's own.
  await expect(page.getByRole("button", { name: "Begin it now" })).toBeHidden();
  await expect(button(page, /^Undo/)).toContainText("Mix Bay shortcrust: begun");
  await expect(job(page)).toHaveText("Mix Bay shortcrust");
  await arrives(/begun/);
});

test("steps and lines are ticked off one by one, and a knuckle that rebounds counts once", async ({
  page,
}) => {
  await page.goto(`${BASE}/run/${DATE}`);
  const lines = page.getByRole("list", { name: "Weigh out" }).getByRole("button");
  const first = await lines.first().textContent();
  await lines.first().click();
  await expect(lines.first()).toBeDisabled();
  await page.reload();
  await expect(lines.first()).toBeDisabled();
  await expect(lines.first()).toHaveText(first ?? "");
  await expect(lines.nth(1)).toBeEnabled();
  // Of two jobs in hand the one that ends first is shown; pressed twice at once, only that one is done.
  await expect(job(page)).toHaveText("Mix Bay shortcrust");
  await button(page, /^Done/).dblclick();
  await expect(job(page)).toHaveText("Make Quince and bay");
  await settle(page);
  await expect(job(page)).toHaveText("Make Quince and bay");
  await expect(button(page, /^Done/)).toBeVisible();
  await arrives(/done|begun/);
});

test.describe("with the application on the device", () => {
  test.use({ serviceWorkers: "allow" });

  test("server killed, network gone: taps are shown, wait on the device over a minute, and go out when it is back", async ({
    page,
    context,
    expectConsole,
  }) => {
    // Refused, reset or empty: it depends on where the kill meets a question that is on its way.
    expectConsole("net::ERR_");
    await page.goto(`${BASE}/run/${DATE}`);
    await expect(job(page)).toHaveText("Make Quince and bay");
    // The page is kept on the device as soon as it is open, and the application with it.
    await expect
      .poll(() => page.evaluate(async () => (await (await caches.open("tezgah-run")).keys()).length))
      .toBe(1);
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
    await stop("SIGKILL");
    await button(page, /^Done/).click();
    await expect(job(page)).toHaveText("Cook softened leeks");
    const waits = page.getByRole("alert").filter({ hasText: "waits on this device" });
    await expect(page.getByRole("alert").filter({ hasText: /taps? waits? on this device/ })).toBeVisible();
    // The page is on the device too: loaded again without the server it is where it was.
    await page.reload();
    await expect(job(page)).toHaveText("Cook softened leeks");
    await expect(page.getByRole("alert").filter({ hasText: /taps? waits? on this device/ })).toBeVisible();
    await start(file("run.db"), EARLY);
    await expect(waits).toBeHidden();
    await page.reload();
    await expect(job(page)).toHaveText("Cook softened leeks");

    await context.setOffline(true);
    await settle(page);
    await button(page, /^(Begin|Done)/).click();
    await settle(page);
    await button(page, /^Went wrong/).click();
    await page.getByRole("dialog").getByRole("button", { name: "stuck" }).click();
    await page.getByRole("dialog").getByRole("button", { name: "1 stuck" }).click();
    await expect(page.getByText("1 stuck", { exact: true })).toBeVisible();
    await expect(page.getByRole("alert").filter({ hasText: /taps? waits? on this device/ })).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByRole("alert").filter({ hasText: /taps? waits? on this device/ })).toBeHidden();
    const events = (await (await fetch(`${BASE}/api/v1/runs/${DATE}/events`)).json()) as {
      events: { kind: string; mishap?: string }[];
    };
    expect(events.events.filter(({ mishap }) => mishap === "stuck")).toHaveLength(1);
  });
});

test("a bake rings when it is to be looked at, again after “not yet”, and is out with one tap", async ({
  page,
}) => {
  await stop();
  await seed(file("bells.db"));
  await start(file("bells.db"), { TEZGAH_NOW: `${DATE}T04:30:00` });
  const { at } = await workOffUntil("bake:quince-half-moon:1");
  await stop();
  // A minute goes by in six seconds, so that two of them are seen on a slow machine too; the look is some 28 minutes
  // after the load went in.
  const clock = clockAt(at + 26);
  await start(file("bells.db"), { TEZGAH_NOW: clock, TEZGAH_SPEED: "10" });
  await page.goto(`${BASE}/run/${DATE}`);
  await job(page).click();
  const bell = page
    .getByRole("alert")
    .getByRole("region", { name: "Look: Bake Quince half-moon, load 1 of 2" });
  await expect(bell).toBeVisible();
  await expect(bell).toContainText("it is golden all over");
  await expect(page).toHaveTitle(/● Look: Bake/);
  await bell.getByRole("button", { name: "2 min more (1 time left)" }).click();
  await expect(bell).toBeHidden();
  await expect(bell).toBeVisible();
  await expect(bell.getByRole("button", { name: /more/ })).toBeHidden();
  await bell.getByRole("button", { name: "It is out" }).click();
  await expect(bell).toBeHidden();
  await expect(page.getByRole("complementary")).toContainText("Cool, after: Bake Quince half-moon");
});

test("the record tells each job planned and real, is corrected afterwards, written out, and teaches the next plan", async ({
  page,
  request,
}) => {
  await page.goto(`${BASE}/run/${DATE}/record`);
  const row = page.getByRole("row").filter({ hasText: "Close Quince half-moon, load 1 of 2" });
  await expect(row).toContainText("20 min");
  await row.getByRole("button", { name: /^Correct/ }).click();
  const dialog = page.getByRole("dialog", { name: "How was it really?" });
  const begun = await dialog.getByLabel("Begun").inputValue();
  await dialog.getByLabel("Done").fill("05:00");
  await dialog.getByRole("button", { name: "Keep it so" }).click();
  await expect(dialog.getByRole("alert")).toContainText("before it was begun");
  const [h, m] = begun.split(":").map(Number);
  const later = `${String(h! + 1).padStart(2, "0")}:${String(m!).padStart(2, "0")}`;
  await dialog.getByLabel("Done").fill(later);
  await page.keyboard.press("Enter");
  await expect(dialog).toBeHidden();
  await expect(row).toContainText("1 h 00");
  await expect(row).toContainText("+40 min");
  await expect(page.getByText("taken back")).toBeVisible();

  const csv = await (await request.get(`${BASE}/api/v1/runs/${DATE}/record?form=csv`)).text();
  expect(csv.split("\n")[0]).toContain("planned from,planned until,from,until,took min");
  expect(csv).toContain(`${begun},${later},60`);
  expect((await request.get(`${BASE}/api/v1/runs/${DATE}/record?form=xml`)).status()).toBe(400);

  // Told afterwards, and taken back: what went wrong, and what a sheet gave.
  const baked = page.getByRole("row").filter({ hasText: "Bake Quince half-moon, load 1 of 2" });
  await baked.getByRole("button", { name: /^Correct/ }).click();
  await dialog.getByRole("button", { name: "Something went wrong" }).click();
  await dialog.getByRole("button", { name: "pale" }).click();
  await dialog.getByRole("button", { name: "1 pale" }).click();
  await expect(dialog.getByRole("list", { name: "What was told" })).toContainText("1 pale");
  await expect(baked).toContainText("1 pale");
  const told = dialog.getByRole("list", { name: "What was told" });
  await told
    .getByRole("listitem")
    .filter({ hasText: "1 pale" })
    .getByRole("button", { name: "Take it back" })
    .click();
  await expect(told).not.toContainText("1 pale");
  await page.keyboard.press("Escape");
  const rolled = page.getByRole("row").filter({ hasText: "Roll sheet 1 of 4" });
  await rolled.getByRole("button", { name: /^Correct/ }).click();
  await dialog.getByRole("button", { name: "One less was cut" }).click();
  await expect(dialog.getByRole("list", { name: "What was told" })).toContainText("really cut 14");
  await page.keyboard.press("Escape");

  // The stations say what the run told, and leave the telling to it.
  await page.goto(`${BASE}/day/${DATE}/seal?piece=quince-half-moon`);
  await page.getByText("How it really went").click();
  await expect(page.getByText(/your pace, by 1 lot: \d{3} %/)).toBeVisible();
  await expect(page.getByText(/Closing these 74 really took, min/)).toContainText(/\d+/);
  await expect(page.getByRole("textbox", { name: /really took/ })).toHaveCount(0);
  await page.getByRole("link", { name: "correct in the record" }).first().click();
  await expect(page.getByRole("heading", { level: 1 })).toContainText("as it went");

  // What was corrected teaches: an hour in place of twenty minutes is slow hands, and one blank less is a blank less.
  await page.getByRole("link", { name: "What it taught" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("What the day taught");
  const habits = page.getByRole("list", { name: "Habits", exact: true });
  const closing = habits.getByRole("listitem").filter({ hasText: "Closing, half moon, rope" });
  await expect(closing).toContainText(/likely 1[1-9]\d %, was 100 %/);
  await page.getByText(/hardly moved/).click();
  const still = page.getByRole("list", { name: "Habits that hardly moved" });
  // One of 74.
  const crust = still.getByRole("img", { name: /^Bay shortcrust, blanks got/ });
  await expect(crust).toHaveAttribute("aria-label", /came 99 %/);
});

test("a day is closed: what is not known is asked, what is over stands in the larder, and the larder leads back", async ({
  page,
}) => {
  await page.goto(`${BASE}/day/${DATE}/larder`);
  await page.getByRole("link", { name: "Close the day" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Close the day");
  const half = page.getByRole("group", { name: "Sold: Quince half-moon" });
  const made = Number(await page.getByLabel("Quince half-moon sold").inputValue());
  await half.getByRole("button", { name: "One less was sold" }).click();
  await expect(page.getByText(`${made} made, 72 ordered, 1 not sold`)).toBeVisible();
  const kept = page.getByLabel("Bay shortcrust kept");
  await kept.fill("a handful");
  await expect(page.getByRole("alert").first()).toBeVisible();
  await expect(page.getByRole("button", { name: "Close the day" })).toBeDisabled();
  await kept.fill("0.4 kg");
  await page.getByRole("radio", { name: "They were not done" }).check();
  await page.getByRole("button", { name: "Close the day" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("What the day taught");

  await page.goto(`${BASE}/day/${DATE}/larder`);
  await expect(page.getByRole("listitem").filter({ hasText: "Bay shortcrust" }).first()).toContainText(
    "400 g",
  );
  await page.getByRole("link", { name: "Closed; look at it again" }).click();
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("The day is closed");
  await expect(page.getByLabel("Quince half-moon sold")).toHaveValue(String(made - 1));
  await expect(page.getByLabel("Bay shortcrust kept")).toHaveValue("400 g");
});

test("a leak is told, the likeliest remedy stands beside it with its figure, and one tap makes the next loads so", async ({
  page,
  request,
}) => {
  await stop();
  await seed(file("remedy.db"));
  await start(file("remedy.db"), { TEZGAH_NOW: `${DATE}T04:30:00` });
  const { at } = await workOffUntil("bake:quince-half-moon:1");
  await stop();
  const clock = clockAt(at + 1);
  await start(file("remedy.db"), { TEZGAH_NOW: clock, TEZGAH_SPEED: "1" });
  await page.goto(`${BASE}/run/${DATE}`);
  const before = await page.getByTestId("standing").textContent();
  await page
    .getByRole("region", { name: "Then" })
    .getByRole("button", { name: /Bake Quince half-moon, load 2 of 2/ })
    .click();
  await button(page, /^Went wrong/).click();
  await page.getByRole("dialog").getByRole("button", { name: "leaked" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "1 leaked" }).click();
  const remedy = page.getByRole("region", { name: "For the next load" }).getByRole("button").first();
  await expect(remedy).toContainText(/From now on .*: [\d.]+ % may leak, not [\d.]+/);
  await remedy.click();
  await expect
    .poll(async () => (await request.get(`${BASE}/api/v1/runs/${DATE}`)).headers()["x-tezgah-edition"])
    .toBe("2");
  // What is done stays done, and the rest is where it was, not once more from now.
  await expect(page.getByTestId("standing")).toContainText(/last pieces.*/.exec(before ?? "")?.[0] ?? "none");
  const record = (await (await request.get(`${BASE}/api/v1/runs/${DATE}/record`)).json()) as {
    notes: string[];
  };
  expect(record.notes).toEqual([expect.stringContaining("From now on")]);
});

test("three dropped, a filling that runs out, a mend that is taken: the day goes on with what there is, and undo brings it back", async ({
  page,
}) => {
  await stop();
  await seed(file("amounts.db"));
  await start(file("amounts.db"), { TEZGAH_NOW: `${DATE}T04:30:00` });
  const { at } = await workOffUntil("fill:quince-half-moon:1");
  await stop();
  await start(file("amounts.db"), { TEZGAH_NOW: clockAt(at + 1), TEZGAH_SPEED: "1" });
  await page.goto(`${BASE}/run/${DATE}`);
  await expect(job(page)).toHaveText("Fill Quince half-moon, load 1 of 2");
  const wrong = page.getByRole("dialog", { name: "What went wrong?" });
  const standing = page.getByTestId("standing");
  const then = page.getByRole("region", { name: "Then" });
  await button(page, /^Went wrong/).click();
  await wrong.getByRole("button", { name: "dropped" }).click();
  await wrong.getByRole("button", { name: "One more" }).click();
  await wrong.getByRole("button", { name: "One more" }).click();
  await wrong.getByRole("button", { name: "3 dropped and lost" }).click();
  await expect(page.getByRole("status").filter({ hasText: "71 now, 3 fewer" })).toBeVisible();
  await expect(then.getByRole("button", { name: /Close Quince half-moon, load 1/ })).toContainText("37 ×");
  await expect(standing).toContainText("Quince half-moon: 23 of 24 for 10:30");
  await page.reload();
  await expect(standing).toContainText("Quince half-moon: 23 of 24 for 10:30");

  await button(page, /^Went wrong/).click();
  await wrong.getByRole("button", { name: "Quince and bay ran out" }).click();
  for (let n = 0; n < 6; n++) await wrong.getByRole("button", { name: "+5" }).click();
  await wrong.getByRole("button", { name: "31 filled, Quince and bay is out" }).click();
  await expect(standing).toContainText("28 of 48 for 09:00");
  await expect(then.getByRole("button", { name: /Fill Quince half-moon, load 2/ })).toHaveCount(0);
  await settle(page);
  await button(page, /^Undo/).click();
  await expect(standing).not.toContainText("28 of 48");
  await settle(page);
  await button(page, /^Undo/).click();
  await expect(standing).not.toContainText("23 of 24");

  await page.keyboard.press("m");
  await page.getByRole("dialog").getByRole("button", { name: "30 min" }).click();
  for (let n = 0; n < 5; n++) {
    await settle(page);
    await page.keyboard.press("m");
    await page.getByRole("dialog").getByRole("button", { name: "30 min" }).click();
  }
  await expect(standing).toContainText(/late/);
  const late = await standing.textContent();
  await page.getByRole("button", { name: "What would help?" }).click();
  const mends = page.getByRole("dialog", { name: "What would help" });
  const tell = mends.getByRole("listitem").filter({ hasText: "Tell it for" });
  await expect(tell).toBeVisible();
  await tell.getByRole("button", { name: "It is told" }).click();
  await expect(standing).not.toHaveText(late ?? "");
  await expect(standing).not.toContainText("Set out Quince half-moon, load 2 of 2");
  await expect(button(page, /^Undo/)).toContainText("told later");
  await settle(page);
  await button(page, /^Undo/).click();
  await expect(button(page, /^Undo/)).toContainText("needs more");
  await expect(standing).toContainText("Set out Quince half-moon, load 2 of 2");
});

test("two tablets run one day, each with its own hands: what one does the other sees, also after a minute without network", async ({
  browser,
}) => {
  const date = "2026-12-05";
  await stop();
  await seed(file("two.db"));
  await start(file("two.db"), { TEZGAH_NOW: `${date}T02:30:00` });
  let title = "";
  const { at } = await workOffUntil(({ jobs, placed }) => {
    const first = placed
      .filter(({ taskId }) => jobs.find((each) => each.taskId === taskId)!.person === 1)
      .sort((a, b) => a.startMin - b.startMin)[0]!;
    title = jobs.find(({ taskId }) => taskId === first.taskId)!.title;
    return first.taskId;
  }, date);
  await stop();
  await start(file("two.db"), { TEZGAH_NOW: clockAt(at + 1, date), TEZGAH_SPEED: "1" });
  const [mine, theirs] = await Promise.all(
    ["Me", "Helper"].map(async (side) => {
      const page = await (await browser.newContext()).newPage();
      await page.goto(`${BASE}/run/${date}`);
      await page.getByRole("button", { name: side, exact: true }).click();
      return page;
    }),
  );
  await expect(job(theirs!)).toHaveText(title);
  await expect(job(mine!)).not.toHaveText(title);

  // Handed over, it is on the other's list.
  const next = mine!.getByRole("region", { name: "Then" }).getByRole("button").nth(2);
  await next.click();
  const handed = (await job(mine!).textContent()) ?? "";
  await mine!.getByRole("button", { name: "Hand it over" }).click();
  await expect(mine!.getByRole("button", { name: /^Undo/ })).toContainText("handed over");
  await theirs!.context().setOffline(true);
  await settle(theirs!);
  await button(theirs!, /^Done/).click();
  await expect(job(theirs!)).not.toHaveText(title);
  await expect(theirs!.getByRole("alert").filter({ hasText: /waits? on this device/ })).toBeVisible();
  await settle(mine!);
  await mine!.keyboard.press("Escape");
  const doneBefore = await mine!.getByRole("progressbar").getAttribute("aria-valuenow");
  await theirs!.context().setOffline(false);
  await expect(theirs!.getByRole("alert").filter({ hasText: /waits? on this device/ })).toBeHidden();
  await expect(mine!.getByRole("progressbar")).toHaveAttribute(
    "aria-valuenow",
    String(Number(doneBefore) + 1),
  );
  const events = (await (await fetch(`${BASE}/api/v1/runs/${date}/events`)).json()) as {
    events: { kind: string; taskId?: string; person: number; deviceId: string }[];
  };
  const told = events.events.filter(({ deviceId }) => deviceId !== "script");
  expect(told.map(({ kind, person }) => [kind, person])).toEqual(
    expect.arrayContaining([
      ["moved", 1],
      ["done", 1],
    ]),
  );
  expect(new Set(told.map(({ deviceId }) => deviceId)).size).toBe(2);
  // The one that was handed over is now among the helper's jobs.
  const list = theirs!.getByRole("complementary");
  await expect(list.or(job(theirs!)).filter({ hasText: handed }).first()).toBeVisible();
  await Promise.all([mine!, theirs!].map((page) => page.context().close()));
});

test("scale and oven speak for themselves: grams to go, the next line, decks on their way; a device that vanishes is said", async ({
  page,
}) => {
  await stop();
  await seed(file("devices.db"));
  const devices = spawn("npx", ["tsx", "scripts/devices.ts", "4533", "60"], {
    stdio: "ignore",
    detached: true,
  });
  try {
    await start(file("devices.db"), { ...EARLY, TEZGAH_DEVICES: "127.0.0.1:4533" });
    const kitchen = await call(4533);
    await page.goto(`${BASE}/day/${DATE}/kit`);
    const list = page.getByRole("region", { name: "Devices" });
    await expect(list.getByText("bench-scale/mass", { exact: true })).toBeVisible();
    await expect(list.getByLabel("bench-scale/mass stands for")).toHaveValue("scale||");
    await expect(list).toContainText(/\d+ s ago/);

    await page.getByRole("button", { name: "Run this day" }).click();
    await expect(job(page)).toHaveText("Make Quince and bay");
    await page.keyboard.press("Enter");
    // 1716 g of quince come first.
    await expect(page.getByTestId("to-go")).toHaveText(/17\d\d g/);
    kitchen.write('{"do":"lay","massG":1000}\n');
    await expect(page.getByTestId("to-go")).toHaveText(/7\d\d g/);
    kitchen.write('{"do":"lay","massG":1716}\n');
    // The mass stands, and the next line comes by itself.
    await expect(page.getByTestId("to-go")).toHaveText(/3\d\d g/);
    await expect(page.getByRole("list", { name: "Weigh out" }).getByRole("button").first()).toBeDisabled();

    // Nonsense harms nothing and is counted where the devices stand.
    const posted = await fetch(`${BASE}/api/v1/readings`, {
      method: "POST",
      headers: { "content-type": "application/senml+json" },
      body: JSON.stringify([
        { n: "probe/1", u: "K", v: 285.15 },
        { n: "probe/1", u: "furlong", v: 3 },
      ]),
    });
    expect(await posted.json()).toEqual({ heard: 2 });
    expect((await fetch(`${BASE}/api/v1/readings`, { method: "POST", body: "{" })).status).toBe(415);
    process.kill(-devices.pid!, "SIGKILL");
    await expect(page.getByText(/bench-scale\/mass was last heard/)).toBeVisible();
    await expect(page.getByTestId("to-go")).toBeHidden();
    await page.goto(`${BASE}/day/${DATE}/kit`);
    await expect(list).toContainText("Passed over: 1 of a unit that is not known here.");
  } finally {
    try {
      process.kill(-devices.pid!, "SIGKILL");
    } catch {
      // It is gone already.
    }
  }
});

test("what is no event is refused by itself, with why; a day without a run says so", async ({
  page,
  request,
}) => {
  const events = `${BASE}/api/v1/runs/${DATE}/events`;
  const good = {
    id: "good",
    kind: "note",
    taskId: null,
    word: "snow",
    atMin: 500,
    person: 0,
    deviceId: "script",
  };
  const answer = await request.post(events, {
    data: {
      events: [good, { ...good, id: "bad", kind: "sung" }, { ...good, id: "late", atMin: 99_999 }, 7, good],
    },
  });
  expect(answer.status()).toBe(200);
  const { kept, refused } = (await answer.json()) as {
    kept: string[];
    refused: { index: number; id: string | null; faults: { message: string }[] }[];
  };
  expect(kept).toEqual(["good", "good"]);
  expect(refused.map(({ index, id }) => [index, id])).toEqual([
    [1, "bad"],
    [2, "late"],
    [3, null],
  ]);
  expect(refused[0]!.faults[0]!.message).toContain("An event is begun, done");
  expect(refused[1]!.faults[0]!.message).toContain("79839 min too much");
  expect((await request.post(events, { data: { events: "no" } })).status()).toBe(400);
  expect((await request.get(`${events}?after=-1`)).status()).toBe(400);
  expect((await request.get(`${BASE}/api/v1/runs/2026-11-29`)).status()).toBe(404);
  expect((await request.post(`${BASE}/api/v1/runs/2031-01-01`, { data: {} })).status()).toBe(404);
  expect((await request.get(`${BASE}/run/2031-01-01`)).status()).toBe(404);
  await page.goto(`${BASE}/run/2026-11-29`);
  await expect(page.getByText("This day does not run yet.")).toBeVisible();
});
