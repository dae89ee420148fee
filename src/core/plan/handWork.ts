import type { PortionPart } from "../filling";
import type { FillingMeasure } from "../formula";
import type { FormedPiece, FormKind } from "../forming";
import type { PaceHabit, TimedKind } from "../habits";
import { ventFacts, type Seal, type WashedPiece } from "../sealing";
import type { Piece } from "./book";

/** One thing that hands do to a piece, and how long it takes. */
export interface HandOperation {
  readonly name: string;
  readonly seconds: number;
}

/** Everything hands do to one piece at one station. */
export interface HandWork {
  /** By which its pace is learnt: what it is portioned with, how it is closed. */
  readonly style: string;
  readonly operations: readonly HandOperation[];
  /** By the craft's figures. */
  readonly craftS: number;
  readonly pace: PaceHabit;
  /** By the baker's own pace. */
  readonly seconds: number;
  /** Whole pieces in an hour at that pace; null where there is nothing to do. */
  readonly piecesPerHour: number | null;
}

export interface PieceWorks {
  readonly fill: HandWork;
  readonly close: HandWork;
  readonly finishS: number;
  /** Out of its mould; 0 where it is in none. */
  readonly unmouldS: number;
  readonly glazeS: number;
  /** A second coat at half time, each piece. */
  readonly secondCoatS: number;
}

/** Craft's first guesses, seconds a piece; the baker's own times replace them. */
const MEASURE: Readonly<Record<FillingMeasure, { readonly eachS: number; readonly perMlS: number }>> = {
  spoon: { eachS: 8, perMlS: 0.16 },
  scoop: { eachS: 6, perMlS: 0.06 },
  bag: { eachS: 4, perMlS: 0.1 },
  jug: { eachS: 4, perMlS: 0.02 },
};
const partWords: Readonly<Record<PortionPart["role"], string>> = {
  main: "portion the filling",
  alternate: "portion the other filling",
  layer: "spread the layer under it",
  share: "set the second filling beside it",
  sauce: "pour around",
};
const INCLUSION_S = 2;
/** What is done before the filling goes in. */
const PREPARE: Readonly<Partial<Record<FormKind, HandOperation>>> = {
  wrapped: { name: "peel, core and trim the fruit", seconds: 50 },
  lined: { name: "press the dough into the mould", seconds: 20 },
  puck: { name: "press the disc into the mould", seconds: 14 },
  rosette: { name: "lay the slices along the strip", seconds: 25 },
};
/** What is done after it. */
const SHAPE: Readonly<Partial<Record<FormKind, HandOperation>>> = {
  largeFold: { name: "fold the round over", seconds: 15 },
  lidded: { name: "lay the top on", seconds: 4 },
  wrapped: { name: "bring the corners up", seconds: 20 },
  gathered: { name: "draw up, turn over, roll flat", seconds: 25 },
  case: { name: "set the ring on its base", seconds: 15 },
  rosette: { name: "fold, roll up, set in its cavity", seconds: 18 },
  pressed: { name: "lay in the press and take out", seconds: 5 },
};
const STICK_S = 4;
const CUT_OUT_S = 3;
const TRIM_S = 3;
const SET_OUT_S = 4;
const UNMOULD_S = 6;

export interface HandWorkFacts {
  readonly piece: Piece;
  readonly formed: FormedPiece;
  readonly parts: readonly PortionPart[];
  readonly seal: Seal | null;
  readonly washed: WashedPiece;
  readonly glazeS: number;
  readonly measureOf: (fillingId: string) => FillingMeasure;
  /** The baker's pace at a style of work, from the log. */
  readonly findPace: (kind: TimedKind, style: string) => PaceHabit;
}

/** Hands-on seconds of one piece, by operation, from the craft and the baker's log. */
export function computeHandWork(facts: HandWorkFacts): PieceWorks {
  const { piece, formed, parts, seal, washed, measureOf, findPace } = facts;
  const { form, extras, vents, wash } = piece;
  const portionS = ({ fillingId, portion }: PortionPart) => {
    const { eachS, perMlS } = MEASURE[measureOf(fillingId)];
    return eachS + perMlS * portion.volumeMl;
  };
  const fills = parts.map((part) => ({
    name: partWords[part.role],
    seconds: portionS(part) * part.ofPieces,
  }));
  const inclusions = extras.flatMap((extra) =>
    extra.kind === "inclusion" ? [{ name: extra.name, seconds: extra.count * INCLUSION_S }] : [],
  );
  const closing = [
    ...listOne(SHAPE[form.kind]),
    ...(form.kind === "lidded" && form.stick ? [{ name: "set the stick", seconds: STICK_S }] : []),
    ...(form.kind === "lined" && form.topping.kind === "cutOut"
      ? [{ name: "lay the cut-out on", seconds: CUT_OUT_S }]
      : []),
    ...(seal ? [{ name: `close, ${seal.crimp.name.toLowerCase()}`, seconds: seal.secondsPerPiece }] : []),
    ...(formed.trimMl > 0 ? [{ name: "take the trim off", seconds: TRIM_S }] : []),
    { name: "vents", seconds: vents.count * ventFacts[vents.kind].seconds },
    { name: "wash", seconds: washed.secondsPerCoat },
    ...(wash.sugar === "before" ? [{ name: "sugar", seconds: washed.sugarSeconds }] : []),
  ];
  const paceWork = (kind: TimedKind, style: string, operations: readonly HandOperation[]) =>
    pace(style, operations, findPace(kind, style));
  return {
    fill: paceWork("fill", measureOf(piece.fillingId), [
      ...listOne(PREPARE[form.kind]),
      ...fills,
      ...inclusions,
    ]),
    close: paceWork("close", `${form.kind}-${seal?.crimp.id ?? "open"}`, closing),
    unmouldS: piece.unmould ? UNMOULD_S : 0,
    glazeS: facts.glazeS,
    finishS: SET_OUT_S + (wash.sugar === "after" ? washed.sugarSeconds : 0),
    secondCoatS: wash.coats > 1 ? washed.secondsPerCoat : 0,
  };
}

const listOne = (operation: HandOperation | undefined) => (operation ? [operation] : []);

function pace(style: string, all: readonly HandOperation[], habit: PaceHabit): HandWork {
  const operations = all.filter(({ seconds }) => seconds > 0);
  const craftS = operations.reduce((sum, { seconds }) => sum + seconds, 0);
  const seconds = craftS * habit.ratio;
  return {
    style,
    operations,
    craftS,
    pace: habit,
    seconds,
    piecesPerHour: seconds > 0 ? Math.floor(3600 / seconds) : null,
  };
}
