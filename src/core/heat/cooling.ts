import { chill, findCrossingMin, type Stay } from "./chill";
import type { Moment } from "./conduct";
import type { Body } from "./grid";
import type { Composition } from "./material";

export interface CoolingRequest {
  readonly body: Body;
  readonly composition: Composition;
  readonly densityGPerMl: number;
  readonly startC: number;
  readonly roomC: number;
  readonly fridgeC: number;
  /** In the room before it goes into the fridge. */
  readonly roomMin: number;
  /** How many times the model's film lets heat out on the bench and in the fridge; 1 where nothing is said. */
  readonly filmFactors?: Readonly<Partial<Record<"bench" | "fridge", number>>> | undefined;
}

/** Core of a piece as it is taken out: hot through, and short of the boiling of what it is filled with. */
export const COMES_OUT_C = 85;

export interface Cooling {
  /** Minutes until the core is at 60, 21 and 5 °C; null if never within the time looked at. */
  readonly to60Min: number | null;
  readonly to21Min: number | null;
  readonly to5Min: number | null;
  /** What of the usual two-stage rule is broken, and by how many minutes. Empty: it is kept. */
  readonly faults: readonly string[];
  readonly moments: readonly Moment[];
}

/** The usual rule: from 60 to 21 °C within two hours, and to 5 °C within four more. Local codes decide. */
const WARM_C = 60;
const MIDDLE_C = 21;
const COLD_C = 5;
const FIRST_STAGE_MIN = 120;
const SECOND_STAGE_MIN = 240;
/** The fridge's own stretch that is looked at. */
const LONGEST_FRIDGE_MIN = 12 * 60;

/** How a baked piece cools, first in the room and then in the fridge, and whether it leaves the warm zone in time. */
export function coolPiece(request: CoolingRequest): Cooling {
  const { body, composition, densityGPerMl, startC, roomC, fridgeC, roomMin, filmFactors } = request;
  const stay = (place: "bench" | "fridge", airC: number, minutes: number): Stay => {
    const filmFactor = filmFactors?.[place] ?? 1;
    return { place, airC, minutes, turnOver: false, filmFactor };
  };
  const stays = [stay("bench", roomC, roomMin), stay("fridge", fridgeC, LONGEST_FRIDGE_MIN)];
  const isCold = ({ coreC }: Moment) => coreC <= COLD_C;
  const moments = chill({ body, composition, densityGPerMl, startC, wrapped: false, stays }, isCold);
  const at = (wantedC: number) => findCrossingMin(moments, "coreC", wantedC, "falling");
  const [to60Min, to21Min, to5Min] = [at(WARM_C), at(MIDDLE_C), at(COLD_C)];
  const over = (from: number | null, to: number | null, allowedMin: number, words: string): string[] => {
    if (from === null) return [];
    const takesMin = to === null ? null : to - from;
    if (takesMin !== null && takesMin <= allowedMin) return [];
    const by =
      takesMin === null
        ? "it does not get there"
        : `it takes ${Math.ceil(takesMin - allowedMin)} min too long`;
    return [`${words} within ${allowedMin / 60} h: ${by}. Cool it flatter, or sooner in the cold.`];
  };
  return {
    to60Min,
    to21Min,
    to5Min,
    faults: [
      ...over(to60Min, to21Min, FIRST_STAGE_MIN, `From ${WARM_C} to ${MIDDLE_C} °C`),
      ...over(to21Min, to5Min, SECOND_STAGE_MIN, `From ${MIDDLE_C} to ${COLD_C} °C`),
    ],
    moments,
  };
}
