import { readWallClock, type WallTime } from "./wallClock";

/**
 * A reading of a wall clock and how long it may be counted on from, without asking the zone again: a browser takes some
 * 50 ms to learn its first zone, while a page is waited for.
 */
export interface SteadyClock {
  readonly timeZone: string;
  readonly atIso: string;
  readonly wall: WallTime;
  /** No clock change and no midnight comes within so long, ms; 0 if one may. */
  readonly steadyMs: number;
}

const MINUTE_MS = 60_000;
const MINUTES_PER_DAY = 24 * 60;
/** So long is looked ahead for a change of the clocks. */
const LOOK_AHEAD_MS = 60 * MINUTE_MS;

export function startSteadyClock(instant: Date, timeZone: string): SteadyClock {
  const wall = readWallClock(instant, timeZone);
  const later = readWallClock(new Date(instant.getTime() + LOOK_AHEAD_MS), timeZone);
  const isSteady = later.date === wall.date && later.minute - wall.minute === LOOK_AHEAD_MS / MINUTE_MS;
  return { timeZone, atIso: instant.toISOString(), wall, steadyMs: isSteady ? LOOK_AHEAD_MS : 0 };
}

/** What the wall clock shows at an instant: counted on from the reading where that holds, else asked of the zone. */
export function readSteadyClock(clock: SteadyClock, instant: Date, timeZone: string): WallTime {
  const fromMs = Date.parse(clock.atIso);
  const goneMs = instant.getTime() - fromMs;
  if (timeZone !== clock.timeZone || goneMs < 0 || goneMs >= clock.steadyMs)
    return readWallClock(instant, timeZone);
  // A minute turns when the instant's own does, in every zone there is today.
  const minutes = Math.floor(instant.getTime() / MINUTE_MS) - Math.floor(fromMs / MINUTE_MS);
  const minute = clock.wall.minute + minutes;
  return minute < MINUTES_PER_DAY ? { date: clock.wall.date, minute } : readWallClock(instant, timeZone);
}
