import { describeVents, glazeFacts, washFacts } from "../../sealing";
import { describeOutline } from "../../shape";
import {
  formatCount,
  formatDuration,
  formatHeat,
  formatLength,
  formatMass,
  type OvenScale,
} from "../../units";
import { factsOf, findHeatWay, isHeat, type WayStep } from "../../way";
import type { DayBook, Piece } from "../book";
import type { PiecePlan } from "../result";
import { type ShapedPiece, assignTakings } from "../piece";

/** A step in the day's words: what is done, and the figures it is done with. */
export interface ToldStep {
  readonly name: string;
  /** Empty where there is no figure. */
  readonly detail: string;
  readonly lookFor: string;
  readonly caution: string;
}

type TellBook = Pick<DayBook, "formulas" | "vessels"> & {
  readonly kitchen: { readonly ovenScale: OvenScale };
};

/**
 * Tells a step of a piece with its own figures.
 * @param shaped - Null where the piece cannot be made as it stands: then only what the way itself says is told.
 * @param line - Of the day, for what goes by load or pan; null where the day makes none of it.
 */
export function tellStep(
  step: WayStep,
  piece: Piece,
  shaped: ShapedPiece | null,
  line: PiecePlan | null,
  book: TellBook,
): ToldStep {
  const { name, lookFor, caution } = factsOf(step.kind);
  return {
    name: nameStep(step, piece, name),
    detail: listDetails(step, piece, shaped, line, book).join(", "),
    lookFor: step.note || lookFor,
    caution,
  };
}

/** A step's name as this piece's way makes it: what is sliced is not rolled, a second heat is baking on. */
function nameStep(step: WayStep, { way, cutAim }: Piece, name: string): string {
  const heats = way.filter(isHeat);
  const at = heats.indexOf(step);
  const before = heats[at - 1];
  if (step.kind === "bake" && before)
    return (step.heatC ?? 0) < (before.heatC ?? 0) ? "Lower the heat, bake on" : "Bake on";
  if (step.kind === "roll" && cutAim === "sliced") return "Spread, stack, roll up";
  if (step.kind === "cut" && cutAim === "sliced") return "Slice and flatten";
  if (step.kind === "roll" && cutAim === "portioned") return "Weigh off and roll each";
  if (
    step.kind === "fill" &&
    way.findIndex(isHeat) < way.indexOf(step) &&
    !way.slice(way.indexOf(step)).some(isHeat)
  )
    return "Fill, cold";
  return name;
}

function listDetails(
  step: WayStep,
  piece: Piece,
  shaped: ShapedPiece | null,
  line: PiecePlan | null,
  { formulas, vessels, kitchen }: TellBook,
): string[] {
  const nameOf = (id: string) =>
    formulas.find((formula) => formula.id === id)?.name ?? "a filling that is gone";
  const scale =
    findHeatWay(piece.way) === "oil" && kitchen.ovenScale === "gas" ? "celsius" : kitchen.ovenScale;
  const takings = shaped && assignTakings(piece.way, shaped.parts, piece.extras).get(step.id);
  const taken = [
    ...(takings?.parts ?? []).map(({ fillingId, portion, role, ofPieces }) => {
      const pans =
        role === "sauce" ? line?.fills.find(({ part }) => part.fillingId === fillingId)?.pans : null;
      return pans
        ? `${nameOf(fillingId)} ${formatMass(pans.eachG)} in each of ${formatCount(pans.count, "pan")}`
        : `${nameOf(fillingId)} ${formatMass(portion.massG)}${ofPieces < 1 ? " in some" : ""}`;
    }),
    ...(takings?.things ?? []).map(({ name, count }) => `${count} ${name}`),
  ];
  const lasts = step.minutes > 0 ? [formatDuration(step.minutes)] : [];
  switch (step.kind) {
    case "roll":
      return [`to ${formatLength(piece.thicknessMm)}`];
    case "cut":
      return shaped ? [...new Set(shaped.formed.blanks.map(({ cut }) => describeOutline(cut)))] : [];
    case "line":
      return vessels.flatMap(({ id, name }) => (id === piece.vesselId ? [name] : []));
    case "close":
      return shaped?.seal
        ? [shaped.seal.crimp.name.toLowerCase(), `${shaped.seal.marks} ${shaped.seal.crimp.markName}`]
        : [];
    case "vent":
      return [describeVents(piece.vents)];
    case "brush":
    case "coat":
      return [washFacts[piece.wash.kind].name];
    case "glaze":
      return [
        glazeFacts[piece.glaze.kind].name,
        ...(step.minutes > 0 ? [`dries ${formatDuration(step.minutes)}`] : []),
      ];
    case "bake":
    case "fry":
    case "warmUp":
      return [...(step.heatC === null ? [] : [formatHeat(step.heatC, scale)]), ...lasts];
    default:
      return [...taken, ...lasts];
  }
}
