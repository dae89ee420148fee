import type { PieceForm } from "../forming";
import { isFilling, isHeat } from "./readWay";
import { listShapeSteps } from "./shapeSteps";
import { factsOf, type StepKind, type Way } from "./step";

/** What of a piece decides which orders can be. */
export interface WayFacts {
  readonly form: PieceForm;
}

/** Why a way cannot be; its words are `describeWayFault`. */
export type WayFault =
  /** `later` needs `earlier` before it. */
  | { readonly code: "tooEarly"; readonly later: StepKind; readonly earlier: StepKind }
  /** Only between two heats, or straight after one. */
  | { readonly code: "noOpenDoor"; readonly step: StepKind }
  /** The form asks for it, or every piece does. */
  | { readonly code: "missing"; readonly step: StepKind }
  | { readonly code: "twice"; readonly step: StepKind; readonly times: number }
  /** After it was set out nothing is done any more. */
  | { readonly code: "afterSetOut"; readonly step: StepKind }
  | { readonly code: "weightsStayIn" }
  | { readonly code: "bakedAndFried" }
  | { readonly code: "tooMany"; readonly steps: number; readonly most: number };

/** More steps than any piece of small pastry has. */
export const MOST_STEPS = 40;

/** The second comes after the first, wherever both stand in a way. */
const orders: readonly (readonly [earlier: StepKind, later: StepKind])[] = [
  ["takeOut", "roll"],
  ["roll", "restFlat"],
  ["roll", "cut"],
  ["cut", "line"],
  ["cut", "ring"],
  ["cut", "fill"],
  ["cut", "spread"],
  ["stick", "fill"],
  ["prepare", "fill"],
  ["line", "fill"],
  ["line", "spread"],
  ["line", "dropIn"],
  ["line", "trim"],
  ["line", "weightsIn"],
  ["fill", "layTop"],
  ["fill", "laySlices"],
  ["fill", "layShape"],
  ["fill", "bringUp"],
  ["fill", "gather"],
  ["fill", "fold"],
  ["fill", "press"],
  ["layTop", "close"],
  ["fold", "close"],
  ["bringUp", "close"],
  ["gather", "close"],
  ["gather", "turnOver"],
  ["laySlices", "rollUp"],
  ["press", "close"],
  ["brush", "coat"],
  ["warm", "pourAround"],
  ["weightsIn", "weightsOut"],
];

/** What is done to a piece that has been in the heat. */
const afterHeat: readonly StepKind[] = [
  "cool",
  "drain",
  "unmould",
  "glaze",
  "spoonOver",
  "garnish",
  "lidOn",
  "dust",
];
/** Goes back into the heat at once. */
const betweenHeats: readonly StepKind[] = ["turn", "coat"];
/** One piece has one of each. */
const once: readonly StepKind[] = [
  "roll",
  "cut",
  "line",
  "close",
  "unmould",
  "setOut",
  "fry",
  "gather",
  "rollUp",
  "ring",
];

