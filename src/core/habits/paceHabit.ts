import { requireThat } from "../require";
import { spreadOfNext } from "./figureHabit";
import { toHabitId } from "./habitKinds";
import type { CraftHold } from "./holdHabit";
import { knowHabit, type PastLog } from "./pastLog";

/**
 * What was logged of one lot. Beside each real figure stands what the craft reckoned for it then, without any habit:
 * the log corrects the craft, whatever the piece looked like that day.
 */
export interface LotOutcome extends CraftHold {
  /** Whole, at least 1. */
  readonly pieces: number;
  /** Minutes of hands for the lot and the way it was done (a measure, a crimp); null where it was not timed. */
  readonly fill: TimedWork | null;
  readonly close: TimedWork | null;
  /** Pieces that leaked or burst; null where nobody counted. */
  readonly leaked: number | null;
}

export interface TimedWork {
  readonly style: string;
  readonly minutes: number;
  readonly craftMinutes: number;
}

/** What hands are timed at. */
export type TimedKind = "fill" | "close";

/** How long this baker's hands take for a style of work, against the craft's figures. */
export interface PaceHabit {
  readonly lots: number;
  /** Real minutes for each of the craft's, likeliest. */
  readonly ratio: number;
  /** Of the next lot: one standard deviation either way, as a factor. */
  readonly spreadFactor: number;
}

/** Whose pace it is: what hands do and in which style, as `fill:spoon`. */
export const toPaceKey = (kind: TimedKind, style: string): string => `${kind}:${style}`;

/** What hands do, by the first part of a habit's key. */
const workNames: Readonly<Record<string, string>> = {
  ...{ fill: "Filling", close: "Closing", mix: "Mixing", precook: "Making ahead", make: "Making" },
  ...{ roll: "Rolling and cutting", sugar: "Sugaring", line: "Lining moulds", warm: "Warming a filling" },
  ...{
    pour: "Pouring",
    unmould: "Turning out",
    glaze: "Glazing",
    finish: "Finishing",
    store: "Putting away",
  },
};

/** "Closing, half moon, rope": a key of hands in words. @param nameOf - Formulas by their id. */
export function tellWork(key: string, nameOf: (id: string) => string): string {
  const [work = "", ...rest] = key.split(":");
  const of = rest.join(":");
  if (of === "") return workNames[work] ?? work;
  const whose =
    work === "fill" || work === "close" ? of.replace(/([A-Z])/g, " $1").replaceAll("-", ", ") : nameOf(of);
  return `${workNames[work] ?? work}, ${whose.toLowerCase()}`;
}

/** @throws {RangeError} If minutes are not above 0. */
export function toPaceLog({ minutes, craftMinutes }: TimedWork): number {
  requireThat("minutes", minutes, minutes > 0, "above 0");
  requireThat("craftMinutes", craftMinutes, craftMinutes > 0, "above 0");
  return Math.log(minutes / craftMinutes);
}

/** Pace of one style of work: the past, and lots beside it. */
export function findPaceHabit(
  past: PastLog,
  kind: TimedKind,
  style: string,
  lots: readonly LotOutcome[],
): PaceHabit {
  const works = lots.flatMap((lot) => lot[kind] ?? []).filter((work) => work.style === style);
  const known = knowHabit(past, toHabitId("hands", toPaceKey(kind, style)), works.map(toPaceLog));
  return {
    lots: known.lots,
    ratio: Math.exp(known.mean),
    spreadFactor: Math.exp(spreadOfNext(known)),
  };
}
