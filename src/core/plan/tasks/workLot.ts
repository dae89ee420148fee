import { findSugarLeadMin } from "../../filling";
import type { ScheduleHold, TaskWait } from "../../schedule";
import { factsOf, isFilling, isHeat, listStretches, type Stretch, type Way, type WayStep } from "../../way";
import { bakeTask, type BakeStage } from "./bakeTask";
import type { Doneness } from "../book";
import type { TaskKind, PieceWork } from "../result";
import { handTask, wait, type DraftTask, type TaskFacts } from "./draftTask";
import { fryTask } from "./fryTask";
import { HOT_HOLD_MIN, prepareForUse } from "./makingTasks";
import type { KitRoom } from "../kit";
import { assignTakings } from "../piece";

/** Strewing sugar over one lot's fruit and turning it. */
const SUGAR_MIN = 2;

/** Some pieces of one kind that go their way together. */
export interface Lot {
  readonly work: PieceWork;
  readonly kit: KitRoom;
  /** The part of the piece's way that this lot goes. */
  readonly way: Way;
  /** Makes its tasks' ids: `fill:chestnut-pie:2`. */
  readonly key: string;
  /** In words: `Chestnut pie, load 2 of 3`. */
  readonly of: string;
  readonly index: number;
  /** Pieces that are heated; of them, those filled today; of these, those that are no shells yet. */
  readonly counts: Readonly<Record<"heated" | "filled" | "shaped", number>>;
  /** Steps before this one are done to what is no shell yet. */
  readonly shellStepId: string | null;
  /** Trays that it lies on. */
  readonly trays: number;
  /** Waits for what its blanks are cut by; what stands in the cold before the first step waits as long as it likes. */
  readonly afterBlanks: readonly TaskWait[];
  /** Waits for the sheets that its leaves and the like are cut from. */
  readonly afterDecorations: readonly TaskWait[];
  /** What makes a filling, by formula id. */
  readonly afterFilling: (fillingId: string) => readonly TaskWait[];
  /** Minutes more in the first heat: it has to thaw there. */
  readonly thawMin: number;
  /** Nothing is judged in a bake that is not the last. */
  readonly doneness: Doneness | null;
  readonly dueMin: number | null;
  /** What its last task is, in the day's words. */
  readonly end: { readonly kind: TaskKind; readonly label: string; readonly minutes: number | null };
}

/** A stretch of a lot's way as a task of the day. */
export interface LotTask {
  readonly stretch: Stretch;
  readonly task: DraftTask;
  /** What it needs at its side, made ready just before. */
  readonly sides: readonly DraftTask[];
}

/**
 * A lot's way as tasks: the interpreter of ways. Each stretch of hands or heat becomes one task that waits for the one
 * before it, for its blanks, for what it is filled with, and for what has to be hot or fresh at that moment.
 */
export function workLot(lot: Lot): LotTask[] {
  const stretches = listStretches(lot.way);
  const kinds = stretches.map((stretch, i) =>
    i === stretches.length - 1 ? lot.end.kind : findKind(stretch),
  );
  const takings = assignTakings(lot.way, lot.work.line.shaped.parts, lot.work.line.piece.extras);
  const decorated = findDecorated(stretches);
  const lastHeat = stretches.findLastIndex(({ kind }) => kind === "heat");
  const done: LotTask[] = [];
  let heatId: string | null = null;
  stretches.forEach((stretch, i) => {
    const kind = kinds[i] ?? "seal";
    const id = toTaskId(kind, kinds, i, lot.key);
    const before = done.at(-1);
    const takes = [
      ...new Set(
        stretch.steps.flatMap(({ id: stepId }) =>
          (takings.get(stepId)?.parts ?? []).map(({ fillingId }) => fillingId),
        ),
      ),
    ];
    const sides = listSides(lot, stretch, takes, takings);
    const taken = takes.filter((fillingId) => !sides.some(({ fills }) => fills === fillingId));
    const after = [
      ...(before
        ? [followBefore(before.task.id, stretch, before.task.id === heatId)]
        : followBlanks(lot, stretch)),
      // What cooled long enough for the step before has cooled long enough for this one.
      ...(heatId !== null &&
      heatId !== before?.task.id &&
      stretch.wait.cooledMin > (before?.stretch.wait.cooledMin ?? 0)
        ? [wait(heatId, stretch.wait.cooledMin)]
        : []),
      ...taken.flatMap(lot.afterFilling),
      ...sides.map(({ wait: ready }) => ready),
      ...(stretch === decorated ? lot.afterDecorations : []),
    ];
    const facts = {
      pieceId: lot.work.line.piece.id,
      lotKey: lot.key,
      index: lot.index,
      stepIds: stretch.steps.map(({ id: stepId }) => stepId),
    };
    const task =
      stretch.kind === "heat"
        ? heatLot(lot, stretch, id, after, facts, i === lastHeat, heatId === null)
        : handLot(lot, stretch, kind, id, after, facts, i === stretches.length - 1);
    if (stretch.kind === "heat") heatId = id;
    done.push({ stretch, task, sides: sides.map((side) => side.task) });
  });
  return done;
}

