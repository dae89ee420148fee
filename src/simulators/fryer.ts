import type { OilBath } from "@/core/heat";

/** A fryer's thermostat over its oil: full fire below its band, off above; a load takes its heat for steam. */
export interface FryerStandIn {
  step(seconds: number): void;
  set(heatC: number): void;
  /** Surface of all pieces in the oil, mm²; 0 when the basket is out. */
  load(surfaceMm2: number): void;
  showsC(): number;
}

/** As the engine of frying has them: between boiling oil and a steaming surface, W/m² K, which stays at boiling. */
const FRY_W_PER_M2K = 250;
const BOILING_C = 100;
const BAND_C = 4;
const NOISE_C = 0.3;
/** Steps shorter than this change nothing more, s. */
const LONGEST_STEP_S = 5;

export function createFryer(random: () => number, bath: OilBath): FryerStandIn {
  let [oilC, setC, surfaceMm2, isOn] = [bath.roomC, bath.roomC, 0, false];
  const stepOnce = (seconds: number) => {
    if (oilC <= setC - BAND_C) isOn = true;
    if (oilC >= setC) isOn = false;
    const steamW = (surfaceMm2 / 1e6) * FRY_W_PER_M2K * Math.max(oilC - BOILING_C, 0);
    const powerW = (isOn ? bath.heaterW : 0) - bath.lossWPerK * (oilC - bath.roomC) - steamW;
    oilC += (powerW * seconds) / (bath.oilKg * bath.oilJPerKgK);
  };
  return {
    step(seconds) {
      for (let left = seconds; left > 0; left -= LONGEST_STEP_S) stepOnce(Math.min(left, LONGEST_STEP_S));
    },
    set: (heatC) => {
      setC = heatC;
    },
    load: (mm2) => {
      surfaceMm2 = mm2;
    },
    showsC: () => Math.round((oilC + NOISE_C * (random() * 2 - 1)) * 10) / 10,
  };
}
