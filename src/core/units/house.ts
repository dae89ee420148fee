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

/** Where the measures of the text that is being written are kept: of a thread, or of one request. */
export interface MeasureScope {
  read(): HouseMeasures;
  /** From here on, until the scope ends. */
  set(measures: HouseMeasures): void;
  /** While `work` runs, and as before after it. */
  run<T>(measures: HouseMeasures, work: () => T): T;
}

/** One for a whole thread: a browser's page, a worker, a job. */
function createThreadScope(): MeasureScope {
  let spoken = metricMeasures;
  return {
    read: () => spoken,
    set: (measures) => void (spoken = measures),
    run(measures, work) {
      const before = spoken;
      spoken = measures;
      try {
        return work();
      } finally {
        spoken = before;
      }
    },
  };
}

/**
 * What every text is written in. Like a language it is one for the whole house, so that neither an engine that tells its
 * steps nor a drawing that labels its sides has to carry it; what remembers texts asks for it (createMemory). See
 * docs/DECISIONS.md.
 */
let scope = createThreadScope();

/** For a server, which answers many at a time: each request keeps its own measures. Called once, when it starts. */
export function setMeasureScope(next: MeasureScope): void {
  scope = next;
}

/** The measures that texts are written in now. The same object as long as they are the same. */
export const readHouseMeasures = (): HouseMeasures => scope.read();

/** From here on texts are written in these. For the doors of a thread or a request. */
export const setHouseMeasures = (measures: HouseMeasures): void => scope.set(intern(measures));

/** Writes texts in these while `work` runs, and as before after it. `work` must not wait for anything. */
export const inHouse = <T>(measures: HouseMeasures, work: () => T): T => scope.run(intern(measures), work);
