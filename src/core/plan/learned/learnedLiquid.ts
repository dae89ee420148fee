import { computeTargetG, type Formula } from "../../formula";
import { knowByCraft, knowHabit, LOTS_LOOKED_AT, toHabitId, type HabitId, type PastLog } from "../../habits";
import { type DayBook, type Weighing, findSeason, type Season } from "../book";

/** What a dough or filling takes of its liquid, against its formula as written; at one time of the year where that is said. */
export const toLiquidHabit = (formulaId: string, season: Season | null = null): HabitId =>
  toHabitId("liquid", season === null ? formulaId : `${formulaId}#${season}`);

/** What a batch's liquid is aimed at. */
export interface LiquidAim {
  /** For the formula as written. */
  readonly massG: number;
  /** Lots that it rests on; 0 where the baker has set it by hand. */
  readonly lots: number;
  /** Whether lots of the same time of the year speak for themselves in it. */
  readonly isSeasonal: boolean;
}

/** Of fewer lots the last one tells as much. */
const LEAST_LOTS = 3;
/** No log is worth so many lots: what is, was set by hand, and no time of the year moves it. */
const SET_LOTS = 2 * LOTS_LOOKED_AT;
/** How far times of the year lie apart, as a share: flour of a damp summer holds two hundredths more water, and takes less. */
const SEASONS_SD = 0.02;

/**
 * What the liquid of a formula is aimed at: by its log, its own time of the year weighing as much as its lots tell beyond
 * the flour's stray from sack to sack; of few lots as much as it took on the last day before this one.
 * @returns Null where nothing was ever kept.
 * @see Gelman et al., Bayesian Data Analysis, 3rd ed., section 5.4 (a group's mean shrunk to that of all).
 */
export function findLiquidAim(book: DayBook, formula: Formula): LiquidAim | null {
  const { past, day } = book;
  const { lots, mean, sd, worthLots } = knowHabit(past, toLiquidHabit(formula.id));
  const line = formula.lines.find(({ mostG }) => mostG !== null);
  if (line && worthLots > SET_LOTS)
    return { massG: computeTargetG(formula, line, null) * Math.exp(mean), lots: 0, isSeasonal: false };
  if (lots < LEAST_LOTS || !line) {
    const massG = findTookLast(book, formula.id);
    return massG === null ? null : { massG, lots: 1, isSeasonal: false };
  }
  const ofSeason = weighSeason(past, formula.id, findSeason(day.date));
  const asOne = (sd / SEASONS_SD) ** 2;
  const blended = (ofSeason.worthLots * ofSeason.mean + asOne * mean) / (ofSeason.worthLots + asOne);
  return {
    massG: computeTargetG(formula, line, null) * Math.exp(blended),
    lots,
    isSeasonal: ofSeason.lots > 0,
  };
}

/** What one time of the year says: worth the lots that it has of its own, beside the craft's word. */
function weighSeason(past: PastLog, formulaId: string, season: Season) {
  const habit = toLiquidHabit(formulaId, season);
  const { lots, mean, worthLots } = knowHabit(past, habit);
  return { lots, mean, worthLots: worthLots - knowByCraft(habit).worthLots };
}

/** What each formula's liquid is aimed at, by formula id; null where nothing of it was ever kept. */
export const listLiquidAims = (book: DayBook): Record<string, LiquidAim | null> =>
  Object.fromEntries(book.formulas.map((formula) => [formula.id, findLiquidAim(book, formula)]));

const scaledTook = ({ took }: Weighing) => (took ? took.massG / took.scale : null);

/** What the liquid took on the last day before this one, for the formula as written. */
function findTookLast({ weighings, day, past }: DayBook, formulaId: string): number | null {
  const last = weighings
    .filter((weighing) => weighing.formulaId === formulaId && weighing.took && weighing.date < day.date)
    .sort((a, b) => (a.date < b.date ? 1 : -1))[0];
  return last ? scaledTook(last) : (past.tookLastG[formulaId] ?? null);
}
