import { spawnSync } from "node:child_process";
import { buildSync } from "esbuild";

/**
 * The same questions in processes whose computer stands in three zones: dates and plans of a kitchen that has named its
 * own are the same in all of them.
 */
const PROBE = `
  import { addDays, planDay } from "@/core/plan";
  import { writeCalendar } from "@/formats";
  import { listDemoRecords } from "@/demo";
  import { toDayBook } from "@/schemas/toDayBook";
  import { findEndIso, findNowMin, nextDate, readWallClock } from "@/time/wallClock";
  const now = readWallClock(new Date("2026-10-25T22:30:00Z"), "Europe/Berlin");
  const book = toDayBook(listDemoRecords(), "2026-11-28", null);
  const plan = planDay(book);
  const calendar = writeCalendar([{ book, plan }], { name: "day", timeZone: "Europe/Berlin", sequence: 1 });
  console.log(JSON.stringify([
    now, findNowMin("2026-10-25", now), nextDate(now),
    addDays("2026-10-24", 1), addDays("2026-10-25", 1), addDays("2026-03-28", 1), addDays("2026-03-29", 1), addDays("2026-03-30", -1),
    findEndIso("2026-03-29", "Europe/Berlin"), plan.tasks.map(({ placed }) => placed.startMin),
    calendar.value.match(/DTSTART:[^\\r\\n]*/g),
  ]));
`;

test("a computer in Kathmandu, on Lord Howe or in St John's answers as one in Lisbon does", () => {
  const { outputFiles } = buildSync({
    stdin: { contents: PROBE, resolveDir: process.cwd(), loader: "ts" },
    ...{ bundle: true, write: false, platform: "node", format: "cjs", tsconfig: "tsconfig.json" },
  });
  const input = outputFiles[0]!.text;
  const zones = ["Europe/Lisbon", "Asia/Kathmandu", "Australia/Lord_Howe", "America/St_Johns"];
  const answers = zones.map((zone) => {
    const env = { ...process.env, TZ: zone };
    const ran = spawnSync(process.execPath, ["-"], { input, encoding: "utf8", env });
    expect([zone, ran.stderr]).toEqual([zone, ""]);
    return ran.stdout.trim();
  });
  expect(answers[0]).toContain('"2026-10-26"');
  expect(new Set(answers).size).toBe(1);
});
