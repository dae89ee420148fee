import { createMemory } from "@/core/createMemory";
import { planDay, sumDayLoad, type DayBook, type DayLoad } from "@/core/plan";

/** Days remembered: some weeks, looked at from several tablets. */
const DAYS_REMEMBERED = 60;
const remember = createMemory<DayLoad>(DAYS_REMEMBERED);

/** What each day asks of people and kitchen. A day of which nothing has changed is not planned again. */
export const loadDays = (books: readonly DayBook[]): DayLoad[] =>
  books.map((book) => remember(JSON.stringify(book), () => sumDayLoad(planDay(book))));
