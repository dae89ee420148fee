/** How portions that were weighed stand against what each should get. */
export interface PortionSample {
  readonly count: number;
  readonly meanG: number;
  /** One standard deviation either way; 0 of a single one. */
  readonly spreadG: number;
  readonly lowG: number;
  readonly highG: number;
  /** The newest is outside the band. */
  readonly isLastOff: boolean;
}

/** One in so many is put on the scale. */
export const SAMPLE_EVERY = 10;
/** What a practised hand keeps to, as a share of the portion, and no finer than a scale's own gram. */
const BAND_SHARE = 0.08;
const LEAST_BAND_G = 1;

/** @returns Null while none was weighed. */
export function samplePortions(weighedG: readonly number[], portionG: number): PortionSample | null {
  const last = weighedG.at(-1);
  if (last === undefined) return null;
  const bandG = Math.max(portionG * BAND_SHARE, LEAST_BAND_G);
  const [lowG, highG] = [portionG - bandG, portionG + bandG];
  const count = weighedG.length;
  const meanG = weighedG.reduce((sum, each) => sum + each, 0) / count;
  const squares = weighedG.reduce((sum, each) => sum + (each - meanG) ** 2, 0);
  return {
    count,
    meanG,
    spreadG: count > 1 ? Math.sqrt(squares / (count - 1)) : 0,
    lowG,
    highG,
    isLastOff: last < lowG || last > highG,
  };
}
