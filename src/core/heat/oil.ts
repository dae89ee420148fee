import { requireNotNegative, requirePositive, requireThat } from "../require";
import { because, fail, ok, type Result } from "../result";
import type { OilFailure } from "./heatFailure";

/** A pan or fryer of oil. */
export interface OilBath {
  readonly oilKg: number;
  /** Heat that warms the oil, with the pan it stands in, for each kilogram of oil, J/kg K. */
  readonly oilJPerKgK: number;
  /** What leaves the open surface and the walls, W for each degree above the room. */
  readonly lossWPerK: number;
  readonly heaterW: number;
  /** The thermostat's setting. */
  readonly setC: number;
  readonly roomC: number;
}

/** What goes in at once. */
export interface FryLoad {
  readonly pieces: number;
  /** Surface of one piece in the oil, mm². */
  readonly pieceMm2: number;
  readonly minutes: number;
  /** One piece raw, and the share of it that is water: no more than that can boil away. */
  readonly pieceG: number;
  readonly waterShare: number;
}

export interface OilMoment {
  readonly atMin: number;
  readonly oilC: number;
}

export interface Frying {
  /** The coldest the oil gets, at the end of a load. */
  readonly lowestC: number;
  /** From the end of a load until the oil is back. */
  readonly recoveryMin: number;
  /** Water that one piece boils off, g. */
  readonly waterG: number;
  readonly moments: readonly OilMoment[];
}

/** Of frying oils near 180 °C, J/kg K. */
export const USUAL_OIL_J_PER_KG_K = 2300;
/** Off the open surface and the walls of a small fryer for each kilogram of oil, W/K. */
const LOSS_W_PER_KG_K = 0.6;

/** What a usual fryer with so much oil loses, W/K, to a hundredth. */
export const findUsualLossWPerK = (oilKg: number): number => Math.round(oilKg * LOSS_W_PER_KG_K * 100) / 100;
/** Between boiling oil and a surface that steams, W/m² K: bubbles stir it. */
const FRY_W_PER_M2K = 250;
/** While water boils off, the surface stays at its boiling point. */
const BOILING_C = 100;
/** To boil a gram of water away, J. */
const EVAPORATION_J_PER_G = 2257;
/** From the fridge to boiling, for each gram of water, J. */
const WARMING_J_PER_G = 350;
/** A small fryer's thermostat answers when the oil has fallen so far below its setting. */
const THERMOSTAT_BAND_C = 4;
/** Back within so much of the setting the next load may go in. */
const BACK_WITHIN_C = 2;
/** Below this crust takes up oil before it closes. */
export const LEAST_FRYING_C = 165;
/** Points of the curve in each stretch. */
const POINTS = 24;
const MOST_PIECES = 500;

/**
 * One load and the recovery after it, from oil at its setting. While pieces fry, the oil obeys
 * m c dT/dt = P − U(T − room) − hA(T − 100): exponential, with its end where heater, losses and steam balance; first
 * with the heater off until the thermostat answers, then with it on, never above the setting; then the same without
 * pieces. Uptake ends where a piece has no water left to boil.
 * @throws {RangeError} If a quantity is not above 0.
 */
export function fryLoad(bath: OilBath, load: FryLoad): Result<Frying, OilFailure> {
  check(bath, load);
  const steadyC = findSteadyC(bath);
  if (steadyC <= bath.setC) {
    const { heaterW, oilKg, setC } = bath;
    return fail(because("neverHot", { heaterW, oilKg, steadyC, setC }));
  }
  const frying = fryPath(bath, load.pieces * load.pieceMm2);
  const mostWaterG = load.pieceG * load.waterShare;
  const waterAt = (minutes: number) =>
    ((load.pieceMm2 / 1e6) * FRY_W_PER_M2K * frying.overBoilingKMin(minutes) * 60) /
    (EVAPORATION_J_PER_G + WARMING_J_PER_G);
  const dryMin =
    waterAt(load.minutes) > mostWaterG ? findDryMin(waterAt, mostWaterG, load.minutes) : load.minutes;
  const wetEndC = frying.at(dryMin);
  const bare = stretch(bath, 0);
  // Out of water it takes up nothing more worth counting.
  const endC = Math.min(bare.at(wetEndC, load.minutes - dryMin), bath.setC);
  const recoveryMin = bare.until(endC, bath.setC - BACK_WITHIN_C);
  const answersMin = Math.min(frying.offMin, dryMin);
  const along = (fromMin: number, toMin: number, oilC: (minute: number) => number, alsoMin = toMin) =>
    Array.from({ length: POINTS + 1 }, (_, i) => fromMin + ((toMin - fromMin) * i) / POINTS)
      .concat(alsoMin < toMin ? alsoMin : [])
      .sort((a, b) => a - b)
      .map((atMin): OilMoment => ({ atMin, oilC: Math.min(oilC(atMin - fromMin), bath.setC) }));
  return ok({
    lowestC: Math.min(frying.at(answersMin), wetEndC, endC),
    recoveryMin,
    waterG: Math.min(waterAt(load.minutes), mostWaterG),
    moments: [
      // A small load is coldest as the thermostat answers.
      ...along(0, dryMin, frying.at, answersMin),
      ...(dryMin < load.minutes ? along(dryMin, load.minutes, (minute) => bare.at(wetEndC, minute)) : []),
      ...along(load.minutes, load.minutes + recoveryMin, (minute) => bare.at(endC, minute)),
    ],
  });
}

