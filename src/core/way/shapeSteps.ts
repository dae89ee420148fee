import type { PieceForm } from "../forming";
import type { StepKind } from "./step";

/** What a form asks of hands, whatever else its baker does. */
export interface ShapeSteps {
  /** Before anything goes in. */
  readonly before: readonly StepKind[];
  /** Over what is in it. */
  readonly over: readonly StepKind[];
  /** The rim is closed by a crimp. */
  readonly isClosed: boolean;
}

/** The steps without which a form is not that form. */
export function listShapeSteps(form: PieceForm): ShapeSteps {
  switch (form.kind) {
    case "largeFold":
      return { before: [], over: ["fold", "close"], isClosed: true };
    case "lidded":
      return { before: form.stick ? ["stick"] : [], over: ["layTop", "close"], isClosed: true };
    case "wrapped":
      return { before: ["prepare"], over: ["bringUp", "close"], isClosed: true };
    case "gathered":
      return { before: [], over: ["gather", "close", "turnOver"], isClosed: true };
    case "lined":
      switch (form.topping.kind) {
        case "lid":
          return { before: ["line"], over: ["close"], isClosed: true };
        case "cutOut":
          return { before: ["line"], over: ["layShape"], isClosed: false };
        default:
          return { before: ["line"], over: [], isClosed: false };
      }
    case "puck":
      return { before: ["line"], over: [], isClosed: false };
    case "case":
      return { before: ["ring"], over: [], isClosed: false };
    case "rosette":
      return { before: [], over: ["laySlices", "rollUp"], isClosed: false };
    case "pressed":
      return { before: [], over: ["press", "close"], isClosed: true };
    default:
      return { before: [], over: ["close"], isClosed: true };
  }
}
