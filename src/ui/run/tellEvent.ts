import type { Measure, RunEvent } from "@/core/run";
import { measureLimits } from "@/schemas/limits";
import { formatDuration, formatKept, formatScale } from "@/core/units";

const measureWords: Readonly<Record<Measure, string>> = {
  massG: "weighs",
  coreC: "core",
  ovenC: "oven",
  oilC: "oil",
  roomC: "room",
  thicknessMm: "thick",
  blankMm: "blank",
  trimG: "trim",
  heatUpMin: "to heat up",
  oilLowC: "oil at its coldest",
  cutCount: "really cut",
};

/** A reading in words. */
export const tellReading = ({
  measure,
  value,
}: {
  readonly measure: Measure;
  readonly value: number;
}): string => `${measureWords[measure]} ${formatKept(Number(value.toFixed(1)), measureLimits[measure].unit)}`;

/** Pieces that went wrong, in words. */
export const tellMishap = (told: {
  readonly mishap: string;
  readonly count: number;
  readonly word: string;
  readonly isLost?: boolean | undefined;
}): string => `${told.count} ${told.mishap}${told.isLost ? " and lost" : ""}${told.word && `: ${told.word}`}`;

/** What was told of a job beside its beginning, its end and its parts; null for those. */
export function tellEvent(event: RunEvent): string | null {
  switch (event.kind) {
    case "wrong":
      return tellMishap(event);
    case "measured":
      return tellReading(event);
    case "poured":
      return `${formatScale(event.massG)} poured`;
    case "ranOut":
      return `the filling ran out at ${event.made}`;
    case "more":
      return `needed ${formatDuration(event.minutes)} more`;
    case "note":
      return event.word;
    default:
      return null;
  }
}