/** The most pieces that keep the oil from falling below `leastC`; 0 if not even one does. */
export function findLargestLoad(
  bath: OilBath,
  load: Omit<FryLoad, "pieces">,
  leastC = LEAST_FRYING_C,
): number {
  let [low, high] = [0, MOST_PIECES];
  const holds = (pieces: number) => {
    const fried = fryLoad(bath, { ...load, pieces });
    return fried.ok && fried.value.lowestC >= leastC;
  };
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (holds(middle)) low = middle;
    else high = middle - 1;
  }
  return low;
}

/**
 * How fast a bath comes up to its setting and falls from it, °C/min: mean of the way from the room, and from the setting
 * with the heater off.
 */
export function computeOilRates(bath: OilBath): { heatUpCPerMin: number; coolDownCPerMin: number } {
  checkBath(bath);
  const { setC, roomC } = bath;
  const backC = Math.min(setC - BACK_WITHIN_C, findSteadyC(bath) - BACK_WITHIN_C);
  return {
    heatUpCPerMin: (backC - roomC) / stretch(bath, 0).until(roomC, backC),
    coolDownCPerMin: (bath.lossWPerK * (setC - roomC) * 60) / capacityJPerK(bath),
  };
}

/** Where the two times of a bath are taken: warmed from and to, and cooled to with the heater off, °C. */
export const TWO_TIMES_C = { from: 100, to: 170, backTo: 160 } as const;
/** Less than the thinnest oil, more than the heaviest pan around it: outside these a clock or a heater is misread. */
const [LEAST_J_PER_KG_K, MOST_J_PER_KG_K] = [1500, 6000];
/** A lidded, insulated pan, and a wide shallow one in a draught, W/K for each kilogram of oil. */
const [LEAST_W_PER_KG_K, MOST_W_PER_KG_K] = [0.05, 10];

/** The two times that {@link findBath} finds a bath from; null where its heater never brings it so far. */
export function timeBath(bath: OilBath): { readonly warmMin: number; readonly coolMin: number } | null {
  checkBath(bath);
  const { from, to, backTo } = TWO_TIMES_C;
  if (findSteadyC(bath) <= to) return null;
  return {
    warmMin: stretch(bath, 0).until(from, to),
    coolMin: stretch({ ...bath, heaterW: 0 }, 0).until(to, backTo),
  };
}

/**
 * Heat capacity and loss of a bath from two times: from 100 to 170 °C with the heater on, and back to 160 with it off.
 * Cooling is T − room ∝ e^(−kt), which gives k = U / mc; warming tends to room + P / U at the same k, which gives U.
 * @param warmMin - From 100 to 170 °C, heater on.
 * @param coolMin - From 170 to 160 °C, heater off.
 * @returns Fault where no oil would behave so.
 * @throws {RangeError} If a quantity is not above 0.
 */
