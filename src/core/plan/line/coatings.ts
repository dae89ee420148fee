import { glazeFacts, glazeKinds, glues, washFacts, washKinds } from "../../sealing";
import type { Coating, DayPlan, PiecePlan } from "../result";

/** Glue, wash, glaze and sugar of the day by kind; of kinds that nothing needs, nothing. */
export function listCoatings(
  lines: readonly PiecePlan[],
): Pick<DayPlan, "glues" | "washes" | "glazes" | "sugarG"> {
  const sum = (figure: (line: PiecePlan) => number) => lines.reduce((total, line) => total + figure(line), 0);
  const some = (coatings: readonly Coating[]) => coatings.filter(({ massG }) => massG > 0);
  return {
    glues: some(
      glues.map(({ id, name }) => ({
        name: name.toLowerCase(),
        massG: sum(({ coats, shaped: { seal } }) => (seal?.glue.id === id ? coats.glueG : 0)),
      })),
    ),
    washes: some(
      washKinds.map((kind) => ({
        name: washFacts[kind].name,
        massG: sum(({ piece, coats }) => (piece.wash.kind === kind ? coats.washG : 0)),
      })),
    ),
    glazes: some(
      glazeKinds.map((kind) => ({
        name: glazeFacts[kind].name,
        massG: sum(({ piece, coats }) => (piece.glaze.kind === kind ? coats.glazeG : 0)),
      })),
    ),
    sugarG: sum(({ coats }) => coats.sugarG),
  };
}

/** Egg in glue and wash, for the day's balance, g. */
export function sumEggCoats(lines: readonly PiecePlan[]): { wholeG: number; whitesG: number } {
  const sum = (figure: (line: PiecePlan) => number) =>
    lines.reduce((total, line) => total + figure(line) * line.counts.toFill, 0);
  const glueG = (line: PiecePlan, id: "egg" | "white") =>
    line.shaped.seal?.glue.id === id ? line.shaped.seal.glueG : 0;
  return {
    wholeG: sum((line) => glueG(line, "egg") + line.shaped.washed.eggG),
    whitesG: sum((line) => glueG(line, "white") + line.shaped.washed.whiteG),
  };
}
