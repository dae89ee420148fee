import type { PieceForm } from "../forming";
import { because } from "../result";
import { isFilling, isHeat } from "./readWay";
import { listShapeSteps } from "./shapeSteps";
import { factsOf, type StepKind, type Way } from "./step";
import type { WayFailure } from "./wayFailure";

/** What of a piece decides which orders can be. */
export interface WayFacts {
  readonly form: PieceForm;
}

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
export function checkWay(way: Way, { form }: WayFacts): WayFailure[] {
  const at = (kind: StepKind) => way.findIndex((step) => step.kind === kind);
  const firstHeat = way.findIndex(isHeat);
  const { before, over, isClosed } = listShapeSteps(form);
  const heat: StepKind = at("fry") >= 0 ? "fry" : "bake";
  const faults: WayFailure[] = [];
  if (way.length > MOST_STEPS) faults.push(because("wayTooLong", { steps: way.length, most: MOST_STEPS }));
  for (const [earlier, later] of orders)
    if (at(later) >= 0 && at(earlier) > at(later)) faults.push(because("tooEarly", { later, earlier }));
  if (isClosed && at("close") >= 0 && !way.slice(0, at("close")).some(isFilling))
    faults.push(because("tooEarly", { later: "close", earlier: "fill" }));
  for (const kind of afterHeat)
    if (at(kind) >= 0 && (firstHeat < 0 || at(kind) < firstHeat))
      faults.push(because("tooEarly", { later: kind, earlier: heat }));
  // A closed piece goes into the heat closed.
  if (isClosed && firstHeat >= 0 && at("close") > firstHeat)
    faults.push(because("tooEarly", { later: heat, earlier: "close" }));
  way.forEach(({ kind }, i) => {
    const { pass } = factsOf(kind);
    if (pass !== "door") return;
    const [previous, next] = [
      way[i - 1],
      way.slice(i + 1).find((step) => factsOf(step.kind).pass !== "door"),
    ];
    const isOpen = previous && (isHeat(previous) || factsOf(previous.kind).pass === "door");
    const goesOn = !betweenHeats.includes(kind) || (next && isHeat(next));
    if (!isOpen || !goesOn)
      faults.push(because("noOpenDoor", { step: kind, isBetweenHeats: betweenHeats.includes(kind) }));
  });
  for (const kind of [...before, ...over, "setOut"] as const)
    if (at(kind) < 0) faults.push(because("missing", { step: kind }));
  if (firstHeat < 0) faults.push(because("missing", { step: "bake" }));
  // An open shell may be sold or kept empty.
  const isShell = before.length > 0 && over.length === 0;
  if (!isShell && !way.some(isFilling)) faults.push(because("missing", { step: "fill" }));
  for (const kind of once) {
    const times = way.filter((step) => step.kind === kind).length;
    if (times > 1) faults.push(because("twice", { step: kind, times }));
  }
  const done = at("setOut");
  const late = done < 0 ? undefined : way.slice(done + 1).find(({ kind }) => factsOf(kind).pass !== "told");
  if (late && late.kind !== "setOut") faults.push(because("afterSetOut", { step: late.kind }));
  const early = way.findIndex(({ kind }) => factsOf(kind).pass === "told");
  if (early >= 0 && done > early)
    faults.push(because("tooEarly", { later: way[early]!.kind, earlier: "setOut" }));
  if (at("weightsIn") >= 0 && !leavesBeforeFilling(way)) faults.push(because("weightsStayIn", {}));
  if (at("fry") >= 0 && at("bake") >= 0) faults.push(because("bakedAndFried", {}));
  return faults;
}

/** All weights are out before anything goes in. */
function leavesBeforeFilling(way: Way): boolean {
  const into = way.findIndex(({ kind }) => kind === "weightsIn");
  const out = way.findIndex(({ kind }, i) => kind === "weightsOut" && i > into);
  const filled = way.findIndex((step, i) => isFilling(step) && i > into);
  return out >= 0 && (filled < 0 || out < filled);
}
