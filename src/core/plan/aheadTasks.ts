import type { TaskWait } from "../schedule";
import { bakeTask } from "./bakeTask";
import type { TaskKind } from "./dayPlan";
import { handTask, wait, type DraftTask } from "./draftTask";
import { closeTask, fillTasks, findBlanks } from "./fillAndClose";
import { holdVessel } from "./kitHolds";
import { findVessel, type KitRoom } from "./kitRoom";
import { BLIND_COOL_MIN } from "./loadTasks";
import type { PieceWork } from "./pieceTasks";

/** Covering, labelling and putting one tray away. */
const STORE_TRAY_MIN = 2;

/** What a day makes of a piece for another day: filled, closed and frozen; or lined, baked empty and kept. */
export function listAheadTasks(
  work: PieceWork,
  afterFilling: readonly TaskWait[],
  kit: KitRoom,
): DraftTask[] {
  return [...listFrozenTasks(work, afterFilling), ...listShellTasks(work, kit)];
}

/** Lots of a tray each. */
function listLots(pieces: number, perTray: number): { from: number; to: number }[] {
  return Array.from({ length: Math.ceil(pieces / perTray) }, (_, i) => ({
    from: i * perTray,
    to: Math.min((i + 1) * perTray, pieces),
  }));
}

function listFrozenTasks(
  { line, dough, filling }: PieceWork,
  afterFilling: readonly TaskWait[],
): DraftTask[] {
  const { piece, ahead, loading, toFill } = line;
  const firstFresh = toFill - ahead.frozenPieces;
  const lots = listLots(ahead.frozenPieces, loading.perTray);
  return lots.flatMap(({ from, to }, i) => {
    const index = i + 1;
    const of = `${piece.name} to freeze, tray ${index} of ${lots.length}`;
    const id = (kind: TaskKind) => `${kind}:${piece.id}:frozen:${index}`;
    const makings = { line, dough, filling, afterFilling, pieces: to - from, index, of };
    return [
      ...fillTasks(makings, id, findBlanks(line, dough, firstFresh + from, firstFresh + to, false)),
      closeTask(makings, id, [wait(id("fill"))]),
      handTask("store", id("store"), STORE_TRAY_MIN, [wait(id("seal"))], {
        pieceId: piece.id,
        index,
        pieces: to - from,
        label: `Freeze and label ${to - from} ${piece.name}`,
      }),
    ];
  });
}

function listShellTasks({ line, dough, filling }: PieceWork, kit: KitRoom): DraftTask[] {
  const { piece, ahead, loading, toFill } = line;
  const fillStage = piece.stages.findIndex(({ act }) => act === "fill");
  const stages = fillStage < 0 ? piece.stages : piece.stages.slice(0, fillStage + 1);
  const vessel = findVessel(kit, piece);
  const room = vessel ? vessel.count * vessel.holds : Infinity;
  const lots = listLots(ahead.shells, Math.min(loading.perTray, room));
  return lots.flatMap(({ from, to }, i) => {
    const index = i + 1;
    const of = `${piece.name} shells, tray ${index} of ${lots.length}`;
    const id = (kind: TaskKind) => `${kind}:${piece.id}:shells:${index}`;
    const facts = { pieceId: piece.id, index, pieces: to - from };
    const makings = { line, dough, filling, afterFilling: [], pieces: to - from, index, of };
    const bakeFacts = { ovens: kit.ovens, trays: 1, extraMin: 0, coatMin: 0, doneness: null };
    const lining = closeTask(
      makings,
      id,
      findBlanks(line, dough, toFill + from, toFill + to, vessel !== null),
    );
    return [
      vessel ? { ...lining, holds: [holdVessel(vessel, to - from, lining.id, id("store"))] } : lining,
      bakeTask(id("bake"), stages, bakeFacts, [wait(id("seal"), piece.chillMin)], {
        ...facts,
        label: `Bake empty ${of}`,
      }),
      handTask("store", id("store"), STORE_TRAY_MIN, [wait(id("bake"), BLIND_COOL_MIN)], {
        ...facts,
        label: `Box and label ${to - from} ${piece.name} shells`,
      }),
    ];
  });
}
