import { factsOfMaking, nameMakingStep } from "../../formula";
import { factsOf, type WayStep } from "../../way";
import type { DayBook } from "../book";
import type { DayPlan, DayTask, PiecePlan } from "../result";

/** Something that went by itself is over, and hands are wanted. */
export interface RestEnd {
  readonly id: string;
  /** `Chill is over: Leek triangle, load 1`. */
  readonly label: string;
  readonly endMin: number;
}

/** When doughs have rested, fillings have cooled, and pieces have chilled and cooled, as the day is planned. */
export function listRestEnds(
  { tasks, doughs, lines }: Pick<DayPlan, "tasks" | "doughs" | "lines">,
  { formulas }: Pick<DayBook, "formulas">,
): RestEnd[] {
  const ofDoughs = doughs.flatMap(({ formula, rest }): RestEnd[] => {
    const mixed = tasks.find(({ kind, formulaId }) => kind === "mix" && formulaId === formula.id);
    if (!mixed || !rest || rest.minutes <= 0) return [];
    const endMin = mixed.placed.endMin + rest.minutes;
    return [{ id: `rest-${formula.id}`, label: `Rest is over: ${formula.name}`, endMin }];
  });
  const ofFillings = tasks.flatMap((task) => {
    const formula = formulas.find(({ id }) => id === task.formulaId);
    if (formula?.kind !== "filling") return [];
    return task.steps.flatMap(({ stepId, atMin }): RestEnd[] => {
      const step = formula.making.find(({ id }) => id === stepId);
      if (!step || atMin === null || step.minutes <= 0 || factsOfMaking(step.kind).stage === "hot") return [];
      const label = `${nameMakingStep(step)} is over: ${formula.name}`;
      return [{ id: `${task.id}-${stepId}`, label, endMin: atMin + step.minutes }];
    });
  });
  return [...ofDoughs, ...ofFillings, ...lines.flatMap((line) => listOfWay(line, tasks))].toSorted(
    (a, b) => a.endMin - b.endMin,
  );
}

const standsByItself = ({ kind, minutes }: WayStep): boolean =>
  minutes > 0 && ["stand", "cool"].includes(factsOf(kind).pass);

/** Of each lot: what stands begins when the job before it ends, or when what stood before it has. */
function listOfWay({ piece }: PiecePlan, tasks: readonly DayTask[]): RestEnd[] {
  return piece.way.flatMap((step, i) => {
    if (!standsByItself(step)) return [];
    const before = piece.way.slice(0, i);
    const lastHand = before.findLastIndex((each) => !standsByItself(each));
    const hand = before[lastHand];
    const stoodMin = before.slice(lastHand + 1).reduce((sum, { minutes }) => sum + minutes, 0);
    return tasks.flatMap((task): RestEnd[] => {
      if (task.pieceId !== piece.id || !hand || !task.steps.some(({ stepId }) => stepId === hand.id))
        return [];
      const label = `${factsOf(step.kind).name} is over: ${piece.name}, load ${task.index}`;
      return [{ id: `${task.id}-${step.id}`, label, endMin: task.placed.endMin + stoodMin + step.minutes }];
    });
  });
}
