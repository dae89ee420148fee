import type { OvenLoad } from "../loading";
import type { TaskWait } from "../schedule";
import { bakeTask } from "./bakeTask";
import type { BakeStage, Doneness } from "./book";
import type { PiecePlan, TaskKind } from "./dayPlan";
import { handTask, wait, type DraftTask } from "./draftTask";
import { closeTask, fillTasks, findBlanks, type LotMakings } from "./fillAndClose";
import { fryTask } from "./fryTask";
import { holdKit } from "./kitHolds";
import { findVessel, type KitRoom } from "./kitRoom";
import type { PieceWork } from "./pieceTasks";

/** A frozen piece first has to thaw in the oven. Craft's first guess; the baker's own bakes replace it. */
const FROZEN_EXTRA_MIN = 5;
/** A blind-baked shell cools before it is filled: a hot one would cook or melt what goes in. */
export const BLIND_COOL_MIN = 10;

/** One load of a piece. */
export interface LoadLot {
  readonly work: PieceWork;
  readonly afterFilling: readonly TaskWait[];
  readonly kit: KitRoom;
  readonly load: OvenLoad;
  /** From 1. */
  readonly index: number;
  /** Its pieces, counted through all loads. */
  readonly from: number;
  readonly to: number;
  readonly dueMin: number | null;
}

/** In which order a load is filled, closed and heated. */
type LoadWay = "frozen" | "shellsFilled" | "shellsBaked" | "filledLast" | "filledFirst" | "blind";

/** Where the pieces of a load come from: frozen ones are the first of a line, then shells, then what is cut today. */
interface LoadCounts {
  /** Not frozen: filled today. */
  readonly toFill: number;
  /** Of these, not shells: closed, or lined and put together. */
  readonly toClose: number;
  readonly hasFrozen: boolean;
}

function countLoad({ work: { line }, from, to }: LoadLot): LoadCounts {
  const fillFrom = Math.max(from, line.frozenTaken);
  return {
    toFill: Math.max(to - fillFrom, 0),
    toClose: Math.max(to - Math.max(fillFrom, line.frozenTaken + line.shellsTaken), 0),
    hasFrozen: from < line.frozenTaken,
  };
}

function findWay({ piece, formed }: PiecePlan, { toFill, toClose }: LoadCounts): LoadWay {
  const fillStage = findFillStage(piece.stages);
  const fillsLast = formed.fillsBaked || (piece.heatBy === "oven" && fillStage === piece.stages.length - 1);
  if (toFill === 0) return "frozen";
  if (fillsLast) return toClose === 0 ? "shellsFilled" : "filledLast";
  if (piece.heatBy === "oil" || fillStage < 0) return "filledFirst";
  return toClose === 0 ? "shellsBaked" : "blind";
}

const findFillStage = (stages: readonly BakeStage[]): number => stages.findIndex(({ act }) => act === "fill");

/** Everything that is done to one load, from its first filling to setting it out. */
export function listLoadTasks(lot: LoadLot): DraftTask[] {
  const { piece } = lot.work.line;
  const counts = countLoad(lot);
  const steps = createSteps(lot, counts);
  const { blanksCut, fill, close, heat, bakeEmpty, afterHeat, finish } = steps;
  const afterFill = piece.stages.slice(findFillStage(piece.stages) + 1);
  const filled = [wait(steps.id("fill"))];
  const closed = [wait(steps.id("seal"), piece.chillMin)];
  const tasks: Record<LoadWay, () => DraftTask[]> = {
    frozen: () => [heat(piece.stages, []), ...afterHeat, finish(steps.cooled)],
    // Neither heated nor glazed again.
    shellsFilled: () => [...fill([]), steps.setOut(filled)],
    shellsBaked: () => [...fill([]), heat(afterFill, filled), ...afterHeat, finish(steps.cooled)],
    filledLast: () => [
      close(blanksCut),
      heat(piece.stages, closed),
      ...afterHeat,
      ...fill(steps.cooled),
      finish(filled),
    ],
    filledFirst: () => [
      ...fill(blanksCut),
      close(filled),
      heat(piece.stages, closed),
      ...afterHeat,
      finish(steps.cooled),
    ],
    blind: () => [
      close(blanksCut),
      bakeEmpty(closed),
      ...fill([wait(steps.blindId, BLIND_COOL_MIN)]),
      heat(afterFill, filled),
      ...afterHeat,
      finish(steps.cooled),
    ],
  };
  return takeKit(tasks[findWay(lot.work.line, counts)](), lot, steps);
}

type LoadSteps = ReturnType<typeof createSteps>;

