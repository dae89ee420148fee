import { factsOf, type StepKind, type Way, type WayStep } from "./step";

/** One heat: so many minutes at one setting, as written for still air. */
export interface Heat {
  readonly ovenC: number;
  readonly minutes: number;
}

/** In what a piece is heated. */
export const heatWays = ["oven", "oil"] as const;
export type HeatWay = (typeof heatWays)[number];

/** Out of its mould no sooner than this after the heat, min, and no later; null where it may stay in. */
export interface UnmouldWindow {
  readonly fromMin: number;
  readonly untilMin: number | null;
}

/** Whether a step is a heat: a bake, an empty bake or a frying. */
export const isHeat = ({ kind }: WayStep): boolean => factsOf(kind).pass === "heat";

/** Whether any step is of one of these kinds. */
export const hasStep = (way: Way, ...kinds: readonly StepKind[]): boolean =>
  way.some(({ kind }) => kinds.includes(kind));

/** Every heat of the way in its order, those of an empty shell included. */
export const listHeats = (way: Way): Heat[] =>
  way.filter(isHeat).map(({ heatC, minutes }) => ({ ovenC: heatC ?? 0, minutes }));

/** In oil if anything is fried, else in an oven. */
export const findHeatWay = (way: Way): HeatWay => (hasStep(way, "fry") ? "oil" : "oven");

const firstHeatOf = (way: Way): number => {
  const first = way.findIndex(isHeat);
  return first < 0 ? way.length : first;
};

/** Minutes in the cold before the first heat, the last time it stands there. */
export function findChillMin(way: Way): number {
  return (
    way.slice(0, firstHeatOf(way)).findLast(({ kind }) => kind === "chill" || kind === "freeze")?.minutes ?? 0
  );
}

/** Minutes from the last heat until it may be handled or set out. */
export function findCoolMin(way: Way): number {
  return way
    .slice(way.findLastIndex(isHeat) + 1)
    .reduce((sum, { kind, minutes }) => sum + (kind === "cool" ? minutes : 0), 0);
}

/** When it leaves its mould, after the last heat before that; null if it does not. */
export function findUnmould(way: Way): UnmouldWindow | null {
  const at = way.findIndex(({ kind }) => kind === "unmould");
  const step = way[at];
  if (!step) return null;
  const before = way.slice(0, at);
  const fromMin = before
    .slice(before.findLastIndex(isHeat) + 1)
    .reduce((sum, { kind, minutes }) => sum + (kind === "cool" ? minutes : 0), 0);
  return { fromMin, untilMin: step.mostWaitMin };
}

/** Puts filling into a piece: the steps after which it is no empty shell. */
export const isFilling = ({ kind }: WayStep): boolean => kind === "fill" || kind === "spread";

/** Where an empty shell, baked and kept, joins the way: the first filling after the first heat; -1 if there is none. */
export function findShellEntry(way: Way): number {
  const first = firstHeatOf(way);
  const at = way.slice(first).findIndex(isFilling);
  return at < 0 ? -1 : first + at;
}

/** Where a piece that was frozen raw joins the way: the heat after its first filling, or the first heat. */
export function findFrozenEntry(way: Way): number {
  const filled = way.findIndex(isFilling);
  const at = way.findIndex((step, i) => isHeat(step) && i > filled);
  return at < 0 ? firstHeatOf(way) : at;
}

/** Blind-baking weights go in, or come out. */
export const hasWeights = (way: Way): boolean => hasStep(way, "weightsIn", "weightsOut");
