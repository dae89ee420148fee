import type { Metadata } from "next";
import { readHabitId } from "@/core/habits";
import { getStore } from "@/data/getStore";
import { HabitsPage } from "@/ui/habits/HabitsPage";
import { catchUp } from "../catchUp";
import { guardFile } from "../fileGuard";
import { AFTER_ALL_DAYS, readHabits, readScores } from "../readHabits";

export const metadata: Metadata = { title: "Habits" };
export const dynamic = "force-dynamic";

/** Lots that a trend shows. */
const MOST_SHOWN = 200;

/** What is known of these hands, doughs and ovens, on what evidence, and how each went with time. */
export default async function Page({
  searchParams,
}: {
  readonly searchParams: Promise<{ readonly of?: string }>;
}) {
  const { of } = await searchParams;
  return guardFile(() => {
    catchUp();
    const habits = readHabits(AFTER_ALL_DAYS);
    const chosen = habits.find(({ habit }) => habit === of) ?? habits[0] ?? null;
    const store = getStore();
    return (
      <HabitsPage
        habits={habits}
        scores={readScores(AFTER_ALL_DAYS)}
        chosen={
          chosen && {
            habit: chosen,
            kind: readHabitId(chosen.habit)?.kind ?? "heat",
            figures: store.habits.list(chosen.habit, AFTER_ALL_DAYS, MOST_SHOWN).toReversed(),
            runDates: store.runs.listDates(AFTER_ALL_DAYS, MOST_SHOWN),
          }
        }
      />
    );
  });
}
