import { factsOfMaking, type MakingFailure, type MakingKind } from "../formula";
import { factsOf, type StepKind, type WayFailure } from "../way";
import { said, type WordsOf } from "./say";

const inText = (kind: StepKind) => `“${factsOf(kind).name.toLowerCase()}”`;
const atStart = (kind: StepKind) => `“${factsOf(kind).name}”`;

export const wayWords: WordsOf<WayFailure> = {
  tooEarly: ({ later, earlier }) =>
    said(`${atStart(later)} cannot come before ${inText(earlier)}.`, "Move it below that step."),
  noOpenDoor: ({ step, isBetweenHeats }) =>
    isBetweenHeats
      ? said(
          `${atStart(step)} is done at the oven's door, between two heats.`,
          "Put a heat before it and one after it.",
        )
      : said(`${atStart(step)} is done at the oven's door.`, "Put it straight after a heat."),
  missing: ({ step }) =>
    said(`${atStart(step)} is missing: this piece cannot be made without it.`, "Add that step."),
  twice: ({ step, times }) =>
    said(`${atStart(step)} stands ${times} times.`, `A piece has it once: take ${times - 1} away.`),
  afterSetOut: ({ step }) =>
    said(`${atStart(step)} comes after the piece was set out.`, "Move it above “set out”."),
  weightsStayIn: () =>
    said(
      "The weights would stay in the piece.",
      "Put “weights out” after its heat, before anything is filled in.",
    ),
  bakedAndFried: () =>
    said("A piece goes into the oven or into oil, not both.", "Take one of the two heats away."),
  wayTooLong: ({ steps, most }) =>
    said(`The way has ${steps} steps, ${steps - most} more than ${most}.`, "Take some away."),
};

const makingInText = (kind: MakingKind) => `“${factsOfMaking(kind).name.toLowerCase()}”`;
const makingAtStart = (kind: MakingKind) => `“${factsOfMaking(kind).name}”`;

export const makingWords: WordsOf<MakingFailure> = {
  notTogether: ({ times }) =>
    times === 0
      ? said("“Put together” is missing:", "add it after what is cooked apart.")
      : said(`“Put together” stands ${times} times.`, `A filling has it once: take ${times - 1} away.`),
  tooLate: ({ step, before }) =>
    said(`${makingAtStart(step)} cannot come after ${makingInText(before)}.`, "Move it above that step."),
  nothingYet: ({ step }) =>
    said(`${makingAtStart(step)} comes before anything is made.`, "Move it below what it is done to."),
  notHot: () =>
    said("“Keep hot” follows what has cooled.", "Move it straight below “cook”, “strain” or “warm”."),
  makingTooLong: ({ steps, most }) =>
    said(`There are ${steps} steps, ${steps - most} more than ${most}.`, "Take some away."),
};
