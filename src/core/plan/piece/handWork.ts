import type { PortionPart } from "../../filling";
import type { FillingMeasure } from "../../formula";
import type { FormedPiece } from "../../forming";
import type { PaceHabit, TimedKind } from "../../habits";
import { ventFacts, type Seal, type WashedPiece } from "../../sealing";
import { factsOf, type WayStep } from "../../way";
import type { Piece } from "../book";
import { assignTakings, type StepTakings } from "./stepTakes";

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
  /** By step id: seconds of hands by the baker's own pace, of one piece or of one load as the step has it. */
  readonly stepS: Readonly<Record<string, number>>;
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
/** Setting in one nut or berry. */
const THING_S = 2;
/** A disc of laminated log is pressed up a mould faster than a sheet is laid into it. */
const PUCK_LINE_S = 14;

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

/** Hands-on seconds of one piece, step by step of its way, from the craft and the baker's log. */
export function computeHandWork(facts: HandWorkFacts): PieceWorks {
  const { piece, parts, seal, measureOf, findPace } = facts;
  const takings = assignTakings(piece.way, parts, piece.extras);
  const worked = piece.way.map((step) => ({
    step,
    operations: listOperations(step, takings.get(step.id), facts),
  }));
  const operationsOf = (kind: TimedKind) =>
    worked.flatMap(({ step, operations }) => (factsOf(step.kind).pace === kind ? operations : []));
  const paceWork = (kind: TimedKind, style: string) => pace(style, operationsOf(kind), findPace(kind, style));
  const fill = paceWork("fill", measureOf(piece.fillingId));
  const close = paceWork("close", `${piece.form.kind}-${seal?.crimp.id ?? "open"}`);
  const ratioOf = ({ kind }: WayStep) => {
    const timed = factsOf(kind).pace;
    return timed === null ? 1 : timed === "fill" ? fill.pace.ratio : close.pace.ratio;
  };
  return {
    fill,
    close,
    stepS: Object.fromEntries(
      worked.map(({ step, operations }) => [step.id, sumSeconds(operations) * ratioOf(step)]),
    ),
  };
}

const sumSeconds = (operations: readonly HandOperation[]) =>
  operations.reduce((sum, { seconds }) => sum + seconds, 0);

/** What hands do in one step: as the baker has it, else as the craft reckons it from the piece. */
function listOperations(
  step: WayStep,
  takings: StepTakings | undefined,
  { piece, formed, seal, washed, glazeS, measureOf }: HandWorkFacts,
): HandOperation[] {
  const { name, handsS } = factsOf(step.kind);
  const one = (seconds: number, words = name.toLowerCase()) => [{ name: words, seconds }];
  if (step.handsS !== null) return one(step.handsS);
  const things = (takings?.things ?? []).map(({ name: thing, count }) => ({
    name: thing,
    seconds: count * THING_S,
  }));
  switch (step.kind) {
    case "fill":
    case "spread":
    case "pourAround":
      return [
        ...(takings?.parts ?? []).map(({ role, fillingId, portion, ofPieces }) => {
          const { eachS, perMlS } = MEASURE[measureOf(fillingId)];
          return { name: partWords[role], seconds: (eachS + perMlS * portion.volumeMl) * ofPieces };
        }),
        ...things,
      ];
    case "dropIn":
      return things;
    case "garnish":
      return things.length > 0 ? things : one(handsS);
    case "line":
      return one(piece.form.kind === "puck" ? PUCK_LINE_S : handsS);
    case "close":
      return seal ? one(seal.secondsPerPiece, `close, ${seal.crimp.name.toLowerCase()}`) : [];
    case "trim":
      return formed.trimMl > 0 ? one(handsS, "take the trim off") : [];
    case "vent":
      return one(piece.vents.count * ventFacts[piece.vents.kind].seconds, "vents");
    case "brush":
    case "coat":
      return one(washed.secondsPerCoat, "wash");
    case "strew":
    case "dust":
      return one(washed.sugarSeconds, "sugar");
    case "glaze":
      return one(glazeS);
    default:
      return one(handsS);
  }
}

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
