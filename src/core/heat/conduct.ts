import { factorBandInPlace, solveFactoredInPlace } from "../bandSolver";
import type { Grid } from "./grid";
import type { Material } from "./material";

/** What lies around a body: air temperature and how readily each side gives off heat, wrap included. */
export interface Surroundings {
  readonly airC: number;
  readonly topWPerM2K: number;
  readonly bottomWPerM2K: number;
  readonly edgeWPerM2K: number;
}

/** A stretch of time in one place; `turnOver` lays the body on its other side at the end. */
export interface Stage {
  readonly surroundings: Surroundings;
  readonly minutes: number;
  readonly turnOver: boolean;
}

/** One moment of a body: °C, and the heat it has taken up since the start, J (a loss is below 0). */
export interface Moment {
  readonly atMin: number;
  readonly coreC: number;
  /** At the face that is nearest to the air: the warmest point anywhere while it warms, the coldest while it cools. */
  readonly surfaceC: number;
  readonly meanC: number;
  readonly takenUpJ: number;
  /** The same heat, added up over the surface instead of the inside. */
  readonly throughSurfaceJ: number;
}

/** Steps over one stage. */
const STEPS_PER_STAGE = 64;
/** Step k of n ends at (k/n)³ of the stage: short while the outermost cell cools, and 3/n of it at the end. */
const STEP_POWER = 3;
/** TR-BDF2's intermediate point. With 2 − √2 both halves solve the same kind of system (Bank et al. 1985). */
const GAMMA = 2 - Math.SQRT2;
/** Newton stops when no cell's heat balance is off by more: above rounding, and all steps together below 1e-6. */
const NEWTON_TOLERANCE_K = 1e-7;
const NEWTON_ROUNDS = 40;
/**
 * The slope is worked out anew where a round leaves more than this share of what was missing: factoring it is by far the
 * dearest part of a run, and from round to round of one step it hardly changes.
 */
const STALE_SHARE = 0.2;
/** Where freezing begins the slope jumps, and an old one leads back and forth: from this round on it is always new. */
const ROUNDS_WITH_OLD_SLOPE = 4;
/** How often a step that does not settle may be halved before it counts as a bug. */
const HALVINGS = 12;

/**
 * Transient conduction in finite volumes, implicit: TR-BDF2 in time (second order, no ringing), enthalpy as the
 * conserved quantity, so that freezing and melting lose no heat.
 * @param startC - Uniform temperature at the start. @param isEnough - Asked after every step; true ends the run.
 * @returns Moments from 0 on, in the order of time; the last is the end of the last stage, or where it was enough.
 * @see Bank, Coughran, Fichtner, Grosse, Rose & Smith, IEEE Trans. CAD 4 (1985); Patankar, Numerical Heat
 * Transfer and Fluid Flow (1980), chapter 4, for the volumes.
 */
export function conduct(
  grid: Grid,
  material: Material,
  startC: number,
  stages: readonly Stage[],
  isEnough: (moment: Moment) => boolean = () => false,
): Moment[] {
  const cells = grid.volumeM3.length;
  const temperatures = new Float64Array(cells).fill(startC);
  const start = totalEnthalpyJ(grid, material, temperatures);
  let throughSurfaceJ = 0;
  let beganMin = 0;
  const moments: Moment[] = [];
  const record = (atMin: number, surroundings: Surroundings | null): Moment => {
    const moment = {
      atMin,
      coreC: findCoreC(grid, temperatures),
      surfaceC: surroundings ? findSurfaceC(grid, material, temperatures, surroundings) : startC,
      meanC: findMeanC(grid, temperatures),
      takenUpJ: totalEnthalpyJ(grid, material, temperatures) - start,
      throughSurfaceJ,
    };
    moments.push(moment);
    return moment;
  };
  record(0, null);
  for (const { surroundings, minutes, turnOver } of stages) {
    if (minutes <= 0) continue;
    const system = new ConductionStep(grid, material, surroundings);
    const endS = minutes * 60;
    for (const [fromS, toS] of listSteps(endS)) {
      throughSurfaceJ += advance(system, temperatures, toS - fromS, HALVINGS);
      if (isEnough(record(beganMin + toS / 60, surroundings))) return moments;
    }
    if (turnOver) turnOverInPlace(grid, temperatures);
    beganMin += minutes;
  }
  return moments;
}

function listSteps(endS: number): [number, number][] {
  const endOf = (k: number) => endS * (k / STEPS_PER_STAGE) ** STEP_POWER;
  return Array.from({ length: STEPS_PER_STAGE }, (_, k) => [endOf(k), endOf(k + 1)]);
}

function advance(
  system: ConductionStep,
  temperatures: Float64Array,
  stepS: number,
  halvings: number,
): number {
  const before = temperatures.slice();
  const throughJ = system.take(temperatures, stepS);
  if (throughJ !== null) return throughJ;
  if (halvings === 0) throw new RangeError(`conduct: a step of ${stepS} s does not settle`);
  temperatures.set(before);
  const first = advance(system, temperatures, stepS / 2, halvings - 1);
  return first + advance(system, temperatures, stepS / 2, halvings - 1);
}

