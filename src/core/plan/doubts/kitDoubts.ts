import { because } from "../../result";
import type { Schedule } from "../../schedule";
import type { Vessel } from "../book";
import type { PiecePlan } from "../result";
import type { DraftTask } from "../tasks";
import { placeNames, type KitRoom } from "../kit";
import { countBaskets } from "../piece";
import { toProblem, type Problem } from "../problem";

/** Pins that could not be kept, jobs before anybody is there, and shelves, trays or moulds that are asked for twice. */
export function findKitDoubts(
  schedule: Schedule,
  drafts: readonly DraftTask[],
  kit: KitRoom,
  openMin: number,
): Problem[] {
  const startOf = new Map(schedule.placed.map(({ taskId, startMin }) => [taskId, startMin]));
  const jobs = drafts.flatMap(({ schedule: { pinnedMin }, id, label, pieceId }): Problem[] => {
    const startMin = startOf.get(id) ?? openMin;
    const isOff = pinnedMin !== null && startMin !== pinnedMin;
    if (isOff) {
      const off = because("pinOff", { job: label, pinnedMin, startMin });
      return [toProblem(off, { station: "bake", pieceId, aboutId: id })];
    }
    if (startMin >= openMin) return [];
    const early = because("beforeOpening", {
      ...{ job: label, isPinned: pinnedMin !== null },
      ...{ startMin, openMin },
    });
    return [toProblem(early, { station: "bake", pieceId, aboutId: id })];
  });
  const overfull = schedule.overfull.map(({ resourceId, fromMin, toMin, over }) => {
    const held = nameHeld(resourceId, kit.vessels);
    return toProblem(because("kitFull", { held, fromMin, toMin, over }), { station: "bake" });
  });
  return [...jobs, ...overfull];
}

/** The words for something that is held. */
export function nameHeld(resourceId: string, vessels: readonly Vessel[]): string {
  const id = resourceId.slice(resourceId.indexOf(":") + 1);
  if (resourceId === "trays") return "the trays";
  if (resourceId.startsWith("shelf:"))
    return id === "fridge" || id === "freezer" ? placeNames[id] : placeNames.rack;
  return vessels.find((vessel) => vessel.id === id)?.name ?? resourceId;
}

/** More trays of raw pieces for the freezer than it has shelves for. */
export function findFreezerDoubt(lines: readonly PiecePlan[], { standing }: KitRoom): Problem[] {
  const room = standing.freezer;
  const trays = lines.reduce(
    (sum, { loading, counts: { ahead } }) => sum + Math.ceil(ahead.frozenPieces / loading.perTray),
    0,
  );
  return room === null || trays <= room
    ? []
    : [toProblem(because("freezerFull", { trays, room }), { station: "cool" })];
}

/** Oil that the day would take past its change. */
export function findOldOil(lines: readonly PiecePlan[]): Problem[] {
  const loads = new Map<string, { baskets: number; fry: PiecePlan["fries"][number] }>();
  for (const { fries, loading } of lines) {
    const [fry] = fries;
    if (!fry) continue;
    const baskets = (loads.get(fry.fryer.id)?.baskets ?? 0) + countBaskets(loading, fry);
    loads.set(fry.fryer.id, { baskets, fry });
  }
  return [...loads.values()].flatMap(({ baskets, fry: { fryer } }): Problem[] => {
    const overLoads = fryer.usedLoads + baskets - fryer.changeAfterLoads;
    return overLoads <= 0
      ? []
      : [
          toProblem(
            because("oldOil", {
              ...{ fryer: fryer.name, usedLoads: fryer.usedLoads, baskets, overLoads },
              changeAfterLoads: fryer.changeAfterLoads,
            }),
            { station: "bake", aboutId: fryer.id },
          ),
        ];
  });
}
