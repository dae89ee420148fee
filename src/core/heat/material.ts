import { requireNotNegative, requirePositive, requireThat } from "../require";

/** What a dough or filling is made of, as shares of its mass; what the four leave is protein, fibre and ash. */
export interface Composition {
  readonly waterShare: number;
  readonly fatShare: number;
  readonly sugarShare: number;
  readonly starchShare: number;
}

/** How a stuff takes up and passes on heat. Temperatures °C, enthalpy per kg counted from 0 °C liquid. */
export interface Material {
  readonly densityKgPerM3: number;
  conductivityWPerMK(temperatureC: number): number;
  enthalpyJPerKg(temperatureC: number): number;
  /** Slope of the enthalpy, latent heat included, J/kg K; above 0. */
  heatCapacityJPerKgK(temperatureC: number): number;
  /**
   * Both of many cells at once, written into `enthalpies` and `capacities`: most of a run's time went into asking for
   * them one by one, each with an exponential of its own.
   */
  readHeatInto(temperatures: Float64Array, enthalpies: Float64Array, capacities: Float64Array): void;
}

/**
 * Heat capacity (J/kg K) and conductivity (W/m K) of the parts of food, at 10 °C, and of ice.
 * @see Choi & Okos, Effects of temperature and composition on the thermal properties of foods (1986).
 */
const parts = {
  water: { heatJPerKgK: 4180, conductivity: 0.58, densityKgPerM3: 1000 },
  ice: { heatJPerKgK: 2050, conductivity: 2.22, densityKgPerM3: 917 },
  fat: { heatJPerKgK: 1990, conductivity: 0.18, densityKgPerM3: 925 },
  carbohydrate: { heatJPerKgK: 1560, conductivity: 0.21, densityKgPerM3: 1590 },
  rest: { heatJPerKgK: 2010, conductivity: 0.19, densityKgPerM3: 1320 },
} as const;

/** Of the air that is beaten or leavened in, W/m K at room temperature. */
const AIR_CONDUCTIVITY = 0.026;

/** Heat of fusion of water at 0 °C. @see CRC Handbook of Chemistry and Physics. */
const WATER_LATENT_J_PER_KG = 333_600;
/** Melting of the crystals in butter and lard, spread over a range about its middle (differential calorimetry). */
const FAT_LATENT_J_PER_KG = 65_000;
const FAT_MELTING_MIDDLE_C = 18;
const FAT_MELTING_SPREAD_C = 5;
/** Water held so fast by flour that it never freezes, kg a kg of starch and protein. */
const BOUND_WATER_PER_SOLID = 0.25;
/** Freezing begins lower the more sugar and salt the water holds: Raoult, as °C a kg of sugar a kg of water. */
const FREEZING_DROP_C_PER_SUGAR = 5.4;
/** Salt and soluble flour in any dough. */
const FREEZING_DROP_BASE_C = 1;

/**
 * Thermal properties of a mixture, from its composition.
 * @param composition - Shares, each ≥ 0, together ≤ 1. @param densityGPerMl - As it lies, air included, > 0.
 */
