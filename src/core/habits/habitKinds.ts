import { because } from "../result";
import type { FigurePrior, FigureScale } from "./figureHabit";
import { noHabit, type HabitFailure } from "./habitFailure";

interface HabitKind {
  readonly what: string;
  readonly scale: FigureScale;
  readonly prior: FigurePrior;
  /** Beyond these it is a slip of whoever wrote it down: shares, or degrees. */
  readonly least: number;
  readonly most: number;
}

/** Of the middle the craft's word is worth two lots, of the stray four: a baker's third market day outweighs it. */
const worth = { worthLots: 2, sdWorthLots: 4 } as const;

/** What is learned, each against what the craft, the piece or the kit says, with what a practised hand and a sound oven stray. */
export const habitKinds = {
  heat: {
    least: 0.2,
    most: 5,
    what: "minutes in the heat",
    scale: "share",
    prior: { mean: 0, sd: 0.08, ...worth },
  },
  hands: {
    least: 0.1,
    most: 10,
    what: "minutes of hands",
    scale: "share",
    prior: { mean: 0, sd: 0.25, ...worth },
  },
  oven: {
    least: -120,
    most: 120,
    what: "off what the kit says",
    scale: "degrees",
    prior: { mean: 0, sd: 6, ...worth },
  },
  portion: {
    least: 0.3,
    most: 3,
    what: "portions on the scale",
    scale: "share",
    prior: { mean: 0, sd: 0.06, ...worth },
  },
  // A hand with a measure strays as much for every piece that it fills.
  measure: {
    least: 0.3,
    most: 3,
    what: "by this measure on the scale",
    scale: "share",
    prior: { mean: 0, sd: 0.06, ...worth },
  },
  // A practised hand keeps portions to a sixteenth; from one lot to another that varies by half as much again.
  spread: {
    least: 0.002,
    most: 1,
    what: "strayed about their mean",
    scale: "share",
    prior: { mean: Math.log(0.06), sd: 0.4, ...worth },
  },
  liquid: {
    least: 0.3,
    most: 3,
    what: "liquid it took",
    scale: "share",
    // Flour of another sack takes some hundredths more or less.
    prior: { mean: 0, sd: 0.05, ...worth },
  },
  // What is planned is cut, give or take three in a hundred: a rolling is a count of many, so that the craft's is worth four.
  blanks: {
    least: 0,
    most: 1.25,
    what: "blanks got",
    scale: "share",
    prior: { mean: 0, sd: 0.03, worthLots: 4, sdWorthLots: 4 },
  },
  // A pin and rings hold a sheet to some hundredths of what it is meant to be.
  thickness: {
    least: 0.3,
    most: 3,
    what: "thickness rolled",
    scale: "share",
    prior: { mean: 0, sd: 0.06, ...worth },
  },
  // Pin and rings leave a sheet thicker here than there by some hundredths.
  uneven: {
    least: 0.002,
    most: 1,
    what: "thicker here than there",
    scale: "share",
    prior: { mean: Math.log(0.05), sd: 0.4, ...worth },
  },
  // What a blank pulls back is known to a hundredth of its length.
  relaxed: {
    least: 0.6,
    most: 1.3,
    what: "of a blank’s length once it relaxed",
    scale: "share",
    prior: { mean: 0, sd: 0.012, ...worth },
  },
  // Free convection and radiation lie within a third of what the model takes, a full shelf or a fan farther off.
  film: {
    least: 0.125,
    most: 8,
    what: "of the cooling reckoned",
    scale: "share",
    prior: { mean: 0, sd: 0.3, ...worth },
  },
  // A burner or an element ages; what a plate says is mostly near it.
  heater: {
    least: 0.2,
    most: 4,
    what: "of its heater’s power",
    scale: "share",
    prior: { mean: 0, sd: 0.12, ...worth },
  },
  heatUp: {
    least: 0.3,
    most: 4,
    what: "minutes to heat up",
    scale: "share",
    prior: { mean: 0, sd: 0.15, ...worth },
  },
  trim: {
    least: 0.2,
    most: 5,
    what: "trim off a sheet",
    scale: "share",
    prior: { mean: 0, sd: 0.15, ...worth },
  },
  // Two people of one kitchen, against what both are known to take.
  person: {
    least: 0.1,
    most: 10,
    what: "minutes against what the house takes",
    scale: "share",
    prior: { mean: 0, sd: 0.15, ...worth },
  },
  // One in twenty is over and kept, and no day is like the other.
  left: {
    least: 0,
    most: 1,
    what: "over and kept",
    scale: "share",
    prior: { mean: Math.log(0.05), sd: 0.8, ...worth },
  },
  // Most that is kept is used up; some of it never is.
  spoiled: {
    least: 0,
    most: 1,
    what: "of what was kept thrown out",
    scale: "share",
    prior: { mean: Math.log(0.05), sd: 1.2, ...worth },
  },
  sold: {
    least: 0,
    most: 1,
    what: "sold of those made",
    scale: "share",
    prior: { mean: 0, sd: 0.1, ...worth },
  },
} as const satisfies Readonly<Record<string, HabitKind>>;
export type HabitKindId = keyof typeof habitKinds;

/** Which habit, of whom: `hands:fill:spoon`, `oven:two-deck`. */
export type HabitId = `${HabitKindId}:${string}`;

/** The id of a habit: its kind and whose it is, as `oven:two-deck`. */
export const toHabitId = (kind: HabitKindId, key: string): HabitId => `${kind}:${key}`;

/** The two parts of an id; null if it is none. */
export function readHabitId(id: string): { readonly kind: HabitKindId; readonly key: string } | null {
  const at = id.indexOf(":");
  const kind = id.slice(0, at);
  return at > 0 && kind in habitKinds && at < id.length - 1
    ? { kind: kind as HabitKindId, key: id.slice(at + 1) }
    : null;
}

/** Half a piece more of both: a count of none has a logarithm too, and one of dozens does not notice. */
const HALF_PIECE = 0.5;

/** The logarithm of a share of counted pieces. */
export const toShareLog = (got: number, planned: number): number =>
  Math.log((got + HALF_PIECE) / (planned + HALF_PIECE));

/** As figures are told: of a share itself, not its logarithm. */
export const toTold = (scale: FigureScale, value: number): number =>
  scale === "share" ? Math.exp(value) : value;

/** Why a figure cannot be; null if it can. @param value - On the habit's own scale. */
export function findImplausible(id: HabitId, value: number): HabitFailure | null {
  const read = readHabitId(id);
  if (!read) return noHabit(id);
  const { what, scale, least, most } = habitKinds[read.kind];
  const told = toTold(scale, value);
  // A share of counts is told with half a piece more of both.
  if (Number.isFinite(value) && told >= least && told <= most + HALF_PIECE_SHARE) return null;
  return because("habitOutside", { what, scale, told, least, most });
}

/** What that half piece adds to a share of one in a few, at most. */
const HALF_PIECE_SHARE = 0.05;
