import { CUSTARD_CORE_C } from "../cautions";
import {
  tabulateCooling,
  tabulateFilm,
  type ColdPlace,
  type FilmTable,
  type FryLoad,
  type OilBath,
} from "../heat";
import { toBaked, type DayBook, type DayCut, type DayPlan, type PiecePlan } from "../plan";
import { computeBox } from "../shape";
import { factsOf } from "../way";
import type { JobStep } from "./jobSteps";

/** The figures of a job that a device can read; null where it has none. */
export interface JobTargets {
  /** The oven or the fryer it is in. */
  readonly machineId: string | null;
  /** What that is set to as it begins, and as it ends: a bake may be set lower on the way. */
  readonly heatC: number | null;
  readonly endC: number | null;
  /** What the air of the oven should be then by the kit, which knows what its decks are off. */
  readonly airC: number | null;
  /** Of an oven of several decks, deck by deck from the top: what the air of each should be then by the kit. */
  readonly decksC?: readonly number[] | null;
  /** From a cold oven to its setting by the kit, of the first bake in it; min. */
  readonly heatUpMin?: number | null;
  /** Of a basket: what the model was asked by the kit. */
  readonly fry?: { readonly bath: OilBath; readonly load: FryLoad } | null;
  /** What it is wanted to be: by the kit and by what the log has beyond that. */
  readonly wantedC: number | null;
  /** Of the main filling, each. */
  readonly portionG: number | null;
  /** Rolled to, mm. */
  readonly thicknessMm?: number | null;
  /** Off the sheet by the plan, g. */
  readonly trimG?: number | null;
  /** Across the first outline of a sheet once it relaxed, by what its dough says it pulls back, mm. */
  readonly blankMm?: number | null;
  /** Of a dough that rests until its core can be rolled: where, from the end of which job, and how its core falls. */
  readonly rest?: {
    readonly place: ColdPlace;
    readonly fromTaskId: string;
    readonly cores: FilmTable;
  } | null;
  /** Of a piece that has cooled in the room: from the end of which job, in what air, and how its core falls. */
  readonly cooling?: {
    readonly fromTaskId: string;
    readonly roomC: number;
    readonly cores: FilmTable;
  } | null;
  /** Of a dough as it is rolled. */
  readonly window: { readonly lowC: number; readonly highC: number } | null;
  /** Of a custard as it is cooked or baked, at its core. */
  readonly custardC: { readonly lowC: number; readonly highC: number } | null;
}

type Task = DayPlan["tasks"][number];

/** What a job's readings are held against, by the plan and by the kit as it is written. */
export function freezeTargets(
  task: Task,
  {
    line,
    cut,
    steps,
  }: { readonly line: PiecePlan | null; readonly cut: DayCut | null; readonly steps: readonly JobStep[] },
  plan: DayPlan,
  book: DayBook,
): JobTargets {
  const { kind } = task;
  const oilC = line?.fries.find(({ fryer }) => fryer.id === task.machineId)?.oilC ?? null;
  return {
    machineId: task.machineId,
    heatC: task.heat?.startC ?? oilC,
    endC: task.heat?.endC ?? oilC,
    airC: task.heat ? task.heat.endC + findMeanOffC(book.ovens, task.machineId) : null,
    wantedC: task.heat ? task.heat.endC + findMeanOffC(plan.ovens, task.machineId) : null,
    portionG: kind === "fill" ? (line?.shaped.portion.massG ?? null) : null,
    window: kind === "roll" && cut ? { lowC: cut.dough.window.lowC, highC: cut.dough.window.highC } : null,
    ...(task.heat ? freezeOven(task, plan, book) : {}),
    fry: freezeFry(task, line, book),
    cooling: line && freezeCooling(task, line, plan, book),
    ...(kind === "roll" && cut ? freezeRolling(task, cut, plan, book) : {}),
    custardC: isCustard(task, line, steps, book) ? CUSTARD_CORE_C : null,
  };
}

/** What an oven's decks and its heating up are measured against. */
function freezeOven(
  { id, heat, machineId }: Task,
  { tasks }: DayPlan,
  { ovens, kitchen: { roomC } }: DayBook,
): Pick<JobTargets, "decksC" | "heatUpMin"> {
  const oven = ovens.find((each) => each.id === machineId);
  if (!oven || !heat) return {};
  const isFirst = tasks.find((task) => task.heat && task.machineId === machineId)?.id === id;
  const { deckOffsetsC, heatUpCPerMin } = oven;
  return {
    decksC: deckOffsetsC.length > 1 ? deckOffsetsC.map((offC) => heat.endC + offC) : null,
    heatUpMin: isFirst ? Math.max(heat.startC - roomC, 0) / heatUpCPerMin : null,
  };
}

