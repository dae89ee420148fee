import type { RunRecord } from "@/core/run";
import { formatClock, formatNumber } from "@/core/units";
import { writeCsv } from "./writeCsv";

/** A day's record, one job a row: planned and real times, minutes, who, what went wrong, readings and words. */
export function toRunCsv({ rows }: RunRecord): string {
  const clock = (minute: number | null) => (minute === null ? "" : formatClock(minute));
  const lines = rows.map(
    ({
      job,
      plannedStartMin,
      plannedEndMin,
      begunMin,
      doneMin,
      tookMin,
      person,
      moreMin,
      mishaps,
      measured,
      notes,
    }) => ({
      job: job.title,
      about: job.about,
      pieces: job.pieces,
      who: (person ?? job.person) > 0 ? "helper" : "baker",
      "planned from": formatClock(plannedStartMin),
      "planned until": formatClock(plannedEndMin),
      from: clock(begunMin),
      until: clock(doneMin),
      "took min": tookMin === null ? "" : formatNumber(tookMin, 1),
      "needed more min": moreMin,
      "went wrong": mishaps
        .map(({ mishap, count, word }) => [count, mishap, word].filter(Boolean).join(" "))
        .join("; "),
      readings: measured
        .map(({ measure, value, atMin }) => `${formatClock(atMin)} ${measure} ${value}`)
        .join("; "),
      words: notes.join("; "),
    }),
  );
  return writeCsv(lines);
}
