import type { Dough, Filling } from "../formula";
import type { OvenLoad } from "../loading";
import type { TaskWait } from "../schedule";
import { bakeTask } from "./bakeTask";
import type { BakeStage, Doneness, Order, Piece } from "./book";
import type { PiecePlan, TaskKind } from "./dayPlan";
import { handTask, wait, type DraftTask } from "./draftTask";
import { closeTask, fillTasks, findBlanks } from "./fillAndClose";
import { fryTask } from "./fryTask";
import { holdKit } from "./kitHolds";
import { findVessel, type KitRoom } from "./kitRoom";

/** A frozen piece first has to thaw in the oven. Craft's first guess; the baker's own bakes replace it. */
const FROZEN_EXTRA_MIN = 5;

/** A piece of the day with the formulas it is made of. */
export interface PieceWork {
  readonly line: PiecePlan;
  readonly dough: Dough;
  /** The main one. */
  readonly filling: Filling;
  /** All that go into it, the main one included. */
  readonly fillings: readonly Filling[];
}

/** A blind-baked shell cools before it is filled: a hot one would cook or melt what goes in. */
export const BLIND_COOL_MIN = 10;

/** Filling, closing, baking or frying, and setting out one piece, load after load. */
export function listPieceTasks(
  { line, dough, filling }: PieceWork,
  afterFilling: readonly TaskWait[],
  kit: KitRoom,
): DraftTask[] {
  const { piece, loading, works, formed, fries } = line;
  const dues = spreadDues(line);
  const fillStage = piece.stages.findIndex(({ act }) => act === "fill");
  const vessel = findVessel(kit, piece);
  const vesselRoom = vessel ? vessel.count * vessel.holds : null;
  let before = 0;
  return loading.loads.flatMap((load, i) => {
    const index = i + 1;
    const of = `${piece.name}, load ${index} of ${loading.loads.length}`;
    const facts = { pieceId: piece.id, index, pieces: load.pieces };
    const id = (kind: TaskKind) => `${kind}:${piece.id}:${index}`;
    const [from, to] = [before, before + load.pieces];
    before = to;
    // Frozen pieces are baked first: this load fills what is not among them.
    const fillFrom = Math.max(from, line.frozenTaken);
    const toFill = Math.max(to - fillFrom, 0);
    const makings = { line, dough, filling, afterFilling, pieces: toFill, index, of };
    // Blanks of a later round wait in the cold for its moulds.
    const isLaterRound = vesselRoom !== null && to > vesselRoom;
    const blanksCut = findBlanks(
      line,
      dough,
      fillFrom - line.frozenTaken,
      to - line.frozenTaken,
      isLaterRound,
    );
    const fill = (after: readonly TaskWait[]) => fillTasks(makings, id, after);
    const close = (after: readonly TaskWait[]) => closeTask(makings, id, after);
    const extraMin = from < line.frozenTaken ? FROZEN_EXTRA_MIN : 0;
    const coatMin = (load.pieces * works.secondCoatS) / 60;
    const bake = (
      bakeId: string,
      stages: readonly BakeStage[],
      doneness: Doneness | null,
      after: readonly TaskWait[],
      label: string,
    ) =>
      bakeTask(
        bakeId,
        stages,
        { ovens: kit.ovens, trays: load.trays.length, extraMin, coatMin, doneness },
        after,
        {
          ...facts,
          label,
        },
      );
    const heatId = id(piece.heatBy === "oil" ? "fry" : "bake");
    const heat = (stages: readonly BakeStage[], after: readonly TaskWait[]) =>
      piece.heatBy === "oil"
        ? fryTask(heatId, load.pieces, fries, after, { ...facts, label: `Fry ${of}` })
        : bake(heatId, stages, piece.doneness, after, `Bake ${of}`);
    const hand = (
      kind: TaskKind,
      seconds: number,
      after: readonly TaskWait[],
      verb: string,
      dueMin: number | null = null,
    ) =>
      handTask(
        kind,
        id(kind),
        (load.pieces * seconds) / 60,
        after,
        { ...facts, label: `${verb} ${of}` },
        dueMin,
      );
    const unmould =
      piece.unmould && vessel
        ? hand(
            "unmould",
            works.unmouldS,
            [wait(heatId, piece.unmould.fromMin, piece.unmould.untilMin)],
            "Take out of the moulds",
          )
        : null;
    const out = unmould ? [wait(unmould.id)] : [];
    const cooled = [wait(heatId, piece.coolMin), ...out];
    const glaze =
      piece.glaze.kind === "none"
        ? null
        : hand("glaze", works.glazeS, unmould ? out : [wait(heatId)], "Glaze");
    const finish = (after: readonly TaskWait[]) =>
      hand(
        "finish",
        works.finishS,
        [...after, ...(glaze ? [wait(glaze.id, piece.glaze.dryMin)] : [])],
        "Set out",
        dues[from] ?? null,
      );
    const afterHeat = [...(unmould ? [unmould] : []), ...(glaze ? [glaze] : [])];
    const chilled = [wait(id("seal"), piece.chillMin)];
    const whole = (after: readonly TaskWait[]) => [heat(piece.stages, after), ...afterHeat];
    const blindId = `${id("bake")}:blind`;
    const tasks =
      toFill === 0
        ? [...whole([]), finish(cooled)]
        : formed.fillsBaked || (piece.heatBy === "oven" && fillStage === piece.stages.length - 1)
          ? [close(blanksCut), ...whole(chilled), ...fill(cooled), finish([wait(id("fill"))])]
          : piece.heatBy === "oil" || fillStage < 0
            ? [...fill(blanksCut), close([wait(id("fill"))]), ...whole(chilled), finish(cooled)]
            : [
                close(blanksCut),
                bake(blindId, piece.stages.slice(0, fillStage + 1), null, chilled, `Bake empty ${of}`),
                ...fill([wait(blindId, BLIND_COOL_MIN)]),
                heat(piece.stages.slice(fillStage + 1), [wait(id("fill"))]),
                ...afterHeat,
                finish(cooled),
              ];
    return takeKit(tasks, {
      kit,
      piece,
      load,
      chilledUntilId: tasks.some((task) => task.id === blindId) ? blindId : heatId,
      heatId,
      unmouldId: unmould?.id ?? null,
      finishId: id("finish"),
    });
  });
}

