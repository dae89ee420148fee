import { createEvents, type EventAttributes } from "ics";
import { listClockSteps, listLights, sayClockStep, type Day, type DayBook, type DayPlan } from "@/core/plan";
import { formatHeat } from "@/core/units";
import { fail, ok, type Result } from "@/core/result";

/** An alarm goes off so long before what it is for, min: enough to wash the flour off. */
const ALARM_MIN = 5;
/** The bakery's own mark in every entry's id. */
const MAKER = "tezgah";

/**
 * The day as iCalendar (RFC 5545): every job by hand and every load with an alarm, ovens to light among them, in the
 * bakery's own wall clock (floating times, so that the file is right wherever the tablet thinks it is).
 */
export function writeDayCalendar(book: DayBook, plan: DayPlan): Result<string, string> {
  const { day } = book;
  const lights = listLights(plan).map(({ machineId, name, heatC, lightMin }) =>
    toEvent(
      day,
      `light-${machineId}`,
      `Light ${name.toLowerCase()} to ${formatHeat(heatC, book.kitchen.ovenScale)}`,
      lightMin,
      lightMin + 1,
      0,
    ),
  );
  const jobs = plan.tasks.map((task) => ({
    ...toEvent(day, task.id, task.label, task.placed.startMin, task.placed.endMin, task.person),
    description: listClockSteps(task, plan, book).map(sayClockStep).map(toText).join("\n"),
  }));
  const { error, value } = createEvents([...lights, ...jobs], {
    productId: MAKER,
    calName: toText(day.name),
  });
  return value ? ok(value) : fail(error?.message ?? "The calendar could not be written.");
}

/** Without the control characters that RFC 5545 does not allow in a text; a new line is one space. */
const toText = (label: string) => label.replace(/\p{Cc}+/gu, " ").trim();

function toEvent(
  day: Day,
  id: string,
  label: string,
  startMin: number,
  endMin: number,
  person: number,
): EventAttributes {
  return {
    uid: `${day.date}-${id}@${MAKER}`.replace(/[^\w@.-]/g, "-"),
    title: toText(person > 0 ? `Helper: ${label}` : label),
    start: toDateParts(day.date, startMin),
    startInputType: "local",
    startOutputType: "local",
    end: toDateParts(day.date, Math.max(endMin, startMin + 1)),
    endInputType: "local",
    endOutputType: "local",
    alarms: [
      {
        action: "display",
        description: toText(label),
        trigger: { before: true, minutes: ALARM_MIN },
      },
    ],
  };
}

const MIN_PER_DAY = 24 * 60;

/** Year, month, day, hour, minute; minutes before midnight fall on the day before. */
function toDateParts(date: string, minute: number): [number, number, number, number, number] {
  const days = Math.floor(minute / MIN_PER_DAY);
  const at = new Date(`${date}T00:00:00Z`);
  at.setUTCDate(at.getUTCDate() + days);
  const rest = minute - days * MIN_PER_DAY;
  return [at.getUTCFullYear(), at.getUTCMonth() + 1, at.getUTCDate(), Math.floor(rest / 60), rest % 60];
}