export function describeMaterial(composition: Composition, densityGPerMl: number): Material {
  const { waterShare, fatShare, sugarShare, starchShare } = composition;
  Object.entries(composition).forEach(([name, share]) => requireNotNegative(name, share));
  requirePositive("densityGPerMl", densityGPerMl);
  const carbohydrateShare = sugarShare + starchShare;
  const restShare = 1 - waterShare - fatShare - carbohydrateShare;
  requireThat("shares together", 1 - restShare, restShare > -1e-9, "at most 1");
  const freezableShare = Math.max(waterShare - BOUND_WATER_PER_SOLID * (starchShare + restShare), 0);
  const freezingC = -(FREEZING_DROP_BASE_C + FREEZING_DROP_C_PER_SUGAR * ratio(sugarShare, waterShare));

  const unfrozenJPerKgK =
    waterShare * parts.water.heatJPerKgK +
    fatShare * parts.fat.heatJPerKgK +
    carbohydrateShare * parts.carbohydrate.heatJPerKgK +
    restShare * parts.rest.heatJPerKgK;
  const iceLessJPerKgK = parts.water.heatJPerKgK - parts.ice.heatJPerKgK;
  const volumes = {
    fat: fatShare / parts.fat.densityKgPerM3,
    carbohydrate: carbohydrateShare / parts.carbohydrate.densityKgPerM3,
    rest: restShare / parts.rest.densityKgPerM3,
  };
  const iceShare = (temperatureC: number) =>
    temperatureC >= freezingC ? 0 : freezableShare * (1 - freezingC / temperatureC);
  const meltedShare = (temperatureC: number) =>
    1 / (1 + Math.exp(-(temperatureC - FAT_MELTING_MIDDLE_C) / FAT_MELTING_SPREAD_C));
  const meltedAtZero = meltedShare(0);

  const enthalpy = (temperatureC: number, melted: number) => {
    const sensible =
      unfrozenJPerKgK * temperatureC + fatShare * FAT_LATENT_J_PER_KG * (melted - meltedAtZero);
    if (temperatureC >= freezingC) return sensible;
    // The ice is as cold as the rest: its lower heat capacity counts from where it froze, ∫ iceShare dT.
    const iceIntegral =
      freezableShare * (temperatureC - freezingC - freezingC * Math.log(temperatureC / freezingC));
    return sensible - WATER_LATENT_J_PER_KG * iceShare(temperatureC) - iceLessJPerKgK * iceIntegral;
  };
  const heatCapacity = (temperatureC: number, melted: number) => {
    const fat = (fatShare * FAT_LATENT_J_PER_KG * melted * (1 - melted)) / FAT_MELTING_SPREAD_C;
    if (temperatureC >= freezingC) return unfrozenJPerKgK + fat;
    const freezing = (WATER_LATENT_J_PER_KG * freezableShare * -freezingC) / temperatureC ** 2;
    return unfrozenJPerKgK + fat + freezing - iceLessJPerKgK * iceShare(temperatureC);
  };

  return {
    densityKgPerM3: densityGPerMl * 1000,
    conductivityWPerMK(temperatureC) {
      const ice = iceShare(temperatureC);
      const water = (waterShare - ice) / parts.water.densityKgPerM3;
      const frozen = ice / parts.ice.densityKgPerM3;
      const all = water + frozen + volumes.fat + volumes.carbohydrate + volumes.rest;
      // By volume, side by side: what is neither air nor pore.
      const weighted =
        water * parts.water.conductivity +
        frozen * parts.ice.conductivity +
        volumes.fat * parts.fat.conductivity +
        volumes.carbohydrate * parts.carbohydrate.conductivity +
        volumes.rest * parts.rest.conductivity;
      return addAir(weighted / all, 1 - all * densityGPerMl * 1000);
    },
    enthalpyJPerKg: (temperatureC) => enthalpy(temperatureC, meltedShare(temperatureC)),
    heatCapacityJPerKgK: (temperatureC) => heatCapacity(temperatureC, meltedShare(temperatureC)),
    readHeatInto(temperatures, enthalpies, capacities) {
      for (let i = 0; i < temperatures.length; i++) {
        const temperatureC = temperatures[i]!;
        const melted = meltedShare(temperatureC);
        enthalpies[i] = enthalpy(temperatureC, melted);
        capacities[i] = heatCapacity(temperatureC, melted);
      }
    },
  };
}

/**
 * Conductivity of a stuff with air bubbles in it (Maxwell's and Eucken's two phases: bubbles apart from each other).
 * @param poreShare - Air's share of the volume; at most 0 if the stuff is as dense as its parts, or denser.
 * @see Carson, Lovatt, Tanner & Cleland, Thermal conductivity bounds for isotropic, porous materials (2005).
 */
function addAir(stuff: number, poreShare: number): number {
  const pores = Math.max(poreShare, 0);
  const less = pores * (stuff - AIR_CONDUCTIVITY);
  return (stuff * (2 * stuff + AIR_CONDUCTIVITY - 2 * less)) / (2 * stuff + AIR_CONDUCTIVITY + less);
}

/** A stuff whose properties do not change with temperature. All figures > 0. */
export function uniformMaterial(
  densityKgPerM3: number,
  conductivityWPerMK: number,
  heatCapacityJPerKgK: number,
): Material {
  requirePositive("densityKgPerM3", densityKgPerM3);
  requirePositive("conductivityWPerMK", conductivityWPerMK);
  requirePositive("heatCapacityJPerKgK", heatCapacityJPerKgK);
  return {
    densityKgPerM3,
    conductivityWPerMK: () => conductivityWPerMK,
    enthalpyJPerKg: (temperatureC) => heatCapacityJPerKgK * temperatureC,
    heatCapacityJPerKgK: () => heatCapacityJPerKgK,
    readHeatInto(temperatures, enthalpies, capacities) {
      for (let i = 0; i < temperatures.length; i++) enthalpies[i] = heatCapacityJPerKgK * temperatures[i]!;
      capacities.fill(heatCapacityJPerKgK);
    },
  };
}

const ratio = (part: number, whole: number) => (whole > 0 ? part / whole : 0);