interface KitNeeds {
  readonly kit: KitRoom;
  readonly piece: Piece;
  readonly load: OvenLoad;
  /** The first heat after it was closed. */
  readonly chilledUntilId: string;
  readonly heatId: string;
  readonly unmouldId: string | null;
  readonly finishId: string;
}

/** The tasks of a load, the first of them taking what the load needs of the kit. */
function takeKit(tasks: readonly DraftTask[], needs: KitNeeds): DraftTask[] {
  const { kit, piece, load, ...ids } = needs;
  const first = tasks.find(({ kind }) => kind !== "sugar");
  const closed = tasks.find(({ kind }) => kind === "seal") ?? null;
  if (!first) return [...tasks];
  const holds = holdKit(kit, piece, load, { ...ids, firstId: first.id, closeId: closed?.id ?? null });
  return tasks.map((task) => (task === first ? { ...task, holds } : task));
}

/** The orders of one piece in the order in which they are made. */
export function sortByPromise(orders: readonly Order[]): Order[] {
  return [...orders].sort((a, b) => a.dueMin - b.dueMin);
}

/** When each piece is promised, in the order of baking: the earliest promise first, spares with the last. */
function spreadDues({ orders, made }: PiecePlan): number[] {
  const dues = sortByPromise(orders).flatMap(({ count, dueMin }) =>
    Array.from({ length: count }, () => dueMin),
  );
  const last = dues.at(-1) ?? 0;
  return [...dues, ...Array.from({ length: made - dues.length }, () => last)];
}