/** One TR-BDF2 step. Keeps its working arrays, since a run takes hundreds. */
class ConductionStep {
  private readonly cells: number;
  private readonly band: number;
  private readonly matrix: Float64Array;
  private readonly outward: Float64Array;
  private readonly upward: Float64Array;
  private readonly massKg: Float64Array;
  /** Of every cell at the temperatures last looked at: J, and J/K. */
  private readonly energyJ: Float64Array;
  private readonly capacity: Float64Array;
  private surface: { readonly index: number; readonly conductanceWPerK: number }[] = [];
  /** Whether the factored matrix is of the present step. */
  private isFactored = false;

  constructor(
    private readonly grid: Grid,
    private readonly material: Material,
    private readonly surroundings: Surroundings,
  ) {
    this.cells = grid.volumeM3.length;
    this.band = grid.along === 1 ? 1 : grid.across;
    this.massKg = grid.volumeM3.map((volumeM3) => volumeM3 * material.densityKgPerM3);
    this.energyJ = new Float64Array(this.cells);
    this.capacity = new Float64Array(this.cells);
    this.matrix = new Float64Array(this.cells * (this.band + 1));
    this.outward = new Float64Array(this.cells);
    this.upward = new Float64Array(this.cells);
  }

  /** Moves `temperatures` on by `stepS`; gives the heat that came through the surface, J, or null if it fails. */
  take(temperatures: Float64Array, stepS: number): number | null {
    const before = temperatures.slice();
    this.readHeat(temperatures);
    const oldJ = this.energyJ.slice();
    this.setConductances(temperatures);
    this.isFactored = false;
    const [oldFlowW, oldSurfaceW] = this.flows(temperatures);
    // Trapezium to the point γ, then the backward formula over the three points.
    const halfS = (GAMMA * stepS) / 2;
    const knownJ = oldJ.map((energyJ, i) => energyJ + halfS * oldFlowW[i]!);
    const middleSurfaceW = this.solve(temperatures, knownJ, halfS);
    if (middleSurfaceW === null) return null;
    const middleThroughJ = halfS * (oldSurfaceW + middleSurfaceW);
    const middleJ = this.energyJ.slice();
    // Newton begins where the first part of the step was heading.
    const onward = (1 - GAMMA) / GAMMA;
    for (let i = 0; i < this.cells; i++) {
      temperatures[i] = temperatures[i]! + onward * (temperatures[i]! - before[i]!);
    }
    const share = 1 / (GAMMA * (2 - GAMMA));
    const backS = ((1 - GAMMA) / (2 - GAMMA)) * stepS;
    const backwardJ = middleJ.map((energyJ, i) => share * energyJ - (share - 1) * oldJ[i]!);
    const endSurfaceW = this.solve(temperatures, backwardJ, backS);
    if (endSurfaceW === null) return null;
    return share * middleThroughJ + backS * endSurfaceW;
  }

  private readHeat(temperatures: Float64Array): void {
    const { energyJ, capacity, massKg } = this;
    this.material.readHeatInto(temperatures, energyJ, capacity);
    for (let i = 0; i < this.cells; i++) {
      energyJ[i] = massKg[i]! * energyJ[i]!;
      capacity[i] = massKg[i]! * capacity[i]!;
    }
  }

  /** Conductances between cells from their present temperatures, held through one step. W/K. */
  private setConductances(temperatures: Float64Array): void {
    const conductivity = temperatures.map((temperatureC) => this.material.conductivityWPerMK(temperatureC));
    const { across, outwardM, upwardM } = this.grid;
    for (let i = 0; i < this.cells; i++) {
      const [out, up] = [outwardM[i]!, upwardM[i]!];
      this.outward[i] = out > 0 ? out * harmonicMean(conductivity[i]!, conductivity[i + 1]!) : 0;
      this.upward[i] = up > 0 ? up * harmonicMean(conductivity[i]!, conductivity[i + across]!) : 0;
    }
    this.surface = this.grid.faces.map(({ index, side, areaM2, depthM }) => {
      const filmWPerM2K = this.surroundings[`${side}WPerM2K`];
      const resistance = depthM / conductivity[index]! + (filmWPerM2K > 0 ? 1 / filmWPerM2K : Infinity);
      return { index, conductanceWPerK: areaM2 / resistance };
    });
  }

  /** Heat into each cell, W, and the part of it that comes through the surface. */
  private flows(temperatures: Float64Array): [Float64Array, number] {
    const intoW = new Float64Array(this.cells);
    const { across } = this.grid;
    for (let i = 0; i < this.cells; i++) {
      const [out, up] = [this.outward[i]!, this.upward[i]!];
      if (out > 0) {
        const flow = out * (temperatures[i + 1]! - temperatures[i]!);
        intoW[i] = intoW[i]! + flow;
        intoW[i + 1] = intoW[i + 1]! - flow;
      }
      if (up > 0) {
        const flow = up * (temperatures[i + across]! - temperatures[i]!);
        intoW[i] = intoW[i]! + flow;
        intoW[i + across] = intoW[i + across]! - flow;
      }
    }
    let surfaceW = 0;
    for (const { index, conductanceWPerK } of this.surface) {
      const flow = conductanceWPerK * (this.surroundings.airC - temperatures[index]!);
      intoW[index] = intoW[index]! + flow;
      surfaceW += flow;
    }
    return [intoW, surfaceW];
  }

