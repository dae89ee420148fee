import type { ScheduleHold, ScheduleResource, TaskEdge } from "../schedule";
import type { Piece } from "./book";
import { findVessel, type KitRoom } from "./kitRoom";

const TRAYS = "trays";
const toVesselId = (id: string) => `vessel:${id}`;
const toShelfId = (place: "fridge" | "rack") => `shelf:${place}`;

/** Moulds, pans, trays and shelves as resources of the schedule: those that are counted. */
export function listHeldResources({ vessels, trays, standing }: KitRoom): ScheduleResource[] {
  const held = (id: string, capacity: number | null): ScheduleResource[] =>
    capacity === null ? [] : [{ id, capacity, gapMin: 0, heater: null, isHands: false, away: [] }];
  return [
    ...vessels.flatMap(({ id, kind, count }) => (kind === "tray" ? [] : held(toVesselId(id), count))),
    ...held(TRAYS, trays),
    ...held(toShelfId("fridge"), standing.fridge),
    ...held(toShelfId("rack"), standing.rack),
  ];
}

/** Tasks of one load by what they do to it; null where that is not done. */
export interface LoadSteps {
  readonly firstId: string;
  readonly closeId: string | null;
  /** The last heat. */
  readonly heatId: string;
  readonly unmouldId: string | null;
  readonly finishId: string;
}

/** What a load takes of the kit from its first task to its last. */
export function holdKit(
  kit: KitRoom,
  piece: Piece,
  load: { readonly pieces: number; readonly trays: readonly number[] },
  { firstId, closeId, heatId, unmouldId, finishId }: LoadSteps,
): ScheduleHold[] {
  const vessel = findVessel(kit, piece);
  const hold = (resourceId: string, amount: number, from: TaskEdge, until: TaskEdge): ScheduleHold => ({
    resourceId,
    amount,
    from,
    until,
  });
  const at = (taskId: string, edge: TaskEdge["edge"]): TaskEdge => ({ taskId, edge });
  const trays = load.trays.length;
  return [
    ...(kit.trays === null ? [] : [hold(TRAYS, trays, at(firstId, "start"), at(finishId, "end"))]),
    ...(vessel
      ? [
          hold(
            toVesselId(vessel.id),
            Math.ceil(load.pieces / vessel.holds),
            at(firstId, "start"),
            at(unmouldId ?? finishId, "end"),
          ),
        ]
      : []),
    ...(kit.standing.fridge !== null && closeId !== null && piece.chillMin > 0
      ? [hold(toShelfId("fridge"), trays, at(closeId, "end"), at(heatId, "start"))]
      : []),
    ...(kit.standing.rack === null
      ? []
      : [hold(toShelfId("rack"), trays, at(heatId, "end"), at(finishId, "start"))]),
  ];
}
