import { checkSheet } from "../../cutting";
import { checkSchedule } from "../../schedule";
import type { DayPlan } from "./dayPlan";

/**
 * What an answer should never be, by the engines' independent checkers: cuts over each other or off their sheet, a
 * schedule that breaks what it does not say. For tests, the bench and development builds.
 */
export function checkDay({ cuts, problem, schedule }: DayPlan): string[] {
  const sheets = cuts.flatMap(({ id, plan }) =>
    plan.sheets.flatMap(({ sheet, marginMm, parts }, i) =>
      checkSheet(sheet, marginMm, 0, parts).map(({ message }) => `${id}, sheet ${i + 1}: ${message}`),
    ),
  );
  const clock = problem && schedule ? checkSchedule(problem, schedule) : [];
  return [...sheets, ...clock.map(({ message }) => message)];
}
