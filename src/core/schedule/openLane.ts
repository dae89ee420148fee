import { SharedLane, type Lane } from "./lane";
import type { ScheduleResource } from "./problem";
import { RoomLane } from "./roomLane";

/**
 * Opens a lane with what is away of a resource.
 * @param coldUntilMin - When a heater begins, cold; null if that is seen to afterwards.
 * @param isMirrored - Time runs backwards: what is away is away in the mirror.
 */
export const openLane = (
  resource: ScheduleResource,
  coldUntilMin: number | null,
  isMirrored: boolean,
): Lane =>
  resource.heater === null && resource.gapMin === 0
    ? new RoomLane(resource, isMirrored)
    : new SharedLane(resource, coldUntilMin, isMirrored);
