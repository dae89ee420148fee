import { createRecordMemory } from "../../createMemory";
import type { Dough, Formula } from "../../formula";
import type { Place } from "../../heat";
import { knowHabit, toHabitId, type HabitId, type PastLog } from "../../habits";

/** What is left of a blank's length once it has relaxed, against what its dough says. */
export const toRelaxedHabit = (doughId: string): HabitId => toHabitId("relaxed", doughId);
/** Thickness really rolled against the plan's. */
export const toThicknessHabit = (doughId: string): HabitId => toHabitId("thickness", doughId);
export const placeNames: Readonly<Record<Place, string>> = {
  bench: "Bench",
  fridge: "Fridge",
  freezer: "Freezer",
};

/** How readily heat passes between dough and a place, against what the conduction model takes for it. */
export const toFilmHabit = (place: Place): HabitId => toHabitId("film", place);

/** A tenth of a millimetre in a blank of ten centimetres: below this a ruler tells nothing. */
const LEAST_RELAXED = 0.001;
/** A gauge does not tell a share of thickness or of a film below this from none. */
const LEAST_SHARE = 0.01;
/** A blank that keeps more than its whole length was stretched, and is cut as if it kept just that. */
const LEAST_SPRING_BACK = 0;

const remember = createRecordMemory<Dough, Dough>();

const meanOf = ({ habits }: PastLog, id: HabitId): number =>
  habits[id] ? knowHabit({ habits }, id).mean : 0;

/** A formula as blanks know it: a dough that pulls back more than it says is cut the larger. */
export function learnFormula(formula: Formula, past: PastLog): Formula {
  if (formula.kind !== "dough") return formula;
  return remember(formula, [past.habits], () => {
    const mean = meanOf(past, toRelaxedHabit(formula.id));
    if (Math.abs(mean) < LEAST_RELAXED) return formula;
    const springBackShare = Math.max(1 - (1 - formula.springBackShare) * Math.exp(mean), LEAST_SPRING_BACK);
    return { ...formula, springBackShare };
  });
}

/** Dough that is rolled for each gram planned: a sheet rolled thicker takes more. Of a thin hand the rest is over. */
export function findThicknessFactor(past: PastLog, doughId: string): number {
  const mean = meanOf(past, toThicknessHabit(doughId));
  return mean < LEAST_SHARE ? 1 : Math.exp(mean);
}

/** How many times the model's film lets heat through in each place, by cores that were read there. */
export const findFilmFactors = (past: PastLog): Readonly<Record<Place, number>> => ({
  bench: findFilmFactor(past, "bench"),
  fridge: findFilmFactor(past, "fridge"),
  freezer: findFilmFactor(past, "freezer"),
});

function findFilmFactor(past: PastLog, place: Place): number {
  const mean = meanOf(past, toFilmHabit(place));
  return Math.abs(mean) < LEAST_SHARE ? 1 : Math.exp(mean);
}