/** A full basket against the fryer as the kit has it. */
function freezeFry(
  { kind, machineId, pieces }: Task,
  line: PiecePlan | null,
  { fryers }: DayBook,
): JobTargets["fry"] {
  const fried = kind === "fry" ? line?.fries.find(({ fryer }) => fryer.id === machineId) : null;
  const written = fryers.find(({ id }) => id === machineId);
  if (!fried || !written || pieces < fried.perBasket) return null;
  return { bath: { ...fried.bath, heaterW: written.heaterW }, load: fried.load };
}

/**
 * A whole piece that comes out of its last heat and cools lying free: in a mould it cools as the mould does, and a shell
 * is no slab.
 */
function freezeCooling(
  { id, steps }: Task,
  line: PiecePlan,
  { problem, analyses, tasks }: DayPlan,
  book: DayBook,
): JobTargets["cooling"] {
  const { way, vesselId } = line.piece;
  const at = way.findIndex((step) => step.id === steps[0]?.stepId);
  const passOf = (i: number) => (way[i] ? factsOf(way[i].kind).pass : null);
  let heatAt = at - 1;
  while (passOf(heatAt) === "cool" || passOf(heatAt) === "stand") heatAt--;
  const cools = way.slice(heatAt + 1, Math.max(at, 0)).some(({ kind }) => factsOf(kind).pass === "cool");
  const isLast = way.slice(Math.max(at, 0)).every((_, i) => passOf(at + i) !== "heat");
  const heats = new Set(
    tasks.flatMap((task) => (task.kind === "bake" || task.kind === "fry" ? [task.id] : [])),
  );
  const fromTaskId = problem?.tasks
    .find((task) => task.id === id)
    ?.after.find(({ taskId }) => heats.has(taskId))?.taskId;
  if (vesselId !== null || passOf(heatAt) !== "heat" || !cools || !isLast || !fromTaskId) return null;
  const baked = toBaked(line.piece, line.shaped, book, analyses);
  const { roomC } = book.kitchen;
  return baked && { fromTaskId, roomC, cores: tabulateCooling(baked, roomC) };
}

/** What a rolling is measured against. */
function freezeRolling(
  { index, id }: Task,
  { dough, thicknessMm, plan: { sheets, portioning }, roles }: DayCut,
  { doughs, problem }: DayPlan,
  { formulas }: DayBook,
): Pick<JobTargets, "thicknessMm" | "blankMm" | "trimG" | "rest"> {
  const written = formulas.find((formula) => formula.id === dough.id);
  const springBackShare = written?.kind === "dough" ? written.springBackShare : dough.springBackShare;
  const sheet = portioning ? undefined : sheets[index - 1];
  const uses = (sheet?.parts ?? []).flatMap((part) => part.uses);
  const role = roles.find(({ demandId }) => demandId === uses[0]?.demandId);
  const model = doughs.find(({ formula }) => formula.id === dough.id)?.rest?.model ?? null;
  // The first piece comes straight out of the cold; what is set on the bench before is warmer.
  const mix = problem?.tasks
    .find((task) => task.id === id)
    ?.after.find(({ taskId }) => taskId === `mix:${dough.id}`);
  return {
    thicknessMm,
    trimG: sheet?.trimG ?? null,
    blankMm: role ? computeBox(role.outline).widthMm * (1 - springBackShare) : null,
    rest:
      model && mix && index === 1
        ? {
            place: model.place,
            fromTaskId: mix.taskId,
            cores: tabulateFilm({ ...model.request, filmFactors: {} }, model.place, mix.minWaitMin),
          }
        : null,
  };
}

const findMeanOffC = (ovens: DayBook["ovens"], machineId: string | null): number => {
  const offsetsC = ovens.find(({ id }) => id === machineId)?.deckOffsetsC ?? [];
  return offsetsC.reduce((sum, each) => sum + each, 0) / Math.max(offsetsC.length, 1);
};

/** A custard is watched while it is cooked, and while what it fills is baked. */
function isCustard(
  { kind, formulaId }: Task,
  line: PiecePlan | null,
  steps: readonly JobStep[],
  { formulas }: DayBook,
): boolean {
  const isOf = (id: string | null | undefined) =>
    formulas.some(
      (formula) => formula.id === id && formula.kind === "filling" && formula.family === "custard",
    );
  return kind === "bake"
    ? isOf(line?.piece.fillingId)
    : isOf(formulaId) && steps.some((step) => step.kind === "cook");
}
