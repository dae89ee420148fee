import { factsOfMaking, nameMakingStep, type MakingStep } from "../../formula";
import { formatClock, formatDuration, formatHeat } from "../../units";
import type { DayBook } from "../book";
import type { DayPlan, DayTask, PiecePlan } from "../result";
import { listLights } from "../kit";
import { tellStep } from "./tellStep";

/** A line of the day's sheet: a job, or something to light. */
export interface ClockRow {
  readonly id: string;
  readonly startMin: number;
  /** Null for what takes a moment. */
  readonly endMin: number | null;
  readonly label: string;
  /** 0 the baker, 1 the helper. */
  readonly person: number;
  /** Steps of the piece's way that the job holds, where it holds more than its name says. */
  readonly steps: readonly ClockStep[];
}

export interface ClockStep {
  readonly id: string;
  /** Its own minute; null where it is done piece by piece. */
  readonly atMin: number | null;
  readonly text: string;
}

/** All that is done on a day in the order of the clock; whoever is there first lights. */
export function listClockRows(
  plan: DayPlan,
  book: Pick<DayBook, "formulas" | "vessels" | "kitchen">,
): ClockRow[] {
  const lights = listLights(plan).map(({ machineId, name, heatC, lightMin }) => ({
    id: `light-${machineId}`,
    startMin: lightMin,
    endMin: null,
    label: `Light ${name.toLowerCase()} to ${formatHeat(heatC, book.kitchen.ovenScale)}`,
    person: 0,
    steps: [],
  }));
  const jobs = plan.tasks.map((task) => ({
    id: task.id,
    startMin: task.placed.startMin,
    endMin: task.placed.endMin,
    label: task.label,
    person: task.person,
    steps: isToldAgain(task) ? [] : listClockSteps(task, plan, book),
  }));
  return [...lights, ...jobs].sort((a, b) => a.startMin - b.startMin);
}

/** Later loads go as the first: only what has a minute of its own is told for each. */
const isToldAgain = ({ index, steps }: DayTask): boolean =>
  index > 1 && steps.every(({ atMin }) => atMin === null);

/** What is done within a job, step by step, with the minute of each that has one. */
export function listClockSteps(
  { steps, pieceId, formulaId }: DayTask,
  plan: DayPlan,
  book: Pick<DayBook, "formulas" | "vessels" | "kitchen">,
): ClockStep[] {
  const line = plan.lines.find(({ piece }) => piece.id === pieceId);
  const filling = book.formulas.find(({ id }) => id === formulaId);
  const told = steps.flatMap(({ stepId, atMin }): ClockStep[] => {
    const text =
      filling?.kind === "filling"
        ? tellMaking(filling.making.find(({ id }) => id === stepId))
        : line && tellOfWay(line, stepId, book);
    return text ? [{ id: stepId, atMin, text }] : [];
  });
  // A single step without a figure says no more than its job's name.
  return told.length === 1 && !told[0]?.text.includes(":") ? [] : told;
}

function tellOfWay(line: PiecePlan, stepId: string, book: Parameters<typeof tellStep>[4]): string | null {
  const step = line.piece.way.find(({ id }) => id === stepId);
  if (!step) return null;
  const { name, detail } = tellStep(step, line.piece, line.shaped, line, book);
  return detail ? `${name}: ${detail}` : name;
}

/** `Cool: 45 min, film or paper laid right on it: no skin`. */
function tellMaking(step: MakingStep | undefined): string | null {
  if (!step) return null;
  const { lookFor, stage } = factsOfMaking(step.kind);
  if (step.minutes === 0) return nameMakingStep(step);
  const lasts = `${stage === "hot" ? "at most " : ""}${formatDuration(step.minutes)}`;
  return `${nameMakingStep(step)}: ${lasts}, ${lookFor}`;
}

/** `06:12 Turn the tray`, or without a minute what goes piece by piece. */
export const sayClockStep = ({ atMin, text }: ClockStep): string =>
  atMin === null ? text : `${formatClock(atMin)} ${text}`;