  /**
   * Finds temperatures with enthalpy − weight · flow = known, by Newton's method; the heat read last is theirs.
   * @returns The surface flow, W, or null.
   */
  private solve(temperatures: Float64Array, knownJ: Float64Array, weightS: number): number | null {
    let worstK = Infinity;
    for (let round = 0; round < NEWTON_ROUNDS; round++) {
      const [intoW, surfaceW] = this.flows(temperatures);
      this.readHeat(temperatures);
      const missingJ = new Float64Array(this.cells);
      const beforeK = worstK;
      worstK = 0;
      for (let i = 0; i < this.cells; i++) {
        const missing = knownJ[i]! + weightS * intoW[i]! - this.energyJ[i]!;
        missingJ[i] = missing;
        const missingK = Math.abs(missing) / this.capacity[i]!;
        if (missingK > worstK) worstK = missingK;
      }
      if (worstK <= NEWTON_TOLERANCE_K) return surfaceW;
      if (!this.isFactored || round >= ROUNDS_WITH_OLD_SLOPE || worstK > beforeK * STALE_SHARE) {
        this.fillMatrix(weightS);
        factorBandInPlace(this.matrix, this.band);
        this.isFactored = true;
      }
      solveFactoredInPlace(this.matrix, this.band, missingJ);
      for (let i = 0; i < this.cells; i++) temperatures[i] = temperatures[i]! + missingJ[i]!;
    }
    return null;
  }

  /** The slope of the heat balance: heat capacities and conductances to the neighbours. */
  private fillMatrix(weightS: number): void {
    const { matrix, band, grid } = this;
    const width = band + 1;
    const reach = grid.across;
    matrix.fill(0);
    const add = (row: number, k: number, value: number) => {
      const at = row * width + band - k;
      matrix[at] = matrix[at]! + value;
    };
    for (let i = 0; i < this.cells; i++) {
      add(i, 0, this.capacity[i]!);
      const [out, up] = [weightS * this.outward[i]!, weightS * this.upward[i]!];
      if (out > 0) {
        add(i, 0, out);
        add(i + 1, 0, out);
        add(i + 1, 1, -out);
      }
      if (up > 0) {
        add(i, 0, up);
        add(i + reach, 0, up);
        add(i + reach, reach, -up);
      }
    }
    for (const { index, conductanceWPerK } of this.surface) add(index, 0, weightS * conductanceWPerK);
  }
}

const harmonicMean = (a: number, b: number) => (2 * a * b) / (a + b);

function totalEnthalpyJ({ volumeM3 }: Grid, material: Material, temperatures: Float64Array): number {
  return temperatures.reduce(
    (sum, temperatureC, i) =>
      sum + material.densityKgPerM3 * volumeM3[i]! * material.enthalpyJPerKg(temperatureC),
    0,
  );
}

/**
 * The face nearest to the air, °C: from each outer cell's middle on to its face, as the heat that passes through both the
 * half cell and the film has it.
 */
function findSurfaceC(
  { faces }: Grid,
  material: Material,
  temperatures: Float64Array,
  surroundings: Surroundings,
): number {
  const { airC } = surroundings;
  let nearestC = Infinity;
  for (const { index, side, depthM } of faces) {
    const cellC = temperatures[index]!;
    const inside = depthM / material.conductivityWPerMK(cellC);
    const filmWPerM2K = surroundings[`${side}WPerM2K`];
    const outside = filmWPerM2K > 0 ? 1 / filmWPerM2K : Infinity;
    const faceC = cellC + (airC - cellC) * (outside === Infinity ? 0 : inside / (inside + outside));
    if (Math.abs(airC - faceC) < Math.abs(airC - nearestC)) nearestC = faceC;
  }
  return nearestC;
}

/** At the very centre: the parabola through the two innermost cells, which has no slope there. */
function findCoreC({ core }: Grid, temperatures: Float64Array): number {
  const inner = temperatures[core.index]!;
  return inner + core.weight * (inner - temperatures[core.nextIndex]!);
}

/** Mean over the volume, °C. */
function findMeanC({ volumeM3 }: Grid, temperatures: Float64Array): number {
  const volume = volumeM3.reduce((sum, each) => sum + each, 0);
  return temperatures.reduce((sum, each, i) => sum + each * volumeM3[i]!, 0) / volume;
}

function turnOverInPlace({ across, along }: Grid, temperatures: Float64Array): void {
  const before = temperatures.slice();
  for (let j = 0; j < along; j++) {
    temperatures.set(before.subarray((along - 1 - j) * across, (along - j) * across), j * across);
  }
}
