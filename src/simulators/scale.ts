/** A bench scale: settles on what lies on it, drifts a little, shows whole grams and can be tared. */
export interface ScaleStandIn {
  step(seconds: number): void;
  /** Everything that lies on it now, g. */
  lay(massG: number): void;
  tare(): void;
  showsG(): number;
}

/** Time in which two thirds of a change are shown, s: a plate on springs. */
const SETTLE_S = 0.6;
/** It wanders by so much in the root of a minute, g, and trembles by so much. */
const DRIFT_G_PER_ROOT_MIN = 0.15;
const TREMBLE_G = 0.2;

/** @param random - From 0 up to 1. */
export function createScale(random: () => number): ScaleStandIn {
  let [lies, felt, drift, zero] = [0, 0, 0, 0];
  return {
    step(seconds) {
      felt += (lies - felt) * (1 - Math.exp(-seconds / SETTLE_S));
      drift += DRIFT_G_PER_ROOT_MIN * Math.sqrt(seconds / 60) * (random() * 2 - 1);
    },
    lay: (massG) => {
      lies = massG;
    },
    tare: () => {
      zero = felt + drift;
    },
    showsG: () => Math.round(felt + drift - zero + TREMBLE_G * (random() * 2 - 1)),
  };
}
