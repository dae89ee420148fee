import {
  countHeld,
  findWidening,
  habitKinds,
  knowByCraft,
  readHabitId,
  tellFigure,
  tellWork,
  type HabitId,
  type HabitKindId,
} from "@/core/habits";
import type { Place } from "@/core/heat";
import { placeNames, seasonNames, tellHand, type Season } from "@/core/plan";
import { getStore } from "@/data/getStore";
import type { ToldHabit } from "@/ui/habits/toldHabit";
import type { KindScore } from "@/ui/taught/Scores";

/** Before it are all days, those to come too: a day may be run ahead of the clock. */
export const AFTER_ALL_DAYS = "9999-12-31";

/** Forecasts that are looked back at. */
const MOST_SCORED = 2000;

/** Every habit of which anything is known before a date, kind by kind and by name. */
export function readHabits(before: string): ToldHabit[] {
  const { habits } = getStore();
  const known = habits.know(before);
  const words = new Map(habits.listWords().map((word) => [word.habit, word]));
  const names = habits.listNames();
  const kinds = Object.keys(habitKinds);
  return (Object.keys(known) as HabitId[])
    .map((habit): ToldHabit => {
      const { kind, key } = readHabitId(habit)!;
      const { what, scale } = habitKinds[kind];
      const { value, since } = words.get(habit) ?? {};
      return {
        habit,
        name: nameHabit(kind, key, names),
        what,
        scale,
        known: tellFigure(known[habit] ?? knowByCraft(habit)),
        word: value === undefined || since === undefined ? null : { value, since },
      };
    })
    .sort(
      (a, b) =>
        kinds.indexOf(readHabitId(a.habit)!.kind) - kinds.indexOf(readHabitId(b.habit)!.kind) ||
        (a.name < b.name ? -1 : 1),
    );
}

function nameHabit(kind: HabitKindId, key: string, names: ReadonlyMap<string, string>): string {
  const nameOf = (id: string) => names.get(id) ?? id;
  if (kind === "hands") return tellWork(key, nameOf);
  if (kind === "person") return key === "1" ? "Helper" : "Baker";
  if (kind === "oven") {
    const [oven = key, deck] = key.split("#");
    return deck === undefined ? nameOf(oven) : `${nameOf(oven)}, deck ${deck}`;
  }
  if (kind === "film") return placeNames[key as Place] ?? key;
  if (kind === "measure" || kind === "spread") return tellHand(key);
  if (kind === "liquid") {
    const [formula = key, season] = key.split("#");
    return season === undefined
      ? nameOf(formula)
      : `${nameOf(formula)}, ${seasonNames[season as Season] ?? season}`;
  }
  if (kind === "heat") {
    const [piece = "", machine = ""] = key.split("@");
    return `${nameOf(piece)}, ${nameOf(machine).toLowerCase()}`;
  }
  return nameOf(key);
}

/** How often kept forecasts held before a date, kind by kind. */
export function readScores(before: string): KindScore[] {
  const kept = getStore()
    .habits.listRunFigures(before, MOST_SCORED)
    .flatMap(({ habit, value, expected }) => (expected ? [{ habit, value, ...expected }] : []));
  return (Object.keys(habitKinds) as HabitKindId[]).flatMap((kind) => {
    const own = kept.filter(({ habit }) => readHabitId(habit)?.kind === kind);
    return own.length === 0
      ? []
      : [{ what: habitKinds[kind].what, held: countHeld(own), of: own.length, widened: findWidening(own) }];
  });
}
