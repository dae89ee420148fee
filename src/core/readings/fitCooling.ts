/** A temperature and when it was read, minutes. */
export interface HeatAt {
  readonly atMin: number;
  readonly heatC: number;
}

/** How something warms or cools towards what surrounds it. */
export interface CoolingFit {
  /** Minutes in which what is left of the difference falls to 1/e. */
  readonly tauMin: number;
  /** Minutes from the last reading until it is at a temperature; null if it never gets there, 0 if it is past it. */
  untilMin(targetC: number): number | null;
}

/** Fewer than this, or closer together, say more of the probe than of the dough. */
const LEAST_READINGS = 4;
const LEAST_SPAN_MIN = 1;
/** Nearer to its surroundings than this nothing can be told from noise, °C. */
const LEAST_APART_C = 1;

/**
 * Newton's law of cooling through readings: ln(T − around) is a straight line in time, laid by least squares.
 * @param aroundC - Of the room, fridge or freezer it stands in.
 * @returns Null while there is too little to go by, or where it does not move towards what surrounds it.
 */
export function fitCooling(readings: readonly HeatAt[], aroundC: number): CoolingFit | null {
  const last = readings.at(-1);
  const first = readings[0];
  if (!first || !last || readings.length < LEAST_READINGS || last.atMin - first.atMin < LEAST_SPAN_MIN)
    return null;
  const side = Math.sign(first.heatC - aroundC);
  const apart = readings.filter(({ heatC }) => (heatC - aroundC) * side >= LEAST_APART_C);
  if (apart.length < LEAST_READINGS) return null;
  const points = apart.map(({ atMin, heatC }) => ({
    x: atMin - last.atMin,
    y: Math.log((heatC - aroundC) * side),
  }));
  const meanX = points.reduce((sum, { x }) => sum + x, 0) / points.length;
  const meanY = points.reduce((sum, { y }) => sum + y, 0) / points.length;
  const slope =
    points.reduce((sum, { x, y }) => sum + (x - meanX) * (y - meanY), 0) /
    points.reduce((sum, { x }) => sum + (x - meanX) ** 2, 0);
  if (!(slope < 0)) return null;
  const nowApartC = Math.exp(meanY - slope * meanX);
  return {
    tauMin: -1 / slope,
    untilMin(targetC) {
      const targetApartC = (targetC - aroundC) * side;
      if (targetApartC >= nowApartC) return 0;
      return targetApartC > 0 ? Math.log(targetApartC / nowApartC) / slope : null;
    },
  };
}
