import { formatClock } from "@/core/units";
import Papa from "papaparse";
import { listClockRows, listLights, listRestEnds, planDay } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { toDayCsv, toDayPdf, writeCalendar } from ".";
import { readPdfTexts, readShippedFonts } from "./__tests__/testPdf";

const records = listDemoRecords();
const book = toDayBook(records, "2026-11-28", null)!;
const plan = planDay(book);
const fonts = readShippedFonts();
/** Shaping every word of a great market on a busy machine, ms. */
const SHAPING_MS = 30_000;

const wish = { name: "Market, Saturday", timeZone: "Europe/Berlin", sequence: 7 };
/** Entries of a calendar by what stands before their colon, lines unfolded; of an entry that comes again the last. */
function readCalendar(days: Parameters<typeof writeCalendar>[0], more: Partial<typeof wish> = {}) {
  const written = writeCalendar(days, { ...wish, ...more });
  if (!written.ok) throw new Error(written.failure);
  const text = written.value.replace(/\r\n[ \t]/g, "");
  const entries = text
    .split("BEGIN:VEVENT")
    .slice(1)
    .map((entry) => ({
      alarm: /TRIGGER:(\S+)/.exec(entry)?.[1] ?? null,
      said: /BEGIN:VALARM[^]*DESCRIPTION:(.*?)\r/.exec(entry)?.[1] ?? null,
      ...Object.fromEntries(
        [...entry.split("BEGIN:VALARM")[0]!.matchAll(/^([A-Z-]+):(.*?)\r?$/gm)].map(([, key, value]) => [
          key!,
          value!,
        ]),
      ),
    })) as (Record<string, string> & { alarm: string | null; said: string | null })[];
  return { text, entries };
}
/** `20261128T060100Z` of a minute of the Saturday, by Berlin's winter clock. */
const stamp = (minute: number) =>
  new Date(Date.UTC(2026, 10, 28, -1, minute)).toISOString().replace(/[-:]|\.000/g, "");

test("the calendar has every job, oven to light and end of a rest, at its moment by the kitchen's clock; only what is missed is alarmed", () => {
  const { entries } = readCalendar([{ book, plan }]);
  const [lights, rests] = [listLights(plan), listRestEnds(plan, book)];
  expect(rests.length).toBeGreaterThan(3);
  expect(entries).toHaveLength(plan.tasks.length + lights.length + rests.length);
  expect(new Set(entries.map(({ UID }) => UID)).size).toBe(entries.length);
  expect(entries.every(({ SEQUENCE }) => SEQUENCE === "7")).toBe(true);
  for (const { label, person, kind, slackMin, placed } of plan.tasks) {
    const title = (person > 0 ? `Helper: ${label}` : label).replaceAll(",", "\\,");
    const entry = entries.find(
      ({ SUMMARY, DTSTART }) => SUMMARY === title && DTSTART === stamp(placed.startMin),
    )!;
    expect(entry.DTEND).toBe(stamp(Math.max(placed.endMin, placed.startMin + 1)));
    // A heat when it is first looked at; a job of hands not at all.
    const isHeat = kind === "bake" || kind === "fry";
    expect(entry.alarm).toBe(isHeat ? `PT${placed.endMin - slackMin - placed.startMin}M` : null);
  }
  for (const { label, endMin } of rests) {
    const entry = entries.find(
      ({ SUMMARY, DTSTART }) => SUMMARY === label.replaceAll(",", "\\,") && DTSTART === stamp(endMin),
    );
    expect([label, entry?.alarm]).toEqual([label, "-PT1M"]);
  }
  expect(entries.filter(({ alarm }) => alarm !== null).length).toBeLessThan(entries.length);
});

test("a rest is over as many minutes after its job as it lasts, one after the other; nothing is over before it began", () => {
  for (const line of plan.lines) {
    const chill = line.piece.way.find(({ kind }) => kind === "chill");
    if (!chill) continue;
    const ends = listRestEnds(plan, book).filter(
      ({ id }) => id.endsWith(`-${chill.id}`) && id.includes(line.piece.id),
    );
    expect(ends.length).toBeGreaterThan(0);
    for (const { endMin } of ends)
      expect(
        plan.tasks.some(
          ({ pieceId, placed }) => pieceId === line.piece.id && placed.endMin + chill.minutes === endMin,
        ),
      ).toBe(true);
  }
  const first = Math.min(...plan.tasks.map(({ placed }) => placed.startMin));
  for (const { endMin } of listRestEnds(plan, book)) expect(endMin).toBeGreaterThan(first);
});

test("what is said in an alarm is escaped as what is said in an entry, and a night of clock change keeps its minutes", () => {
  const { text, entries } = readCalendar([{ book, plan }]);
  expect(text).toContain("X-WR-CALNAME:Market");
  const baked = entries.find(({ said }) => said?.startsWith("Look: "))!;
  expect(baked.said).toBe(`Look: ${baked.SUMMARY!.replace(/^Helper: /, "")}`);
  expect(baked.said).toMatch(/\\,/);
  // In Lisbon the same wall clock is an hour later in the world.
  const there = readCalendar([{ book, plan }], { timeZone: "Europe/Lisbon" }).entries;
  expect(there[0]!.DTSTART).not.toBe(entries[0]!.DTSTART);
});

