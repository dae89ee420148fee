import { readSteadyClock, type SteadyClock } from "./steadyClock";

/** The kitchen's clock as a page was told it, and how fast it goes: 1, or more where a day is played through. */
export interface DayClock {
  readonly clock: SteadyClock;
  readonly speed: number;
}

const DAY_MS = 24 * 60 * 60_000;
const MINUTES_PER_DAY = 24 * 60;

/**
 * Minutes after a date's midnight by the kitchen's wall clock, with a fraction; below 0 on the eve.
 * @param sinceMs - Since the page was told the clock, by its own time.
 */
export function readDayMin(date: string, { clock, speed }: DayClock, sinceMs: number): number {
  const instant = new Date(Date.parse(clock.atIso) + sinceMs * speed);
  const wall = readSteadyClock(clock, instant, clock.timeZone);
  const days = Math.round((Date.parse(wall.date) - Date.parse(date)) / DAY_MS);
  const seconds = instant.getUTCSeconds() + instant.getUTCMilliseconds() / 1000;
  return days * MINUTES_PER_DAY + wall.minute + seconds / 60;
}