export function findBath(
  { oilKg, heaterW, roomC }: Pick<OilBath, "oilKg" | "heaterW" | "roomC">,
  warmMin: number,
  coolMin: number,
): Result<Pick<OilBath, "oilJPerKgK" | "lossWPerK">, OilFailure> {
  requirePositive("oilKg", oilKg);
  requirePositive("heaterW", heaterW);
  requirePositive("warmMin", warmMin);
  requirePositive("coolMin", coolMin);
  const { from, to, backTo } = TWO_TIMES_C;
  const perMin = Math.log((to - roomC) / (backTo - roomC)) / coolMin;
  const warmed = Math.exp(perMin * warmMin);
  const endC = (to * warmed - from) / (warmed - 1);
  const lossWPerK = heaterW / (endC - roomC);
  const oilJPerKgK = (lossWPerK * 60) / perMin / oilKg;
  const [jPerKgK, wPerKgK] = [oilJPerKgK, lossWPerK / oilKg];
  if (jPerKgK < LEAST_J_PER_KG_K || jPerKgK > MOST_J_PER_KG_K) {
    const [least, most] = [LEAST_J_PER_KG_K, MOST_J_PER_KG_K];
    return fail(because("notOilHeat", { jPerKgK, least, most, oilKg, heaterW }));
  }
  if (wPerKgK < LEAST_W_PER_KG_K || wPerKgK > MOST_W_PER_KG_K) {
    const [least, most] = [LEAST_W_PER_KG_K, MOST_W_PER_KG_K];
    return fail(because("notOilLoss", { wPerKgK, least, most, heaterW }));
  }
  return ok({ oilJPerKgK, lossWPerK });
}

const capacityJPerK = ({ oilKg, oilJPerKgK }: OilBath) => oilKg * oilJPerKgK;
const findSteadyC = (bath: OilBath) => bath.roomC + bath.heaterW / bath.lossWPerK;

/** The oil with the heater on and so much surface frying in it: where it tends to and how fast. */
function stretch(bath: OilBath, surfaceMm2: number) {
  const uptakeWPerK = (surfaceMm2 / 1e6) * FRY_W_PER_M2K;
  const total = bath.lossWPerK + uptakeWPerK;
  const endC = (bath.heaterW + bath.lossWPerK * bath.roomC + uptakeWPerK * BOILING_C) / total;
  const timeMin = capacityJPerK(bath) / total / 60;
  return {
    endC,
    timeMin,
    at: (fromC: number, minutes: number) => endC + (fromC - endC) * Math.exp(-minutes / timeMin),
    /** Minutes to a temperature on the way to its end; 0 where it has been passed. */
    until: (fromC: number, toC: number) =>
      (toC - fromC) * (endC - fromC) <= 0 ? 0 : timeMin * Math.log((endC - fromC) / (endC - toC)),
    overBoilingKMin: (fromC: number, minutes: number) =>
      (endC - BOILING_C) * minutes + (fromC - endC) * timeMin * (1 - Math.exp(-minutes / timeMin)),
  };
}

/** The oil while so much surface fries in it, from its setting on. */
function fryPath(bath: OilBath, surfaceMm2: number) {
  const { setC } = bath;
  const off = stretch({ ...bath, heaterW: 0 }, surfaceMm2);
  const on = stretch(bath, surfaceMm2);
  const answersC = setC - THERMOSTAT_BAND_C;
  const offMin = off.until(setC, answersC);
  // A heater that is stronger than the load brings the oil back under it.
  const backMin = on.endC > setC ? offMin + on.until(answersC, setC) : Infinity;
  return {
    /** The thermostat answers after so long. */
    offMin,
    at(minute: number): number {
      if (minute <= offMin) return off.at(setC, minute);
      return minute >= backMin ? setC : on.at(answersC, minute - offMin);
    },
    /** ∫ (T − boiling) dt from 0 to a minute, K min. */
    overBoilingKMin: (minute: number): number =>
      off.overBoilingKMin(setC, Math.min(minute, offMin)) +
      on.overBoilingKMin(answersC, Math.max(Math.min(minute, backMin) - offMin, 0)) +
      (setC - BOILING_C) * Math.max(minute - backMin, 0),
  };
}

/** Halvings of a span until it is far finer than a second. */
const HALVINGS = 40;
function findDryMin(waterAt: (minutes: number) => number, mostWaterG: number, longestMin: number): number {
  let [low, high] = [0, longestMin];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (waterAt(middle) <= mostWaterG) low = middle;
    else high = middle;
  }
  return low;
}

function checkBath({ oilKg, oilJPerKgK, lossWPerK, heaterW }: OilBath): void {
  requirePositive("oilKg", oilKg);
  requirePositive("oilJPerKgK", oilJPerKgK);
  requirePositive("lossWPerK", lossWPerK);
  requirePositive("heaterW", heaterW);
}

function check(bath: OilBath, load: FryLoad): void {
  checkBath(bath);
  requireThat("setC", bath.setC, bath.setC > BOILING_C, "above 100 °C");
  requireNotNegative("pieces", load.pieces);
  requirePositive("pieceMm2", load.pieceMm2);
  requirePositive("minutes", load.minutes);
  requirePositive("pieceG", load.pieceG);
  requireThat("waterShare", load.waterShare, load.waterShare > 0 && load.waterShare <= 1, "above 0 to 1");
}
