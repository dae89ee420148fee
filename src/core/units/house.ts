/** What lengths are told in: millimetres, centimetres, or inches as the fractions of a rule. */
export const lengthUnits = ["mm", "cm", "inch"] as const;
export type LengthUnit = (typeof lengthUnits)[number];

/** What masses are told in: grams and kilograms, or ounces and pounds (avoirdupois). */
export const massUnits = ["gram", "ounce"] as const;
export type MassUnit = (typeof massUnits)[number];

/** The units a house reads and writes. Records, files and the API are in mm and g whatever they are. */
export interface HouseMeasures {
  readonly lengthUnit: LengthUnit;
  readonly massUnit: MassUnit;
}

/** One object for each pair, so that the same measures are the same object. */
const pairs = lengthUnits.flatMap((lengthUnit) => massUnits.map((massUnit) => ({ lengthUnit, massUnit })));

const intern = ({ lengthUnit, massUnit }: HouseMeasures): HouseMeasures => {
  const found = pairs.find((pair) => pair.lengthUnit === lengthUnit && pair.massUnit === massUnit);
  if (!found) throw new RangeError(`No house measures in ${lengthUnit} and ${massUnit}`);
  return found;
};

/** Millimetres and grams: what is spoken where no house is asked, as by the API. */
export const metricMeasures: HouseMeasures = intern({ lengthUnit: "mm", massUnit: "gram" });

/**
 * What every text of this thread is written in. Like a language it is one for the whole house, so that neither an engine
 * that tells its steps nor a drawing that labels its sides has to carry it; what remembers texts asks for it
 * (createMemory). See docs/DECISIONS.md.
 */
let spoken = metricMeasures;

/** The measures that texts are written in now. The same object as long as they are the same. */
export const readHouseMeasures = (): HouseMeasures => spoken;

/** From here on texts are written in these. For the doors of a thread: a page, a worker, a job. */
export function setHouseMeasures(measures: HouseMeasures): void {
  spoken = intern(measures);
}

/** Writes texts in these while `work` runs, and as before after it. `work` must not wait for anything. */
export function inHouse<T>(measures: HouseMeasures, work: () => T): T {
  const before = spoken;
  spoken = intern(measures);
  try {
    return work();
  } finally {
    spoken = before;
  }
}
