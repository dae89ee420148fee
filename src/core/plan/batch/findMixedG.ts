import type { DayBook } from "../book";
import type { DayPlan } from "../result";

/** What a day mixes of a formula, g: what the baker said, or what is needed and not in the larder. Another batch comes to it. */
export function findMixedG(
  { weighings, day }: Pick<DayBook, "weighings" | "day">,
  { doughs, fillings }: Pick<DayPlan, "doughs" | "fillings">,
  formulaId: string,
): number {
  const own = weighings.find((each) => each.dayId === day.id && each.formulaId === formulaId)?.mixG;
  const batch = [...doughs, ...fillings].find(({ formula }) => formula.id === formulaId);
  return own ?? Math.max((batch?.neededG ?? 0) - (batch?.fromLarderG ?? 0), 0);
}