/** The steps that a load may need, each made when it is asked for what it waits for. */
function createSteps(lot: LoadLot, { toFill, toClose, hasFrozen }: LoadCounts) {
  const { work, afterFilling, kit, load, index, from, to, dueMin } = lot;
  const { line, dough, filling } = work;
  const { piece, loading, works, fries, frozenTaken } = line;
  const of = `${piece.name}, load ${index} of ${loading.loads.length}`;
  const facts = { pieceId: piece.id, index, pieces: load.pieces };
  const id = (kind: TaskKind) => `${kind}:${piece.id}:${index}`;
  const blindId = `${id("bake")}:blind`;
  const heatId = id(piece.heatBy === "oil" ? "fry" : "bake");
  const makings: LotMakings = { line, dough, filling, afterFilling, pieces: toFill, index, of };
  // Shells have left their moulds.
  const vessel = toFill > 0 && toClose === 0 ? null : findVessel(kit, piece);
  // Blanks of a later round wait in the cold for its moulds.
  const isLaterRound = vessel !== null && to > vessel.count * vessel.holds;
  const bake = (
    bakeId: string,
    stages: readonly BakeStage[],
    doneness: Doneness | null,
    after: readonly TaskWait[],
    label: string,
  ) => {
    const extraMin = hasFrozen ? FROZEN_EXTRA_MIN : 0;
    const coatMin = (load.pieces * works.secondCoatS) / 60;
    const bakeFacts = { ovens: kit.ovens, trays: load.trays.length, extraMin, coatMin, doneness };
    return bakeTask(bakeId, stages, bakeFacts, after, { ...facts, label });
  };
  const hand = (
    kind: TaskKind,
    seconds: number,
    after: readonly TaskWait[],
    verb: string,
    due: number | null = null,
  ) =>
    handTask(kind, id(kind), (load.pieces * seconds) / 60, after, { ...facts, label: `${verb} ${of}` }, due);
  const { unmould: unmoulding, glaze: glazing } = piece;
  const unmould =
    unmoulding && vessel
      ? hand(
          "unmould",
          works.unmouldS,
          [wait(heatId, unmoulding.fromMin, unmoulding.untilMin)],
          "Take out of the moulds",
        )
      : null;
  const out = unmould ? [wait(unmould.id)] : [];
  const glaze =
    glazing.kind === "none" ? null : hand("glaze", works.glazeS, unmould ? out : [wait(heatId)], "Glaze");
  const setOut = (after: readonly TaskWait[]) => hand("finish", works.finishS, after, "Set out", dueMin);
  return {
    id,
    blindId,
    heatId,
    vessel,
    unmould,
    blanksCut: findBlanks(line, dough, Math.max(from - frozenTaken, 0), to - frozenTaken, isLaterRound),
    fill: (after: readonly TaskWait[]) => fillTasks(makings, id, after),
    close: (after: readonly TaskWait[]) => closeTask({ ...makings, pieces: toClose }, id, after),
    bakeEmpty: (after: readonly TaskWait[]) =>
      bake(blindId, piece.stages.slice(0, findFillStage(piece.stages) + 1), null, after, `Bake empty ${of}`),
    heat: (stages: readonly BakeStage[], after: readonly TaskWait[]) =>
      piece.heatBy === "oil"
        ? fryTask(heatId, load.pieces, fries, after, { ...facts, label: `Fry ${of}` })
        : bake(heatId, stages, piece.doneness, after, `Bake ${of}`),
    afterHeat: [...(unmould ? [unmould] : []), ...(glaze ? [glaze] : [])],
    /** Cool enough to be filled or set out. */
    cooled: [wait(heatId, piece.coolMin), ...out],
    setOut,
    finish: (after: readonly TaskWait[]) =>
      setOut([...after, ...(glaze ? [wait(glaze.id, glazing.dryMin)] : [])]),
  };
}

/** The tasks of a load, the first of them taking what the load needs of the kit. */
function takeKit(
  tasks: readonly DraftTask[],
  { kit, load, work }: LoadLot,
  { id, blindId, heatId, vessel, unmould }: LoadSteps,
): DraftTask[] {
  const first = tasks.find(({ kind }) => kind !== "sugar");
  if (!first) return [...tasks];
  const find = (ids: readonly (string | undefined)[]) =>
    ids.flatMap((wanted) => tasks.filter((task) => task.id === wanted))[0]?.id ?? null;
  const holds = holdKit(kit, work.line.piece, vessel, load, {
    firstId: first.id,
    closeId: find([id("seal")]),
    chilledUntilId: find([blindId, heatId]),
    heatId: find([heatId]),
    unmouldId: find([unmould?.id]),
    finishId: id("finish"),
  });
  return tasks.map((task) => (task === first ? { ...task, holds } : task));
}
