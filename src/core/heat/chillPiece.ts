import { chill, findCrossingMin } from "./chill";
import type { Moment } from "./conduct";
import type { Body } from "./grid";
import type { Composition } from "./material";
import type { Place } from "./places";

/** A finished piece, unwrapped on its tray, in one cold place. */
export interface PieceChillRequest {
  readonly body: Body;
  readonly composition: Composition;
  readonly densityGPerMl: number;
  readonly startC: number;
  readonly place: Place;
  readonly airC: number;
  /** How many times the model's film lets heat out there; 1 where nothing is said. */
  readonly filmFactor?: number;
  /** Its fat is hard at this. */
  readonly hardC: number;
}

export interface PieceChill {
  /** Minutes until it is as cold as that in the mean, its crust by then colder; null if not within the time looked at. */
  readonly hardMin: number | null;
  readonly moments: readonly Moment[];
}

/** Longest stay that is looked at, min. */
const LONGEST_MIN = 6 * 60;
/** The curve goes on a little after the crossing. */
const SHOWN_BEYOND = 1.3;

/** How long a piece stays in the cold until the fat in its crust is hard. By conduction. */
export function chillPiece({ place, airC, filmFactor = 1, hardC, ...piece }: PieceChillRequest): PieceChill {
  const stays = [{ place, airC, filmFactor, minutes: LONGEST_MIN, turnOver: false }];
  const moments = chill({ ...piece, wrapped: false, stays });
  const hardMin = findCrossingMin(moments, "meanC", hardC, "falling");
  const endMin = (hardMin ?? LONGEST_MIN) * SHOWN_BEYOND;
  return { hardMin, moments: moments.filter(({ atMin }, i) => i < 2 || atMin <= endMin) };
}
