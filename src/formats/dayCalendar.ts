import { createEvents, type DateArray, type EventAttributes } from "ics";
import {
  listClockSteps,
  listLights,
  listRestEnds,
  sayClockStep,
  type DayBook,
  type DayPlan,
  type DayTask,
} from "@/core/plan";
import { formatHeat } from "@/core/units";
import { fail, ok, type Result } from "@/core/result";
import { toInstant } from "@/time/wallClock";

/** The bakery's own mark in every entry's id. */
const MAKER = "tezgah";

/** Before an oven is lit or a rest is over, min: enough to walk there. */
const WARN_MIN = 1;

export interface CalendarDay {
  readonly book: DayBook;
  readonly plan: DayPlan;
}

export interface CalendarWish {
  readonly name: string;
  /** The kitchen's, as "Europe/Lisbon": by it minutes of a day are moments. */
  readonly timeZone: string;
  /** Rises with every change to the file: who has an entry already takes the later one. */
  readonly sequence: number;
}

/**
 * Days as iCalendar (RFC 5545): every job, every oven to light, and the end of all that goes by itself. What is alarmed
 * is what hands would miss: a heat when it is first looked at, a rest when it is over, an oven when it is to be lit.
 * Moments are told in UTC, so that they are right wherever the calendar is read.
 */
export function writeCalendar(days: readonly CalendarDay[], wish: CalendarWish): Result<string, string> {
  const { error, value } = createEvents(
    days.flatMap((day) => listEvents(day, wish)),
    { productId: MAKER, calName: toText(wish.name) },
  );
  return value ? ok(value) : fail(error?.message ?? "The calendar could not be written.");
}

function listEvents({ book, plan }: CalendarDay, { timeZone, sequence }: CalendarWish): EventAttributes[] {
  const { date } = book.day;
  const toEvent = (id: string, label: string, startMin: number, endMin: number): EventAttributes => ({
    uid: `${date}-${id}@${MAKER}`.replace(/[^\w@.-]/g, "-"),
    sequence,
    title: toText(label),
    start: toUtc(toInstant(date, startMin, timeZone)),
    startInputType: "utc",
    startOutputType: "utc",
    end: toUtc(toInstant(date, Math.max(endMin, startMin + 1), timeZone)),
    endInputType: "utc",
    endOutputType: "utc",
  });
  /** @param afterMin - After the entry begins; below 0 before it. Never 0, which the package cannot write. */
  const alarm = (label: string, afterMin: number): Pick<EventAttributes, "alarms"> => ({
    alarms: [
      {
        action: "display",
        description: escape(toText(label)),
        trigger: { before: afterMin < 0, minutes: Math.abs(afterMin) },
      },
    ],
  });
  const lights = listLights(plan).map(({ machineId, name, heatC, lightMin }) => {
    const label = `Light ${name.toLowerCase()} to ${formatHeat(heatC, book.kitchen.ovenScale)}`;
    return { ...toEvent(`light-${machineId}`, label, lightMin, lightMin + 1), ...alarm(label, -WARN_MIN) };
  });
  const jobs = plan.tasks.map((task) => {
    const label = task.person > 0 ? `Helper: ${task.label}` : task.label;
    const { startMin, endMin } = task.placed;
    const steps = listClockSteps(task, plan, book).map(sayClockStep).map(toText).join("\n");
    return {
      ...toEvent(task.id, label, startMin, endMin),
      ...(steps === "" ? {} : { description: steps }),
      ...(isHeat(task) ? alarm(`Look: ${task.label}`, Math.max(endMin - task.slackMin - startMin, 1)) : {}),
    };
  });
  const rests = listRestEnds(plan, book).map(({ id, label, endMin }) => ({
    ...toEvent(id, label, endMin, endMin + 1),
    ...alarm(label, -WARN_MIN),
  }));
  return [...lights, ...jobs, ...rests];
}

const isHeat = ({ kind }: DayTask): boolean => kind === "bake" || kind === "fry";

/** Without the control characters that RFC 5545 does not allow in a text; a new line is one space. */
const toText = (label: string) => label.replace(/\p{Cc}+/gu, " ").trim();

/** As RFC 5545 wants texts; the package does so with an entry's, not with an alarm's. */
const escape = (text: string) => text.replace(/[\\;,]/g, (sign) => `\\${sign}`);

const toUtc = (at: Date): DateArray => [
  at.getUTCFullYear(),
  at.getUTCMonth() + 1,
  at.getUTCDate(),
  at.getUTCHours(),
  at.getUTCMinutes(),
];
