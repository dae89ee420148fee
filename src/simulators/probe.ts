/** A channel of a probe thermometer in something that comes to what surrounds it; the probe itself lags. */
export interface ProbeStandIn {
  step(seconds: number): void;
  /** From now on what it is in goes towards a temperature, two thirds of the way in so many minutes. */
  towards(aroundC: number, tauMin: number): void;
  /** It is put into something of a temperature. */
  into(heatC: number): void;
  showsC(): number;
}

/** The probe's own time constant, s: a thin needle. */
const LAG_S = 7;
const NOISE_C = 0.08;

export function createProbe(random: () => number, heatC: number): ProbeStandIn {
  let [inside, felt, around, tauMin] = [heatC, heatC, heatC, Infinity];
  return {
    step(seconds) {
      inside += (around - inside) * (1 - Math.exp(-seconds / 60 / tauMin));
      felt += (inside - felt) * (1 - Math.exp(-seconds / LAG_S));
    },
    towards(aroundC, minutes) {
      [around, tauMin] = [aroundC, minutes];
    },
    into(temperature) {
      [inside, around, tauMin] = [temperature, temperature, Infinity];
    },
    showsC: () => Math.round((felt + NOISE_C * (random() * 2 - 1)) * 10) / 10,
  };
}