/** All tasks of a lot in the order of the way. */
export const listLotTasks = (tasks: readonly LotTask[]): DraftTask[] =>
  tasks.flatMap(({ task, sides }) => [...sides, task]);

/** Gives a lot's first task what the lot takes of the kit. */
export const holdFrom = (tasks: readonly LotTask[], holds: readonly ScheduleHold[]): LotTask[] =>
  tasks.map((each, i) => (i === 0 ? { ...each, task: { ...each.task, holds } } : each));

function findKind({ kind, station, steps }: Stretch): TaskKind {
  const [first] = steps;
  if (kind === "heat") return first?.kind === "fry" ? "fry" : "bake";
  if (steps.some(isFilling)) return "fill";
  if (first?.kind === "pourAround") return "pour";
  if (first?.kind === "unmould") return "unmould";
  if (first?.kind === "glaze") return "glaze";
  return station === "fill" ? "line" : station === "cool" ? "finish" : "seal";
}

/** The last of a kind has the plain id; what comes before it says so, a shell's bake that it is blind. */
function toTaskId(kind: TaskKind, kinds: readonly TaskKind[], at: number, key: string): string {
  const later = kinds.slice(at + 1).filter((each) => each === kind).length;
  const plain = `${kind}:${key}`;
  if (later === 0) return plain;
  return `${plain}:${kind === "bake" ? "blind" : "before"}${later > 1 ? later : ""}`;
}

/** Leaves and the like go on as the piece is closed, or with the last that hands do before the heat. */
function findDecorated(stretches: readonly Stretch[]): Stretch | undefined {
  const first = stretches.findIndex(({ kind }) => kind === "heat");
  const raw = stretches.slice(0, first < 0 ? stretches.length : first);
  return raw.find(({ station }) => station === "seal") ?? raw.findLast(({ kind }) => kind === "hands");
}

function followBefore(
  beforeId: string,
  { wait: { standMin, cooledMin, mostMin } }: Stretch,
  isHeat: boolean,
): TaskWait {
  const leastMin = Math.max(standMin, isHeat ? cooledMin : 0);
  return wait(beforeId, leastMin, mostMin === null ? null : Math.max(mostMin, leastMin));
}

/** The first step waits for the blanks; rolled and rested in the cold, they keep. */
const followBlanks = ({ afterBlanks }: Lot, { wait: { standMin, place } }: Stretch): TaskWait[] =>
  afterBlanks.map(({ taskId, maxWaitMin }) =>
    wait(taskId, standMin, place === "fridge" || place === "freezer" ? null : maxWaitMin),
  );

interface Side {
  readonly task: DraftTask;
  readonly wait: TaskWait;
  /** The filling that it makes ready. */
  readonly fills: string;
}

/**
 * Fruit sugared at the last moment, so that its juice stays in it; syrup brought to the boil before it is poured; and
 * what a filling's own making has done to it for each lot, where the piece's way does not heat it itself.
 */
function listSides(
  lot: Lot,
  stretch: Stretch,
  takes: readonly string[],
  takings: ReturnType<typeof assignTakings>,
): Side[] {
  const { filling, fillings, line } = lot.work;
  const facts = {
    ...{ pieceId: line.piece.id, lotKey: lot.key },
    ...{ index: lot.index, pieces: lot.counts.filled },
  };
  const sugared: Side[] = [];
  if (filling.fruit && takes.includes(filling.id)) {
    const task = handTask("sugar", `sugar:${lot.key}`, SUGAR_MIN, lot.afterFilling(filling.id), {
      ...facts,
      label: `Sugar the fruit for ${lot.of}`,
    });
    sugared.push({
      task,
      wait: wait(task.id, 0, findSugarLeadMin(filling.fruit.varieties)),
      fills: filling.id,
    });
  }
  const warmed = stretch.sides.flatMap((step, i): Side[] => {
    const fills = stretch.steps.flatMap(({ id }) => takings.get(id)?.parts ?? [])[i]?.fillingId;
    if (fills === undefined) return [];
    const task = handTask(
      "warm",
      `warm:${lot.key}${i > 0 ? `:${i + 1}` : ""}`,
      (line.shaped.works.stepS[step.id] ?? 0) / 60,
      lot.afterFilling(fills),
      {
        ...facts,
        stepIds: [step.id],
        label: `${factsOf(step.kind).name}, for ${lot.of}`,
      },
    );
    return [{ task, wait: wait(task.id, step.minutes, step.minutes + HOT_HOLD_MIN), fills }];
  });
  const isReady = (id: string) => [...sugared, ...warmed].some(({ fills }) => fills === id);
  const prepared = fillings.flatMap((each): Side[] => {
    if (!takes.includes(each.id) || isReady(each.id)) return [];
    const id = `warm:${lot.key}:${each.id}`;
    const done = prepareForUse(each, id, lot.afterFilling(each.id), { ...facts, of: lot.of });
    return done ? [{ ...done, fills: each.id }] : [];
  });
  return [...sugared, ...warmed, ...prepared];
}

