import { because, type Failure } from "../result";
import { said, sayBy, sayWhole, type WordsOf } from "../words";
import type { FigureScale } from "./figureHabit";

/** Why a figure cannot be a habit's. */
export type HabitFailure =
  /** Neither kind nor owner is known by that id. */
  | Failure<"noHabit", { readonly shown: string }>
  /** Slips of a hand, not of a clock: figures as they are told, shares from 0 to 1 and more, or °C. */
  | Failure<
      "habitOutside",
      {
        readonly what: string;
        readonly scale: FigureScale;
        readonly told: number;
        readonly least: number;
        readonly most: number;
      }
    >;

/** Characters of an id that are shown again. */
const MOST_SHOWN = 60;

/** No habit has that id. */
export const noHabit = (id: string) => because("noHabit", { shown: id.slice(0, MOST_SHOWN) });

const habitWords: WordsOf<HabitFailure> = {
  noHabit: ({ shown }) => said(`“${shown}” is no habit: use a kind and whose it is, like hands:fill:spoon.`),
  habitOutside: ({ what, scale, told, least, most }) => {
    const [tell, unit] = scale === "share" ? [100, " %"] : [1, " °C"];
    const rounded = (figure: number) => `${Math.round(figure * tell)}${unit}`;
    return said(`${rounded(told)} ${what} cannot be: it lies outside ${rounded(least)} to ${rounded(most)}.`);
  },
};

/** Why a figure cannot be, in words. */
export const sayHabitFailure = (failure: HabitFailure): string => sayWhole(sayBy(habitWords, failure));
