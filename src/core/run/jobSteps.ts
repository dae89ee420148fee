import { factsOfMaking, type MakingKind } from "../formula";
import {
  listClockSteps,
  signNames,
  tellStep,
  type DayBook,
  type DayCut,
  type DayPlan,
  type PiecePlan,
} from "../plan";
import { factsOf, type StepKind } from "../way";

type Task = DayPlan["tasks"][number];

/** A step of a job, ticked off by itself. */
export interface JobStep {
  readonly id: string;
  readonly kind: StepKind | MakingKind;
  readonly text: string;
  readonly lookFor: string;
  /** Minutes after the job's start; null where it is done piece by piece. */
  readonly afterMin: number | null;
}

/** What tells that a job is right, and what to do where it is not yet. */
export interface Looks {
  readonly lookFor: readonly string[];
  /** "Not yet": so many minutes more, at most so often. */
  readonly more: { readonly minutes: number; readonly atMost: number };
}

/** Where no sign says it: a little longer, and look again. */
const USUAL_MORE = { minutes: 2, atMost: 3 };

/** The steps within a job in their order, each with what to look for and its minute from the job's start. */
export function listJobSteps(task: Task, plan: DayPlan, book: DayBook): JobStep[] {
  const line = plan.lines.find(({ piece }) => piece.id === task.pieceId);
  const filling = book.formulas.find(({ id }) => id === task.formulaId);
  return listClockSteps(task, plan, book).flatMap(({ id, text, atMin }): JobStep[] => {
    const afterMin = atMin === null ? null : atMin - task.placed.startMin;
    const made = filling?.kind === "filling" ? filling.making.find((step) => step.id === id) : undefined;
    if (made) return [{ id, kind: made.kind, text, lookFor: factsOfMaking(made.kind).lookFor, afterMin }];
    const step = line?.piece.way.find((each) => each.id === id);
    if (!step || !line) return [];
    const { lookFor } = tellStep(step, line.piece, line.shaped, line, book);
    return [{ id, kind: step.kind, text, lookFor, afterMin }];
  });
}

/** What to look for before a job is called done, and how much longer it is given if it is not. */
export function tellLooks(
  { kind, steps: taken }: Task,
  {
    line,
    cut,
    steps,
  }: { readonly line: PiecePlan | null; readonly cut: DayCut | null; readonly steps: readonly JobStep[] },
): Looks {
  const doneness = kind === "bake" ? line?.piece.doneness : null;
  if (doneness)
    return {
      lookFor: [signNames[doneness.sign]],
      more: { minutes: doneness.moreMin, atMost: doneness.atMost },
    };
  if (cut && kind === "roll") {
    const { lowC, highC } = cut.dough.window;
    return {
      lookFor: ["bends without cracking", `core ${lowC} to ${highC} °C`, "as thick at all four corners"],
      more: USUAL_MORE,
    };
  }
  // A single step that says no more than its job is not listed, and what to look for in it is.
  const alone = steps.length === 0 ? line?.piece.way.find(({ id }) => id === taken[0]?.stepId) : undefined;
  const said =
    alone && line
      ? [
          tellStep(alone, line.piece, line.shaped, line, {
            formulas: [],
            vessels: [],
            kitchen: { ovenScale: "celsius" },
          }).lookFor,
        ]
      : [];
  return { lookFor: [...said, ...steps.map(({ lookFor }) => lookFor)].filter(Boolean), more: USUAL_MORE };
}

/** A step that a piece goes through by itself. */
export interface StandingStep {
  readonly name: string;
  readonly lookFor: string;
}

/** The steps of a piece's way, right before a job's own, in which it stands by itself. */
export function listStandingBefore({ steps }: Task, { piece: { way } }: PiecePlan): StandingStep[] {
  const at = way.findIndex(({ id }) => id === steps[0]?.stepId);
  const standing: StandingStep[] = [];
  for (const step of way.slice(0, Math.max(at, 0)).reverse()) {
    const { pass, name, lookFor } = factsOf(step.kind);
    if (pass !== "stand" && pass !== "cool") break;
    standing.unshift({ name, lookFor: step.note || lookFor });
  }
  return standing;
}
