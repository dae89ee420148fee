import Papa from "papaparse";
import { planDay } from "@/core/plan";
import { listDemoRecords } from "@/demo";
import { toDayBook } from "@/schemas/toDayBook";
import { toDayCsv, writeDayCalendar } from ".";

const records = listDemoRecords();
const book = toDayBook(records, "2026-11-28", null)!;
const plan = planDay(book);

test("the calendar holds every job and every oven to light, each with an alarm, in the bakery's own clock", () => {
  const written = writeDayCalendar(book.day, plan);
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
  const { data } = Papa.parse<Record<string, string>>(toDayCsv(plan), { header: true });
  expect(data.map(({ what }) => what)).toEqual(plan.tasks.map(({ label }) => label));
  const starts = data.map(({ from }) => from!);
  expect(starts).toEqual(starts.toSorted());
});
