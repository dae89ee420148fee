import type { ScheduleHold, ScheduleResource, TaskEdge } from "../schedule";
import type { Piece, Vessel } from "./book";
import type { KitRoom } from "./kitRoom";

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
  /** The first heat after it was closed, and the last; null where there is none. */
  readonly chilledUntilId: string | null;
  readonly heatId: string | null;
  readonly unmouldId: string | null;
  readonly finishId: string;
}

/** As many of a vessel as so many pieces fill, from the start of one task to the end of another. */
export const holdVessel = (
  { id, holds }: Vessel,
  pieces: number,
  fromId: string,
  untilId: string,
): ScheduleHold => ({
  resourceId: toVesselId(id),
  amount: Math.ceil(pieces / holds),
  from: { taskId: fromId, edge: "start" },
  until: { taskId: untilId, edge: "end" },
});

/** What a load takes of the kit from its first task to its last; of moulds or pans only what it is in. */
export function holdKit(
  kit: KitRoom,
  { chillMin }: Piece,
  vessel: Vessel | null,
  load: { readonly pieces: number; readonly trays: readonly number[] },
  { firstId, closeId, chilledUntilId, heatId, unmouldId, finishId }: LoadSteps,
): ScheduleHold[] {
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
    ...(vessel ? [holdVessel(vessel, load.pieces, firstId, unmouldId ?? finishId)] : []),
    ...(kit.standing.fridge !== null && closeId !== null && chilledUntilId !== null && chillMin > 0
      ? [hold(toShelfId("fridge"), trays, at(closeId, "end"), at(chilledUntilId, "start"))]
      : []),
    ...(kit.standing.rack === null || heatId === null
      ? []
      : [hold(toShelfId("rack"), trays, at(heatId, "end"), at(finishId, "start"))]),
  ];
}
