import { isValid, parseISO } from "date-fns";
import type { Metadata } from "next";
import { listStandingFor } from "@/core/orders";
import { addDays, findWeekday } from "@/core/plan";
import { getStore } from "@/data/getStore";
import type { DayBook } from "@/schemas/model";
import { PLAN_END_MS, runJob } from "@/jobs/pool";
import type { WeekDay } from "@/ui/week/weekDay";
import { WeekPage } from "@/ui/week/WeekPage";
import { guardFile } from "../fileGuard";
import { readKitchenClock } from "../kitchenClock";
import { readBooks } from "../readBooks";

export const metadata: Metadata = { title: "The week" };
export const dynamic = "force-dynamic";

const DAYS_A_WEEK = 7;

/** Years that a week is shown of: its neighbours have four figures too. */
const YEARS = { from: "1000", to: "9000" };

/** A date that there is; anything else in the address is as none. */
const isDate = (text: string): boolean =>
  /^\d{4}-\d{2}-\d{2}$/.test(text) && text > YEARS.from && text < YEARS.to && isValid(parseISO(text));

interface Props {
  readonly searchParams: Promise<{ on?: string | string[] }>;
}

/** Seven days side by side: what each asks of people and kitchen, and who comes for what. */
export default async function Page({ searchParams }: Props) {
  const { on } = await searchParams;
  return guardFile(async () => {
    const today = readKitchenClock().wall.date;
    const asked = typeof on === "string" && isDate(on) ? on : today;
    const monday = addDays(asked, 1 - findWeekday(asked));
    const dates = Array.from({ length: DAYS_A_WEEK }, (_, i) => addDays(monday, i));
    const books = readBooks(monday, addDays(monday, DAYS_A_WEEK - 1));
    const loads = await runJob("loadDays", books, PLAN_END_MS);
    const store = getStore();
    const { standing, customers, pieces } = store.listSelling();
    const toDay = (date: string): WeekDay => {
      const at = books.findIndex(({ day }) => day.date === date);
      const book = books[at] ?? null;
      const dayId = book?.day.id ?? date;
      const orders = book?.orders ?? [];
      return {
        date,
        day: book?.day ?? null,
        orders,
        load: (loads.ok && loads.value[at]?.load) || null,
        ahead: book ? listAhead(book) : [],
        hasRun: store.runs.has(date),
        standing: listStandingFor(
          { id: dayId, weekday: findWeekday(date), isHoliday: false },
          ...([standing, customers, orders, () => ""] as const),
        ),
      };
    };
    // Of pieces that are no longer in the book, the days that name them know.
    const named = [...books.flatMap((book) => book.pieces), ...pieces].map(({ id, name }) => [id, name]);
    return (
      <WeekPage
        key={monday}
        monday={monday}
        today={today}
        days={dates.map(toDay)}
        faces={Object.assign({}, ...(loads.ok ? loads.value.map(({ faces }) => faces) : []))}
        pieceNames={Object.fromEntries(named) as Readonly<Record<string, string>>}
      />
    );
  });
}

/** What is made on a day for others, by name. */
function listAhead({ day, ahead, formulas, pieces }: DayBook): WeekDay["ahead"] {
  const nameOf = new Map([...formulas, ...pieces].map(({ id, name }) => [id, name]));
  return ahead
    .filter(({ dayId }) => dayId === day.id)
    .map(({ refId, forDate }) => ({ name: nameOf.get(refId) ?? refId, forDate }));
}