test("the table of jobs has one row a job, in the order of the clock", () => {
  const { data } = Papa.parse<Record<string, string>>(toDayCsv(plan, book), { header: true });
  expect(data.map(({ what }) => what)).toEqual(plan.tasks.map(({ label }) => label));
  const starts = data.map(({ from }) => from!);
  expect(starts).toEqual(starts.toSorted());
});

test("table and calendar tell the steps of a job, those at the oven's door with their minute", () => {
  const market = toDayBook(records, "2026-12-05", null)!;
  const busy = planDay(market);
  const { data } = Papa.parse<Record<string, string>>(toDayCsv(busy, market), { header: true });
  const bake = data.find(({ what }) => what!.startsWith("Bake Chestnut oval"))!;
  const task = busy.tasks.find(({ label }) => label === bake.what)!;
  const coat = task.steps.find(({ atMin }) => atMin !== null && atMin > task.placed.startMin)!;
  expect(bake.steps).toContain(`${formatClock(coat.atMin!)} Second coat: whole egg`);
  const { text: unfolded } = readCalendar([{ book: market, plan: busy }]);
  expect(unfolded).toContain(`${formatClock(coat.atMin!)} Second coat: whole egg`);
});

test(
  "the sheet as PDF has every job of each person in the order of the clock, on pages of their own",
  async () => {
    const market = toDayBook(records, "2026-12-05", null)!;
    const busy = planDay(market);
    const pages = await readPdfTexts(await toDayPdf(market, busy, "a4", fonts));
    const rows = listClockRows(busy, market);
    for (const [person, who] of [
      [0, "the baker"],
      [1, "the helper"],
    ] as const) {
      const words = pages
        .filter((page) => page[0]!.endsWith(who))
        .map((page) =>
          page
            .filter((each) => !/^\d\d:\d\d$/.test(each))
            .slice(1)
            .join(" "),
        );
      const text = words.join(" ");
      let from = 0;
      for (const { label } of rows.filter((row) => row.person === person)) {
        const at = text.indexOf(label, from);
        expect([label, at >= 0]).toEqual([label, true]);
        from = at;
      }
    }
  },
  SHAPING_MS,
);

test(
  "the PDF begins with what is promised, numbers its pages, and comes on either paper",
  async () => {
    const market = toDayBook(records, "2026-12-05", null)!;
    const busy = planDay(market);
    for (const paper of ["a4", "letter"] as const) {
      const pages = await readPdfTexts(await toDayPdf(market, busy, paper, fonts));
      const [first] = pages;
      const at = (text: string) => first!.findIndex((each) => each.includes(text));
      expect(at("by 11:00")).toBeGreaterThan(-1);
      expect(at("Ferry kiosk: 18 Date-and-sesame round")).toBeLessThan(
        at(listClockRows(busy, market)[0]!.label),
      );
      pages.forEach((page, i) => expect(page.at(-1)).toBe(`${i + 1} of ${pages.length}`));
    }
  },
  SHAPING_MS,
);

/** A plan whose first job is called so. */
const named = (label: string) => ({
  ...plan,
  tasks: plan.tasks.map((task, i) => (i === 0 ? { ...task, label } : task)),
  cautions: [],
});

test("names in any language of Latin letters are printed as they are written", async () => {
  const name = "Şeftali, ğüneş, ılık İncir, číčka, łosoś, Œuf – ½ “çok”";
  const pages = await readPdfTexts(await toDayPdf(book, named(name), "letter", fonts));
  expect(pages.flat().join("").replaceAll(" ", "")).toContain(name.replaceAll(" ", ""));
  expect(pages.flat().join("")).not.toContain("?");
});

test("a letter that the font lacks is a box, and the sheet says which", async () => {
  const pages = await readPdfTexts(await toDayPdf(book, named("Anko 餡 moon"), "a4", fonts));
  const text = pages.flat().join(" ");
  expect(text).not.toContain("?");
  expect(text).toContain("U+9921");
  const plain = await readPdfTexts(await toDayPdf(book, named("Moon"), "a4", fonts));
  expect(plain.flat().join(" ")).not.toContain("U+");
});

test("calendar and table carry no control characters and nothing that a spreadsheet runs", () => {
  const written = writeCalendar(
    [{ book, plan: named("=HYPERLINK(1)\u0000\u001b[31m moon\r\nEND:VCALENDAR") }],
    { ...wish, name: "Day\u0007 one" },
  );
  if (!written.ok) throw new Error(written.failure);
  // Long lines are folded with a tab, as RFC 5545 has it.
  expect(written.value.replace(/\r\n\t?/g, "")).not.toMatch(/\p{Cc}/u);
  expect(written.value.match(/^END:VCALENDAR\r$/gm)).toHaveLength(1);
  const { data } = Papa.parse<Record<string, string>>(toDayCsv(named("=1+1"), book), { header: true });
  expect(data[0]!.what).toBe("'=1+1");
});