/** Pieces of a lot that a step is done to. */
function countFor({ counts, shellStepId, way }: Lot, step: WayStep): number {
  const shell = way.findIndex(({ id }) => id === shellStepId);
  const at = way.indexOf(step);
  if (factsOf(step.kind).takes !== null) return counts.filled;
  const firstHeat = way.findIndex(isHeat);
  if (firstHeat >= 0 && at > firstHeat) return counts.heated;
  return shell < 0 || at < shell ? counts.shaped : counts.filled;
}

function handLot(
  lot: Lot,
  stretch: Stretch,
  kind: TaskKind,
  id: string,
  after: readonly TaskWait[],
  facts: Omit<TaskFacts, "label">,
  isLast: boolean,
): DraftTask {
  const { line } = lot.work;
  const [first] = stretch.steps;
  if (!first) throw new RangeError("handLot: a stretch of no step");
  const seconds = stretch.steps.reduce((sum, step) => {
    const each = line.shaped.works.stepS[step.id] ?? 0;
    return sum + (factsOf(step.kind).per === "load" ? each : each * countFor(lot, step));
  }, 0);
  const minutes = isLast && lot.end.minutes !== null ? lot.end.minutes : seconds / 60;
  return handTask(
    kind,
    id,
    minutes,
    after,
    {
      ...facts,
      pieces: countFor(lot, stretch.steps.find(isFilling) ?? first),
      label: isLast ? lot.end.label : `${findVerb(lot, stretch, kind)} ${lot.of}`,
    },
    isLast ? lot.dueMin : null,
  );
}

/** What hands do, as the day says it. */
function findVerb({ work: { line } }: Lot, { steps }: Stretch, kind: TaskKind): string {
  const shapes = steps.some(({ kind: each }) => factsOf(each).station === "seal");
  switch (kind) {
    case "fill":
      return "Fill";
    case "pour":
      return "Pour around";
    case "line":
      return steps.some(({ kind: each }) => each === "line") ? "Line the moulds for" : "Prepare";
    case "unmould":
      return "Take out of the moulds";
    case "glaze":
      return "Glaze";
    case "seal":
      return shapes ? (line.shaped.seal ? "Close" : "Put together") : nameSteps(steps);
    default:
      return nameSteps(steps);
  }
}

/** `Brush, sugar on top:`. */
const nameSteps = (steps: readonly WayStep[]): string => {
  const words = steps
    .map(({ kind }) => factsOf(kind).name)
    .join(", ")
    .toLowerCase();
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}:`;
};

/** One heat after the other in the oven, or all of them in oil. */
function heatLot(
  lot: Lot,
  stretch: Stretch,
  id: string,
  after: readonly TaskWait[],
  facts: Omit<TaskFacts, "label">,
  isLast: boolean,
  isFirst: boolean,
): DraftTask {
  const { line } = lot.work;
  const pieces = lot.counts.heated;
  const isFried = stretch.steps.some(({ kind }) => kind === "fry");
  const factorOf = (machineId: string) => lot.kit.findHeatFactor(line.piece.id, machineId);
  if (isFried)
    return fryTask(id, pieces, { fries: line.fries, factorOf }, after, {
      ...facts,
      pieces,
      label: `Fry ${lot.of}`,
    });
  const stages: BakeStage[] = [];
  for (const step of stretch.steps) {
    const last = stages.at(-1);
    if (isHeat(step))
      stages.push({ stepId: step.id, ovenC: step.heatC ?? 0, minutes: step.minutes, acts: [] });
    else if (last) {
      const each = line.shaped.works.stepS[step.id] ?? 0;
      // A coat is brushed on piece by piece; the rest is done to the tray.
      const seconds = step.kind === "coat" ? each * pieces : each;
      stages[stages.length - 1] = { ...last, acts: [...last.acts, { stepId: step.id, seconds }] };
    }
  }
  const isEmpty = !isLast || lot.doneness === null;
  return bakeTask(
    id,
    stages,
    {
      ovens: lot.kit.ovens,
      factorOf,
      trays: lot.trays,
      extraMin: isFirst ? lot.thawMin : 0,
      doneness: isLast ? lot.doneness : null,
    },
    after,
    { ...facts, pieces, label: `${isEmpty ? "Bake empty" : "Bake"} ${lot.of}` },
  );
}
