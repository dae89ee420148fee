import { gunzipSync } from "node:zlib";
import { openSheet, type RunEvent, type RunSheet } from "@/core/run";
import { getStore } from "@/data/getStore";

export interface LoadedRun {
  readonly id: string;
  readonly sheet: RunSheet;
  readonly events: readonly RunEvent[];
}

/** Far above a day of several tablets and devices. */
const MOST_EVENTS = 200_000;

/** A day's run with all that happened; null if the date has none. */
export function loadRun(date: string): LoadedRun | null {
  const { runs } = getStore();
  const run = runs.find(date);
  if (!run) return null;
  const sheet = openSheet(gunzipSync(run.sheet).toString());
  return { id: run.id, sheet, events: runs.listEvents(run.id, 0, MOST_EVENTS).events };
}

/** Later than the last thing that happened by so much, min. */
const AFTER_MIN = 1;

/** A minute of the day after all that happened: whenever something is said of the day as a whole, it comes last. */
export const findAfterMin = ({ events }: LoadedRun): number =>
  events.reduce((last, { atMin }) => Math.max(last, atMin), 0) + AFTER_MIN;
