import { readHouseMeasures } from "./house";
import { formatInches } from "./measure";
import { G_PER_KG, G_PER_LB, G_PER_OZ, MM_PER_CM, MM_PER_IN } from "./unitTable";

/** How a figure that is kept in one unit is shown, typed and turned in the house's own. */
export interface ShownUnit {
  /** As it stands behind the figure: `in`, `oz`; as kept, where the house has no other. */
  readonly sign: string;
  /** Kept = shown · factor. */
  readonly factor: number;
  /** Steps a hand turns it by, in the unit shown, for a step in the unit kept. */
  toStep(keptStep: number): number;
  /** A kept figure as it stands in a field, without its sign. */
  write(kept: number): string;
}

/** As many decimals as a field shows of a metric figure. */
const FIELD_DECIMALS = 2;
const writeDecimal = (value: number, decimals = FIELD_DECIMALS): string =>
  String(Number(value.toFixed(decimals)));

const asKept = (sign: string): ShownUnit => ({
  sign,
  factor: 1,
  toStep: (step) => step,
  write: (kept) => writeDecimal(kept),
});

/** The round step of decimals nearest to one that is not: 0.035 is 0.05, 0.18 is 0.2. */
function toRoundStep(step: number): number {
  const power = 10 ** Math.floor(Math.log10(step));
  const lead = step / power;
  const round = lead < 1.5 ? 1 : lead < 3.5 ? 2 : lead < 7.5 ? 5 : 10;
  return Number((round * power).toPrecision(2));
}

/** Steps on a rule: a sixteenth for a millimetre or more, finer below. */
const toInchStep = (stepMm: number): number => (stepMm >= 5 ? 1 / 8 : stepMm >= 1 ? 1 / 16 : 1 / 64);

/** How a figure kept in `unit` stands in a field of this house. What is no length and no mass stands as it is kept. */
export function findShownUnit(unit: string): ShownUnit {
  const { lengthUnit, massUnit } = readHouseMeasures();
  if (unit === "mm" && lengthUnit === "cm")
    return {
      sign: "cm",
      factor: MM_PER_CM,
      toStep: (stepMm) => stepMm / MM_PER_CM,
      write: (kept) => writeDecimal(kept / MM_PER_CM, FIELD_DECIMALS + 1),
    };
  if (unit === "mm" && lengthUnit === "inch")
    return { sign: "in", factor: MM_PER_IN, toStep: toInchStep, write: formatInches };
  if (massUnit === "ounce" && unit === "g") return inPounds("oz", G_PER_OZ, 3);
  if (massUnit === "ounce" && unit === "kg") return inPounds("lb", G_PER_LB / G_PER_KG, FIELD_DECIMALS);
  return asKept(unit);
}

const inPounds = (sign: string, factor: number, decimals: number): ShownUnit => ({
  sign,
  factor,
  toStep: (step) => toRoundStep(step / factor),
  write: (kept) => writeDecimal(kept / factor, decimals),
});

/**
 * A figure kept in `unit` with its unit, as the house has it: for words about what a field takes.
 * @example formatKept(0.5, "mm") // "0.5 mm"
 */
export function formatKept(kept: number, unit: string): string {
  const { factor, sign, write } = findShownUnit(unit);
  const shown = factor === 1 ? String(Number(kept.toPrecision(6))) : write(kept);
  return sign === "" ? shown : `${shown} ${sign}`;
}
