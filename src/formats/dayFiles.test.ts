import { formatClock } from "@/core/units";
import Papa from "papaparse";
import { listClockRows, planDay } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { toDayCsv, toDayPdf, writeDayCalendar } from ".";
import { readPdfTexts, readShippedFonts } from "./__tests__/testPdf";

const records = listDemoRecords();
const book = toDayBook(records, "2026-11-28", null)!;
const plan = planDay(book);
const fonts = readShippedFonts();
/** Shaping every word of a great market on a busy machine, ms. */
const SHAPING_MS = 30_000;

test("the calendar holds every job and every oven to light, each with an alarm, in the bakery's own clock", () => {
  const written = writeDayCalendar(book, plan);
  if (!written.ok) throw new Error(written.failure);
  const text = written.value.replace(/\r\n[ \t]/g, "");
  const lights = plan.schedule!.heaterStarts.length;
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(plan.tasks.length + lights);
  expect(text.match(/BEGIN:VALARM/g)).toHaveLength(plan.tasks.length + lights);
  expect(text.match(/UID:.*/g)).toHaveLength(new Set(text.match(/UID:.*/g)).size);
  const first = plan.tasks[0]!.placed.startMin;
  const clock = [Math.floor(first / 60), first % 60].map((part) => String(part).padStart(2, "0")).join("");
  // Floating: no Z and no zone.
  expect(text).toMatch(new RegExp(`DTSTART:20261128T${clock}00\\r?\\n`));
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
  const written = writeDayCalendar(market, busy);
  if (!written.ok) throw new Error(written.failure);
  const unfolded = written.value.replace(/\r\n\t/g, "");
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
  const written = writeDayCalendar(
    { ...book, day: { ...book.day, name: "Day\u0007 one" } },
    named("=HYPERLINK(1)\u0000\u001b[31m moon\r\nEND:VCALENDAR"),
  );
  if (!written.ok) throw new Error(written.failure);
  // Long lines are folded with a tab, as RFC 5545 has it.
  expect(written.value.replace(/\r\n\t?/g, "")).not.toMatch(/\p{Cc}/u);
  expect(written.value.match(/^END:VCALENDAR\r$/gm)).toHaveLength(1);
  const { data } = Papa.parse<Record<string, string>>(toDayCsv(named("=1+1"), book), { header: true });
  expect(data[0]!.what).toBe("'=1+1");
});
