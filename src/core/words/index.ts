import type { CutFailure, PartsFailure } from "../cutting";
import type { PortionFailure, PortionTextFailure } from "../filling";
import type { FormDoubt, FormFailure } from "../forming";
import type { LineFailure, MakingFailure, ScaleFailure } from "../formula";
import type { BakeFailure, OilFailure } from "../heat";
import type { TrayFailure } from "../loading";
import type { SealDoubt } from "../sealing";
import type { PathFailure } from "../shape";
import type { ParseFailure } from "../units";
import type { WayFailure } from "../way";
import { cutWords, layoutWords, pathWords, trayWords } from "./ofCuts";
import { doubtWords, formWords } from "./ofForms";
import { bakeWords, oilWords } from "./ofHeat";
import { makingWords, wayWords } from "./ofSteps";
import { lineWords, parseWords, portionWords, scaleWords } from "./ofText";
import { said, sayBy, sayWhole, type Said, type WordsOf } from "./say";
import { formatScale } from "../units";

export { said, sayBy, sayWhole, type Said, type WordsOf };

/** Every way in which an engine of the core says no, or has a doubt. */
export type EngineFailure =
  | ParseFailure
  | PathFailure
  | LineFailure
  | ScaleFailure
  | MakingFailure
  | PortionFailure
  | PortionTextFailure
  | PartsFailure
  | CutFailure
  | TrayFailure
  | BakeFailure
  | OilFailure
  | FormFailure
  | FormDoubt
  | SealDoubt
  | WayFailure;

/** A small portion, to show how one is written, g. */
const EXAMPLE_G = 25;

/** The words of every engine's failures: the one place to write them, and to write them in another language. */
export const engineWords: WordsOf<EngineFailure> = {
  ...parseWords,
  ...pathWords,
  ...lineWords,
  ...scaleWords,
  ...makingWords,
  ...portionWords,
  noScoop: () => said("There is no scoop no. 0."),
  noPortion: ({ why }) => said(sayFailure(why), `Write ${formatScale(EXAMPLE_G)}, 2 tbsp or scoop 40.`),
  ...layoutWords,
  ...cutWords,
  ...trayWords,
  ...bakeWords,
  ...oilWords,
  ...formWords,
  ...doubtWords,
  ...wayWords,
};

/** What is wrong and by how much, and what to do. */
export const tellFailure = (failure: EngineFailure): Said => sayBy(engineWords, failure);

/** Why a text is no number, amount or time. By itself, as every field that is typed in needs it and nothing else of these. */
export const sayParseFailure = (failure: ParseFailure): string => sayWhole(sayBy(parseWords, failure));

/** The same as one text. */
export const sayFailure = (failure: EngineFailure): string => sayWhole(tellFailure(failure));
