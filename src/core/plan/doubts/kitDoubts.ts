import type { Schedule } from "../../schedule";
import { formatClock, formatCount, formatDuration } from "../../units";
import type { Vessel } from "../book/book";
import type { PiecePlan } from "../result/dayPlan";
import type { Problem, ProblemCode, ProblemNumbers } from "../result/problem";
import type { DraftTask } from "../tasks/draftTask";
import { placeNames, type KitRoom } from "../kit/kitRoom";
import { countBaskets } from "../piece/planFrying";

/** Pins that could not be kept, jobs before anybody is there, and shelves, trays or moulds that are asked for twice. */
export function findKitDoubts(
  schedule: Schedule,
  drafts: readonly DraftTask[],
  kit: KitRoom,
  openMin: number,
): Problem[] {
  const startOf = new Map(schedule.placed.map(({ taskId, startMin }) => [taskId, startMin]));
  const doubt = (
    code: ProblemCode,
    pieceId: string | null,
    numbers: ProblemNumbers,
    message: string,
    remedy: string,
  ): Problem => ({ code, station: "bake", pieceId, stops: false, numbers, message, remedy });
  const jobs = drafts.flatMap(({ schedule: { pinnedMin }, id, label, pieceId }): Problem[] => {
    const startMin = startOf.get(id) ?? openMin;
    const isOff = pinnedMin !== null && startMin !== pinnedMin;
    if (isOff)
      return [
        doubt(
          "pinOff",
          pieceId,
          { pinnedMin, startMin },
          `${label} is pinned to ${formatClock(pinnedMin)} and cannot start before ${formatClock(startMin)}, ` +
            `${formatDuration(Math.abs(startMin - pinnedMin))} off.`,
          "Unpin it, or pin it later.",
        ),
      ];
    if (startMin >= openMin) return [];
    const how = pinnedMin === null ? "has to start at" : "is pinned to";
    return [
      doubt(
        "beforeOpening",
        pieceId,
        { startMin, openMin },
        `${label} ${how} ${formatClock(startMin)}, ${formatDuration(openMin - startMin)} before anybody is there.`,
        `${pinnedMin === null ? "Unpin what follows it" : "Unpin it"}, or open at ${formatClock(startMin)}.`,
      ),
    ];
  });
  const overfull = schedule.overfull.map(({ resourceId, fromMin, toMin, over }) =>
    doubt(
      "kitFull",
      null,
      { fromMin, toMin, over },
      `From ${formatClock(fromMin)} to ${formatClock(toMin)} ${over} too many want ${nameHeld(resourceId, kit.vessels)}.`,
      "Add room in Kit, or make smaller lots.",
    ),
  );
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
    (sum, { ahead, loading }) => sum + Math.ceil(ahead.frozenPieces / loading.perTray),
    0,
  );
  return room === null || trays <= room
    ? []
    : [
        {
          code: "freezerFull",
          station: "cool",
          pieceId: null,
          stops: false,
          numbers: { trays, room },
          message: `${formatCount(trays, "tray")} to freeze and room for ${room}: ${trays - room} too many.`,
          remedy: "Freeze in two goes and bag the first, or make fewer ahead.",
        },
      ];
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
          {
            code: "oldOil",
            station: "bake",
            pieceId: null,
            stops: false,
            numbers: { usedLoads: fryer.usedLoads, baskets, overLoads },
            message:
              `The oil of ${fryer.name} has fried ${formatCount(fryer.usedLoads, "load")} and today adds ${baskets}: ` +
              `${overLoads} past its change after ${fryer.changeAfterLoads}.`,
            remedy: "Change it before today, cold.",
          },
        ];
  });
}
