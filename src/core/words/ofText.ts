import type { LineFailure, ScaleFailure } from "../formula";
import type { PortionFailure } from "../filling";
import type { ParseFailure } from "../units";
import { said, type WordsOf } from "./say";

export const parseWords: WordsOf<ParseFailure> = {
  noNumberTyped: () => said("Enter a number."),
  numberTooLong: ({ shown }) => said(`“${shown}” is too long for a number.`),
  doubtfulComma: ({ shown }) =>
    said(`“${shown}” could be ${shown.replace(",", "")} or ${shown.replace(",", ".")}: write one of them.`),
  notANumber: ({ shown }) => said(`“${shown}” is not a number.`),
  dividesByZero: ({ shown }) => said(`“${shown}” divides by zero.`),
  noAmountTyped: () => said("Enter an amount."),
  noNumberIn: ({ shown }) => said(`“${shown}” has no number in it.`),
  noAmountIn: ({ shown }) => said(`“${shown}” has no amount in it.`),
  unknownUnit: ({ shown }) => said(`“${shown}” is no unit known here.`),
  wrongDimension: ({ unit, measures, needed, known }) =>
    said(`${unit} measures ${measures}; a ${needed} is needed (${known.join(", ")}).`),
  belowZero: ({ shown }) => said(`“${shown}” is below zero.`),
  rangeFalls: ({ low, high }) => said(`“${high}” is less than “${low}”: write the smaller amount first.`),
  noTimeOfDay: ({ shown }) => said(`“${shown}” is no time of the day: write it like 09:00 or 2:30 pm.`),
  noStretchOfTime: ({ shown }) =>
    said(`“${shown}” is no stretch of time: write it like 25 min, 1 h 30 or 90 s.`),
  noGasMark: ({ shown }) => said(`“${shown}” is no gas mark: they run from ¼ to 9.`),
};

export const lineWords: WordsOf<Exclude<LineFailure, ParseFailure>> = {
  amountOfNothing: ({ shown }) => said(`“${shown}” says how much, but not of what.`),
  unitNotWeighed: ({ shown }) => said(`“${shown}” is no unit known here.`, "Write grams, a spoon or a cup."),
  cannotWeigh: ({ asked }) =>
    said(asked ?? "How many grams?", "Write grams, or add it to the ingredient book."),
};

export const scaleWords: WordsOf<ScaleFailure> = {
  nothingToWeigh: ({ formula }) => said(`${formula} has no ingredients yet.`, "Add its lines first."),
  noSuchLine: ({ formula }) => said(`${formula} has no such line.`, "Choose one of its ingredients."),
  noEggs: ({ formula }) => said(`${formula} has no eggs to make whole.`),
};

export const portionWords: WordsOf<PortionFailure> = {
  unknownFilling: () => said("A filling of this piece is not in the book.", "Choose another."),
  sharesTooLarge: ({ share }) =>
    said(
      `The other fillings come to ${Math.round(share * 100)} %: nothing is left for the main one.`,
      "Lower a share.",
    ),
  noRoom: ({ wholeMl, roomMl }) =>
    said(
      `What is whole takes ${wholeMl.toFixed(1)} ml of ${roomMl.toFixed(1)} ml: no room is left for the filling.`,
      "Take fewer, or fill higher.",
    ),
};
