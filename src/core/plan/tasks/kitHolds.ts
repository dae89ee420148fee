import type { ScheduleHold, ScheduleResource, TaskEdge } from "../../schedule";
import type { Shelf, Vessel } from "../book";
import type { KitRoom } from "../kit";
import type { LotTask } from "./workLot";

const TRAYS = "trays";
const VESSEL = "vessel:";
const toVesselId = (id: string) => VESSEL + id;
/** Whether a resource of the schedule is moulds or pans. */
export const isVesselId = (resourceId: string): boolean => resourceId.startsWith(VESSEL);
const toShelfId = (place: Shelf["place"]) => `shelf:${place}`;

/** Moulds, pans, trays and shelves as resources of the schedule: those that are counted. */
export function listHeldResources({ vessels, trays, standing }: KitRoom): ScheduleResource[] {
  const held = (id: string, capacity: number | null): ScheduleResource[] =>
    capacity === null ? [] : [{ id, capacity, gapMin: 0, heater: null, isHands: false, away: [] }];
  return [
    ...vessels.flatMap(({ id, kind, count }) => (kind === "tray" ? [] : held(toVesselId(id), count))),
    ...held(TRAYS, trays),
    ...held(toShelfId("fridge"), standing.fridge),
    ...held(toShelfId("freezer"), standing.freezer),
    ...held(toShelfId("rack"), standing.rack),
  ];
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
  tasks: readonly LotTask[],
  vessel: Vessel | null,
  load: { readonly pieces: number; readonly trays: readonly number[] },
): ScheduleHold[] {
  const hold = (resourceId: string, from: TaskEdge, until: TaskEdge): ScheduleHold => ({
    resourceId,
    amount: load.trays.length,
    from,
    until,
  });
  const at = ({ task }: LotTask, edge: TaskEdge["edge"]): TaskEdge => ({ taskId: task.id, edge });
  const [first, last] = [tasks[0], tasks.at(-1)];
  if (!first || !last) return [];
  const heat = tasks.findLast(({ stretch }) => stretch.kind === "heat");
  const unmoulded = tasks.find(({ task }) => task.kind === "unmould") ?? last;
  const shelves = tasks.flatMap((next, i): ScheduleHold[] => {
    const before = tasks[i - 1];
    const { place, standMin } = next.stretch.wait;
    if (!before || standMin === 0 || (place !== "fridge" && place !== "freezer")) return [];
    return kit.standing[place] === null ? [] : [hold(toShelfId(place), at(before, "end"), at(next, "start"))];
  });
  return [
    ...(kit.trays === null ? [] : [hold(TRAYS, at(first, "start"), at(last, "end"))]),
    ...(vessel ? [holdVessel(vessel, load.pieces, first.task.id, unmoulded.task.id)] : []),
    ...shelves,
    ...(kit.standing.rack === null || !heat
      ? []
      : [hold(toShelfId("rack"), at(heat, "end"), at(last, "start"))]),
  ];
}
