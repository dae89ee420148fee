import { knowByCraft, learnDays, NO_PAST, type HabitId, type PastLog } from "..";

/** A log in which the one lot of each day came out so, day after day. @param figures - Each on its habit's own scale. */
export const pastOf = (figures: Readonly<Record<string, number>>, days = 60): PastLog => ({
  ...NO_PAST,
  habits: Object.fromEntries(
    Object.entries(figures).map(([id, value]) => [
      id,
      learnDays(
        knowByCraft(id as HabitId),
        Array.from({ length: days }, () => [value]),
      ),
    ]),
  ),
});
