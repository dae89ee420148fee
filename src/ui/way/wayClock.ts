import type { DayPlan, DayTask, PiecePlan } from "@/core/plan";
import { factsOf, type WayStep } from "@/core/way";

/** When a step is done to the first load of a piece, and how long that takes; nulls where the day does not do it. */
export interface StepTime {
  readonly atMin: number | null;
  /** Of hands, for the load; null for what passes by itself. */
  readonly handsMin: number | null;
}

/**
 * The steps of a piece's way against the clock of its first load: jobs of hands at the job's start, what is done at the
 * oven's door at its own minute, and what passes by itself from where hands have left the piece.
 */
export function timeSteps(line: PiecePlan | null, plan: DayPlan, way: readonly WayStep[]): StepTime[] {
  const tasks = line ? plan.tasks.filter((task) => isOfLoad(task, line)) : [];
  let leftMin: number | null = null;
  return way.map((step): StepTime => {
    const { pass } = factsOf(step.kind);
    if (pass === "dough") return timeDough(step, line, plan);
    const task = tasks.find(({ steps }) => steps.some(({ stepId }) => stepId === step.id));
    if (!task) return { atMin: pass === "stand" || pass === "cool" ? leftMin : null, handsMin: null };
    leftMin = task.placed.endMin;
    const own = task.steps.find(({ stepId }) => stepId === step.id)?.atMin ?? null;
    return {
      atMin: own ?? task.placed.startMin,
      handsMin: pass === "heat" ? null : timeHands(step, task, line),
    };
  });
}

const isOfLoad = ({ pieceId, id, index }: DayTask, { piece }: PiecePlan): boolean =>
  pieceId === piece.id && index === 1 && !id.includes(":frozen:") && !id.includes(":shells:");

function timeDough({ kind }: WayStep, line: PiecePlan | null, plan: DayPlan): StepTime {
  if (!line) return { atMin: null, handsMin: null };
  const wanted = kind === "takeOut" ? "takeOut" : "roll";
  const jobs = plan.tasks.filter((task) => task.kind === wanted && task.cutId === line.cut.id);
  const [first] = jobs.toSorted((a, b) => a.placed.startMin - b.placed.startMin);
  // Sheets are rolled and cut in one go: their minutes stand with the rolling.
  const handsMin = kind === "cut" ? null : jobs.reduce((sum, task) => sum + task.handsMin, 0);
  return { atMin: first?.placed.startMin ?? null, handsMin: jobs.length > 0 ? handsMin : null };
}

function timeHands({ kind, id }: WayStep, task: DayTask, line: PiecePlan | null): number {
  const each = line?.shaped.works.stepS[id] ?? 0;
  return (factsOf(kind).per === "load" ? each : each * task.pieces) / 60;
}