/** Everything that cannot be about a way, in the order of its steps; empty for one that can be worked. */
export function checkWay(way: Way, { form }: WayFacts): WayFault[] {
  const at = (kind: StepKind) => way.findIndex((step) => step.kind === kind);
  const firstHeat = way.findIndex(isHeat);
  const { before, over, isClosed } = listShapeSteps(form);
  const faults: WayFault[] = [];
  if (way.length > MOST_STEPS) faults.push({ code: "tooMany", steps: way.length, most: MOST_STEPS });
  for (const [earlier, later] of orders)
    if (at(later) >= 0 && at(earlier) > at(later)) faults.push({ code: "tooEarly", later, earlier });
  if (isClosed && at("close") >= 0 && !way.slice(0, at("close")).some(isFilling))
    faults.push({ code: "tooEarly", later: "close", earlier: "fill" });
  for (const kind of afterHeat)
    if (at(kind) >= 0 && (firstHeat < 0 || at(kind) < firstHeat))
      faults.push({ code: "tooEarly", later: kind, earlier: at("fry") >= 0 ? "fry" : "bake" });
  // A closed piece goes into the heat closed.
  if (isClosed && firstHeat >= 0 && at("close") > firstHeat)
    faults.push({ code: "tooEarly", later: at("fry") >= 0 ? "fry" : "bake", earlier: "close" });
  way.forEach(({ kind }, i) => {
    const { pass } = factsOf(kind);
    if (pass !== "door") return;
    const [previous, next] = [
      way[i - 1],
      way.slice(i + 1).find((step) => factsOf(step.kind).pass !== "door"),
    ];
    const isOpen = previous && (isHeat(previous) || factsOf(previous.kind).pass === "door");
    const goesOn = !betweenHeats.includes(kind) || (next && isHeat(next));
    if (!isOpen || !goesOn) faults.push({ code: "noOpenDoor", step: kind });
  });
  for (const kind of [...before, ...over, "setOut"] as const)
    if (at(kind) < 0) faults.push({ code: "missing", step: kind });
  if (firstHeat < 0) faults.push({ code: "missing", step: "bake" });
  // An open shell may be sold or kept empty.
  const isShell = before.length > 0 && over.length === 0;
  if (!isShell && !way.some(isFilling)) faults.push({ code: "missing", step: "fill" });
  for (const kind of once) {
    const times = way.filter((step) => step.kind === kind).length;
    if (times > 1) faults.push({ code: "twice", step: kind, times });
  }
  const done = at("setOut");
  const late = done < 0 ? undefined : way.slice(done + 1).find(({ kind }) => factsOf(kind).pass !== "told");
  if (late && late.kind !== "setOut") faults.push({ code: "afterSetOut", step: late.kind });
  const early = way.findIndex(({ kind }) => factsOf(kind).pass === "told");
  if (early >= 0 && done > early)
    faults.push({ code: "tooEarly", later: way[early]!.kind, earlier: "setOut" });
  if (at("weightsIn") >= 0 && !leavesBeforeFilling(way)) faults.push({ code: "weightsStayIn" });
  if (at("fry") >= 0 && at("bake") >= 0) faults.push({ code: "bakedAndFried" });
  return faults;
}

/** All weights are out before anything goes in. */
function leavesBeforeFilling(way: Way): boolean {
  const into = way.findIndex(({ kind }) => kind === "weightsIn");
  const out = way.findIndex(({ kind }, i) => kind === "weightsOut" && i > into);
  const filled = way.findIndex((step, i) => isFilling(step) && i > into);
  return out >= 0 && (filled < 0 || out < filled);
}

/** Why a way cannot be and what would mend it, in a sentence or two. */
export function describeWayFault(fault: WayFault): string {
  const name = (kind: StepKind) => factsOf(kind).name.toLowerCase();
  switch (fault.code) {
    case "tooEarly":
      return `“${factsOf(fault.later).name}” cannot come before “${name(fault.earlier)}”. Move it below that step.`;
    case "noOpenDoor":
      return betweenHeats.includes(fault.step)
        ? `“${factsOf(fault.step).name}” is done at the oven's door, between two heats. Put a heat before it and one after it.`
        : `“${factsOf(fault.step).name}” is done at the oven's door. Put it straight after a heat.`;
    case "missing":
      return `“${factsOf(fault.step).name}” is missing: this piece cannot be made without it. Add that step.`;
    case "twice":
      return `“${factsOf(fault.step).name}” stands ${fault.times} times. A piece has it once: take ${fault.times - 1} away.`;
    case "afterSetOut":
      return `“${factsOf(fault.step).name}” comes after the piece was set out. Move it above “set out”.`;
    case "weightsStayIn":
      return "The weights would stay in the piece. Put “weights out” after its heat, before anything is filled in.";
    case "bakedAndFried":
      return "A piece goes into the oven or into oil, not both. Take one of the two heats away.";
    case "tooMany":
      return `The way has ${fault.steps} steps, ${fault.steps - fault.most} more than ${fault.most}. Take some away.`;
  }
}
